import { cx } from 'class-variance-authority';
import { phrase, t, type Phrase } from '../../shared/words';
import { listed } from '../../shared/format';
import { isDone, ticketWords } from '../../shared/ticketStates';
import { Flag } from '../../ui/Shapes';
import { lanesOf, stacked, type Against, type Results, type Row } from './results';
import { SheetLink } from '../readers/SheetLink';

const lanes: Record<Against, { name: Phrase; water: string }> = {
  Above: { name: phrase('Above forecast'), water: 'bg-depth-1' },
  As: { name: phrase('As forecast'), water: 'bg-depth-2' },
  Below: { name: phrase('Below forecast'), water: 'bg-depth-3' },
};
const order: Against[] = ['Above', 'As', 'Below'];

/** Each reader's share at the first try against the reader's own forecast, in three lanes. */
export function SpreadLanes({ r, name }: { r: Results; name: (id: string) => string }) {
  const by = lanesOf(r.rows);
  return (
    <section aria-labelledby="spread" className="border-line overflow-auto lg:border-r">
      <h2 id="spread" className="flex flex-wrap items-baseline justify-between gap-x-2 px-4 pt-1.5">
        {t('Spread')}
        <span className="font-ui text-soft flex items-center gap-1 text-sm font-normal">
          <svg width="9" height="9" aria-hidden>
            <circle cx="4.5" cy="4.5" r="3.7" fill="var(--color-ink)" />
          </svg>
          {t('first try')}
          <svg width="5" height="10" aria-hidden className="ml-1.5">
            <path d="M2.5 1v9" stroke="var(--color-depth-6)" strokeWidth="1.5" />
          </svg>
          {t('own forecast')}
        </span>
      </h2>
      <p aria-hidden className="text-soft flex justify-between px-4 pb-0.5 text-sm">
        <span>0</span>
        <span>50</span>
        <span>100</span>
      </p>
      {order.map((a) => (
        <Lane key={a} rows={by[a]} against={a} name={name} />
      ))}
      <NotIn r={r} name={name} />
    </section>
  );
}

const width = 248;
const left = 8;
const at = (share: number) => left + share * width;

function Lane({ rows, against, name }: { rows: Row[]; against: Against; name: (id: string) => string }) {
  const dots = stacked(rows.map((x) => x.share ?? 0));
  const top = Math.max(0, ...dots.map((d) => d.level));
  const line = 12 + top * 8.5;
  return (
    <div className={cx('border-line border-t px-4 py-1.5', lanes[against].water)}>
      <h3 className="font-ui flex items-baseline justify-between text-base font-semibold">
        {t(lanes[against].name)}
        <span className="text-sm font-normal">{t('{{count}} readers', { count: rows.length })}</span>
      </h3>
      {rows.length > 0 && (
        <>
          <svg viewBox={`0 0 264 ${line + 8}`} className="w-full max-w-66 overflow-visible" aria-hidden>
            <path d={`M${at(0)} ${line}H${at(1)}`} stroke="var(--color-ink)" />
            {[0, 0.25, 0.5, 0.75, 1].map((x) => (
              <path key={x} d={`M${at(x)} ${line - 3}v3`} stroke="var(--color-ink)" />
            ))}
            {rows.map(
              (x) =>
                x.forecast !== null && (
                  <path
                    key={x.readerId}
                    d={`M${at(x.forecast)} ${line + 1}v6`}
                    stroke="var(--color-depth-6)"
                    strokeWidth="1.5"
                  />
                ),
            )}
            {dots.map((d, i) => (
              <circle key={i} cx={at(d.share)} cy={line - 5 - d.level * 8.5} r="3.7" fill="var(--color-ink)" />
            ))}
          </svg>
          <ul className="mt-1 flex flex-wrap gap-1">
            {rows.map((x) => (
              <li key={x.readerId}>
                <SheetLink readerId={x.readerId} className="inline-block no-underline">
                  <Flag>{name(x.readerId)}</Flag>
                </SheetLink>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

/** Who has not handed in, by state, and whose opening was too short. */
function NotIn({ r, name }: { r: Results; name: (id: string) => string }) {
  const states = [...new Set(r.readers.filter((x) => !isDone(x.state)).map((x) => x.state))];
  const short = r.rows.filter((x) => !x.counts);
  if (states.length + short.length === 0) return null;
  return (
    <dl className="border-ink border-t px-4 py-1.5 text-sm">
      {states.map((s) => (
        <div key={s}>
          <dt className="inline font-semibold">{t(ticketWords[s])}</dt>{' '}
          <dd className="inline">{listed(r.readers.filter((x) => x.state === s).map((x) => name(x.readerId)))}</dd>
        </div>
      ))}
      {short.length > 0 && (
        <div>
          <dt className="inline font-semibold">{t('Not counted')}</dt>{' '}
          <dd className="inline">{listed(short.map((x) => name(x.readerId)))}</dd>
        </div>
      )}
    </dl>
  );
}
