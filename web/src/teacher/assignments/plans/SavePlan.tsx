import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api, fieldOf, ok } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { useOnce } from '../../../shared/once';
import { say, t } from '../../../shared/words';
import { Dialog } from '../../../ui/Dialog';
import { Select } from '../../../ui/Select';
import { TextField } from '../../../ui/TextField';
import type { CheckRow } from '../../checks/checkQueries';
import type { Plate } from '../week/weekLayout';
import { PlanFoot } from './PlanFoot';
import { orderOptions, ownerOptions } from './planQueries';

/** Saves what lies in the weeks that are shown as a plan, to be used again. */
export function SavePlan({
  classId,
  monday,
  plates,
  checks,
  close,
}: {
  classId: string;
  monday: string;
  plates: Plate[];
  /** Level checks that open in these weeks. */
  checks: CheckRow[];
  close: () => void;
}) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const once = useOnce();
  const [name, setName] = useState('');
  const [order, setOrder] = useState<'weeks' | 'free'>('weeks');
  const [owner, setOwner] = useState<'mine' | 'school'>('mine');
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const titles = [...new Set(plates.map((p) => p.assignment.title)), ...checks.map((k) => say(k.name))];
  const save = async (e: FormEvent) => {
    e.preventDefault();
    setBusy(true);
    const body = {
      name,
      mine: owner === 'mine',
      inOrder: order === 'weeks',
      monday,
      assignmentIds: plates.map((p) => p.assignment.id),
      checkIds: checks.map((k) => k.id),
    };
    try {
      const plan = await ok(
        api.POST('/classes/{classId}/plans', {
          params: { path: { classId } },
          body: { ...body, id: once.idOf(body) },
        }),
      );
      await client.invalidateQueries({ queryKey: keys.plans.all });
      toast.success(t('Saved “{{name}}”', { name: plan.name }), {
        action: { label: t('Plans'), onClick: () => void navigate(`/class/${classId}/assignments/plans`) },
      });
      close();
    } catch (problem) {
      setError(problem);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog title={t('Save as plan')} close={close}>
      <form noValidate className="grid gap-3" onSubmit={(e) => void save(e)}>
        <p>
          {t('{{count}} tasks of the two weeks shown: {{titles}}.', {
            count: titles.length,
            titles: titles.join(', '),
          })}
        </p>
        <TextField label={t('Name')} error={fieldOf(error, 'name')} maxLength={80} value={name} set={setName} />
        <Select label={t('Order')} value={order} set={setOrder} options={orderOptions()} />
        <Select label={t('Who sees it')} value={owner} set={setOwner} options={ownerOptions()} />
        <PlanFoot error={error} busy={busy} close={close} />
      </form>
    </Dialog>
  );
}
