import { part } from '../../shared/part';

/** The windows that open from the tray: fetched while nothing else is to be done, and not before the first view. */
export const AssignDialog = part(async () => ({
  default: (await import('../assignments/AssignDialog')).AssignDialog,
}));
export const TaskDialog = part(async () => ({ default: (await import('../assignments/TaskDialog')).TaskDialog }));
export const LayPlan = part(async () => ({ default: (await import('../assignments/plans/LayPlan')).LayPlan }));
export const BeginRecord = part(async () => ({ default: (await import('../oral/BeginRecord')).BeginRecord }));
