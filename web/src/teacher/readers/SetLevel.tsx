import { useState, type FormEvent } from 'react';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { dayOf, fm, halfRange } from '../../shared/format';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { LevelFields } from './LevelFields';
import { useChange, type InClass } from './useChange';
import { Button } from '../../ui/Button';
import { Radios } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { FieldRow, FieldSet } from '../../ui/Field';
import { Form } from '../../ui/Page';
import { DateField } from '../../ui/DateField';
import { TextField } from '../../ui/TextField';

/** The level a teacher has set, with the estimate that goes on beneath. */
export function Standing({ set, may, end }: { set: Api<'SetLevelView'>; may: boolean; end: () => void }) {
  const until = set.until ? t('until {{day}}', { day: dayOf(set.until) }) : t('until the next level check');
  return (
    <p className="border-overlay my-1 border-l-3 px-3 py-1.5">
      <b>{t('Set to {{level}} fm {{until}}.', { level: fm(set.level), until })}</b>{' '}
      {t('{{who}}, {{day}}: {{reason}}', { who: set.by, day: dayOf(set.at), reason: set.reason })}{' '}
      <span className="text-soft">
        {t('Estimate beneath: {{depth}} ± {{range}} fm.', {
          depth: fm(set.estimate),
          range: halfRange(set.estimateSd).toFixed(1),
        })}
      </span>{' '}
      {may && (
        <Button size="sm" onClick={end}>
          {t('End set level')}
        </Button>
      )}
    </p>
  );
}

/** Makes the level what the teacher says, until a day or the next level check. */
export function SetLevel({
  params,
  labels,
  now,
  close,
}: {
  params: InClass;
  labels: Api<'LabelView'>[];
  now: number;
  close: () => void;
}) {
  const [form, setForm] = useState({ level: fm(now), system: 'fm', until: '', reason: '' });
  const [dated, setDated] = useState(false);
  const once = useOnce();
  const change = useChange(close);
  const known = ['level', 'until', 'reason'].some((f) => fieldOf(change.error, f));
  const other = change.error && !known ? sentence(change.error) : undefined;
  const send = (e: FormEvent) => {
    e.preventDefault();
    const wanted = { ...form, until: dated && form.until ? form.until : null };
    change.mutate(() =>
      ok(
        api.PUT('/classes/{classId}/readers/{readerId}/level', {
          params,
          body: { ...wanted, id: once.idOf(wanted) },
        }),
      ),
    );
  };
  return (
    <Dialog title={t('Set level')} close={close}>
      <Form onSubmit={send}>
        <p>{t('Your level is used everywhere. The estimate goes on beneath, and both are shown.')}</p>
        <FieldRow>
          <LevelFields
            value={form}
            labels={labels}
            error={fieldOf(change.error, 'level')}
            set={(written) => setForm({ ...form, ...written })}
          />
        </FieldRow>
        <FieldSet legend={t('Until')}>
          <Radios
            label={t('Until')}
            value={dated ? 'date' : 'check'}
            options={[
              { value: 'check', label: t('the next level check') },
              { value: 'date', label: t('a date') },
            ]}
            set={(until) => setDated(until === 'date')}
          />
          {dated && (
            <DateField
              label={t('Last day')}
              error={fieldOf(change.error, 'until')}
              value={form.until}
              set={(value) => setForm({ ...form, until: value })}
            />
          )}
        </FieldSet>
        <TextField
          label={t('Why')}
          error={fieldOf(change.error, 'reason') ?? other}
          value={form.reason}
          set={(value) => setForm({ ...form, reason: value })}
        />
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit" disabled={change.isPending || (dated && !form.until)}>
            {t('Set level')}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
