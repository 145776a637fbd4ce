import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { api, fieldOf, ok } from '../../../shared/api';
import { weekdays } from '../../../shared/format';
import { sure } from '../../../shared/sure';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Dialog } from '../../../ui/Dialog';
import { FieldRow } from '../../../ui/Field';
import { Select } from '../../../ui/Select';
import { Table, TableBody, TableHead, Td, Th } from '../../../ui/table/Table';
import { NumberField, TextField } from '../../../ui/TextField';
import { PlanFoot } from './PlanFoot';
import { orderOptions, ownerOptions, type SavedPlan } from './planQueries';

const days = [0, 1, 2, 3, 4];

/** A plan's name, who sees it, and its tasks: in which week each comes, and which stay. */
export function EditPlan({ plan, close, saved }: { plan: SavedPlan; close: () => void; saved: () => Promise<void> }) {
  const [name, setName] = useState(plan.name);
  const [order, setOrder] = useState<'weeks' | 'free'>(plan.inOrder ? 'weeks' : 'free');
  const [owner, setOwner] = useState<'mine' | 'school'>(plan.mine ? 'mine' : 'school');
  const [items, setItems] = useState(() => plan.items.map((x, at) => ({ at, week: x.week, day: x.day, days: x.days })));
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const change = (at: number, next: Partial<(typeof items)[number]>) =>
    setItems(items.map((x) => (x.at === at ? { ...x, ...next } : x)));
  const save = async (e: FormEvent) => {
    e.preventDefault();
    setBusy(true);
    try {
      const done = await ok(
        api.PUT('/plans/{planId}', {
          params: { path: { planId: plan.id } },
          body: { revision: plan.revision, name, mine: owner === 'mine', inOrder: order === 'weeks', items },
        }),
      );
      await saved();
      toast.success(t('Saved “{{name}}”', { name: done.name }));
      close();
    } catch (problem) {
      setError(problem);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog title={t('Edit “{{name}}”', { name: plan.name })} close={close} wide>
      <form noValidate className="grid gap-3" onSubmit={(e) => void save(e)}>
        <FieldRow>
          <TextField label={t('Name')} error={fieldOf(error, 'name')} maxLength={80} value={name} set={setName} />
          <Select label={t('Order')} value={order} set={setOrder} options={orderOptions()} />
          {plan.own && <Select label={t('Who sees it')} value={owner} set={setOwner} options={ownerOptions()} />}
        </FieldRow>
        <div className="border-ink max-h-90 overflow-auto border" tabIndex={0} role="region" aria-label={t('Tasks')}>
          <Table>
            <TableHead>
              <tr>
                <Th>{t('Task')}</Th>
                <Th>{t('Week')}</Th>
                <Th>{t('Day')}</Th>
                <Th>
                  <span className="sr-only">{t('Remove')}</span>
                </Th>
              </tr>
            </TableHead>
            <TableBody>
              {items.map((x) => {
                const { title, papers } = sure(plan.items[x.at]);
                return (
                  <tr key={x.at}>
                    <Th scope="row">
                      {title}
                      {papers > 0 && (
                        <span className="text-soft font-normal"> · {t('{{count}} papers', { count: papers })}</span>
                      )}
                    </Th>
                    <Td>
                      <NumberField
                        label={t('Week of {{title}}', { title })}
                        bare
                        min={1}
                        max={40}
                        value={x.week + 1}
                        set={(week) => change(x.at, { week: Math.round(week) - 1 })}
                      />
                    </Td>
                    <Td>
                      <Select
                        label={t('Day of {{title}}', { title })}
                        bare
                        value={x.day}
                        set={(day) => change(x.at, { day: Number(day) })}
                        options={days.map((d) => ({ value: d, label: weekdays()[d] ?? '' }))}
                      />
                    </Td>
                    <Td>
                      <Button
                        size="sm"
                        aria-label={t('Remove {{name}}', { name: title })}
                        onClick={() => setItems(items.filter((y) => y.at !== x.at))}
                      >
                        {t('Remove')}
                      </Button>
                    </Td>
                  </tr>
                );
              })}
            </TableBody>
          </Table>
        </div>
        <PlanFoot error={error} busy={busy} close={close} />
      </form>
    </Dialog>
  );
}
