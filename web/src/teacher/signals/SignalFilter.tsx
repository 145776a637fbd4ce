import { cx } from 'class-variance-authority';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import { SearchField } from '../../ui/TextField';
import { Buoy } from './Buoy';
import { signalKinds, signalName, type Signal, type SignalKind } from './signals';

export interface Narrow {
  kind: SignalKind | null;
  group: string | null;
  name: string;
}

/** Whether a signal is among those asked for. */
export function matches(s: Signal, by: Narrow, data: ClassData) {
  const reader = data.readers.find((r) => r.id === s.readerId);
  const name = reader ? `${reader.called} ${reader.givenName} ${reader.familyName}`.toLowerCase() : '';
  return (
    (by.kind === null || s.kind === by.kind) &&
    (by.group === null || reader?.group === by.group) &&
    name.includes(by.name.trim().toLowerCase())
  );
}

/** Narrows signals by kind, group and reader, each with how many there are. */
export function SignalFilter({
  all,
  data,
  by,
  set,
}: {
  all: Signal[];
  data: ClassData;
  by: Narrow;
  set: (by: Partial<Narrow>) => void;
}) {
  const rest = (but: Partial<Narrow>) => all.filter((s) => matches(s, { ...by, ...but }, data));
  const kinds = rest({ kind: null }),
    ofGroups = rest({ group: null });
  return (
    <aside
      aria-label={t('Filter signals')}
      className="bg-sand border-ink grid min-h-0 content-start gap-3 overflow-auto px-2.5 py-3 max-lg:border-b lg:border-r"
    >
      <Choices
        title={t('Kind')}
        chosen={by.kind ?? ''}
        set={(kind) => set({ kind: kind === '' ? null : (kind as SignalKind) })}
        choices={[
          { value: '', name: t('All kinds'), n: kinds.length },
          ...signalKinds.map((kind) => ({
            value: kind,
            name: signalName(kind),
            n: kinds.filter((s) => s.kind === kind).length,
            kind,
          })),
        ]}
      />
      {data.groups.length > 0 && (
        <Choices
          title={t('Group')}
          chosen={by.group ?? ''}
          set={(group) => set({ group: group === by.group ? null : group })}
          choices={data.groups.map((g) => ({
            value: g.name,
            name: g.name,
            n: ofGroups.filter((s) => data.readers.find((r) => r.id === s.readerId)?.group === g.name).length,
          }))}
        />
      )}
      <div className="px-1.5">
        <SearchField label={t('Reader')} placeholder={t('Name')} value={by.name} set={(name) => set({ name })} />
      </div>
    </aside>
  );
}

interface Choice {
  value: string;
  name: string;
  n: number;
  kind?: SignalKind;
}

function Choices({
  title,
  chosen,
  choices,
  set,
}: {
  title: string;
  chosen: string;
  choices: Choice[];
  set: (value: string) => void;
}) {
  return (
    <section aria-label={title}>
      <h2 className="px-1.5 pb-1 text-base">{title}</h2>
      <ul className="max-lg:grid max-lg:grid-cols-3 max-lg:gap-x-2">
        {choices.map((c) => (
          <li key={c.value} className={cx(c.n === 0 && chosen !== c.value && 'max-lg:hidden')}>
            <button
              type="button"
              aria-pressed={chosen === c.value}
              onClick={() => set(c.value)}
              className={cx(
                'flex min-h-6.5 w-full items-center gap-2 rounded-sm border px-1.5 text-left',
                chosen === c.value ? 'border-overlay bg-tint font-semibold' : 'hover:bg-depth-1 border-transparent',
                c.n === 0 && 'text-soft',
              )}
            >
              {c.kind && <Buoy kind={c.kind} />}
              <span className="grow">{c.name}</span>
              {c.n > 0 && <span className="font-semibold">{c.n}</span>}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
