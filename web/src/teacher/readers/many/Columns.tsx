import type { Api } from '../../../shared/api';
import { detailNames } from '../../../shared/readerDetails';
import { phrase, type Phrase, say, t } from '../../../shared/words';
import { sure } from '../../../shared/sure';
import { Checkbox } from '../../../ui/Checkbox';
import { Notice } from '../../../ui/Page';
import { Select } from '../../../ui/Select';

type ListField = Api<'ListField'>;

const names: Record<ListField, Phrase> = {
  None: phrase('Skip'),
  SourceId: phrase('ID'),
  GivenName: phrase('Given name'),
  FamilyName: phrase('Family name'),
  Name: phrase('Full name'),
  Grade: phrase('Grade'),
  Level: phrase('Level'),
  Class: phrase('Class'),
  GuardianMail: phrase('Guardian email'),
  ...detailNames,
};

/** What each column of a file was taken for, with three of its values, to be changed where it is wrong. */
export function Columns({
  view,
  change,
}: {
  view: Api<'ReadListView'>;
  change: (fields: ListField[], heading: boolean) => void;
}) {
  const set = (column: number, field: ListField) => {
    // A field stands in one column: where it was, nothing is now.
    const without = view.fields.map((f) => (f === field ? 'None' : f));
    change(
      without.map((f, c) => (c === column ? field : f)),
      view.hasHeading,
    );
  };
  return (
    <Notice className="max-h-[40%] flex-none overflow-auto" aria-label={t('Columns of the file')}>
      <p>
        <b>{view.kind}</b>, {t('{{count}} rows', { count: view.rows.length })}. {view.notes.map(say).join(' ')}{' '}
        <Checkbox checked={view.hasHeading} set={(on) => change(view.fields, on)}>
          {t('First row has column names')}
        </Checkbox>
      </p>
      <ul className="mt-1 flex flex-wrap gap-x-5.5 gap-y-1.5">
        {view.headings.map((heading, i) => {
          const name = heading.slice(0, 24) || t('Column {{n}}', { n: i + 1 });
          return (
            <li key={i} className="flex items-center gap-2">
              <b>{name}</b>{' '}
              <Select
                label={t('{{name}} is', { name })}
                bare
                value={view.fields[i] ?? 'None'}
                set={(value) => set(i, value)}
                options={(Object.keys(names) as ListField[]).map((value) => ({ value, label: t(names[value]) }))}
              />
              <span className="text-soft text-sm">
                {sure(view.samples[i])
                  .map((s) => s.slice(0, 22))
                  .join(', ') || t('empty')}
              </span>
            </li>
          );
        })}
      </ul>
    </Notice>
  );
}
