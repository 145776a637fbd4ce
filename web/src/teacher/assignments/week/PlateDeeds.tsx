import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import type { Api } from '../../../shared/api';
import { ofText } from '../../../shared/taskKinds';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { SheetFoot } from '../../../ui/Sheet';
import { ShareButton } from '../stream/ShareButton';
import { fetchAssignment, useAssignment } from '../assignmentQuery';
import { ChangeTerms } from './ChangeTerms';
import { SwapText } from './SwapText';
import { usePlan, type WeekData } from './useWeek';
import { daysOfWeek, type Plate } from './weekLayout';

/** What can be done with an assignment, and with what was given in the same act. */
export function PlateDeeds({
  plate,
  classId,
  d,
  close,
}: {
  plate: Plate;
  classId: string;
  d: WeekData;
  close: () => void;
}) {
  const a = plate.assignment;
  const plan = usePlan(classId);
  const [shown, show] = useState<'change' | 'swap' | null>(null);
  const others = useAssignment(a.id).data?.together ?? [];
  const openIn = (x: Api<'AssignmentRow'>) => x.waiting + x.planned + x.underWay + x.sentBack;
  const open = openIn(a);
  const out = others.filter((o) => openIn(o) > 0);
  const drafts = others.filter((o) => o.draft);
  const takeBack = async (ids: string[]) => {
    const those = await Promise.all(ids.map(fetchAssignment));
    return plan.tickets(
      'TakeBack',
      those.flatMap((x) => x.tickets.map((k) => k.id)),
    );
  };
  return (
    <SheetFoot>
      {a.draft && (
        <Button look="main" onClick={() => void plan.quietly(plan.give([a.id]))}>
          {t('Assign')}
        </Button>
      )}
      <Button onClick={() => show('change')}>{t('Change…')}</Button>
      {ofText(a.kind) && <Button onClick={() => show('swap')}>{t('Swap text…')}</Button>}
      {a.draft ? (
        <Button onClick={() => void plan.quietly(plan.discard([a.id])).then(close)}>{t('Discard')}</Button>
      ) : (
        <Button disabled={open === 0} onClick={() => void plan.quietly(takeBack([a.id]))}>
          {open === 0 ? t('Nothing to take back') : t('Take back from {{n}}', { n: open })}
        </Button>
      )}
      {a.draft && drafts.length > 0 && (
        <Button onClick={() => void plan.quietly(plan.discard([a.id, ...drafts.map((o) => o.id)])).then(close)}>
          {t('Discard all {{count}}', { count: drafts.length + 1 })}
        </Button>
      )}
      {!a.draft && out.length > 0 && (
        <Button onClick={() => void plan.quietly(takeBack([a.id, ...out.map((o) => o.id)]))}>
          {t('Take back all {{count}}', { count: out.length + 1 })}
        </Button>
      )}
      <Button onClick={() => void plan.quietly(plan.copy([a.id], daysOfWeek))}>{t('Copy to next week')}</Button>
      {!a.draft && (
        <Button
          onClick={() =>
            void navigator.clipboard
              ?.writeText(`${location.origin}/task/${a.id}`)
              .then(() => toast.success(t('Link copied. Readers who have this sign in and land on it.')))
          }
        >
          {t('Copy link')}
        </Button>
      )}
      {!a.draft && <ShareButton classId={classId} assignmentId={a.id} />}
      {!a.draft && (
        <Button asChild>
          <Link to={`/class/${classId}/assignments/${a.id}`}>{t('Open')}</Link>
        </Button>
      )}
      {shown === 'change' && <ChangeTerms a={a} others={others} plan={plan} today={d.today} close={() => show(null)} />}
      {shown === 'swap' && <SwapText a={a} plan={plan} classId={classId} close={() => show(null)} />}
    </SheetFoot>
  );
}
