import { Fragment } from 'react';
import type { Api } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { say, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';
import { useUndo } from '../classQueries';

type Change = Api<'Change'>;

/** Changes of one day together, in the order they came in. */
function byDay(rows: readonly Change[]) {
  const days = new Map<string, Change[]>();
  for (const c of rows) days.set(dayOf(c.at), [...(days.get(dayOf(c.at)) ?? []), c]);
  return [...days];
}

const month = 30 * 24 * 3600 * 1000;
const undoable = (at: string) => Date.now() - new Date(at).getTime() < month;

/** What was changed, by whom, with undo for a month where it is undone from here. */
export function ChangesTable({
  label,
  rows,
  fromHere = () => true,
}: {
  label: string;
  rows: readonly Change[];
  fromHere?: (change: Change) => boolean;
}) {
  const undo = useUndo();
  return (
    <TableScroll label={label}>
      <TableHead>
        <tr>
          <Th>{t('Time')}</Th>
          <Th>{t('Change')}</Th>
          <Th>{t('By')}</Th>
          <Th>
            <span className="sr-only">{t('Undo')}</span>
          </Th>
        </tr>
      </TableHead>
      <TableBody>
        {byDay(rows).map(([day, ofDay]) => (
          <Fragment key={day}>
            <tr>
              <th scope="rowgroup" colSpan={4} className="bg-depth-1 px-4 py-1 text-left text-sm">
                {day}
              </th>
            </tr>
            {ofDay.map((c) => (
              <tr key={c.id}>
                <Td>{timeOf(c.at)}</Td>
                <Th scope="row" wrap>
                  {say(c.summary)}
                </Th>
                <Td>{c.by}</Td>
                <Td>
                  {c.undoneAt ? (
                    <span className="text-soft">{t('undone')}</span>
                  ) : (
                    fromHere(c) &&
                    undoable(c.at) && (
                      <Button
                        size="sm"
                        onClick={() => undo.mutate(c.id)}
                        aria-label={t('Undo: {{what}}', { what: say(c.summary) })}
                      >
                        {t('Undo')}
                      </Button>
                    )
                  )}
                </Td>
              </tr>
            ))}
          </Fragment>
        ))}
      </TableBody>
    </TableScroll>
  );
}
