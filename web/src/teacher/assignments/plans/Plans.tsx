import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../../shared/api';
import { dayOf } from '../../../shared/format';
import { keys } from '../../../shared/keys';
import { phrase, t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { ListPage, PageHead } from '../../../ui/Page';
import { Empty, Show } from '../../../ui/Show';
import { DataList } from '../../../ui/table/DataList';
import type { Column } from '../../../ui/table/useDataTable';
import type { Place } from '../../frame/Frame';
import { AssignmentTabs } from '../AssignmentTabs';
import { EditPlan } from './EditPlan';
import { LayPlan } from './LayPlan';
import { orderSaid, usePlans, whose, type SavedPlan } from './planQueries';

const columns: Column<SavedPlan>[] = [
  { key: 'name', name: phrase('Plan'), by: (p) => p.name, show: (p) => p.name },
  { key: 'tasks', name: phrase('Tasks'), wrap: true, show: (p) => p.items.map((i) => i.title).join(', ') },
  { key: 'weeks', name: phrase('Weeks'), num: true, by: (p) => p.weeks, show: (p) => p.weeks },
  { key: 'order', name: phrase('Order'), by: orderSaid, show: orderSaid },
  { key: 'whose', name: phrase('Whose'), by: whose, show: whose },
  { key: 'changed', name: phrase('Changed'), by: (p) => p.changedAt, show: (p) => dayOf(p.changedAt) },
];

/** Saved lists of tasks: one's own and the school's. */
export default function Plans() {
  const { data } = useOutletContext<Place>();
  const client = useQueryClient();
  const plans = usePlans();
  const [shown, show] = useState<{ plan: SavedPlan; as: 'lay' | 'edit' } | null>(null);
  const again = () => client.invalidateQueries({ queryKey: keys.plans.all });
  const path = (p: SavedPlan) => ({ params: { path: { planId: p.id } } });
  const drop = useMutation({
    mutationFn: (p: SavedPlan) => ok(api.DELETE('/plans/{planId}', path(p))).then(() => p),
    onSuccess: async (p) => {
      await again();
      toast(t('Deleted “{{name}}”', { name: p.name }), {
        action: {
          label: t('Undo'),
          onClick: () =>
            void ok(api.POST('/plans/{planId}/restore', path(p))).then(again, (e: unknown) => toast.error(sentence(e))),
        },
      });
    },
    onError: (e) => toast.error(sentence(e)),
  });
  const actions: Column<SavedPlan> = {
    key: 'do',
    name: phrase('Actions'),
    show: (p) => (
      <span className="flex gap-1.5">
        {data.mayAssign && (
          <Button
            size="sm"
            aria-label={t('Use {{name}}', { name: p.name })}
            onClick={() => show({ plan: p, as: 'lay' })}
          >
            {t('Use…')}
          </Button>
        )}
        {p.mayChange && (
          <>
            <Button
              size="sm"
              aria-label={t('Edit {{name}}', { name: p.name })}
              onClick={() => show({ plan: p, as: 'edit' })}
            >
              {t('Edit…')}
            </Button>
            <Button size="sm" aria-label={t('Delete {{name}}', { name: p.name })} onClick={() => drop.mutate(p)}>
              {t('Delete')}
            </Button>
          </>
        )}
      </span>
    ),
  };
  return (
    <ListPage>
      <PageHead title={t('Assignments')} beside={<AssignmentTabs classId={data.id} />} />
      <Show query={plans}>
        {(all) =>
          all.length === 0 ? (
            <Empty title={t('No plans yet')}>
              <p>
                {t(
                  phrase(
                    'A plan is a list of tasks you use again: with another class, in another year. Prepare a week ' +
                      'or two, then save it as a plan.',
                  ),
                )}
              </p>
              <Button asChild look="main">
                <Link to={`/class/${data.id}/assignments`}>{t('Week')}</Link>
              </Button>
            </Empty>
          ) : (
            <DataList
              list="plans"
              label={t('Plans')}
              columns={[...columns, actions]}
              rows={all}
              id={(p) => p.id}
              name={(p) => p.name}
              open={(p) => data.mayAssign && show({ plan: p, as: 'lay' })}
              counted={(_, count) => t('{{count}} plans', { count })}
            />
          )
        }
      </Show>
      {shown?.as === 'lay' && <LayPlan plan={shown.plan} data={data} readers={[]} close={() => show(null)} />}
      {shown?.as === 'edit' && <EditPlan plan={shown.plan} close={() => show(null)} saved={again} />}
    </ListPage>
  );
}
