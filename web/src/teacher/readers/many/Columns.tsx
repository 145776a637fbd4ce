import type { Api } from '../../../shared/api';
import { t } from '../../../shared/words';

const names: Record<string, string> = { None: 'leave out', SourceId: 'Id', GivenName: 'Given name', FamilyName: 'Family name', Name: 'Whole name', Grade: 'Grade', Level: 'Level', Class: 'Class', GuardianMail: 'Guardian’s e-mail', HomeLanguage: 'Home language' };

/** What each column of a file was taken for, to be put right. */
export function Columns({ view, change }: { view: Api<'ReadListView'>; change: (fields: string[], heading: boolean) => void }) {
  return (
    <section className="remarks columns" aria-label={t('Columns of the file')}>
      <p><b>{view.kind}</b>, {t('{{count}} rows', { count: view.rows.length })}. {view.notes.join(' ')} <label><input type="checkbox" checked={view.hasHeading} onChange={(e) => change(view.fields, e.target.checked)} /> {t('The first row names the columns')}</label></p>
      <ul>{view.headings.map((heading, i) => (
        <li key={i}><label>“{heading.slice(0, 24) || t('Column {{n}}', { n: i + 1 })}” {t('is')} <select value={view.fields[i] ?? 'None'} onChange={(e) => change(view.fields.map((f, c) => (c === i ? e.target.value : f === e.target.value ? 'None' : f)), view.hasHeading)}>{Object.entries(names).map(([key, name]) => <option key={key} value={key}>{t(name)}</option>)}</select></label></li>
      ))}</ul>
    </section>
  );
}
