import { cx } from 'class-variance-authority';
import { CaretRight, Clock } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Directions } from '../../ui/Reader';
import { islandLook } from '../../ui/looks';
import { directionsOf } from '../../shared/directions';
import { DirectionsOf } from '../DirectionsOf';
import { PutBack } from '../PutBack';
import { toTicket, type MyTicket } from '../queries';
import { RefusedNote } from '../RefusedNote';
import { Checks } from './Checks';
import { dueWords, late, lengthWords, startOf, terms } from './ticketWords';

const Reminder = () => (
  <span className="flex items-center gap-2">
    <Clock size={24} aria-hidden className="flex-none" />
    {t('Your teacher reminds you of this.')}
  </span>
);

const NewMark = () => (
  <span className="border-overlay text-overlay self-center rounded-sm border-2 px-1.5 leading-6 font-bold">
    {t('New')}
  </span>
);

/** What is asked of a reader, down a lead line: the most pressing at the surface. */
export function Asked({ open, today, isNew }: { open: MyTicket[]; today: string; isNew: (id: string) => boolean }) {
  const [next, ...rest] = open;
  return (
    <section
      aria-labelledby="next"
      className={cx(
        'bg-depth-2 before:bg-ink after:bg-ink relative px-7 pt-5.5 pb-16 pl-20 before:absolute before:top-0',
        'before:bottom-13 before:left-[39px] before:w-0.5 after:absolute after:bottom-7 after:left-8 after:h-6.5',
        'md:border-ink after:w-4 after:[clip-path:polygon(50%_0,100%_100%,0_100%)] md:border-r',
        'max-sm:pr-4 max-sm:pl-14 max-sm:before:left-5 max-sm:after:left-[13px]',
      )}
    >
      <RefusedNote />
      <Checks />
      <h2 id="next" className="mb-7.5 text-[22px] leading-7">
        {t('Next for you')}
      </h2>
      <Next ticket={next} today={today} fresh={next !== undefined && isNew(next.id)} />
      {next?.chosen && <PutBack ticketId={next.id} title={next.title} />}
      {rest.length > 0 && (
        <ol className="mt-9" aria-label={t('After that')}>
          {rest.map((k, i) => (
            <li key={k.id} className="relative border-[#a5ccd4] [&+li]:border-t">
              <Knot />
              {k.heading && k.heading !== rest[i - 1]?.heading && (
                <p className="text-soft pt-2 font-semibold">{k.heading}</p>
              )}
              <Link
                to={toTicket(k)}
                className={cx(
                  'group grid min-h-11 grid-cols-[minmax(0,1fr)_24px] items-center py-2.5 no-underline',
                  'hover:bg-depth-1',
                )}
              >
                <span className="grid">
                  <span className="flex flex-wrap gap-x-2.5">
                    <b className="font-serif text-xl leading-7 group-hover:underline">{k.title}</b>
                    {isNew(k.id) && <NewMark />}
                  </span>
                  {k.reminded && <Reminder />}
                  {k.state === 'SentBack' && <span>{t('Your teacher sent this back.')}</span>}
                  <Facts k={k} today={today} />
                  {k.directions && <span className="text-soft line-clamp-2">{directionsOf(k).words}</span>}
                </span>
                <CaretRight size={24} aria-hidden />
              </Link>
              {k.chosen && <PutBack ticketId={k.id} title={k.title} />}
            </li>
          ))}
        </ol>
      )}
      <p className="text-soft absolute bottom-7 left-20 max-sm:left-14">
        {open.length > 0 ? t('That is all for now.') : ''}
      </p>
    </section>
  );
}

/** A knot of the lead line, beside what hangs on it. */
const Knot = ({ here = false }: { here?: boolean }) => (
  <i
    aria-hidden
    className={cx(
      'absolute rounded-full',
      here
        ? 'border-overlay top-6 -left-[50px] size-5 border-3 max-sm:-left-[45px] ' +
            'bg-[radial-gradient(circle,var(--color-overlay)_4px,var(--color-paper)_5px)]'
        : 'border-ink bg-paper top-4.5 -left-[47px] size-3.5 border-2 max-sm:-left-[42px]',
    )}
  />
);

const Facts = ({ k, today }: { k: MyTicket; today: string }) => (
  <span>
    {k.dueOn && <b className={cx(k.dueOn > today && 'font-normal')}>{dueWords(k, today)}. </b>}
    {[lengthWords(k), ...terms(k)].filter(Boolean).join(' · ')}
  </span>
);

/** The one thing to go on with. */
function Next({ ticket: next, today, fresh }: { ticket: MyTicket | undefined; today: string; fresh: boolean }) {
  if (!next)
    return (
      <article className={cx(islandLook({ kind: 'next' }), 'm-0!')}>
        <h3>{t('All done')}</h3>
        <p>{t('Nothing to read now. Your teacher will choose more.')}</p>
      </article>
    );
  return (
    <div className="relative">
      <Knot here />
      <article className={cx(islandLook({ kind: 'next' }), 'm-0! mb-11!')}>
        {next.heading && <p className="text-soft">{next.heading}</p>}
        {next.dueOn && (
          <p className="flex items-center gap-2 font-semibold">
            {(late(next, today) || next.dueOn === today) && <Clock size={24} aria-hidden />}
            {dueWords(next, today)}
          </p>
        )}
        <h3 className="flex flex-wrap gap-x-2.5">
          {next.title} {fresh && <NewMark />}
        </h3>
        {next.reminded && <Reminder />}
        {next.comment ? (
          <>
            <p>{t('Your teacher sent this back.')}</p>
            <Directions>{next.comment}</Directions>
          </>
        ) : (
          <p>{next.blurb}</p>
        )}
        <DirectionsOf of={next} />
        <p>
          {[lengthWords(next), ...terms(next)].filter(Boolean).join(' · ')}
          {next.state === 'UnderWay' && next.answered > 0 && ` ${t('What you answered is kept.')}`}
        </p>
        <Button asChild look="main" size="reader">
          <Link to={toTicket(next)} aria-label={`${startOf(next)}: ${next.title}`}>
            {startOf(next)}
          </Link>
        </Button>
      </article>
    </div>
  );
}
