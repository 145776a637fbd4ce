import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, percent, signed } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { Question } from './quiz/keys';
import { Tags } from './quiz/QuestionKey';
import { Show } from '../../ui/Show';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

type Use = Api<'TextUse'>;

/** How a text was used, and how readers did: this class beside the school. */
export function TextUse({ textId, classId, questions }: { textId: string; classId: string; questions: Question[] }) {
  const use = useQuery({
    queryKey: keys.text.use(textId, classId),
    queryFn: () => ok(api.GET('/texts/{textId}/use', { params: { path: { textId }, query: { classId } } })),
  });
  return (
    <Show query={use}>
      {({ class: mine, school }) =>
        mine.given === 0 && !school ? (
          <p
            className={cx(
              'border-ink text-soft grid content-start gap-5 overflow-auto border-t px-4 pt-3 pb-6',
              '[&_table]:max-w-275',
            )}
          >
            {t('Not assigned here yet')}
          </p>
        ) : (
          <div
            className={cx(
              'border-ink grid content-start gap-5 overflow-auto border-t px-4 pt-3 pb-6',
              '[&_table]:max-w-275',
            )}
          >
            <Table>
              <caption className="sr-only">{t('Use')}</caption>
              <TableHead>
                <tr>
                  <Th />
                  <Th num>{t('Given')}</Th>
                  <Th num>{t('Handed in')}</Th>
                  <Th num>{t('Forecast')}</Th>
                  <Th num>{t('First try')}</Th>
                  <Th num>{t('Active time (median)')}</Th>
                  <Th>{t('Last')}</Th>
                </tr>
              </TableHead>
              <TableBody>
                {mine.given > 0 ? (
                  <Row name={t('This class')} use={mine} />
                ) : (
                  <NoRow name={t('This class')}>{t('not assigned yet')}</NoRow>
                )}
                {school ? (
                  <Row name={t('School')} use={school} />
                ) : (
                  <NoRow name={t('School')}>{t('shown after five readers')}</NoRow>
                )}
              </TableBody>
            </Table>
            <Table>
              <caption className="sr-only">{t('Question by question')}</caption>
              <TableHead>
                <tr>
                  <Th>{t('Question')}</Th>
                  {mine.given > 0 && <Th num>{t('Right on first try, class')}</Th>}
                  {school && <Th num>{t('Right on first try, school')}</Th>}
                  <Th>{t('Most common wrong answer')}</Th>
                  <Th num>{t('Harder than expected')}</Th>
                </tr>
              </TableHead>
              <TableBody>
                {questions
                  .filter((q) => !q.after)
                  .map((q) => {
                    const here = of(mine, q),
                      there = school ? of(school, q) : undefined,
                      wrong = there?.wrong ? there : here;
                    return (
                      <tr key={q.id}>
                        <Th scope="row">
                          <Tags q={q} /> {q.stem}
                        </Th>
                        {mine.given > 0 && (
                          <Td num>
                            <Share use={here} />
                          </Td>
                        )}
                        {school && (
                          <Td num>
                            <Share use={there} />
                          </Td>
                        )}
                        <Td>{wrong?.wrong ? `“${wrong.wrong}” (${wrong.wrongTimes})` : '–'}</Td>
                        <Td num>
                          {here?.harder == null ? (
                            '–'
                          ) : (
                            <span title={t('from {{count}} answers', { count: here.harderFrom })}>
                              {signed(here.harder)} fm
                            </span>
                          )}
                        </Td>
                      </tr>
                    );
                  })}
              </TableBody>
            </Table>
          </div>
        )
      }
    </Show>
  );
}

const of = (use: Use, q: Question) => use.questions.find((x) => x.questionId === q.id);

function Row({ name, use }: { name: string; use: Use }) {
  return (
    <tr>
      <Th scope="row">{name}</Th>
      <Td num>{use.given}</Td>
      <Td num>{use.handedIn}</Td>
      <Td num>{use.forecast == null ? '–' : percent(use.forecast)}</Td>
      <Td num>{use.score == null ? '–' : percent(use.score)}</Td>
      <Td num>{use.minutes == null ? '–' : `${use.minutes.toFixed(1)} min`}</Td>
      <Td>{use.last ? dayOf(use.last) : '–'}</Td>
    </tr>
  );
}

function NoRow({ name, children }: { name: string; children: string }) {
  return (
    <tr>
      <Th scope="row">{name}</Th>
      <Td className="text-soft" colSpan={6}>
        {children}
      </Td>
    </tr>
  );
}

function Share({ use }: { use: Use['questions'][number] | undefined }) {
  if (!use || use.right == null) return <>–</>;
  return (
    <span className="whitespace-nowrap">
      <svg width="62" height="10" aria-hidden>
        <rect x=".5" y=".5" width="60" height="9" fill="none" stroke="var(--color-soft)" />
        <rect x="1" y="1" width={59 * use.right} height="8" fill="var(--color-depth-5)" />
      </svg>{' '}
      {percent(use.right)} <span className="text-soft">({use.answered})</span>
    </span>
  );
}
