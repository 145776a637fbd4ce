import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { type Api, api, fieldOf, ok, sentence, namesFields } from '../../shared/api';
import { useAllChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { named, phrase, type Phrase, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { FieldRow } from '../../ui/Field';
import { Card, Cards, PageHead } from '../../ui/Page';
import { Segments } from '../../ui/Segments';
import { Select } from '../../ui/Select';
import { Show } from '../../ui/Show';
import { NumberField, TextArea, TextField } from '../../ui/TextField';

type View = Api<'SchoolView'>;
type Letter = Api<'SchoolLetter'>;

/** What the school has decided: names, scores, how readers of which grade sign in, what cards show, and the letter to guardians. */
export default function Choices() {
  const school = useQuery({ queryKey: keys.school.one, queryFn: () => ok(api.GET('/school')) });
  return <Show query={school}>{(s) => <Form key={s.version} school={s} />}</Show>;
}

function Form({ school }: { school: View }) {
  const [form, setForm] = useState(school);
  const [error, setError] = useState<unknown>();
  const changed = useAllChanged();
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await ok(api.PUT('/school', { body: form }));
      setError(undefined);
      toast.success(t('Saved'));
      await changed();
    } catch (problem) {
      setError(problem);
    }
  };
  const percent = (key: 'understoodFrom' | 'zoneLow' | 'zoneHigh', label: string) => (
    <NumberField
      label={label}
      error={fieldOf(error, key)}
      min={1}
      max={99}
      value={Math.round(form[key] * 100)}
      set={(value) => setForm({ ...form, [key]: value / 100 })}
    />
  );
  const grade = (key: 'picturesTo' | 'codesTo', label: string) => (
    <Select
      label={label}
      error={fieldOf(error, key)}
      value={form[key]}
      set={(value) => setForm({ ...form, [key]: Number(value) })}
      options={Array.from({ length: 14 }, (_, i) => i - 1).map((g) => ({
        value: g,
        label: g < 0 ? t('no grade') : t('grade {{grade}}', { grade: g === 0 ? 'K' : g }),
      }))}
    />
  );
  return (
    <form className="min-h-0 overflow-auto pb-6" onSubmit={(e) => void save(e)} noValidate aria-labelledby="title">
      <PageHead title={t('Choices')}>
        {error ? (
          <span className="text-overlay text-sm font-semibold" role="alert">
            {namesFields(error) ? t('Not saved yet. Fix the highlighted fields.') : sentence(error)}
          </span>
        ) : null}
        <Button look="main" type="submit" disabled={form === school}>
          {t('Save')}
        </Button>
      </PageHead>
      <Cards>
        <Card aria-labelledby="s1">
          <h2 id="s1">{t('School')}</h2>
          <TextField
            label={t('Name')}
            error={fieldOf(error, 'name')}
            value={form.name}
            set={(value) => setForm({ ...form, name: value })}
          />
          <TextField
            label={t('Time zone')}
            error={fieldOf(error, 'timeZone')}
            value={form.timeZone}
            set={(value) => setForm({ ...form, timeZone: value })}
          />
        </Card>
        <Card aria-labelledby="levels">
          <h2 id="levels">{t('Levels')}</h2>
          <Select
            label={t('Levels are called by')}
            hint={t('Sentences on every page and letter name a level like this.')}
            error={fieldOf(error, 'levelSystem')}
            value={form.levelSystem}
            set={(levelSystem) => setForm({ ...form, levelSystem })}
            options={form.levelSystems.map((system) => ({ value: system, label: named(system) }))}
          />
        </Card>
        <Card aria-labelledby="s2">
          <h2 id="s2">{t('Scores')}</h2>
          <FieldRow>
            {percent('understoodFrom', t('Understood from (%)'))}
            {percent('zoneLow', t('Instructional from (%)'))}
            {percent('zoneHigh', t('Independent from (%)'))}
            <NumberField
              label={t('Reading minutes per day')}
              error={fieldOf(error, 'minutesADay')}
              min={1}
              max={240}
              value={form.minutesADay}
              set={(value) => setForm({ ...form, minutesADay: value })}
            />
          </FieldRow>
        </Card>
        <Card aria-labelledby="s3">
          <h2 id="s3">{t('Signing in')}</h2>
          <FieldRow>
            {grade('picturesTo', t('Pictures up to'))}
            {grade('codesTo', t('Short code up to'))}
          </FieldRow>
          <p className="text-soft text-sm">{t('Passwords for higher grades; new readers only.')}</p>
          <Checkbox checked={form.surnamesOnCards} set={(on) => setForm({ ...form, surnamesOnCards: on })}>
            {t('Surnames on printed cards')}
          </Checkbox>
        </Card>
        <Card wide aria-labelledby="s4">
          <h2 id="s4">{t('Guardians')}</h2>
          <Checkbox checked={form.guardiansAllowed} set={(on) => setForm({ ...form, guardiansAllowed: on })}>
            {t('Guardians can register and see their own child')}
          </Checkbox>
          <Letters
            letters={form.letters}
            set={(letters) => setForm({ ...form, letters })}
            marks={form.letterMarks}
            error={error}
          />
        </Card>
      </Cards>
    </form>
  );
}

const languageNames: Record<Api<'Language'>, Phrase> = { English: phrase('English'), Spanish: phrase('Spanish') };

/** The letter to guardians in each language; a family gets the one of their home language. */
function Letters({
  letters,
  set,
  marks,
  error,
}: {
  letters: Letter[];
  set: (to: Letter[]) => void;
  marks: string[];
  error: unknown;
}) {
  const [shows, setShows] = useState<Letter['language']>('English');
  const at = letters.findIndex((l) => l.language === shows);
  const letter = letters[at];
  if (!letter) return null;
  const change = (to: Partial<Letter>) => set(letters.map((l, i) => (i === at ? { ...l, ...to } : l)));
  const faulty = (i: number) => fieldOf(error, `letters[${i}].title`) ?? fieldOf(error, `letters[${i}].body`);
  return (
    <>
      <Segments
        label={t('Language of the letter')}
        value={shows}
        set={setShows}
        options={letters.map((l, i) => ({
          value: l.language,
          label: faulty(i) ? `${t(languageNames[l.language])} !` : t(languageNames[l.language]),
        }))}
      />
      <TextField
        label={t('Letter title')}
        error={fieldOf(error, `letters[${at}].title`)}
        value={letter.title}
        set={(title) => change({ title })}
      />
      <TextArea
        label={t('Letter')}
        hint={t('Filled in for each reader: {{marks}}', { marks: marks.join(' ') })}
        error={fieldOf(error, `letters[${at}].body`)}
        rows={12}
        value={letter.body}
        set={(body) => change({ body })}
      />
    </>
  );
}
