import { DotsThree } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { dayOf } from '../../shared/format';
import { t } from '../../shared/words';
import { calledIn, type ClassData } from '../classQueries';
import { Button } from '../../ui/Button';
import { Menu, MenuItem } from '../../ui/Menu';
import { Buoy } from './Buoy';
import { Picture } from './Picture';
import { PutOff } from './PutOff';
import { signalName, signals, type Signal } from './signals';
import { stepWords } from './useStep';
import type { useSignalDeeds } from './useSignals';
import { SheetLink } from '../readers/SheetLink';

interface Props {
  s: Signal;
  data: ClassData;
  deeds: ReturnType<typeof useSignalDeeds>;
  take: (s: Signal) => void;
  /** The one to begin with. */
  first?: boolean;
}

/** One signal: what happened and what that rests on, drawn and in words, from when to when, and what to do about it. */
export function SignalRow({ s, data, deeds, take, first = false }: Props) {
  const called = s.readerId ? calledIn(data)(s.readerId, '') : '';
  const [what, base] = signals[s.kind].says(called, s);
  const group = data.readers.find((r) => r.id === s.readerId)?.group;
  return (
    <li
      aria-label={`${signalName(s.kind)} ${called}`}
      className={cx(
        'border-line grid items-center gap-x-4 gap-y-1.5 border-b px-4 py-2',
        'sm:max-lg:grid-cols-[minmax(0,1fr)_240px] lg:grid-cols-[minmax(0,1fr)_240px_92px_220px]',
        s.state === 'New' && 'border-l-overlay border-l-4',
      )}
    >
      <div className="grid grid-cols-[22px_minmax(0,1fr)] gap-x-1.5">
        <span className="row-span-3 self-center">
          <Buoy kind={s.kind} />
        </span>
        <p className="text-sm">
          <b>{signalName(s.kind)}</b> {group && <span className="text-soft ml-1">{group}</span>}
          {s.state === 'PutOff' && s.until && (
            <span className="text-soft ml-1">{t('until {{day}}', { day: dayOf(s.until) })}</span>
          )}
        </p>
        <p>
          <Sentence words={what} called={called} readerId={s.readerId} />
        </p>
        <p className="text-soft text-sm">{base}</p>
      </div>
      <Picture s={s} />
      <p className="text-sm max-lg:hidden">
        {dayOf(s.first)}
        {s.last !== s.first && (
          <>
            <br />
            {t('to {{day}}', { day: dayOf(s.last) })}
          </>
        )}
      </p>
      <div className="flex items-center gap-1.5">
        <Button className="grow" look={first ? 'main' : 'outline'} onClick={() => take(s)}>
          {stepWords(s, called, data)}
        </Button>
        {data.mayAssign && <More s={s} what={what} today={data.today} deeds={deeds} />}
      </div>
    </li>
  );
}

/** The sentence, with the reader's name leading to their sheet. */
function Sentence({ words, called, readerId }: { words: string; called: string; readerId: string | null }) {
  const at = called === '' ? -1 : words.indexOf(called);
  if (at < 0 || readerId === null) return words;
  return (
    <>
      {words.slice(0, at)}
      <SheetLink readerId={readerId}>{called}</SheetLink>
      {words.slice(at + called.length)}
    </>
  );
}

/** What else can be done about a signal. */
function More({ s, what, today, deeds }: { s: Signal; what: string; today: string; deeds: Props['deeds'] }) {
  const [putting, put] = useState(false);
  return (
    <>
      <Menu
        look="plain"
        iconOnly
        icon={<DotsThree size={20} weight="bold" aria-hidden />}
        label={t('More about: {{what}}', { what })}
      >
        {s.state === 'New' && <MenuItem onSelect={() => deeds.see([s.id])}>{t('Mark as seen')}</MenuItem>}
        <MenuItem onSelect={() => put(true)}>{t('Put off until…')}</MenuItem>
        {s.state === 'PutOff' && <MenuItem onSelect={() => deeds.reopen([s.id])}>{t('Take up again')}</MenuItem>}
        <MenuItem onSelect={() => deeds.done([s.id])}>{t('Done')}</MenuItem>
      </Menu>
      {putting && (
        <PutOff what={what} today={today} put={(until) => deeds.putOff([s.id], until)} close={() => put(false)} />
      )}
    </>
  );
}
