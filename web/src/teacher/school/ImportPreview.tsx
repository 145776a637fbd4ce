import { useState } from 'react';
import type { Api } from '../../shared/api';
import { number } from '../../shared/format';
import { t } from '../../shared/words';

type Preview = Api<'ImportPreview'>;

type Kind = Api<'RosterKind'>;

const whats: Record<Api<'StepKind'>, string> = {
  Added: 'added',
  Changed: 'changed',
  Moved: 'moved',
  Ended: 'ended',
  Back: 'back again',
};
const kinds: Record<Kind, string> = {
  Readers: 'Readers',
  Teachers: 'Teachers',
  Classes: 'Classes',
  Enrolments: 'Enrolments',
  Teaching: 'Teaching',
};
const kindsInOrder = Object.keys(kinds) as Kind[];

/** Which school of a file of several is this one. */
export function ImportOrg({
  preview,
  org,
  choose,
}: {
  preview: Preview;
  org: string | null;
  choose: (org: string | null) => void;
}) {
  return (
    <p className="remarks">
      <label>
        {t('Your school in this file')}{' '}
        <select value={org ?? ''} onChange={(e) => choose(e.target.value || null)}>
          {preview.asksOrg && <option value="">{t('Choose…')}</option>}
          {preview.orgs.map((o) => (
            <option key={o.id} value={o.id}>
              {o.name}
            </option>
          ))}
          <option value="*">{t('All {{count}} schools', { count: preview.orgs.length })}</option>
        </select>
      </label>{' '}
      {preview.asksOrg && <span className="hint">{t('Nothing is compared until you choose.')}</span>}
    </p>
  );
}

/** More than a tenth would end: said in figures, done when the number is typed. */
export function ImportEndings({
  endings,
  typed,
  type,
}: {
  endings: Preview['endings'];
  typed: string;
  type: (text: string) => void;
}) {
  const parts = (
    [
      [t('{{ended}} of {{count}} readers', { ended: endings.readers, count: endings.ofReaders }), endings.readers],
      [t('{{ended}} of {{count}} teachers', { ended: endings.adults, count: endings.ofAdults }), endings.adults],
      [t('{{ended}} of {{count}} classes', { ended: endings.classes, count: endings.ofClasses }), endings.classes],
    ] as const
  )
    .filter(([, ended]) => ended > 0)
    .map(([part]) => part);
  return (
    <div className="remarks endings" role="group" aria-label={t('Confirm what ends')}>
      <p>
        <b>{t('This file ends {{what}}.', { what: parts.join(', ') })}</b>{' '}
        {t('That is more than a tenth. Is the file complete?')}
      </p>
      <label htmlFor="ends">{t('Type {{number}} to confirm', { number: endings.type ?? 0 })}</label>{' '}
      <input
        id="ends"
        type="text"
        inputMode="numeric"
        value={typed}
        onChange={(e) => type(e.target.value)}
        autoComplete="off"
      />
    </div>
  );
}

export function ImportSummary({ preview: p }: { preview: Preview }) {
  return (
    <>
      <table className="counts">
        <thead>
          <tr>
            <th>{t('Kind')}</th>
            <th className="num">{t('Added')}</th>
            <th className="num">{t('Changed')}</th>
            <th className="num">{t('Ended')}</th>
            <th className="num">{t('Back')}</th>
          </tr>
        </thead>
        <tbody>
          {p.counts.map((c) => (
            <tr key={c.kind}>
              <th scope="row">{t(kinds[c.kind])}</th>
              <td className="num">{number(c.added)}</td>
              <td className="num">{number(c.changed)}</td>
              <td className="num">{number(c.ended)}</td>
              <td className="num">{number(c.back)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="remarks">
        {p.moved > 0 && <b>{t('{{count}} readers move to another class.', { count: p.moved })} </b>}
        {p.linked > 0 && t('{{count}} people already here were recognised.', { count: p.linked })}{' '}
        {p.steps === 0 && t('The school already matches this file.')}{' '}
        {p.source && (
          <span className="soft">
            {t('Source: {{name}}. A file ends only what its own source brought.', { name: p.source })}
          </span>
        )}
      </p>
    </>
  );
}

export function ImportLines({ preview: p, applied }: { preview: Preview; applied: boolean }) {
  const [kind, setKind] = useState('');
  if (p.lines.length === 0) return null;
  return (
    <section aria-labelledby="lines">
      <h2 id="lines">
        {applied ? t('Changes made') : t('Changes to make')}{' '}
        <label className="small">
          {t('Show')}{' '}
          <select value={kind} onChange={(e) => setKind(e.target.value)}>
            <option value="">{t('Everything')}</option>
            {kindsInOrder.map((k) => (
              <option key={k} value={k}>
                {t(kinds[k])}
              </option>
            ))}
          </select>
        </label>
      </h2>
      <ul className="lines">
        {p.lines
          .filter((l) => !kind || l.kind === kind)
          .map((l, i) => (
            <li key={i}>
              <span className="what">{t(whats[l.what])}</span> {l.name} <span className="soft">{l.detail}</span>
            </li>
          ))}
      </ul>
      {p.linesInAll > p.lines.length && (
        <p className="hint remarks">
          {t('First {{n}} of {{all}}. Changes and ends come first.', {
            n: number(p.lines.length),
            all: number(p.linesInAll),
          })}
        </p>
      )}
    </section>
  );
}
