import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { api, ok, type Api } from '../shared/api';
import { keys } from '../shared/keys';
import { homeOf, inOwnWords } from '../shared/language';
import { Block } from '../shared/paragraphs';
import type { Session } from '../shared/session';
import { TextDrawing } from '../shared/TextDrawing';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { PageTitle } from '../ui/PageTitle';
import { Show } from '../ui/Show';

/** This week's text to read with a child: what it is, and the way to it. */
export function ThisWeeksText({ child, of }: { child: string; of: NonNullable<Api<'ChildView'>['together']> }) {
  return (
    <section className="border-line flex flex-wrap gap-5 border-t">
      {of.picture !== null && (
        <TextDrawing textId={of.textId} shows={of.picture} className="border-line w-44 self-start rounded-sm border" />
      )}
      <div className="grid min-w-60 flex-1 content-start gap-1.5">
        <h3>{t('Read together this week')}</h3>
        <b className="font-serif">{of.title}</b>
        <p>{of.blurb}</p>
        <p className="text-soft">{t('{{count}} words', { count: of.words })}</p>
        <Button asChild className="justify-self-start">
          <Link to={`/together/${child}`}>{t('Read {{title}}', { title: of.title })}</Link>
        </Button>
      </div>
    </section>
  );
}

/** The text itself, with the words to know in the language of the home. */
export function ReadTogether({ session }: { session: Session }) {
  const { readerId = '' } = useParams();
  const text = useQuery({
    queryKey: keys.together(readerId),
    queryFn: () => ok(api.GET('/guardian/children/{readerId}/together', { params: { path: { readerId } } })),
  });
  const home = homeOf(session.language);
  return (
    <Show query={text}>
      {(x) => (
        <article className="border-ink bg-paper grid gap-4 rounded-[14px] border-[1.5px] px-8 py-6">
          <p>
            <Link to="/">{t('Back')}</Link>
          </p>
          <PageTitle className="text-2xl leading-9">{x.title}</PageTitle>
          {home !== 'en' && <p className="text-soft">{t('This text is in English.')}</p>}
          <div className="font-first grid gap-3 text-xl leading-9" lang="en">
            {x.pages.flat().map((p, i) => (
              <Block key={i} text={p} heading="h2" />
            ))}
          </div>
          {x.wordsToKnow.length > 0 && (
            <section aria-labelledby="words">
              <h2 id="words" className="text-xl">
                {t('Words to know')}
              </h2>
              <dl className="mt-2 grid gap-2">
                {x.wordsToKnow.map((w) => (
                  <div key={w.text}>
                    <dt className="font-semibold" lang="en">
                      {w.text}
                    </dt>
                    <dd>
                      {w.atHome ? <span lang={home}>{w.atHome}</span> : <span lang="en">{w.meaning}</span>}
                      {w.atHome === '' && (
                        <span className="text-soft">
                          {' '}
                          {t('Not yet in {{language}}.', { language: inOwnWords[home] })}
                        </span>
                      )}
                    </dd>
                  </div>
                ))}
              </dl>
            </section>
          )}
          {x.ask && (
            <section aria-labelledby="ask" className="border-depth-5 border-l-3 pl-3.5">
              <h2 id="ask" className="text-xl">
                {t('Ask afterwards')}
              </h2>
              <p lang="en">{x.ask.question}</p>
              <p className="text-soft">
                {t('One answer:')} <span lang="en">{x.ask.answer}</span>
              </p>
            </section>
          )}
          <section>
            <h2 className="text-xl">{t('How to read together')}</h2>
            <ul className="list-disc pl-6">
              <li>{t('Take turns: you a page, your child a page.')}</li>
              <li>{t('Wait a moment before you help with a word.')}</li>
              <li>{t('Ask what may happen next, in the language you speak at home.')}</li>
            </ul>
          </section>
        </article>
      )}
    </Show>
  );
}
