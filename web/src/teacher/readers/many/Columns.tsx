import type { Api } from '../../../shared/api';
import { detailNames } from '../../../shared/readerDetails';
import { t } from '../../../shared/words';
import { sure } from '../../../shared/sure';

type ListField = Api<'ListField'>;

const names: Record<ListField, string> = {
  None: 'Skip',
  SourceId: 'ID',
  GivenName: 'Given name',
  FamilyName: 'Family name',
  Name: 'Full name',
  Grade: 'Grade',
  Level: 'Level',
  Class: 'Class',
  GuardianMail: 'Guardian email',
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
  const set = (column: number, field: ListField) =>
    change(
      view.fields.map((f, c) => (c === column ? field : f === field ? 'None' : f)),
      view.hasHeading,
    );
  return (
    <section className="remarks columns" aria-label={t('Columns of the file')}>
      <p>
        <b>{view.kind}</b>, {t('{{count}} rows', { count: view.rows.length })}. {view.notes.join(' ')}{' '}
        <label>
          <input type="checkbox" checked={view.hasHeading} onChange={(e) => change(view.fields, e.target.checked)} />{' '}
          {t('A row names the columns')}
        </label>
      </p>
      <ul>
        {view.headings.map((heading, i) => {
          const name = heading.slice(0, 24) || t('Column {{n}}', { n: i + 1 });
          return (
            <li key={i}>
              <label>
                <b>{name}</b>{' '}
                <select
                  aria-label={t('{{name}} is', { name })}
                  value={view.fields[i] ?? 'None'}
                  onChange={(e) => set(i, e.target.value as ListField)}
                >
                  {Object.entries(names).map(([key, label]) => (
                    <option key={key} value={key}>
                      {t(label)}
                    </option>
                  ))}
                </select>
              </label>
              <span className="hint">
                {sure(view.samples[i])
                  .map((s) => s.slice(0, 22))
                  .join(', ') || t('empty')}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
