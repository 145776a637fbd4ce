import { useState } from 'react';
import { sentence } from '../../../shared/api';
import { dayOf } from '../../../shared/format';
import { say, t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { ErrorText } from '../../../ui/Field';
import { Table, TableBody, TableHead, Td, Th } from '../../../ui/table/Table';
import type { CheckRow } from '../../checks/checkQueries';
import { rowName } from '../rows';
import { FitWords } from './PlateCard';
import { usePlan, type WeekData } from './useWeek';
import type { Plate } from './weekLayout';

/** All drafts that are shown, with what each does; then one button gives them together. */
export function GiveDrafts({
  classId,
  data,
  drafts,
  checks,
  close,
}: {
  classId: string;
  data: WeekData;
  drafts: Plate[];
  /** Level checks that are drafts. */
  checks: CheckRow[];
  close: () => void;
}) {
  const plan = usePlan(classId);
  // What everybody has had already goes to nobody.
  const idle = drafts.filter((p) => p.had >= p.readers.length).map((p) => p.assignment.id);
  const [left, setLeft] = useState<string[]>(idle);
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const wanted = drafts.filter((p) => !left.includes(p.assignment.id));
  const wantedChecks = checks.filter((k) => !left.includes(k.id));
  const count = wanted.length + wantedChecks.length;
  const tick = (id: string, want: boolean) => setLeft(want ? left.filter((x) => x !== id) : [...left, id]);
  const give = async () => {
    setBusy(true);
    try {
      await plan.tell(
        plan.give(
          wanted.map((p) => p.assignment.id),
          wantedChecks.map((k) => k.id),
        ),
      );
      close();
    } catch (e) {
      setError(e);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog title={t('Assign {{count}} drafts', { count: drafts.length + checks.length })} close={close} wide>
      <div className="grid gap-3">
        <p>{t('Readers see each from its first day on. Who has had a text does not get it again.')}</p>
        <div className="border-ink max-h-90 overflow-auto border" tabIndex={0} role="region" aria-label={t('Drafts')}>
          <Table>
            <TableHead>
              <tr>
                <Th>
                  <span className="sr-only">{t('Assign')}</span>
                </Th>
                <Th>{t('Text')}</Th>
                <Th>{t('For')}</Th>
                <Th>{t('Visible from')}</Th>
                <Th>{t('Due')}</Th>
                <Th>{t('Fit')}</Th>
              </tr>
            </TableHead>
            <TableBody>
              {drafts.map((p) => {
                const a = p.assignment;
                const on = !left.includes(a.id);
                return (
                  <tr key={a.id} className={on ? undefined : 'text-soft'}>
                    <Td>
                      <Checkbox checked={on} disabled={idle.includes(a.id)} set={(want) => tick(a.id, want)}>
                        <span className="sr-only">{a.title}</span>
                      </Checkbox>
                    </Td>
                    <Th scope="row">{a.title}</Th>
                    <Td>
                      {rowName(p.row, data.groups)}, {t('{{count}} readers', { count: p.readers.length })}
                    </Td>
                    <Td>{dayOf(a.visibleFrom)}</Td>
                    <Td>{a.dueOn ? dayOf(a.dueOn) : '–'}</Td>
                    <Td>
                      <FitWords p={p} />
                    </Td>
                  </tr>
                );
              })}
              {checks.map((k) => (
                <tr key={k.id} className={left.includes(k.id) ? 'text-soft' : undefined}>
                  <Td>
                    <Checkbox checked={!left.includes(k.id)} set={(want) => tick(k.id, want)}>
                      <span className="sr-only">{say(k.name)}</span>
                    </Checkbox>
                  </Td>
                  <Th scope="row" wrap>
                    {say(k.name)}
                  </Th>
                  <Td>{t('its readers')}</Td>
                  <Td>{k.opensOn ? dayOf(k.opensOn) : '–'}</Td>
                  <Td>{k.closesOn ? dayOf(k.closesOn) : '–'}</Td>
                  <Td>{t('level check')}</Td>
                </tr>
              ))}
            </TableBody>
          </Table>
        </div>
        {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" aria-busy={busy} disabled={count === 0} onClick={() => void give()}>
            {t('Assign {{count}} drafts', { count })}
          </Button>
        </DialogFoot>
      </div>
    </Dialog>
  );
}
