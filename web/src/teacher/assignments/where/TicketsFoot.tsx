import { useState } from 'react';
import { isDone, isOpen } from '../../../shared/ticketStates';
import { t } from '../../../shared/words';
import { useTray } from '../../tray/useTray';
import { Button } from '../../../ui/Button';
import { usePlan } from '../week/useWeek';
import type { PlacesData } from './places';
import { OwnDay } from './OwnDay';
import { SendBack } from '../SendBack';

/** What is picked, and what can be done with all of it: each button says for how many it holds. */
export function TicketsFoot({
  d,
  classId,
  picked,
  clear,
}: {
  d: PlacesData;
  classId: string;
  picked: ReadonlySet<string>;
  clear: () => void;
}) {
  const plan = usePlan(classId);
  const tray = useTray();
  const [shown, show] = useState<'sendBack' | 'day' | null>(null);
  const those = d.places.filter((k) => picked.has(k.id));
  const readers = [...new Set(those.map((k) => k.readerId))];
  const open = those.filter((k) => isOpen(k.state)).map((k) => k.id);
  const silent = those.filter((k) => isOpen(k.state) && !k.reminded).map((k) => k.id);
  const waits = those.filter((k) => isOpen(k.state) || k.state === 'Closed').map((k) => k.id);
  const done = those.filter((k) => isDone(k.state)).map((k) => k.id);
  const held = those.filter((k) => k.state === 'Marked').map((k) => k.id);
  const gone = those.filter((k) => k.state === 'TakenBack').map((k) => k.id);
  const act = (deed: 'TakeBack' | 'Restore' | 'GiveAgain' | 'Release', ids: string[]) =>
    void plan.quietly(plan.tickets(deed, ids)).then(clear);
  const all = new Set(d.places.map((k) => k.readerId)).size;
  return (
    <footer className="border-ink flex min-h-11 flex-wrap items-center gap-2 border-t px-4 py-1.5">
      <p className="mr-2">
        {those.length === 0
          ? t('{{count}} readers', { count: all })
          : t('{{n}} of {{count}} readers picked', { n: readers.length, count: all })}
      </p>
      <span className="text-soft text-sm">{t('Figures: right on the first try, of 100.')}</span>
      <span className="grow" />
      {those.length > 0 && (
        <>
          <Button size="sm" look="plain" onClick={clear}>
            {t('Clear')}
          </Button>
          <Button
            size="sm"
            onClick={() => readers.filter((id) => !tray.readers.includes(id)).forEach(tray.toggleReader)}
          >
            {t('Add {{count}} readers to tray', { count: readers.length })}
          </Button>
          {held.length > 0 && (
            <Button size="sm" onClick={() => act('Release', held)}>
              {t('Release {{n}}', { n: held.length })}
            </Button>
          )}
          {done.length > 0 && (
            <>
              <Button size="sm" onClick={() => act('GiveAgain', done)}>
                {t('Assign {{n}} again', { n: done.length })}
              </Button>
              <Button size="sm" onClick={() => show('sendBack')}>
                {t('Send {{n}} back…', { n: done.length })}
              </Button>
            </>
          )}
          {gone.length > 0 && (
            <Button size="sm" onClick={() => act('Restore', gone)}>
              {t('Restore {{n}}', { n: gone.length })}
            </Button>
          )}
          {silent.length > 0 && (
            <Button size="sm" onClick={() => void plan.quietly(plan.remind(silent)).then(clear)}>
              {t('Remind {{n}}', { n: silent.length })}
            </Button>
          )}
          {waits.length > 0 && (
            <Button size="sm" onClick={() => show('day')}>
              {t('Due day of {{n}}…', { n: waits.length })}
            </Button>
          )}
          {open.length > 0 && (
            <Button size="sm" onClick={() => act('TakeBack', open)}>
              {t('Take {{n}} back', { n: open.length })}
            </Button>
          )}
        </>
      )}
      {shown === 'sendBack' && (
        <SendBack
          title={t('Send back to {{count}} readers', { count: done.length })}
          missed
          send={(comment, onlyMissed) => plan.tell(plan.tickets('SendBack', done, comment, onlyMissed))}
          close={() => show(null)}
        />
      )}
      {shown === 'day' && (
        <OwnDay plan={plan} ticketIds={waits} today={d.today} dueOn={null} close={() => show(null)} />
      )}
    </footer>
  );
}
