import { useQuery } from '@tanstack/react-query';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, percent, signed } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { Question } from './quiz/keys';
import { Tags } from './quiz/QuestionKey';

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
          <p className="usepage soft">{t('Nobody here has been given this text yet.')}</p>
        ) : (
          <div className="usepage">
            <table>
              <caption className="hide">{t('How it was used')}</caption>
              <thead>
                <tr>
                  <th />
                  <th className="num">{t('Given')}</th>
                  <th className="num">{t('Handed in')}</th>
                  <th className="num">{t('Forecast')}</th>
                  <th className="num">{t('First try')}</th>
                  <th className="num">{t('Time open, half take less')}</th>
                  <th>{t('Last')}</th>
                </tr>
              </thead>
              <tbody>
                <Row name={t('This class')} use={mine} />
                {school ? (
                  <Row name={t('School')} use={school} />
                ) : (
                  <tr>
                    <th scope="row">{t('School')}</th>
                    <td colSpan={6} className="soft">
                      {t('shown once five readers have read it')}
                    </td>
                  </tr>
                )}
              </tbody>
            </table>
            <table>
              <caption className="hide">{t('Question by question')}</caption>
              <thead>
                <tr>
                  <th>{t('Question')}</th>
                  <th className="num">{t('Right at once, class')}</th>
                  <th className="num">{t('School')}</th>
                  <th>{t('Taken most instead')}</th>
                  <th className="num">{t('Harder than thought')}</th>
                </tr>
              </thead>
              <tbody>
                {questions
                  .filter((q) => !q.after)
                  .map((q) => {
                    const here = of(mine, q),
                      there = school ? of(school, q) : undefined,
                      wrong = there?.wrong ? there : here;
                    return (
                      <tr key={q.id}>
                        <th scope="row">
                          <Tags q={q} /> {q.stem}
                        </th>
                        <td className="num">
                          <Share use={here} />
                        </td>
                        <td className="num">
                          <Share use={there} />
                        </td>
                        <td>{wrong?.wrong ? `“${wrong.wrong}” (${wrong.wrongTimes})` : '–'}</td>
                        <td className="num">
                          {here?.harder == null ? (
                            '–'
                          ) : (
                            <span title={t('from {{n}} answers', { n: here.harderFrom })}>
                              {signed(here.harder)} fm
                            </span>
                          )}
                        </td>
                      </tr>
                    );
                  })}
              </tbody>
            </table>
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
      <th scope="row">{name}</th>
      <td className="num">{use.given}</td>
      <td className="num">{use.handedIn}</td>
      <td className="num">{use.forecast == null ? '–' : percent(use.forecast)}</td>
      <td className="num">{use.score == null ? '–' : percent(use.score)}</td>
      <td className="num">{use.minutes == null ? '–' : `${use.minutes.toFixed(1)} min`}</td>
      <td>{use.last ? dayOf(use.last) : '–'}</td>
    </tr>
  );
}

function Share({ use }: { use: Use['questions'][number] | undefined }) {
  if (!use || use.right == null) return <>–</>;
  return (
    <span className="share">
      <svg width="62" height="10" aria-hidden>
        <rect x=".5" y=".5" width="60" height="9" fill="none" stroke="var(--ink-soft)" />
        <rect x="1" y="1" width={59 * use.right} height="8" fill="var(--depth-5)" />
      </svg>{' '}
      {percent(use.right)} <span className="soft">({use.answered})</span>
    </span>
  );
}
