import { Fragment } from 'react';
import { Link } from 'react-router';
import { type Api, fieldOf } from '../../shared/api';
import { chanceWords, fm } from '../../shared/format';
import { courseWord, type GoalKind, goalKinds } from '../../shared/goalKinds';
import { t } from '../../shared/words';
import { useTray } from '../tray/useTray';
import { RowTick } from '../../ui/Checkbox';
import { ErrorText } from '../../ui/Field';
import { TextField } from '../../ui/TextField';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

export type Line = Api<'GoalLine'>;
/** What is typed for each reader, by kind. */
export type Draft = Record<string, Partial<Record<GoalKind, string>>>;
export const kinds = Object.keys(goalKinds) as GoalKind[];

/** Each reader with what is typed for the term, and how far they are. */
export function GoalTable({
  lines,
  called,
  draft,
  error,
  change,
}: {
  lines: Line[];
  called: (id: string, name: string) => string;
  draft: Draft;
  error: unknown;
  change: (l: Line, kind: GoalKind, value: string) => void;
}) {
  return (
    <div
      className="border-ink relative min-h-0 overflow-auto border-t"
      tabIndex={0}
      role="region"
      aria-labelledby="title"
    >
      <Table>
        <TableHead>
          <tr>
            <Th>
              <span className="sr-only">{t('Add to tray')}</span>
            </Th>
            <Th>{t('Reader')}</Th>
            <Th num>{t('Depth')}</Th>
            {kinds.map((kind) => (
              <Fragment key={kind}>
                <Th>{goalKinds[kind].name()}</Th>
                <Th>{t('Progress')}</Th>
              </Fragment>
            ))}
          </tr>
        </TableHead>
        <TableBody>
          {lines.map((l) => (
            <GoalRow
              key={l.readerId}
              line={l}
              name={called(l.readerId, l.givenName)}
              typed={draft[l.readerId] ?? {}}
              error={error}
              change={(kind, value) => change(l, kind, value)}
            />
          ))}
        </TableBody>
      </Table>
    </div>
  );
}

function GoalRow({
  line: l,
  name,
  typed,
  error,
  change,
}: {
  line: Line;
  name: string;
  typed: Draft[string];
  error: unknown;
  change: (kind: GoalKind, value: string) => void;
}) {
  const tray = useTray();
  const on = tray.readers.includes(l.readerId);
  return (
    <tr className={on ? 'bg-tint' : undefined}>
      <Td>
        <RowTick
          label={t('Add {{name}} to tray', { name: name })}
          checked={on}
          set={() => tray.toggleReader(l.readerId)}
        />
      </Td>
      <Th scope="row">
        <Link to={`?reader=${l.readerId}`}>
          {l.givenName} {l.familyName}
        </Link>
      </Th>
      <Td num>{fm(l.depth)}</Td>
      {l.kinds.map((k) => (
        <Fragment key={k.kind}>
          <Td>
            <Target
              of={k}
              reader={name}
              typed={typed[k.kind] ?? ''}
              fault={fieldOf(error, `${k.kind}.${l.readerId}`)}
              change={(value) => change(k.kind, value)}
            />
          </Td>
          <Td>
            <Standing of={k} />
          </Td>
        </Fragment>
      ))}
    </tr>
  );
}

type OfKind = Line['kinds'][number];

function Target(p: {
  of: OfKind;
  reader: string;
  typed: string;
  fault: string | undefined;
  change: (value: string) => void;
}) {
  return (
    <>
      <TextField
        label={t('{{name}} goal for {{reader}}', { name: goalKinds[p.of.kind].name(), reader: p.reader })}
        bare
        type="number"
        min="1"
        aria-invalid={!!p.fault}
        value={p.typed}
        placeholder={p.of.goal ? String(p.of.goal.target) : '–'}
        set={p.change}
      />
      {p.fault && <ErrorText>{p.fault}</ErrorText>}
    </>
  );
}

function Standing({ of: { kind, soFar, goal } }: { of: OfKind }) {
  const { write, outOf } = goalKinds[kind];
  if (!goal)
    return (
      <span className="text-soft">
        {t('so far')} {soFar == null ? '–' : write(soFar)}
      </span>
    );
  const share = Math.min(1, goal.done / goal.target),
    due = Math.min(1, goal.dueNow / goal.target);
  return (
    <span className="inline-flex items-center gap-2 text-sm whitespace-nowrap">
      <svg width="120" height="14" aria-hidden>
        <rect x=".5" y="3.500" width="119" height="7" fill="var(--color-paper)" stroke="var(--color-ink)" />
        <rect x=".5" y="3.500" width={share * 119} height="7" fill="var(--color-depth-6)" />
        <path d={`M${Math.max(1, due * 119)} 0v14`} stroke="var(--color-ink)" strokeWidth="2" />
      </svg>
      <span>{outOf(soFar ?? null, goal.target)}</span>{' '}
      <span className="text-soft">
        {goal.course === 'Reached' ? courseWord(goal.course) : chanceWords(goal.chance)}
      </span>
    </span>
  );
}
