import { Link } from 'react-router';
import { cx } from 'class-variance-authority';
import { fm, halfRange } from '../../shared/format';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import { Flag } from '../../ui/Shapes';
import { calledIn, type ClassData } from '../classQueries';
import { begun, partNames, partNow, type Check, type Sitting } from './checkQueries';
import { FlagMark } from './FlagMark';

type Column = { name: string; sittings: Sitting[] };

/** Readers by their groups; of several classes by class. */
function columnsOf(k: Check, data: ClassData | undefined): Column[] {
  const classes = [...new Set(k.sittings.map((s) => s.class ?? ''))];
  const of = (name: string, sittings: Sitting[]): Column => ({ name, sittings });
  const columns =
    classes.length > 1 || !data
      ? classes.map((c) =>
          of(
            c,
            k.sittings.filter((s) => (s.class ?? '') === c),
          ),
        )
      : data.groups.map((g) =>
          of(
            g.name,
            k.sittings.filter((s) => g.readerIds.includes(s.readerId)),
          ),
        );
  const placed = new Set(columns.flatMap((c) => c.sittings.map((s) => s.id)));
  const rest = k.sittings.filter((s) => !placed.has(s.id));
  const filled = columns.filter((c) => c.sittings.length > 0);
  return rest.length > 0 ? [...filled, of(filled.length > 0 ? t('no group') : t('Readers'), rest)] : filled;
}

/** Where everybody is: each group's lead line, its readers at the part they are in. */
export function OnTheLine({ k, data }: { k: Check; data: ClassData | undefined }) {
  const columns = columnsOf(k, data);
  const within: In = { data, called: calledIn(data) };
  const parts = k.plan.parts.map((p) => p.part);
  const at = (s: Sitting) => (begun(s) ? (partNow(s)?.part ?? 'done') : 'none');
  const rows = ['none', ...parts, 'done'] as const;
  const count = (row: (typeof rows)[number]) => k.sittings.filter((s) => at(s) === row).length;
  return (
    <div
      className="border-ink min-h-0 flex-1 overflow-auto border-t"
      role="region"
      aria-label={t('Where everyone is')}
      tabIndex={0}
    >
      <table className="h-full w-full border-separate border-spacing-0">
        <thead className="bg-sand sticky top-0 z-2">
          <tr>
            <th className="border-ink w-36 border-b px-4 text-left">
              <span className="sr-only">{t('Part')}</span>
            </th>
            {columns.map((c) => (
              <th key={c.name} scope="col" className="border-ink border-l-line h-8.5 border-b border-l px-3 text-left">
                <b className="font-serif text-base font-semibold">{c.name}</b>{' '}
                <span className="text-soft text-sm font-normal">
                  {t('{{count}} readers', { count: c.sittings.length })}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={row} className={waters[Math.min(waters.length - 1, i)]}>
              <th scope="row" className="border-depth-4 border-b px-4 py-2 text-left align-top font-normal">
                <b className="block font-serif font-semibold first-letter:uppercase">
                  {row === 'none' && t('Not started')}
                  {row === 'done' && t('Finished')}
                  {row !== 'none' && row !== 'done' && t(partNames[row])}
                </b>
                <span className="text-soft text-sm">
                  {row === 'done'
                    ? t('{{n}} of {{of}}', { n: count(row), of: k.sittings.length })
                    : t('{{count}} readers', { count: count(row) })}
                </span>
              </th>
              {columns.map((c) => (
                <td
                  key={c.name}
                  className="border-depth-4 border-l-line relative border-b border-l px-3 py-2 align-top"
                >
                  {row !== 'done' && <Rope top={row === 'none'} />}
                  {row === 'done' && <Weight />}
                  <ul className={cx('grid justify-items-start gap-1', row === 'done' ? 'pt-8' : 'min-h-8 pl-9')}>
                    {c.sittings
                      .filter((s) => at(s) === row)
                      .map((s) => (
                        <li key={s.id} className="relative">
                          {row === 'done' ? <Outcome s={s} within={within} /> : <Place s={s} within={within} />}
                        </li>
                      ))}
                  </ul>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const waters = ['bg-paper', 'bg-depth-1', 'bg-depth-1', 'bg-depth-2', 'bg-depth-2', 'bg-depth-3'];

/** A stretch of the line: from the float, or from the knot above to the knot at its foot. */
const Rope = ({ top }: { top: boolean }) => (
  <span aria-hidden>
    <i className={cx('bg-ink absolute bottom-0 left-6 w-0.5', top ? 'h-3.5' : 'top-0')} />
    {top ? (
      <i className="bg-ink absolute bottom-3.5 left-3.5 h-1 w-5.5 rounded-full" />
    ) : (
      <i className="bg-ink absolute -bottom-1.25 left-4.75 z-1 h-2.5 w-3.5 rounded-full" />
    )}
  </span>
);

const Weight = () => (
  <span aria-hidden>
    <i className="bg-ink absolute top-0 left-6 h-2.5 w-0.5" />
    <i className="bg-ink absolute top-2 left-4 h-4.5 w-4.5 [clip-path:polygon(30%_0,70%_0,100%_100%,0_100%)]" />
  </span>
);

type In = { data: ClassData | undefined; called: ReturnType<typeof calledIn> };

const nameOf = (s: Sitting, { data, called }: In) =>
  data ? (
    <Link className="no-underline" to={`/class/${data.id}/readers/${s.readerId}`}>
      {called(s.readerId, s.givenName)}
    </Link>
  ) : (
    `${s.givenName} ${s.familyName}`
  );

/** A reader at the part they are in. */
function Place({ s, within }: { s: Sitting; within: In }) {
  const part = partNow(s);
  const in_ = part?.state === 'UnderWay';
  return (
    <>
      {begun(s) && (
        <i aria-hidden className="bg-ink absolute top-3 -left-6.5 h-px w-6.5">
          <i className="border-ink bg-paper absolute -top-1 -left-1 size-2 rounded-full border" />
        </i>
      )}
      <Flag>
        {nameOf(s, within)}
        {in_ && part.asked > 0 && (
          <span className="text-soft font-normal">
            {' '}
            {t('{{n}}/{{of}}', { n: part.answered, of: part.asked })}
            <span className="sr-only"> {t('answered')}</span>
          </span>
        )}
        {part?.flag === 'Missing' && <FlagMark of="Missing" />}
      </Flag>
    </>
  );
}

/** What a check came to for a reader: the level before and now, and what is doubtful. */
function Outcome({ s, within }: { s: Sitting; within: In }) {
  const doubt = s.parts.map((p) => p.flag).find((f) => f !== 'Fine');
  return (
    <span className="flex flex-wrap items-baseline gap-x-2">
      <b className="font-semibold">{nameOf(s, within)}</b>
      <span>
        {s.after == null
          ? fm(s.before)
          : t('{{before}} → {{after}} ± {{range}}', {
              before: fm(s.before),
              after: fm(s.after),
              range: halfRange(sure(s.sd)).toFixed(1),
            })}
      </span>
      {doubt && <FlagMark of={doubt} />}
    </span>
  );
}
