import { useState, type FormEvent } from 'react';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf, fm } from '../../shared/format';
import { createOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { useSaid, type ClassData, type ReaderRow, type TextRow } from '../classQueries';
import { Field, Window } from '../frame/Window';
import { useFits } from '../tray/Tray';
import { useTray } from '../tray/useTray';
import { sure } from '../../shared/sure';

const inDays = (from: string, n: number) => {
  const d = new Date(`${from}T12:00:00`);
  d.setDate(d.getDate() + n);
  return d.toISOString().slice(0, 10);
};

/** Says exactly what will happen, then does it: who gets which version of which text, until when. */
const earlier: Record<Api<'EarlierReading'>, string> = {
  Given: 'has it, not opened',
  UnderWay: 'is reading it',
  Read: 'has read it',
  InLevelCheck: 'read it in a level check',
};

export function AssignDialog({
  data,
  texts,
  readers,
  close,
}: {
  data: ClassData;
  texts: TextRow[];
  readers: ReaderRow[];
  close: () => void;
}) {
  const [due, setDue] = useState(inDays(data.today, 4));
  const [attempts, setAttempts] = useState(2);
  const [directions, setDirections] = useState('');
  const [skip, setSkip] = useState(true);
  const [guided, setGuided] = useState(true);
  const [aloud, setAloud] = useState(false);
  const [versions, setVersions] = useState<Record<string, string>>({});
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const [onces] = useState(() => new Map(texts.map((x) => [x.id, createOnce()])));
  const fits = useFits(
    data.id,
    readers.map((r) => r.id),
    texts.map((x) => x.id),
  );
  const changed = useChanged();
  const said = useSaid();
  const tray = useTray();
  const rows = texts.flatMap((text) =>
    (fits.data ?? [])
      .filter((f) => f.textId === text.id)
      .map((f) => ({ f, text, r: sure(readers.find((r) => r.id === f.readerId)) })),
  );
  const going = rows.filter(({ f }) => !skip || !f.before);
  const goingTo = (text: TextRow) => going.filter((g) => g.text.id === text.id);
  const people = new Set(going.map((g) => g.r.id)).size;
  const key = (textId: string, readerId: string) => `${textId} ${readerId}`;

  const assign = async (e: FormEvent) => {
    e.preventDefault();
    setBusy(true);
    try {
      // One request for all of it: it is given whole or not at all, and once, however often it is sent.
      const wanted = texts
        .filter((x) => goingTo(x).length > 0)
        .map((x) => ({
          textId: x.id,
          versions: Object.fromEntries(
            readers.flatMap((r) => {
              const v = versions[key(x.id, r.id)];
              return v ? [[r.id, v]] : [];
            }),
          ),
        }));
      const request = {
        readerIds: readers.map((r) => r.id),
        dueOn: due || null,
        attempts,
        directions,
        skipGiven: skip,
        guided,
        aloud,
        texts: wanted,
      };
      const made = await ok(
        api.POST('/classes/{classId}/assignments', {
          params: { path: { classId: data.id } },
          body: {
            ...request,
            texts: wanted.map((x) => ({ ...x, id: sure(onces.get(x.textId)).idOf(request) })),
          },
        }),
      );
      said(
        `${wanted.length === 1 ? sure(texts.find((x) => x.id === sure(wanted[0]).textId)).title : t('{{count}} texts', { count: wanted.length })}: ${t('Assigned to {{count}} readers', { count: people })}`,
        made.changeId,
      );
      tray.empty();
      close();
      await changed('work');
    } catch (problem) {
      setError(problem);
      void changed('work');
    } finally {
      setBusy(false);
    }
  };
  return (
    <Window title={t('Assign {{title}}', { title: texts.map((x) => x.title).join(', ') })} close={close} wide>
      <form onSubmit={(e) => void assign(e)} noValidate>
        <div className="fields">
          <Field id="due" label={t('Due on')} error={fieldOf(error, 'dueOn')}>
            <input id="due" type="date" min={data.today} value={due} onChange={(e) => setDue(e.target.value)} />
          </Field>
          <Field id="attempts" label={t('Tries at each question')} error={fieldOf(error, 'attempts')}>
            <select id="attempts" value={attempts} onChange={(e) => setAttempts(Number(e.target.value))}>
              {[1, 2, 3].map((n) => (
                <option key={n}>{n}</option>
              ))}
            </select>
          </Field>
          <Field id="directions" label={t('Directions for readers')} error={fieldOf(error, 'directions')}>
            <input
              id="directions"
              type="text"
              maxLength={500}
              value={directions}
              placeholder={t('May be left empty')}
              onChange={(e) => setDirections(e.target.value)}
            />
          </Field>
        </div>
        <h3>{t('What will happen')}</h3>
        {texts.map((text) => (
          <p key={text.id}>
            {t('{{title}} appears for {{n}} of {{all}} readers at once{{due}}. Each gets the version that fits.', {
              title: text.title,
              n: goingTo(text).length,
              all: readers.length,
              due: due ? `, ${t('due')} ${dayOf(due)}` : '',
            })}
          </p>
        ))}
        <div className="scroll preview" tabIndex={0} role="region" aria-label={t('Who gets what')}>
          <table>
            <thead>
              <tr>
                <th>{t('Reader')}</th>
                {texts.length > 1 && <th>{t('Text')}</th>}
                <th className="num">{t('Depth')}</th>
                <th>{t('Version')}</th>
                <th>{t('Fit')}</th>
                <th>{t('Before')}</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ f, r, text }) => (
                <tr key={key(text.id, r.id)} className={skip && f.before ? 'gone' : undefined}>
                  <th scope="row">
                    {r.givenName} {r.familyName}
                  </th>
                  {texts.length > 1 && <td>{text.title}</td>}
                  <td className="num">{fm(r.depth)}</td>
                  <td>
                    {text.versions.length > 1 ? (
                      <select
                        aria-label={t('Version for {{name}}', { name: r.givenName })}
                        value={versions[key(text.id, r.id)] ?? f.versionId}
                        onChange={(e) => setVersions({ ...versions, [key(text.id, r.id)]: e.target.value })}
                      >
                        {text.versions.map((v) => (
                          <option key={v.id} value={v.id}>
                            {fm(v.depth)} fm{v.id === f.versionId ? ` (${t('fits')})` : ''}
                          </option>
                        ))}
                      </select>
                    ) : (
                      `${fm(f.versionDepth)} fm`
                    )}
                  </td>
                  <td>
                    <Forecast
                      of={f.versions.find((v) => v.versionId === (versions[key(text.id, r.id)] ?? f.versionId)) ?? f}
                    />
                  </td>
                  <td>{f.before ? t(earlier[f.before]) : ''}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {texts.some((x) => x.onTheWay > 0) && (
          <p>
            <label>
              <input type="checkbox" checked={guided} onChange={(e) => setGuided(e.target.checked)} />{' '}
              {t('With questions on the way, between the paragraphs; they count for nothing')}
            </label>
          </p>
        )}
        <p>
          <label>
            <input type="checkbox" checked={aloud} onChange={(e) => setAloud(e.target.checked)} />{' '}
            {t('To be read aloud: readers record themselves, and you mark the recording')}
          </label>
        </p>
        {rows.some(({ f }) => f.before) && (
          <p>
            <label>
              <input type="checkbox" checked={skip} onChange={(e) => setSkip(e.target.checked)} />{' '}
              {t('Leave out readers who have had it')}
            </label>
          </p>
        )}
        {error ? (
          <p className="error" role="alert">
            {sentence(error)}
          </p>
        ) : null}
        <p className="row end">
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main" disabled={busy || going.length === 0}>
            {t('Assign to {{count}} readers', { count: people })}
          </button>
        </p>
      </form>
    </Window>
  );
}

/** The forecast of the version that stands beside it, whoever chose that. */
function Forecast({ of }: { of: { forecast: number; zone: string } }) {
  return (
    <>
      {of.forecast} %
      {of.zone === 'Frustration' ? `, ${t('too deep')}` : of.zone === 'Independent' ? `, ${t('easy')}` : ''}
    </>
  );
}
