import { useState, type FormEvent } from 'react';
import { type Api, api, fieldOf, ok, sentence, namesFields } from '../../shared/api';
import { Secret } from '../../shared/Secret';
import { useChanged } from '../../shared/changed';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { useSaid, type ClassData } from '../classQueries';
import { LevelTable } from './LevelTable';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { Form } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { NumberField, TextField } from '../../ui/TextField';

/** Adds one reader: name, grade, starting level beside what it means, and shows the sign-in at once. */
export function AddReader({ data, close }: { data: ClassData; close: () => void }) {
  const once = useOnce();
  const usual = data.readers[0]?.grade ?? 3;
  const [given, setGiven] = useState('');
  const [family, setFamily] = useState('');
  const [grade, setGrade] = useState(usual);
  const [level, setLevel] = useState(Math.round(data.levelChart[Math.max(0, usual - 1)]?.depth ?? 30));
  const [mail, setMail] = useState('');
  const [error, setError] = useState<unknown>();
  const [made, setMade] = useState<Api<'AddedReader'> | null>(null);
  const changed = useChanged();
  const said = useSaid();
  const twin = data.readers.find(
    (r) =>
      r.givenName.toLowerCase() === given.trim().toLowerCase() &&
      r.familyName.toLowerCase() === family.trim().toLowerCase(),
  );

  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const form = { givenName: given, familyName: family, grade, level, guardianMail: mail || null };
      const id = once.idOf(form);
      const added = await ok(
        api.POST('/classes/{classId}/readers', { params: { path: { classId: data.id } }, body: { ...form, id } }),
      );
      setMade(added);
      setError(undefined);
      said(t('Added {{name}}', { name: given }), added.changeId);
      await changed('roster');
    } catch (problem) {
      setError(problem);
    }
  };
  if (made)
    return (
      <Dialog title={t('{{name}} can sign in', { name: given })} close={close}>
        <p>
          {t('User name')} <b>{made.userName}</b>, {t('class code')} <b>{data.code}</b>
        </p>
        <Secret kind={made.secretKind} secret={made.secret} />
        <DialogFoot>
          <Button
            onClick={() => {
              once.done();
              setMade(null);
              setGiven('');
              setFamily('');
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
  const other = error && !namesFields(error);
  return (
    <Dialog title={t('Add reader')} close={close} wide>
      <Form onSubmit={(e) => void save(e)}>
        <div className="grid gap-6 *:grid *:content-start *:gap-3 sm:grid-cols-[1fr_1.1fr]">
          <div>
            <TextField
              label={t('Given name')}
              error={fieldOf(error, 'givenName')}
              autoFocus
              value={given}
              aria-describedby="given-error"
              set={setGiven}
            />
            <TextField
              label={t('Family name')}
              hint={t('Optional. Readers never see it.')}
              error={fieldOf(error, 'familyName')}
              value={family}
              set={setFamily}
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
              error={fieldOf(error, 'grade')}
              value={grade}
              set={(value) => {
                const g = Number(value);
                setGrade(g);
                setLevel(Math.round(data.levelChart[Math.max(0, g - 1)]?.depth ?? level));
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
              error={fieldOf(error, 'guardianMail')}
              inputMode="email"
              value={mail}
              set={setMail}
            />
            <NumberField
              label={t('Starting level (fm)')}
              hint={t('A first guess, ± 10 fm. Reading soon outweighs it.')}
              error={fieldOf(error, 'level')}
              step="0.5"
              value={level}
              set={setLevel}
            />
          </div>
          <LevelTable rows={data.levelChart} own={data.ownColumns} level={level} choose={setLevel} />
        </div>
        {other ? (
          <ErrorText>
            {sentence(error)} {t('What you typed is still here.')}
          </ErrorText>
        ) : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit">
            {t('Add reader')}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
