import { cx } from 'class-variance-authority';
import { useSession } from '../../shared/session';
import { gradeOptions } from '../../shared/format';
import { t } from '../../shared/words';
import { allGroups, type ClassData } from '../classQueries';
import type { Aims } from './plan';
import { Checkbox } from '../../ui/Checkbox';

const flip = <T,>(all: T[], one: T) => (all.includes(one) ? all.filter((x) => x !== one) : [...all, one]);

/** Whole classes, groups, single readers; whole grades for a lead. */
export function WhoTakesIt({
  data,
  aims,
  change,
}: {
  data: ClassData | undefined;
  aims: Aims;
  change: (a: Aims) => void;
}) {
  const session = useSession().data;
  const classes = (session?.classes ?? []).filter((c) => !c.closed);
  return (
    <div
      className={cx(
        'grid gap-2.5 [&_fieldset]:flex [&_fieldset]:flex-wrap [&_fieldset]:gap-x-4',
        '[&_fieldset]:gap-y-0.5 [&_legend]:text-sm [&_legend]:font-semibold',
      )}
    >
      {classes.length > 0 && (
        <fieldset>
          <legend>{t('Classes')}</legend>
          {classes.map((c) => (
            <Checkbox
              key={c.id}
              checked={aims.classIds.includes(c.id)}
              set={() => change({ ...aims, classIds: flip(aims.classIds, c.id) })}
            >
              {c.name} <span className="text-soft">{c.readers}</span>
            </Checkbox>
          ))}
        </fieldset>
      )}
      {data && allGroups(data).length > 0 && (
        <fieldset>
          <legend>{t('Groups of {{name}}', { name: data.name })}</legend>
          {allGroups(data).map((g) => (
            <Checkbox
              key={g.id}
              checked={aims.groupIds.includes(g.id)}
              set={() => change({ ...aims, groupIds: flip(aims.groupIds, g.id) })}
            >
              {g.name} <span className="text-soft">{g.readerIds.length}</span>
            </Checkbox>
          ))}
        </fieldset>
      )}
      {session?.lead && (
        <fieldset>
          <legend>{t('Whole grades of the school')}</legend>
          {gradeOptions.map(({ value: g, label }) => (
            <Checkbox
              key={g}
              checked={aims.grades.includes(g)}
              set={() => change({ ...aims, grades: flip(aims.grades, g) })}
            >
              {label}
            </Checkbox>
          ))}
        </fieldset>
      )}
      {data && (
        <fieldset>
          <legend>{t('Readers of {{name}}', { name: data.name })}</legend>
          {data.readers.map((r) => (
            <Checkbox
              key={r.id}
              checked={aims.classIds.includes(data.id) || aims.readerIds.includes(r.id)}
              disabled={aims.classIds.includes(data.id)}
              set={() => change({ ...aims, readerIds: flip(aims.readerIds, r.id) })}
            >
              {r.givenName} {r.familyName}
            </Checkbox>
          ))}
        </fieldset>
      )}
    </div>
  );
}
