import { cx } from 'class-variance-authority';
import { Fragment } from 'react';
import { fm } from '../../shared/format';
import { goalKinds } from '../../shared/goalKinds';
import { t } from '../../shared/words';
import { useTray } from '../tray/useTray';
import { TextButton } from '../../ui/Button';
import { RowTick } from '../../ui/Checkbox';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';
import { kinds, wantedOf, type GoalsData, type Line, type OfKind, type Setting } from './goals';
import { Lane, Standing } from './Lane';
import { SheetLink } from '../readers/SheetLink';

/** Each reader's goals as lanes through the term. */
export function GoalRows({
  g,
  called,
  setting,
  edit,
  call,
}: {
  g: GoalsData;
  called: (id: string, name: string) => string;
  setting: Setting | null;
  /** Sets goals of one reader; null where the term is over, or the person may not. */
  edit: ((readerId: string) => void) | null;
  /** Calls a goal met that was just missed; null where the person may not. */
  call: ((l: Line, k: OfKind) => void) | null;
}) {
  return (
    <TableScroll label={t('Goals of the term')} pinned className="flex-1">
      <TableHead>
        <tr>
          <Th>{t('Reader')}</Th>
          {kinds.map((kind) => (
            <Th key={kind} colSpan={2}>
              {goalKinds[kind].name()}
            </Th>
          ))}
          <Th>
            <span className="sr-only">{t('Set goals')}</span>
          </Th>
        </tr>
      </TableHead>
      <TableBody>
        {g.lines.map((l) => (
          <GoalRow
            key={l.readerId}
            g={g}
            l={l}
            name={called(l.readerId, l.givenName)}
            setting={setting}
            edit={edit}
            call={call}
          />
        ))}
      </TableBody>
    </TableScroll>
  );
}

const wide = 128,
  narrow = 72;

/** Fathoms below their own depth from which what somebody reads is easy. */
const easy = 4;

function GoalRow({
  g,
  l,
  name,
  setting,
  edit,
  call,
}: {
  g: GoalsData;
  l: Line;
  name: string;
  setting: Setting | null;
  edit: ((readerId: string) => void) | null;
  call: ((l: Line, k: OfKind) => void) | null;
}) {
  const tray = useTray();
  const being = setting?.readerIds.includes(l.readerId) ?? false;
  const closed = g.term?.place === 'Past';
  return (
    <tr className={cx(being && 'bg-tint [&>*:first-child]:bg-tint!')}>
      <Th scope="row" className="py-1">
        <span className="flex items-center gap-1.5">
          <RowTick
            label={t('Add {{name}} to tray', { name })}
            checked={tray.readers.includes(l.readerId)}
            set={() => tray.toggleReader(l.readerId)}
          />
          <span>
            <SheetLink readerId={l.readerId}>{name}</SheetLink>
            {l.usualDepth !== null && l.depth - l.usualDepth >= easy && (
              <span className="text-soft block text-sm">
                {t('reads at {{depth}} fm, easy', { depth: fm(l.usualDepth) })}
              </span>
            )}
          </span>
        </span>
      </Th>
      {l.kinds.map((k) => (
        <Fragment key={k.kind}>
          <Td className="pr-0!">
            <Lane
              k={k}
              weeks={g.weeksInTerm}
              gone={g.weeksGone}
              width={setting ? narrow : wide}
              being={being && setting?.kinds[k.kind] ? Number(wantedOf(setting, l, k)) : undefined}
            />
          </Td>
          <Td>
            <Standing k={k} closed={closed} call={call && (() => call(l, k))} />
          </Td>
        </Fragment>
      ))}
      <Td>
        {edit && (
          <TextButton onClick={() => edit(l.readerId)}>
            {t('Set')}
            <span className="sr-only"> {t('goals of {{name}}', { name })}</span>
          </TextButton>
        )}
      </Td>
    </tr>
  );
}
