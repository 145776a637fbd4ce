import { fm } from '../../shared/format';
import type { Fields } from '../../shared/forms';
import { phrase, t } from '../../shared/words';
import { FormFault, Submit } from '../../ui/Form';
import { SidePanel } from '../../ui/Page';
import type { ClassData } from '../classQueries';
import type { Choices } from './checkQueries';
import { aboutDepth, minutesOf, totalMinutes, type CheckForm } from './plan';

type Props = {
  data: ClassData | undefined;
  form: Fields<CheckForm>;
  choices: Choices;
  depth: number;
  /** How many would take it, as far as that is known. */
  readers: number | undefined;
  given: boolean;
};

/** What the button says that keeps a check without giving it. */
export const asDraft = 'draft';

const wide = 150;

/** What a check will be for those who take it, and the button that gives it. */
export function CheckSide({ data, form: fields, choices, depth, readers, given }: Props) {
  const form = fields.values;
  const give = readers ? t('Give check to {{count}} readers', { count: readers }) : t('Give check');
  const nobody = form.plan.parts.length === 0;
  return (
    <SidePanel aria-labelledby="sum" className="max-lg:overflow-visible">
      <div className="grid content-start gap-4 px-4.5 py-3.5">
        <h2 id="sum">{t('What happens')}</h2>
        <p>
          <b className="font-serif text-xl font-semibold">
            {t('about {{n}} min', { n: Math.round(totalMinutes(form.plan, choices, depth)) })}
          </b>{' '}
          {t('for a reader at about {{depth}} fm', { depth: fm(depth) })}
        </p>
        {readers !== undefined && <p>{t('{{count}} readers take it.', { count: readers })}</p>}
        {data && data.groups.length > 0 && <GroupMinutes data={data} form={form} choices={choices} />}
        <section className="grid gap-1.5">
          <h3 className="text-base">{t('What readers see first')}</h3>
          <div className="border-ink bg-paper grid gap-1.5 rounded-md border px-4 py-3">
            <p className="flex items-center justify-between gap-2">
              <b className="font-serif text-lg font-semibold">{form.readerTitle || t('Reading check')}</b>
              <span className="border-ink rounded-md border px-3 py-1 font-semibold">{t('Start')}</span>
            </p>
            {form.directions && <p>{form.directions}</p>}
            <p>{t(phrase('Every part starts with a practice question. You can stop and come back.'))}</p>
          </div>
        </section>
      </div>
      <div className="border-ink mt-auto grid gap-2 border-t px-4.5 py-3.5">
        <FormFault of={fields} />
        {nobody && <p className="text-soft text-sm">{t('Choose at least one part.')}</p>}
        <Submit of={fields} disabled={nobody}>
          {given ? t('Save') : give}
        </Submit>
        {!given && (
          <Submit of={fields} look="outline" value={asDraft}>
            {t('Save as draft')}
          </Submit>
        )}
      </div>
    </SidePanel>
  );
}

/** What the parts take each group, for its middle reader. */
function GroupMinutes({ data, form, choices }: { data: ClassData; form: CheckForm; choices: Choices }) {
  const rows = data.groups
    .filter((g) => g.readerIds.length > 0)
    .map((g) => {
      const depths = data.readers.filter((r) => g.readerIds.includes(r.id)).map((r) => r.depth);
      const depth = aboutDepth(form.plan, depths);
      return { name: g.name, parts: form.plan.parts.map((p) => minutesOf(p, form.plan, choices, depth)) };
    });
  const most = Math.max(1, ...rows.map((r) => r.parts.reduce((a, b) => a + b, 0)));
  return (
    <section className="grid gap-1" aria-labelledby="minutes">
      <h3 id="minutes" className="text-base">
        {t('Minutes')} <span className="text-soft text-sm font-normal">{t('for each group’s middle reader')}</span>
      </h3>
      <ul className="grid gap-0.5 text-sm">
        {rows.map((r) => (
          <li key={r.name} className="grid grid-cols-[72px_1fr_auto] items-center gap-2">
            <span className="truncate">{r.name}</span>
            <svg width={wide} height="16" aria-hidden>
              {r.parts.map((m, i) => (
                <rect
                  key={i}
                  x={(wide / most) * r.parts.slice(0, i).reduce((a, b) => a + b, 0) + 0.5}
                  y=".5"
                  width={Math.max(1, (wide / most) * m - 1)}
                  height="15"
                  fill={`var(--color-depth-${Math.min(5, i + 2)})`}
                  stroke="var(--color-ink)"
                />
              ))}
            </svg>
            <span className="tabular-nums">{Math.round(r.parts.reduce((a, b) => a + b, 0))}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
