import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { type Api, api, fieldOf, ok, sentence } from '../../../shared/api';
import { addDays } from '../../../shared/days';
import { dayOf } from '../../../shared/format';
import { keys } from '../../../shared/keys';
import { taskWords } from '../../../shared/taskKinds';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { DateField } from '../../../ui/DateField';
import { Checkbox } from '../../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { ErrorText, FieldRow } from '../../../ui/Field';
import { Select } from '../../../ui/Select';
import { Table, TableBody, TableHead, Td, Th } from '../../../ui/table/Table';
import type { ClassData, ReaderRow } from '../../classQueries';
import { readersOf, whomFirst, whomOptions } from '../how';
import { usePlan } from '../week/useWeek';
import { mondayOf } from '../week/weekLayout';
import { orderSaid, usePlans, type SavedPlan } from './planQueries';

/** Lays a plan on the weeks of a class: for whom and from when; what becomes of each task is said first. */
export function LayPlan({
  plan: first,
  data,
  readers: these,
  close,
}: {
  /** Null to choose one here. */
  plan: SavedPlan | null;
  data: ClassData;
  readers: ReaderRow[];
  close: () => void;
}) {
  const plans = usePlans().data ?? [];
  const [chosen, choose] = useState(first?.id ?? '');
  const plan = plans.find((p) => p.id === chosen) ?? first;
  return (
    <Dialog title={plan ? t('Use “{{name}}”', { name: plan.name }) : t('Use plan')} close={close} wide>
      <div className="grid gap-3">
        {!first && (
          <Select
            label={t('Plan')}
            value={chosen}
            set={choose}
            options={[
              ...(chosen ? [] : [{ value: '', label: plans.length > 0 ? t('Choose a plan') : t('No plans yet') }]),
              ...plans.map((p) => ({ value: p.id, label: p.name })),
            ]}
          />
        )}
        {plan ? (
          <Laying key={plan.id} plan={plan} data={data} readers={these} close={close} />
        ) : (
          <DialogFoot>
            <Button onClick={close}>{t('Cancel')}</Button>
          </DialogFoot>
        )}
      </div>
    </Dialog>
  );
}

type Laid = Api<'LaidItem'>;

const isPast = (l: Laid, today: string) => l.dueOn !== null && l.dueOn < today;
const leftOut = (l: Laid, readers: number, today: string) => l.gone || isPast(l, today) || l.had === readers;

function Laying({
  plan,
  data,
  readers: these,
  close,
}: {
  plan: SavedPlan;
  data: ClassData;
  readers: ReaderRow[];
  close: () => void;
}) {
  const { tell, lay } = usePlan(data.id);
  const [who, setWho] = useState(() => whomFirst(these));
  const readers = useMemo(() => readersOf(who, data, these), [who, data, these]);
  const [from, setFrom] = useState(() => addDays(mondayOf(data.today), 7));
  const [oneByOne, setOneByOne] = useState(false);
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const readerIds = readers.map((r) => r.id);
  const look = useQuery({
    queryKey: keys.plans.look(data.id, plan.id, plan.revision, readerIds, from),
    enabled: readerIds.length > 0 && from !== '',
    placeholderData: keepPreviousData,
    queryFn: () =>
      ok(
        api.POST('/classes/{classId}/plans/{planId}/look', {
          params: { path: { classId: data.id, planId: plan.id } },
          body: { readerIds, from },
        }),
      ),
  });
  const use = async (draft: boolean) => {
    setBusy(true);
    try {
      await tell(lay(plan.id, plan.items.length, { revision: plan.revision, readerIds, from, draft, oneByOne }));
      close();
    } catch (problem) {
      setError(problem);
    } finally {
      setBusy(false);
    }
  };
  const blocked = busy || readers.length === 0 || from === '';
  return (
    <>
      <FieldRow>
        <Select
          label={t('For')}
          error={fieldOf(error, 'readerIds')}
          value={who}
          set={setWho}
          options={whomOptions(data, these)}
        />
        <DateField label={t('First week')} error={fieldOf(error, 'from')} value={from} set={setFrom} />
      </FieldRow>
      <p className="text-soft">{orderSaid(plan)}.</p>
      <p>
        <Checkbox checked={oneByOne} set={setOneByOne}>
          {t('One after another: each opens when the one before is handed in')}
        </Checkbox>
      </p>
      <div
        className="border-ink max-h-80 overflow-auto border"
        tabIndex={0}
        role="region"
        aria-label={t('What happens')}
      >
        <Table>
          <TableHead>
            <tr>
              <Th>{t('Task')}</Th>
              <Th>{t('Visible from')}</Th>
              <Th>{t('Due')}</Th>
              <Th>{t('Remarks')}</Th>
            </tr>
          </TableHead>
          <TableBody>
            {(look.data ?? []).map((l, i) => (
              <tr key={i} className={leftOut(l, readers.length, data.today) ? 'text-soft line-through' : undefined}>
                <Th scope="row">
                  {l.title} {l.kind !== 'Text' && <small className="text-soft">{t(taskWords[l.kind])}</small>}
                </Th>
                <Td>{dayOf(l.visibleFrom)}</Td>
                <Td>{l.dueOn ? dayOf(l.dueOn) : '–'}</Td>
                <Td>
                  {l.gone && t('not in the library any more, left out')}
                  {isPast(l, data.today) && t('its last day has passed, left out')}
                  {!l.gone &&
                    !isPast(l, data.today) &&
                    l.had > 0 &&
                    t('{{n}} of {{of}} have had it', { n: l.had, of: readers.length })}
                </Td>
              </tr>
            ))}
          </TableBody>
        </Table>
      </div>
      {look.error ? <ErrorText>{sentence(look.error)}</ErrorText> : null}
      {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button disabled={blocked} onClick={() => void use(true)}>
          {t('Save as drafts')}
        </Button>
        <Button look="main" disabled={blocked} onClick={() => void use(false)}>
          {t('Assign to {{count}} readers', { count: readers.length })}
        </Button>
      </DialogFoot>
    </>
  );
}
