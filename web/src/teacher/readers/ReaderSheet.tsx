import { X } from '@phosphor-icons/react';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { percent, shortDay } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { ticketWords } from '../../shared/ticketStates';
import { t } from '../../shared/words';
import { useReader } from '../classQueries';
import { DepthScale, Trail } from './DepthPieces';
import { GoalBar, rangeWords, Strands } from './ReaderPieces';

/** One reader beside the list: the list narrows and is never covered. Esc closes. */
export default function ReaderSheet({
  classId,
  readerId,
  close,
}: {
  classId: string;
  readerId: string;
  close: () => void;
}) {
  const reader = useReader(readerId);
  const box = useRef<HTMLElement>(null);
  useEffect(() => {
    box.current?.focus();
  }, []);
  return (
    // Escape closes it from wherever the focus is in it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <aside
      className="sheet"
      aria-label={t('Reader')}
      tabIndex={-1}
      ref={box}
      onKeyDown={(e) => {
        if (e.key === 'Escape') close();
      }}
    >
      <Show query={reader}>
        {(r) => (
          <>
            <header>
              <div>
                <h2>
                  {r.givenName} {r.familyName}
                  <span>
                    {[r.group, t('grade {{grade}}', { grade: r.grade === 0 ? 'K' : r.grade })]
                      .filter(Boolean)
                      .join(', ')}
                  </span>
                </h2>
              </div>
              <Link className="btn plain small" to={`/class/${classId}/readers/${r.id}`}>
                {t('Open profile')}
              </Link>
              <button className="btn plain small square" aria-label={t('Close')} onClick={close}>
                <X size={20} aria-hidden />
              </button>
            </header>
            <section>
              <h3>
                {t('Depth and reach')}
                <span>{rangeWords(r)}</span>
              </h3>
              <DepthScale r={r} />
            </section>
            <section>
              <h3>{t('This school year')}</h3>
              <Trail r={r} />
            </section>
            <section className="pair">
              <div>
                <h3>{t('Goals')}</h3>
                {r.goals.length === 0 ? (
                  <p className="soft small">{t('No goals this term.')}</p>
                ) : (
                  r.goals.map((g) => <GoalBar key={g.kind} goal={g} />)
                )}
              </div>
              <div>
                <h3>
                  {t('Strands')}
                  <span>{t('12 weeks, 90% range')}</span>
                </h3>
                <Strands strands={r.strands} />
              </div>
            </section>
            <section>
              <h3>{t('Last readings')}</h3>
              {r.readings.length === 0 ? (
                <p className="soft small">{t('Nothing read here yet.')}</p>
              ) : (
                <ul className="last">
                  {r.readings.slice(0, 4).map((k) => (
                    <li key={k.ticketId}>
                      <span>{k.handedInAt ? shortDay(k.handedInAt) : t('now')}</span>
                      <Link to={`/class/${classId}/tickets/${k.ticketId}`}>{k.title}</Link>
                      <span>
                        {t('fit')} {percent(k.forecast)}
                      </span>
                      <span>{k.score == null ? t(ticketWords[k.state]) : percent(k.score)}</span>
                    </li>
                  ))}
                </ul>
              )}
            </section>
          </>
        )}
      </Show>
    </aside>
  );
}
