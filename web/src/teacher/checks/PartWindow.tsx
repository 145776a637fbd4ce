import { useState } from 'react';
import { fm } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { FieldRow } from '../../ui/Field';
import { Form } from '../../ui/Page';
import { NumberField, TextField } from '../../ui/TextField';
import { partNames } from './checkQueries';
import type { PartPlan, Plan } from './plan';

const depthOrNone = (v: string) => (v === '' ? null : Number(v));

/** Who skips a part, in words; empty where no one does. */
export function skipWords(p: PartPlan): string {
  const who = [
    p.skipBelow != null && t('readers below {{fm}} fm', { fm: fm(p.skipBelow) }),
    p.skipAbove != null && t('readers above {{fm}} fm', { fm: fm(p.skipAbove) }),
    p.skipMastered && t('who mastered it this year'),
    p.skipUndecoding && t('who do not decode yet'),
  ].filter((x) => x !== false);
  return who.length > 0 ? t('Skips {{who}}.', { who: who.join(', ') }) : '';
}

/** A part's time and who skips it. */
export function PartWindow({
  part,
  plan,
  locked,
  close,
  save,
}: {
  part: PartPlan;
  plan: Plan;
  locked: boolean;
  close: () => void;
  save: (p: PartPlan) => void;
}) {
  const [p, set] = useState(part);
  const decoding = part.part === 'Passages' || part.part === 'Maze';
  return (
    <Dialog title={t('Edit {{name}}', { name: t(partNames[part.part]) })} close={close}>
      <Form
        onSubmit={(e) => {
          e.preventDefault();
          save(p);
          close();
        }}
      >
        <FieldRow>
          <NumberField
            label={part.part === 'Maze' ? t('Minutes') : t('At most (minutes)')}
            min={1}
            max={60}
            disabled={locked}
            value={p.minutes}
            set={(value) => set({ ...p, minutes: value })}
          />
          <TextField
            label={t('Skip readers below (fm)')}
            type="number"
            disabled={locked}
            value={p.skipBelow ?? ''}
            set={(value) => set({ ...p, skipBelow: depthOrNone(value) })}
          />
          <TextField
            label={t('and above (fm)')}
            type="number"
            disabled={locked}
            value={p.skipAbove ?? ''}
            set={(value) => set({ ...p, skipAbove: depthOrNone(value) })}
          />
        </FieldRow>
        <Checkbox checked={p.skipMastered} disabled={locked} set={(on) => set({ ...p, skipMastered: on })}>
          {t('Skip readers who mastered it this year')}
        </Checkbox>
        {decoding && (
          <Checkbox
            checked={p.skipUndecoding}
            disabled={locked || !plan.parts.some((x) => x.part === 'WordReading')}
            set={(on) => set({ ...p, skipUndecoding: on })}
          >
            {t('Skip readers not yet decoding, by word reading')}
          </Checkbox>
        )}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit" disabled={locked}>
            {t('Save')}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
