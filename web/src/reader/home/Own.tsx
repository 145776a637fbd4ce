import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import type { Home } from '../queries';

/** A part of what is the reader's own: a heading, perhaps a link beside it, and what stands under it. */
export const OwnPart = ({
  id,
  title,
  beside,
  children,
}: {
  id: string;
  title: string;
  beside?: ReactNode;
  children: ReactNode;
}) => (
  <section aria-labelledby={id} className="border-line [&+section]:mt-4 [&+section]:border-t [&+section]:pt-4">
    <div className="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2 id={id} className="text-[22px] leading-7">
        {title}
      </h2>
      {beside}
    </div>
    {children}
  </section>
);

/** What the teacher answered to notes, until it was looked at. */
export function Answered({ home }: { home: Home }) {
  const [newest] = home.answered;
  if (!newest) return null;
  return (
    <OwnPart id="answered" title={t('{{name}} answered', { name: newest.answeredBy ?? t('Your teacher') })}>
      {home.answered.map((n) => (
        <div key={n.id} className="mt-1.5">
          <p className="text-soft">“{n.words || n.quote}”</p>
          <p className="border-depth-5 my-1 border-l-3 pl-3.5">“{n.answer}”</p>
          <p>
            <Link className="inline-block py-2" to={`/text/${n.ticketId}?page=${n.page + 1}&note=${n.id}`}>
              {t('{{title}}, page {{n}}', { title: n.title, n: n.page + 1 })}
            </Link>
          </p>
        </div>
      ))}
    </OwnPart>
  );
}

/** Words that were kept, and the way to practise some. */
export function Kept({ home }: { home: Home }) {
  const { all, due, first } = home.words;
  if (all === 0) return null;
  const more = all - first.length;
  return (
    <OwnPart id="kept" title={t('Kept words')}>
      <div className="mt-1.5 flex items-center gap-3">
        <p className="grow">
          {first.join(', ')}
          {more > 0 && ` ${t('and {{count}} more', { count: more })}`}
        </p>
        <Button asChild size="reader">
          <Link to="/words">{due > 0 ? t('Practise {{n}}', { n: due }) : t('See all')}</Link>
        </Button>
      </div>
    </OwnPart>
  );
}
