import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { z } from 'zod';
import { type Api, api, ok } from '../../shared/api';
import { useAllChanged } from '../../shared/changed';
import { gradeOptions } from '../../shared/format';
import { line, present, useFields, type Fields } from '../../shared/forms';
import { keys } from '../../shared/keys';
import { named, phrase, t } from '../../shared/words';
import { Checkbox } from '../../ui/Checkbox';
import { ErrorText, FieldRow } from '../../ui/Field';
import { FormFault, Submit } from '../../ui/Form';
import { Card, Cards, PageHead } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { Show } from '../../ui/Show';
import { NumberField, TextField } from '../../ui/TextField';
import { Letters } from './Letters';

type View = Api<'SchoolView'>;

const share = (fault: () => string) => z.number().min(0.01, { error: fault }).max(0.99, { error: fault });
const between = () => t('Enter 1 to 99%.');
const schema = z.object({
  version: z.number(),
  name: line(120, phrase('Enter a name of 120 letters or fewer.')),
  timeZone: present(phrase('Enter a time zone, such as Europe/London.')),
  levelSystem: z.string(),
  understoodFrom: share(between),
  zoneLow: share(between),
  zoneHigh: share(between),
  minutesADay: z.number(),
  picturesTo: z.number(),
  codesTo: z.number(),
  surnamesOnCards: z.boolean(),
  guardiansAllowed: z.boolean(),
  aims: z.array(z.object({ grade: z.number(), percent: z.number() })),
  letters: z.array(z.object({ language: z.custom<Api<'Language'>>(), title: z.string(), body: z.string() })),
});
export type SchoolForm = z.infer<typeof schema>;

/** What the school has decided: names, scores, how readers of which grade sign in, what cards show, and the letter to guardians. */
export default function Choices() {
  const school = useQuery({ queryKey: keys.school.one, queryFn: () => ok(api.GET('/school')) });
  return <Show query={school}>{(s) => <SchoolChoices key={s.version} school={s} />}</Show>;
}

function SchoolChoices({ school }: { school: View }) {
  const changed = useAllChanged();
  const form = useFields<SchoolForm>({
    schema,
    start: schema.parse(school),
    send: async (typed) => {
      await ok(api.PUT('/school', { body: typed }));
      toast.success(t('Saved'));
      await changed();
    },
  });
  return (
    <form className="min-h-0 overflow-auto pb-6" onSubmit={form.submit} noValidate aria-labelledby="title">
      <PageHead title={t('Choices')}>
        <FormFault of={form} />
        <Submit of={form} disabled={!form.changed}>
          {t('Save')}
        </Submit>
      </PageHead>
      <Cards>
        <Card aria-labelledby="s1">
          <h2 id="s1">{t('School')}</h2>
          <TextField label={t('Name')} {...form.field('name')} />
          <TextField label={t('Time zone')} {...form.field('timeZone')} />
        </Card>
        <Card aria-labelledby="levels">
          <h2 id="levels">{t('Levels')}</h2>
          <Select
            label={t('Levels are called by')}
            hint={t('Sentences on every page and letter name a level like this.')}
            {...form.field('levelSystem')}
            options={school.levelSystems.map((system) => ({ value: system, label: named(system) }))}
          />
        </Card>
        <Scores form={form} />
        <Aims form={form} />
        <SigningIn form={form} />
        <Card wide aria-labelledby="s4">
          <h2 id="s4">{t('Guardians')}</h2>
          <Checkbox {...form.tick('guardiansAllowed')}>{t('Guardians can register and see their own child')}</Checkbox>
          <Letters form={form} marks={school.letterMarks} />
        </Card>
      </Cards>
    </form>
  );
}

function Scores({ form }: { form: Fields<SchoolForm> }) {
  const percent = (name: 'understoodFrom' | 'zoneLow' | 'zoneHigh', label: string) => {
    const field = form.field(name);
    return (
      <NumberField
        label={label}
        min={1}
        max={99}
        {...field}
        value={Math.round(field.value * 100)}
        set={(value) => field.set(value / 100)}
      />
    );
  };
  return (
    <Card aria-labelledby="s2">
      <h2 id="s2">{t('Scores')}</h2>
      <FieldRow>
        {percent('understoodFrom', t('Understood from (%)'))}
        {percent('zoneLow', t('Instructional from (%)'))}
        {percent('zoneHigh', t('Independent from (%)'))}
        <NumberField label={t('Reading minutes per day')} min={1} max={240} {...form.field('minutesADay')} />
      </FieldRow>
    </Card>
  );
}

/** The comprehension the school aims at, grade by grade; a grade without a figure has no aim. */
function Aims({ form }: { form: Fields<SchoolForm> }) {
  const { value: aims, set, error } = form.field('aims');
  const put = (grade: number, percent: number | null) =>
    set([...aims.filter((a) => a.grade !== grade), ...(percent === null ? [] : [{ grade, percent }])]);
  return (
    <Card wide aria-labelledby="aims">
      <h2 id="aims">{t('Comprehension aims')}</h2>
      <p className="text-soft text-sm">
        {t('Percent right on the first try, over a term. Teachers can use them as goals. Optional, by grade.')}
      </p>
      <div className="flex flex-wrap gap-2">
        {gradeOptions.map((g) => (
          <NumberField
            key={g.value}
            label={t('Grade {{grade}}', { grade: g.label })}
            min={1}
            max={100}
            boxClass="w-18"
            value={aims.find((a) => a.grade === g.value)?.percent ?? null}
            set={(percent) => put(g.value, percent)}
            unset={() => put(g.value, null)}
          />
        ))}
      </div>
      {error && <ErrorText>{error}</ErrorText>}
    </Card>
  );
}

function SigningIn({ form }: { form: Fields<SchoolForm> }) {
  const options = [
    { value: -1, label: t('no grade') },
    ...gradeOptions.map((g) => ({ ...g, label: t('grade {{grade}}', { grade: g.label }) })),
  ];
  return (
    <Card aria-labelledby="s3">
      <h2 id="s3">{t('Signing in')}</h2>
      <FieldRow>
        <Select label={t('Pictures up to')} {...form.field('picturesTo')} options={options} />
        <Select label={t('Short code up to')} {...form.field('codesTo')} options={options} />
      </FieldRow>
      <p className="text-soft text-sm">{t('Passwords for higher grades; new readers only.')}</p>
      <Checkbox {...form.tick('surnamesOnCards')}>{t('Surnames on printed cards')}</Checkbox>
    </Card>
  );
}
