import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, fm, percent } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { BeginRecord } from './BeginRecord';
import { seasonWords } from '../checks/checkQueries';
import { zoneNames } from './FiguresBox';
import './oral.css';

type Row = Api<'RecordRow'>;

/** A reader's oral reading: the records, how fluent against the norms, and the words to practise. */
export function Oral({ classId, reader }: { classId: string; reader: { id: string; givenName: string } }) {
  const oral = useQuery({
    queryKey: keys.reader.records(reader.id),
    queryFn: () => ok(api.GET('/readers/{readerId}/records', { params: { path: { readerId: reader.id } } })),
  });
  const [begins, setBegins] = useState(false);
  return (
    <section aria-labelledby="oral" className="account oralsection">
      <div className="row">
        <h2 id="oral">{t('Reading aloud')}</h2>
        <span className="grow" />
        {oral.data?.mayTake && (
          <button className="btn" onClick={() => setBegins(true)}>
            {t('Take a running record')}
          </button>
        )}
      </div>
      <Show query={oral}>
        {(o) =>
          o.records.length === 0 ? (
            <p className="soft">{t('No running record yet. Records, rates and words to practise gather here.')}</p>
          ) : (
            <div className="twoparts">
              <div className="scroll evidence" tabIndex={0} role="region" aria-labelledby="oral">
                <table>
                  <thead>
                    <tr>
                      <th>{t('Day')}</th>
                      <th>{t('Text')}</th>
                      <th className="num">{t('Depth')}</th>
                      <th>{t('Accuracy')}</th>
                      <th className="num">{t('Words correct a minute')}</th>
                      <th>{t('Of 100 readers of the grade')}</th>
                      <th>{t('State')}</th>
                    </tr>
                  </thead>
                  <tbody>
                    {o.records.map((k) => (
                      <tr key={k.id}>
                        <td>{dayOf(k.readAt)}</td>
                        <th scope="row">
                          <Link to={`/class/${classId}/readers/${reader.id}/records/${k.id}`}>{k.title}</Link>
                        </th>
                        <td className="num">{fm(k.textDepth)}</td>
                        <td>{k.done ? `${percent(k.figures.accuracy)}, ${t(zoneNames[k.figures.zone])}` : '–'}</td>
                        <td className="num">
                          {k.done && k.figures.wordsCorrectPerMinute > 0
                            ? Math.round(k.figures.wordsCorrectPerMinute)
                            : '–'}
                        </td>
                        <td>{k.done ? <Norm k={k} /> : ''}</td>
                        <td>{k.done ? t('counts') : k.sound ? t('recorded, to mark') : t('open')}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
              <section aria-labelledby="practice">
                <h3 id="practice">{t('Words to practise')}</h3>
                {o.practice.length === 0 ? (
                  <p className="soft small">
                    {t('None: a word appears here when it is missed, and goes when it is read right twice running.')}
                  </p>
                ) : (
                  <ul className="practice">
                    {o.practice.slice(0, 20).map((w) => (
                      <li key={w.word}>
                        <span>
                          <b>{w.word}</b>
                          {w.said.length > 0 && <span className="soft"> “{w.said.join('”, “')}”</span>}
                        </span>
                        <span className="soft">{t('missed {{n}} of {{of}}', { n: w.missed, of: w.met })}</span>
                      </li>
                    ))}
                  </ul>
                )}
              </section>
            </div>
          )
        }
      </Show>
      {begins && <BeginRecord classId={classId} reader={reader} close={() => setBegins(false)} />}
    </section>
  );
}

/** Where a rate stands among a hundred readers: a short scale with the middle marked. */
function Norm({ k }: { k: Row }) {
  if (k.figures.percentile == null) return <span className="soft">{t('no norm')}</span>;
  return (
    <span className="states">
      <svg className="normbar" width="84" height="14" aria-hidden>
        <path d="M2 7H82" stroke="var(--line)" strokeWidth="2" />
        <path d="M42 2v10" stroke="var(--ink-soft)" />
        <circle cx={2 + 0.8 * k.figures.percentile} cy="7" r="4" fill="var(--depth-6)" />
      </svg>
      {t('{{n}} in {{season}}', { n: k.figures.percentile, season: t(seasonWords[k.figures.season]) })}
    </span>
  );
}
