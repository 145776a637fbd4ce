import { t } from '../../shared/words';
import { Checkbox } from '../../ui/Checkbox';
import type { GivingState } from './useGiving';

/** The same for everybody of other classes, all at once. */
export function AlsoIn({ of, skip = false }: { of: GivingState['also']; skip?: boolean }) {
  if (of.classes.length === 0) return null;
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1 text-sm font-semibold">{t('Also for everybody in')}</legend>
      <div className="flex flex-wrap gap-x-4">
        {of.classes.map((c) => (
          <Checkbox key={c.id} checked={of.chosen.includes(c.id)} set={(on) => of.toggle(c.id, on)}>
            {c.name}
          </Checkbox>
        ))}
      </div>
      {of.outlooks.map((o) => {
        const getting = o.fits.filter((f) => !skip || !f.before);
        const n = (zone: string) => getting.filter((f) => f.zone === zone).length;
        return (
          <p key={o.classId} className="text-sm">
            {o.fits.length === 0 && t('{{name}}: {{count}} readers.', { name: o.name, count: o.readers })}
            {o.fits.length > 0 &&
              t('{{name}}: {{n}} within reach, {{easy}} easy, {{deep}} too deep, {{had}} have had it.', {
                name: o.name,
                n: n('Instructional'),
                easy: n('Independent'),
                deep: n('Frustration'),
                had: o.fits.filter((f) => f.before).length,
              })}
          </p>
        );
      })}
    </fieldset>
  );
}
