import { useState } from 'react';
import { addDays } from '../../shared/days';
import { dayOf } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { DateField } from '../../ui/DateField';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { Row } from '../../ui/Page';

const week = 7;

/** Until when a signal is put off: in a press, or any day. */
export function PutOff({
  what,
  today,
  put,
  close,
}: {
  what: string;
  today: string;
  put: (until: string) => void;
  close: () => void;
}) {
  const [until, set] = useState(addDays(today, week));
  const send = (day: string) => {
    put(day);
    close();
  };
  return (
    <Dialog title={t('Put off until…')} close={close}>
      <p>{what}</p>
      <Row>
        {[week, 2 * week, 4 * week].map((n) => (
          <Button key={n} onClick={() => send(addDays(today, n))}>
            {dayOf(addDays(today, n))}
          </Button>
        ))}
      </Row>
      <DateField label={t('Another day')} min={addDays(today, 1)} value={until} set={set} />
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button look="main" disabled={until <= today} onClick={() => send(until)}>
          {t('Put off')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}
