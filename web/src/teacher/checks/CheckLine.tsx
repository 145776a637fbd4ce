import { useState, type ReactNode } from 'react';
import { cx } from 'class-variance-authority';
import { halfRange } from '../../shared/format';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { partAbout, partNames, partOrder, type Choices } from './checkQueries';
import { type Knot, type Line, linesOf, lineTop } from './checkLine';
import { PartWindow, skipWords } from './PartWindow';
import { withPart, type PartPlan, type Plan } from './plan';

type Props = {
  plan: Plan;
  choices: Choices;
  depth: number;
  locked: boolean;
  change: (p: Plan) => void;
  children: ReactNode;
};

/** A check as a lead line let down into the water: its knots are the parts, its depth is minutes. */
export function CheckLine({ plan, choices, depth, locked, change, children }: Props) {
  const [open, setOpen] = useState<PartPlan | null>(null);
  const { lines, perMinute, bottom } = linesOf(plan, choices, depth);
  const one = lines.length === 1;
  const out = partOrder.filter((name) => !plan.parts.some((p) => p.part === name));
  const put = (name: PartPlan['part'], on: boolean) =>
    change(withPart(plan, sure(choices.usual.find((p) => p.part === name)), on, partOrder));
  const beside = (
    <div className={cx('grid content-start gap-3', !one && 'lg:grid-cols-2')}>
      <div className="border-ink bg-paper rounded-sm border px-4 py-3">{children}</div>
      {out.length > 0 && (
        <section className="grid content-start gap-1.5" aria-labelledby="not-in">
          <h2 id="not-in" className="text-base">
            {t('Not in this check')}
          </h2>
          {out.map((name) => (
            <div key={name} className="border-soft bg-paper rounded-sm border border-dashed px-3 py-1.5 text-sm">
              <Checkbox checked={false} disabled={locked} set={() => put(name, true)}>
                <b className="inline-block first-letter:uppercase">{t(partNames[name])}</b>
              </Checkbox>
              <p className="text-soft">{t(partAbout[name])}</p>
            </div>
          ))}
        </section>
      )}
    </div>
  );
  return (
    <div className={cx(one && 'lg:grid lg:grid-cols-[max-content_minmax(0,1fr)]')}>
      <div className="relative min-w-0 overflow-x-auto">
        <div className="relative min-w-max" style={{ minHeight: bottom }}>
          <Water perMinute={perMinute} height={bottom} />
          <div className="relative flex">
            <div className="w-20 flex-none" />
            {lines.map((line, i) => (
              <section
                key={line.knots[0]?.part.part ?? 'none'}
                className={cx('relative flex-none', one ? 'w-131 max-lg:w-105' : 'w-72')}
                style={{ height: bottom }}
                aria-label={lines.length > 1 ? t('Day {{n}}', { n: i + 1 }) : t('Parts')}
              >
                <Rope line={line} fixed={plan.form.length > 0} />
                {lines.length > 1 && (
                  <p className="absolute top-0 left-18 font-semibold">{t('Day {{n}}', { n: i + 1 })}</p>
                )}
                {line.knots.map((k) => (
                  <PartCard
                    key={k.part.part}
                    knot={k}
                    plan={plan}
                    wide={one}
                    locked={locked}
                    out={() => put(k.part.part, false)}
                    edit={() => setOpen(k.part)}
                  />
                ))}
                <p className="absolute left-18 font-serif text-xl font-semibold" style={{ top: line.bottom + 8 }}>
                  {t('about {{n}} min', { n: Math.round(line.minutes) })}
                </p>
              </section>
            ))}
          </div>
        </div>
      </div>
      <div className={cx('bg-depth-3 border-ink px-4 py-4', one ? 'max-lg:border-t lg:border-l' : 'border-t')}>
        {beside}
      </div>
      {open && (
        <PartWindow
          part={open}
          plan={plan}
          locked={locked}
          close={() => setOpen(null)}
          save={(part) => change({ ...plan, parts: plan.parts.map((p) => (p.part === part.part ? part : p)) })}
        />
      )}
    </div>
  );
}
/** A part's card at its knot. */
function PartCard({
  knot,
  plan,
  wide,
  locked,
  out,
  edit,
}: {
  knot: Knot;
  plan: Plan;
  /** Whether there is one line, with room beside it. */
  wide: boolean;
  locked: boolean;
  out: () => void;
  edit: () => void;
}) {
  const name = knot.part.part;
  const skips = skipWords(knot.part);
  // A short part's card has room for one line.
  const low = knot.bottom - knot.top < 66;
  return (
    <article
      aria-label={t(partNames[name])}
      className={cx(
        'border-ink bg-paper absolute left-18 grid content-start rounded-sm border px-3 py-1 text-sm',
        wide ? 'w-105 max-lg:w-84' : 'w-54',
      )}
      style={{ top: knot.top, minHeight: knot.bottom - knot.top }}
    >
      <span className="flex items-baseline gap-2">
        <Checkbox checked disabled={locked} set={out}>
          <b className="inline-block font-serif text-base font-semibold first-letter:uppercase">{t(partNames[name])}</b>
        </Checkbox>
        {wide && <span className="whitespace-nowrap">{t('about {{n}} min', { n: Math.round(knot.minutes) })}</span>}
        <Button
          size="sm"
          look="plain"
          className="ml-auto"
          onClick={edit}
          aria-label={t('Edit {{name}}…', { name: t(partNames[name]) })}
        >
          {t('Edit…')}
        </Button>
      </span>
      <p className={cx('text-soft', low && 'truncate')} title={t(partAbout[name])}>
        {t(partAbout[name])}
      </p>
      {name === 'Passages' && plan.form.length === 0 && (
        <p>
          {t('Up to {{count}} passages. Stops when the level is known to ± {{fm}} fm.', {
            count: plan.mostPassages,
            fm: halfRange(plan.sureAt).toFixed(1),
          })}
        </p>
      )}
      {skips && <p>{skips}</p>}
    </article>
  );
}

