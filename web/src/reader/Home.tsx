import { cx } from 'class-variance-authority';
import { BellRinging, SignOut } from '@phosphor-icons/react';
import { useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { dayOf, percent, today } from '../shared/format';
import { useLeave, type Session } from '../shared/session';
import { pictureOf } from '../shared/paragraphs';
import { scoreOf } from '../shared/scores';
import { ofText, type TaskKind } from '../shared/taskKinds';
import { t } from '../shared/words';
import { KeptNote } from './KeptNote';
import { ChooseNext, PutBack } from './ChooseNext';
import { checkOf, useMyChecks } from './check/checkQueries';
import { useAhead } from './offline/kept';
import { useOutbox } from './offline/outbox';
import { forgetKept } from './offline/store';
import { forgetFiles } from './offline/worker';
import { finished, toResult, toTicket, useMine, workOf, type MyTicket, type Work } from './queries';
import { taskOf } from './task/useTask';
import { RefusedNote } from './RefusedNote';
import { Button } from '../ui/Button';
import { Directions, ReaderBar, ReaderPage, bigPlate, islandLook } from '../ui/Reader';
import { Show } from '../ui/Show';
import { LanguageSwitch } from '../shared/LanguageSwitch';
import { PageTitle } from '../ui/PageTitle';

const late = (k: MyTicket) => k.dueOn != null && k.dueOn < today();
const due = (k: MyTicket, day: string) =>
  late(k) ? t('was due {{day}}', { day: dayOf(day) }) : t('due {{day}}', { day: dayOf(day) });
/** How much it is wanted, where it is done, and until when. */
const terms = (k: MyTicket) =>
  [
    k.need === 'Extra' && t('extra'),
    k.need === 'Recommended' && t('if you like'),
    k.place === 'AtHome' && t('at home'),
    k.place === 'AtSchool' && t('at school'),
    k.dueOn && due(k, k.dueOn),
    k.closesOn && t('open until {{day}}', { day: dayOf(k.closesOn) }),
  ].filter((x) => x !== false && x !== null && x !== '');
/** How much it is, by what there is to do. */
const lengths: Record<TaskKind, (k: MyTicket) => (string | false)[]> = {
  Text: (k) => [
    t('{{count}} words', { count: k.words }),
    t('{{count}} questions', { count: k.questions }),
    k.aloud && t('to read aloud'),
  ],
  Quiz: (k) => [t('{{count}} questions', { count: k.questions })],
  Recording: (k) => [t('{{count}} words', { count: k.words }), t('to read aloud')],
  Written: () => [t('to write')],
  Words: (k) => [t('{{count}} words to practise', { count: k.toPractise })],
  Link: () => [t('a page to open')],
};
const length = (k: MyTicket) => lengths[k.kind](k).filter(Boolean).join(', ');
/** What the button says that leads to it. */
function startOf(k: MyTicket) {
  const reads = k.kind === 'Text' || k.kind === 'Recording';
  if (k.state === 'UnderWay') return reads ? t('Continue reading') : t('Continue');
  return reads ? t('Start reading') : t('Start');
}

/** What is next, what comes after, and what is finished. */
export function Home({ session }: { session: Session }) {
  const mine = useMine();
  const leave = useLeave();
  const navigate = useNavigate();
  useFetchAhead(mine.data ?? []);
  useOutbox();
  const signOut = async () => {
    const next = await leave(session);
    void forgetKept(session.id ?? '');
    void forgetFiles();
    await navigate(next.handedOver ? `/read/${next.handedOver.code}` : '/read');
  };
  return (
    <ReaderPage>
      <ReaderBar>
        <PageTitle>{t('My reading')}</PageTitle>
        <KeptNote />
        <span className="grow" />
        <b>{session.name}</b>
        <LanguageSwitch session={session} size="reader" />
        <Button size="reader" onClick={() => void signOut()}>
          <SignOut size={24} aria-hidden />
          {t('Sign out')}
        </Button>
      </ReaderBar>
      <Show query={mine}>
        {(all) => {
          const open = all.filter((k) => !finished(k)),
            done = all.filter(finished);
          const next = open.find((k) => k.state === 'UnderWay') ?? open[0];
          const rest = open.filter((k) => k !== next);
          return (
            <main
              className={cx(
                'mx-auto grid max-w-280 gap-10 px-6 pt-8 pb-12 max-md:grid-cols-1',
                'md:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] [&_article+h2]:mt-10 [&_h2]:mb-3',
                '[&_h2]:text-[22px] [&_h2]:leading-8 [&_section_section]:mt-10 [&_ul+h2]:mt-10',
              )}
            >
              <section aria-labelledby="next">
                <RefusedNote />
                <Checks />
                <h2 id="next">{t('Next for you')}</h2>
                <Next ticket={next} />
                {next?.chosen && <PutBack ticketId={next.id} title={next.title} />}
                {rest.length > 0 && (
                  <>
                    <h2>{t('After that')}</h2>
                    <ul className="grid gap-2">
                      {rest.map((k) => (
                        <li key={k.id}>
                          <Link className={bigPlate} to={toTicket(k)}>
                            {k.heading && <span className="text-soft">{k.heading}</span>}
                            <b>{k.title}</b>
                            {k.reminded && <Reminder />}
                            {k.state === 'SentBack' && <span>{t('Your teacher sent this back.')}</span>}
                            <span className="text-soft">{[length(k), ...terms(k)].join(' · ')}</span>
                          </Link>
                          {k.chosen && <PutBack ticketId={k.id} title={k.title} />}
                        </li>
                      ))}
                    </ul>
                  </>
                )}
                <ChooseNext />
              </section>
              <Finished tickets={done} />
            </main>
          );
        }}
      </Show>
    </ReaderPage>
  );
}

/** What a reader has to do comes to the device while there is a network: texts, quizzes, voices, pictures. */
function useFetchAhead(tickets: MyTicket[]) {
  const client = useQueryClient();
  const checks = useMyChecks().data ?? [];
  const files = (said: unknown) => {
    const w = said as Work;
    return [
      ...(w.sound ? [`/api/my/tickets/${w.id}/sound`] : []),
      ...w.pages.flat().flatMap((p) => {
        const picture = pictureOf(p);
        return picture ? [`/api/pictures/${picture.name}`] : [];
      }),
    ];
  };
  useAhead(client, [
    ...checks.map((k) => checkOf(k.id)),
    ...tickets
      .filter((k) => !finished(k))
      .map((k) => (ofText(k.kind) ? { ...workOf(k.id), sounds: files } : taskOf(k.id))),
  ]);
}

/** Level checks stand on top. */
function Checks() {
  const checks = useMyChecks().data ?? [];
  return (
    <>
      {checks.map((k) => (
        <article key={k.id} className={islandLook({ kind: 'next' })}>
          <h2>{k.title}</h2>
          <p className="text-soft">
            {t('{{count}} parts left', { count: k.left })}
            {k.closesOn && ` · ${t('until {{day}}', { day: dayOf(k.closesOn) })}`}
          </p>
          <Button asChild look="main" size="reader">
            <Link to={`/check/${k.id}`} aria-label={`${k.begun ? t('Continue') : t('Start')}: ${k.title}`}>
              {k.begun ? t('Continue') : t('Start')}
            </Link>
          </Button>
        </article>
      ))}
    </>
  );
}

const Reminder = () => (
  <span className="flex items-center gap-2">
    <BellRinging size={24} aria-hidden className="flex-none" />
    {t('Your teacher reminds you of this.')}
  </span>
);

/** The one thing to go on with. */
function Next({ ticket: next }: { ticket: MyTicket | undefined }) {
  if (!next)
    return (
      <article className={islandLook({ kind: 'next' })}>
        <h3>{t('All done')}</h3>
        <p>{t('Nothing to read now. Your teacher will choose more.')}</p>
      </article>
    );
  return (
    <article className={islandLook({ kind: 'next' })}>
      {next.heading && <p className="text-soft">{next.heading}</p>}
      <h3>{next.title}</h3>
      {next.reminded && <Reminder />}
      {next.comment ? (
        <>
          <p>{t('Your teacher sent this back.')}</p>
          <Directions>{next.comment}</Directions>
        </>
      ) : (
        <p>{next.blurb}</p>
      )}
      {next.directions && <Directions>{next.directions}</Directions>}
      <p className="text-soft">{[length(next), ...terms(next)].join(' · ')}</p>
      <Button asChild look="main" size="reader">
        <Link to={toTicket(next)} aria-label={`${startOf(next)}: ${next.title}`}>
          {startOf(next)}
        </Link>
      </Button>
    </article>
  );
}

function Finished({ tickets: done }: { tickets: MyTicket[] }) {
  const week = new Date();
  week.setDate(week.getDate() - 7);
  const words = done.filter((k) => !k.handedInAt || new Date(k.handedInAt) > week).reduce((s, k) => s + k.words, 0);
  return (
    <section aria-labelledby="done">
      <h2 id="done">{t('Finished')}</h2>
      <p className="mb-3.5">
        {words > 0 ? t('You read {{count}} words this week.', { count: words }) : t('No text finished yet this week.')}
      </p>
      <ul className="grid gap-2">
        {done.slice(0, 12).map((k) => (
          <li key={k.id}>
            <Link className={bigPlate} to={toResult(k)}>
              <b>{k.title}</b>
              <span className="text-soft">
                {k.handedInAt ? dayOf(k.handedInAt) : t('not sent yet')}
                {k.handedInAt && k.state !== 'Released' && ` · ${t('your teacher is reading it')}`}
                {k.state === 'Released' &&
                  k.score != null &&
                  ` · ${k.kind === 'Written' ? scoreOf(k.kind, k.score) : t('{{share}} on the first try', { share: percent(k.score) })}`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
