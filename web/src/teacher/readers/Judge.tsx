import { z } from 'zod';
import { type Api, api, ok } from '../../shared/api';
import { fm, halfRange } from '../../shared/format';
import { useFields } from '../../shared/forms';
import { useOnce } from '../../shared/once';
import { phrase, t } from '../../shared/words';
import { Dialog } from '../../ui/Dialog';
import { FieldRow } from '../../ui/Field';
import { Form, FormFoot } from '../../ui/Form';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { LevelFields } from './LevelFields';
import { useChange, type InClass } from './useChange';

const sures = [
  { sd: 2, word: phrase('very sure') },
  { sd: 4, word: phrase('fairly sure') },
  { sd: 6, word: phrase('roughly') },
];

const schema = z.object({ level: z.string(), system: z.string(), sd: z.number(), reason: z.string() });

/** Adds what a teacher thinks of a level to its evidence. */
export function Judge({
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
  const once = useOnce();
  const change = useChange(close);
  const form = useFields({
    schema,
    start: { level: fm(now), system: 'fm', sd: 4, reason: '' },
    send: (typed) =>
      change.mutateAsync(() =>
        ok(
          api.POST('/classes/{classId}/readers/{readerId}/levels', {
            params,
            body: { ...typed, id: once.idOf(typed) },
          }),
        ),
      ),
  });
  return (
    <Dialog title={t('Add judgement')} close={close}>
      <Form of={form}>
        <p>{t('Combined with other evidence; the surer you are, the more it counts.')}</p>
        <FieldRow>
          <LevelFields level={form.field('level')} system={form.field('system')} labels={labels} />
          <Select
            label={t('How sure you are')}
            {...form.field('sd')}
            options={sures.map(({ sd, word }) => ({
              value: sd,
              label: `${t(word)} (± ${halfRange(sd).toFixed(1)} fm)`,
            }))}
          />
        </FieldRow>
        <TextField label={t('Why')} {...form.field('reason')} />
        <FormFoot of={form} close={close}>
          {t('Add judgement')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
