import { X } from '@phosphor-icons/react';
import { fieldOf, sentence } from '../../shared/api';
import { chanceWords, fm, number, signed } from '../../shared/format';
import { goalKinds } from '../../shared/goalKinds';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { ErrorText } from '../../ui/Field';
import { IconButton } from '../../ui/IconButton';
import { Bases, CheckSays } from './Bases';
import { EarlierGoals } from './EarlierGoals';
import { SidePanel } from '../../ui/Page';
import { Slider } from '../../ui/Slider';
import { TextField } from '../../ui/TextField';
import {
  asks,
  basedOn,
  chanceOf,
  kinds,
  targetsOf,
  wantedOf,
  type GoalsData,
  type Line,
  type OfKind,
  type Setting,
} from './goals';

interface Props {
  g: GoalsData;
  setting: Setting;
  set: (setting: Setting) => void;
  called: (id: string, name: string) => string;
  error: unknown;
  busy: boolean;
  save: () => void;
  close: () => void;
}

/** Goals for one or many: how likely they should be, which kinds, and what that asks of each. */
export function SetGoals({ g, setting: s, set, called, error, busy, save, close }: Props) {
  const lines = g.lines.filter((l) => s.readerIds.includes(l.readerId));
  const likely = g.ambitions[s.ambition] ?? 0.7;
  const wanted = targetsOf(s, lines);
  return (
    <SidePanel className="lg:w-96" aria-labelledby="set-goals">
      <header className="flex items-center justify-between px-4.5 py-2.5">
        <h2 id="set-goals">{t('Set goals for {{count}} readers', { count: lines.length })}</h2>
        <IconButton look="plain" label={t('Close')} onClick={close}>
          <X size={18} aria-hidden />
        </IconButton>
      </header>
      <div className="grid gap-2.5 px-4.5 pb-3">
        <Slider
          label={
            <>
              <b>{t('How likely should they be reached?')}</b> {chanceWords(likely)}
            </>
          }
          from={0}
          to={g.ambitions.length - 1}
          step={1}
          value={s.ambition}
          said={chanceWords(likely)}
          set={(ambition) => set({ ...s, ambition, typed: {} })}
        />
        <p className="text-soft flex justify-between text-sm" aria-hidden>
          <span>{t('safe')}</span> <span>{t('stretch')}</span>
        </p>
        <div className="flex flex-wrap gap-x-4">
          {kinds.map((kind) => (
            <Checkbox key={kind} checked={s.kinds[kind]} set={(on) => set({ ...s, kinds: { ...s.kinds, [kind]: on } })}>
              {goalKinds[kind].name()}
            </Checkbox>
          ))}
        </div>
        <Bases s={s} lines={lines} set={set} />
      </div>
      <ul className="border-ink border-t">
        {lines.map((l) => (
          <Preview
            key={l.readerId}
            l={l}
            name={called(l.readerId, l.givenName)}
            s={s}
            set={set}
            error={error}
            drop={
              lines.length > 1
                ? () => set({ ...s, readerIds: s.readerIds.filter((id) => id !== l.readerId) })
                : undefined
            }
          />
        ))}
      </ul>
      {lines.length === 1 && lines[0] && <EarlierGoals l={lines[0]} />}
      <footer className="border-ink bg-paper sticky bottom-0 mt-auto grid gap-2 border-t px-4.5 pt-3 pb-4">
        <TextField
          label={t('Reason, optional')}
          maxLength={200}
          value={s.reason}
          set={(reason) => set({ ...s, reason })}
        />
        {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <div className="flex gap-2">
          <Button look="main" className="grow" disabled={wanted.length === 0} aria-busy={busy} onClick={save}>
            {t('Set goals for {{count}} readers', { count: lines.length })}
          </Button>
          <Button onClick={close}>{t('Discard')}</Button>
        </div>
        <p className="text-soft text-sm">{t('Readers see them at once. You can undo this.')}</p>
      </footer>
    </SidePanel>
  );
}

function Preview({
  l,
  name,
  s,
  set,
  error,
  drop,
}: {
  l: Line;
  name: string;
  s: Setting;
  set: (s: Setting) => void;
  error: unknown;
  drop: (() => void) | undefined;
}) {
  return (
    <li className="border-line grid gap-1 border-b px-4.5 py-2">
      <p className="flex items-center justify-between">
        <b>{name}</b>
        {drop && (
          <IconButton look="plain" label={t('Leave {{name}} out', { name })} onClick={drop}>
            <X size={14} aria-hidden />
          </IconButton>
        )}
      </p>
      {l.kinds
        .filter((k) => s.kinds[k.kind])
        .map((k) => (
          <div key={k.kind} className="grid grid-cols-[100px_84px_minmax(0,1fr)] items-start gap-2">
            <span className="pt-1 text-sm">
              {goalKinds[k.kind].name()}
              {k.goal && (
                <span className="text-soft block">{t('now {{goal}}', { goal: plain(k, k.goal.target) })}</span>
              )}
            </span>
            <TextField
              label={t('{{name}} goal for {{reader}}', { name: goalKinds[k.kind].name(), reader: name })}
              bare
              type="number"
              min={k.kind === 'Depth' ? '-20' : '1'}
              step={k.kind === 'Depth' ? '0.5' : '1'}
              aria-invalid={Boolean(fieldOf(error, `${k.kind}.${l.readerId}`))}
              value={wantedOf(s, l, k)}
              set={(value) =>
                set({ ...s, typed: { ...s.typed, [l.readerId]: { ...s.typed[l.readerId], [k.kind]: value } } })
              }
            />
            <Means
              l={l}
              k={basedOn(s, l, k)}
              value={wantedOf(s, l, k)}
              fault={fieldOf(error, `${k.kind}.${l.readerId}`)}
            />
          </div>
        ))}
      {s.kinds.Depth && <CheckSays s={s} l={l} />}
    </li>
  );
}

const plain = (k: OfKind, value: number) => goalKinds[k.kind].write(value);

/** What a value does to the chance, and what it asks for. */
function Means({ l, k, value, fault }: { l: Line; k: OfKind; value: string; fault: string | undefined }) {
  if (fault) return <ErrorText>{fault}</ErrorText>;
  const target = Number(value);
  if (value.trim() === '' || Number.isNaN(target))
    return (
      <span className="text-soft pt-1 text-sm">
        {k.kind === 'Words' && (k.soFar ?? 0) === 0 ? t('nothing understood yet to go by') : t('no goal')}
      </span>
    );
  const chance = chanceOf(k, target);
  const reached = chance === 1;
  return (
    <span className="pt-1 text-sm">
      <b>{reached ? t('reached already') : chanceWords(chance)}</b>
      <span className="text-soft block">{reached ? null : askWords(l, k, target)}</span>
    </span>
  );
}

function askWords(l: Line, k: OfKind, target: number) {
  if (k.kind === 'Comprehension')
    return k.soFar === null
      ? t('{{n}} of 10 first answers right', { n: Math.round(target / 10) })
      : t('{{n}} of 10 first answers right; now {{now}}', {
          n: (target / 10).toFixed(1),
          now: (k.soFar / 10).toFixed(1),
        });
  if (k.kind === 'Depth')
    return t('{{change}} fm from {{now}}', { change: signed(target - l.depth), now: fm(l.depth) });
  const a = asks(l, k, target, l.schoolDaysLeft);
  if (!a) return null;
  const week = t('{{n}} words a week, {{count}} minutes a school day', { n: number(a.perWeek), count: a.minutes });
  return a.times === null ? week : `${week}; ${t('{{n}} times what they read now', { n: a.times.toFixed(1) })}`;
}
