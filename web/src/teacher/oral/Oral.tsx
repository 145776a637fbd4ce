import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, fm, percent } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { BeginRecord } from './BeginRecord';
import { seasonWords } from '../checks/checkQueries';
import { zoneNames } from './FiguresBox';
import { Button } from '../../ui/Button';
import { Show } from '../../ui/Show';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

type Row = Api<'RecordRow'>;

const openWords = (sound: boolean) => (sound ? t('recorded, to mark') : t('open'));

/** A reader's oral reading: the records, how fluent against the norms, and the words to practise. */
export function Oral({ classId, reader }: { classId: string; reader: { id: string; givenName: string } }) {
  const oral = useQuery({
    queryKey: keys.reader.records(reader.id),
    queryFn: () => ok(api.GET('/readers/{readerId}/records', { params: { path: { readerId: reader.id } } })),
  });
  const [begins, setBegins] = useState(false);
  return (
    <section aria-labelledby="oral" className="grid gap-3 px-4 pt-3">
      <div className="flex flex-wrap items-center gap-2">
        <h2 id="oral">{t('Reading aloud')}</h2>
        <span className="grow" />
        {oral.data?.mayTake && <Button onClick={() => setBegins(true)}>{t('Take a running record')}</Button>}
      </div>
      <Show query={oral}>
        {(o) =>
          o.records.length === 0 ? (
            <p className="text-soft">
              {t('No running records yet. Records, rates and words to practise appear here.')}
            </p>
          ) : (
            <div className="grid gap-5 max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1fr)_300px]">
              <div
                className="border-ink relative max-h-105 min-h-0 overflow-auto border-t"
                tabIndex={0}
                role="region"
                aria-labelledby="oral"
              >
                <Table>
                  <TableHead>
                    <tr>
                      <Th>{t('Day')}</Th>
                      <Th>{t('Text')}</Th>
                      <Th num>{t('Depth')}</Th>
                      <Th>{t('Accuracy')}</Th>
                      <Th num>
                        <abbr className="no-underline" title={t('Words correct per minute')}>
                          {t('wcpm')}
                        </abbr>
                      </Th>
                      <Th>{t('Percentile in grade')}</Th>
                      <Th>{t('State')}</Th>
                    </tr>
                  </TableHead>
                  <TableBody>
                    {o.records.map((k) => (
                      <tr key={k.id}>
                        <Td>{dayOf(k.readAt)}</Td>
                        <Th scope="row">
                          <Link to={`/class/${classId}/readers/${reader.id}/records/${k.id}`}>{k.title}</Link>
                        </Th>
                        <Td num>{fm(k.textDepth)}</Td>
                        <Td>{k.done ? `${percent(k.figures.accuracy)}, ${t(zoneNames[k.figures.zone])}` : '–'}</Td>
                        <Td num>
                          {k.done && k.figures.wordsCorrectPerMinute > 0
                            ? Math.round(k.figures.wordsCorrectPerMinute)
                            : '–'}
                        </Td>
                        <Td>{k.done ? <Norm k={k} /> : ''}</Td>
                        <Td>{k.done ? t('counts') : openWords(k.sound)}</Td>
                      </tr>
                    ))}
                  </TableBody>
                </Table>
              </div>
              <section aria-labelledby="practice">
                <h3 id="practice">{t('Words to practise')}</h3>
                {o.practice.length === 0 ? (
                  <p className="text-soft text-sm">
                    {t('None yet. A missed word stays here until it is read right twice in a row.')}
                  </p>
                ) : (
                  <ul
                    className={cx(
                      '[&>li]:border-line text-sm [&_b]:text-base [&>li]:grid [&>li]:grid-cols-[minmax(0,1fr)_auto]',
                      '[&>li]:gap-2 [&>li]:border-b [&>li]:py-0.75',
                    )}
                  >
                    {o.practice.slice(0, 20).map((w) => (
                      <li key={w.word}>
                        <span>
                          <b>{w.word}</b>
                          {w.said.length > 0 && <span className="text-soft"> “{w.said.join('”, “')}”</span>}
                        </span>
                        <span className="text-soft">{t('missed {{n}} of {{of}}', { n: w.missed, of: w.met })}</span>
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
  if (k.figures.percentile == null) return <span className="text-soft">{t('no norm')}</span>;
  return (
    <span className="inline-flex items-center gap-2 text-sm">
      <svg className="block" width="84" height="14" aria-hidden>
        <path d="M2 7H82" stroke="var(--color-line)" strokeWidth="2" />
        <path d="M42 2v10" stroke="var(--color-soft)" />
        <circle cx={2 + 0.8 * k.figures.percentile} cy="7" r="4" fill="var(--color-depth-6)" />
      </svg>
      {t('{{n}} in {{season}}', { n: k.figures.percentile, season: t(seasonWords[k.figures.season]) })}
    </span>
  );
}
