import { useQuery } from '@tanstack/react-query';
import { type Api, api, ok } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { phrase, t, type Phrase } from '../../../shared/words';
import { optionsOf } from '../terms';

export type SavedPlan = Api<'SavedPlanView'>;

export const usePlans = () => useQuery({ queryKey: keys.plans.all, queryFn: () => ok(api.GET('/plans')) });

const orders: Record<'weeks' | 'free', Phrase> = {
  weeks: phrase('Week by week'),
  free: phrase('All from the first day, due at the end'),
};
export const orderOptions = () => optionsOf(orders);
export const orderSaid = (plan: { inOrder: boolean }) => t(orders[plan.inOrder ? 'weeks' : 'free']);

const owners: Record<'mine' | 'school', Phrase> = {
  mine: phrase('Only me'),
  school: phrase('Colleagues of the school'),
};
export const ownerOptions = () => optionsOf(owners);

export function whose(p: SavedPlan) {
  if (p.mine) return t('mine');
  return p.own ? t('mine, shared') : (p.owner ?? t('the school'));
}
