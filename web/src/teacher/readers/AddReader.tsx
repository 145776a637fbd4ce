import { useState } from 'react';
import { z } from 'zod';
import { type Api, api, ok } from '../../shared/api';
import { Secret } from '../../shared/Secret';
import { useChanged } from '../../shared/changed';
import { present, useFields } from '../../shared/forms';
import { useOnce } from '../../shared/once';
import { phrase, t } from '../../shared/words';
import { useSaid, type ClassData } from '../classQueries';
import { LevelTable } from './LevelTable';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { Form, FormFault, Submit } from '../../ui/Form';
import { Select } from '../../ui/Select';
import { NumberField, TextField } from '../../ui/TextField';

const schema = z.object({
  givenName: present(phrase('Enter the given name.')),
  familyName: z.string().trim(),
  grade: z.number(),
  level: z.number(),
  guardianMail: z.string().trim(),
});

/** Adds one reader: name, grade, starting level beside what it means, and shows the sign-in at once. */
export function AddReader({ data, close }: { data: ClassData; close: () => void }) {
  const once = useOnce();
  const usual = data.grade ?? data.readers[0]?.grade ?? 3;
  const startOf = (grade: number) => Math.round(data.levelChart[Math.max(0, grade - 1)]?.depth ?? 30);
  const [made, setMade] = useState<Api<'AddedReader'> | null>(null);
  const changed = useChanged();
  const said = useSaid();
  const form = useFields({
    schema,
    start: { givenName: '', familyName: '', grade: usual, level: startOf(usual), guardianMail: '' },
    send: async (typed) => {
      const wanted = { ...typed, guardianMail: typed.guardianMail || null };
      const added = await ok(
        api.POST('/classes/{classId}/readers', {
          params: { path: { classId: data.id } },
          body: { ...wanted, id: once.idOf(wanted) },
        }),
      );
      setMade(added);
      said(t('Added {{name}}', { name: typed.givenName }), added.changeId);
      await changed('roster');
    },
  });
  const { givenName, familyName, level } = form.values;
  const same = (one: string, other: string) => one.toLowerCase() === other.trim().toLowerCase();
  const twin = data.readers.find((r) => same(r.givenName, givenName) && same(r.familyName, familyName));
  if (made)
    return (
      <Dialog title={t('{{name}} can sign in', { name: form.values.givenName })} close={close}>
        <p>
          {t('User name')} <b>{made.userName}</b>, {t('class code')} <b>{data.code}</b>
        </p>
        <Secret kind={made.secretKind} secret={made.secret} />
        <DialogFoot>
          <Button
            onClick={() => {
              once.done();
              setMade(null);
              form.restart({ ...form.values, givenName: '', familyName: '', guardianMail: '' });
            }}
          >
            {t('Add another')}
          </Button>
          <Button look="main" onClick={close}>
            {t('Done')}
          </Button>
        </DialogFoot>
      </Dialog>
    );
  return (
    <Dialog title={t('Add reader')} close={close} wide>
      <Form of={form}>
        <div className="grid gap-6 *:grid *:content-start *:gap-3 sm:grid-cols-[1fr_1.1fr]">
          <div>
            <TextField label={t('Given name')} autoFocus {...form.field('givenName')} />
            <TextField
              label={t('Family name')}
              hint={t('Optional. Readers never see it.')}
              {...form.field('familyName')}
            />
            {twin && (
              <p className="text-soft text-sm" role="status">
                {t('{{name}} is already in this class. Is this the same child?', {
                  name: `${twin.givenName} ${twin.familyName}`,
                })}
              </p>
            )}
            <Select
              label={t('Grade')}
              {...form.field('grade')}
              set={(grade) => {
                form.set('grade', grade);
                form.set('level', startOf(grade));
              }}
              options={data.levelChart.map((r, i) => ({
                value: i,
                label: t('Grade {{grade}} · {{year}} · age {{ages}}', {
                  grade: r.grade,
                  year: r.schoolYear,
                  ages: r.ages,
                }),
              }))}
            />
            <TextField
              label={t('Guardian’s email')}
              hint={t('Optional. Used for the letter.')}
              inputMode="email"
              {...form.field('guardianMail')}
            />
            <NumberField
              label={t('Starting level (fm)')}
              hint={t('A first guess, ± 10 fm. Reading soon outweighs it.')}
              step="0.5"
              {...form.field('level')}
            />
          </div>
          <LevelTable
            grade={form.values.grade}
            rows={data.levelChart}
            own={data.ownColumns}
            level={level}
            choose={(to) => form.set('level', to)}
          />
        </div>
        <FormFault of={form}>{t('What you typed is still here.')}</FormFault>
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Submit of={form}>{t('Add reader')}</Submit>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
