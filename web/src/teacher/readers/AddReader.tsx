import { useState, type FormEvent } from 'react';
import { type Api, api, fieldOf, ok, Problem, sentence } from '../../shared/api';
import { Secret } from '../../shared/Secret';
import { useChanged } from '../../shared/changed';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { useSaid, type ClassData } from '../classQueries';
import { Field, Window } from '../frame/Window';
import { LevelTable } from './LevelTable';

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
      <Window title={t('{{name}} can sign in', { name: given })} close={close}>
        <p>
          {t('User name')} <b>{made.userName}</b>, {t('class code')} <b>{data.code}</b>
        </p>
        <Secret kind={made.secretKind} secret={made.secret} />
        <p className="row end">
          <button
            className="btn"
            onClick={() => {
              once.done();
              setMade(null);
              setGiven('');
              setFamily('');
            }}
          >
            {t('Add another')}
          </button>
          <button className="btn main" onClick={close}>
            {t('Done')}
          </button>
        </p>
      </Window>
    );
  const other = error && !(error instanceof Problem && Object.keys(error.fields).length > 0);
  return (
    <Window title={t('Add a reader')} close={close} wide>
      <form onSubmit={(e) => void save(e)} noValidate>
        <div className="twocol">
          <div>
            <Field id="given" label={t('Given name')} error={fieldOf(error, 'givenName')}>
              <input
                id="given"
                type="text"
                autoFocus
                value={given}
                onChange={(e) => setGiven(e.target.value)}
                aria-describedby="given-error"
              />
            </Field>
            <Field
              id="family"
              label={t('Family name')}
              hint={t('Never shown where readers can see it. May be left empty.')}
              error={fieldOf(error, 'familyName')}
            >
              <input id="family" type="text" value={family} onChange={(e) => setFamily(e.target.value)} />
            </Field>
            {twin && (
              <p className="hint" role="status">
                {t('There is a {{name}} in this class already. Is it the same child?', {
                  name: `${twin.givenName} ${twin.familyName}`,
                })}
              </p>
            )}
            <Field id="grade" label={t('Grade')} error={fieldOf(error, 'grade')}>
              <select
                id="grade"
                value={grade}
                onChange={(e) => {
                  const g = Number(e.target.value);
                  setGrade(g);
                  setLevel(Math.round(data.levelChart[Math.max(0, g - 1)]?.depth ?? level));
                }}
              >
                {data.levelChart.map((r, i) => (
                  <option key={r.grade} value={i}>
                    {t('Grade {{grade}} · {{year}} · age {{ages}}', {
                      grade: r.grade,
                      year: r.schoolYear,
                      ages: r.ages,
                    })}
                  </option>
                ))}
              </select>
            </Field>
            <Field
              id="guardian"
              label={t('Guardian’s e-mail')}
              hint={t('For the letter. May be left empty.')}
              error={fieldOf(error, 'guardianMail')}
            >
              <input
                id="guardian"
                type="text"
                inputMode="email"
                value={mail}
                onChange={(e) => setMail(e.target.value)}
              />
            </Field>
            <Field
              id="level"
              label={t('Starting level, fm')}
              hint={t('A first guess. It counts as weak evidence (± 10 fm) and reading soon outweighs it.')}
              error={fieldOf(error, 'level')}
            >
              <input
                id="level"
                type="number"
                step="0.5"
                value={level}
                onChange={(e) => setLevel(Number(e.target.value))}
              />
            </Field>
          </div>
          <LevelTable rows={data.levelChart} own={data.ownColumns} level={level} choose={setLevel} />
        </div>
        {other ? (
          <p className="error" role="alert">
            {sentence(error)} {t('What you typed is kept.')}
          </p>
        ) : null}
        <p className="row end">
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main">{t('Add the reader')}</button>
        </p>
      </form>
    </Window>
  );
}