/** The line itself, from the float to the weight. */
function Rope({ line, fixed }: { line: Line; fixed: boolean }) {
  const end = line.bottom;
  return (
    <svg width="60" height={end + 40} className="absolute top-0 left-0" aria-hidden fill="var(--color-ink)">
      <path d={`M16 ${lineTop - 16}h28`} stroke="var(--color-ink)" strokeWidth="4" strokeLinecap="round" />
      <path d={`M30 ${lineTop - 16}V${end + 8}`} stroke="var(--color-ink)" strokeWidth="2.5" />
      {line.knots.flatMap((k) =>
        Array.from({ length: k.ties }, (_, i) => {
          const y = k.top + ((i + 0.5) / k.ties) * (k.bottom - k.top);
          return (
            <g key={`${k.part.part} ${i}`} transform={`translate(30 ${y})`}>
              <path d="M8 0h34" stroke="var(--color-ink)" strokeWidth="1.2" />
              {i === 0 || fixed ? (
                <>
                  <ellipse rx="9" ry="7" />
                  <path d="M-7 -2.500c5 2 9 2 14 0M-7 2c5 2 9 2 14 0" stroke="var(--color-paper)" fill="none" />
                </>
              ) : (
                <ellipse rx="8" ry="6" fill="var(--color-paper)" stroke="var(--color-ink)" strokeDasharray="3 2" />
              )}
            </g>
          );
        }),
      )}
      <path d={`M25 ${end + 6}h10l5 22h-20z`} />
    </svg>
  );
}

const ten = 10;

/** Water that is deeper by ten minutes at each line, and the ruler beside it. */
function Water({ perMinute, height }: { perMinute: number; height: number }) {
  const steps = Array.from({ length: Math.ceil((height - lineTop) / (ten * perMinute)) }, (_, i) => i);
  const marks = Array.from({ length: Math.floor((height - lineTop - 8) / (5 * perMinute)) + 1 }, (_, i) => i * 5);
  return (
    <div className="absolute inset-0 overflow-hidden text-sm" aria-hidden>
      {steps.map((i) => (
        <div
          key={i}
          className="border-depth-4 absolute inset-x-0 border-t"
          style={{
            top: lineTop + i * ten * perMinute,
            height: i === steps.length - 1 ? height : ten * perMinute,
            background: `var(--color-depth-${Math.min(4, i + 1)})`,
          }}
        />
      ))}
      <span className="absolute top-1.5 left-3">{t('min')}</span>
      <svg width="60" height={height} className="absolute top-0 left-0">
        {marks.map((m, i) => (
          <g key={m} transform={`translate(0 ${lineTop + m * perMinute})`}>
            <text x="36" y="4" textAnchor="end" fill="var(--color-ink)">
              {m}
            </text>
            {i < marks.length - 1 && (
              <rect
                x="46"
                width="7"
                height={5 * perMinute}
                fill={i % 2 === 0 ? 'var(--color-ink)' : 'var(--color-paper)'}
                stroke="var(--color-ink)"
              />
            )}
          </g>
        ))}
      </svg>
    </div>
  );
}
