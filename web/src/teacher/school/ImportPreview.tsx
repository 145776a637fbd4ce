import { useState } from 'react';
import type { Api } from '../../shared/api';
import { number } from '../../shared/format';
import { phrase, type Phrase, say, t } from '../../shared/words';
import { Row } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

type Preview = Api<'ImportPreview'>;

type Kind = Api<'RosterKind'>;

const whats: Record<Api<'StepKind'>, Phrase> = {
  Added: phrase('added'),
  Changed: phrase('changed'),
  Moved: phrase('moved'),
  Ended: phrase('ended'),
  Back: phrase('back again'),
};
const kinds: Record<Kind, Phrase> = {
  Readers: phrase('Readers'),
  Teachers: phrase('Teachers'),
  Classes: phrase('Classes'),
  Enrolments: phrase('Enrolments'),
  Teaching: phrase('Teaching'),
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
    <div className="flex flex-wrap items-center gap-2 px-4 py-2">
      <Select
        label={t('Your school in this file')}
        inline
        value={org ?? ''}
        set={(value) => choose(value || null)}
        options={[
          ...(preview.asksOrg ? [{ value: '', label: t('Choose…') }] : []),
          ...preview.orgs.map((o) => ({ value: o.id, label: o.name })),
          { value: '*', label: t('All {{count}} schools', { count: preview.orgs.length }) },
        ]}
      />
      {preview.asksOrg && <span className="text-soft text-sm">{t('Nothing is compared until you choose.')}</span>}
    </div>
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
    <div className="border-ink ml-4 border-l-3 px-4 py-2 pl-3" role="group" aria-label={t('Confirm what ends')}>
      <p>
        <b>{t('This file ends {{what}}.', { what: parts.join(', ') })}</b>{' '}
        {t('That is more than a tenth. Is the file complete?')}
      </p>
      <TextField
        label={t('Type {{number}} to confirm', { number: endings.type ?? 0 })}
        inline
        inputMode="numeric"
        value={typed}
        set={type}
        autoComplete="off"
      />
    </div>
  );
}

export function ImportSummary({ preview: p }: { preview: Preview }) {
  return (
    <>
      <Table fit className="mx-4 mt-1 mb-2">
        <TableHead>
          <tr>
            <Th>{t('Kind')}</Th>
            <Th num>{t('Added')}</Th>
            <Th num>{t('Changed')}</Th>
            <Th num>{t('Ended')}</Th>
            <Th num>{t('Back')}</Th>
          </tr>
        </TableHead>
        <TableBody>
          {p.counts.map((c) => (
            <tr key={c.kind}>
              <Th scope="row">{t(kinds[c.kind])}</Th>
              <Td num>{number(c.added)}</Td>
              <Td num>{number(c.changed)}</Td>
              <Td num>{number(c.ended)}</Td>
              <Td num>{number(c.back)}</Td>
            </tr>
          ))}
        </TableBody>
      </Table>
      <p className="px-4 py-2">
        {p.moved > 0 && <b>{t('{{count}} readers move to another class.', { count: p.moved })} </b>}
        {p.linked > 0 && t('{{count}} people already here were recognised.', { count: p.linked })}{' '}
        {p.steps === 0 && t('The school already matches this file.')}{' '}
        {p.source && (
          <span className="text-soft">
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
      <Row>
        <h2 id="lines">{applied ? t('Changes made') : t('Changes to make')}</h2>
        <Select
          label={t('Show')}
          inline
          value={kind}
          set={setKind}
          options={[
            { value: '', label: t('Everything') },
            ...kindsInOrder.map((k) => ({ value: k, label: t(kinds[k]) })),
          ]}
        />
      </Row>
      <ul className="[&>li]:border-line max-h-100 overflow-auto px-4 [&>li]:border-t [&>li]:py-0.75">
        {p.lines
          .filter((l) => !kind || l.kind === kind)
          .map((l, i) => (
            <li key={i}>
              <span className="inline-block min-w-21 font-semibold">{t(whats[l.what])}</span> {say(l.name)}{' '}
              <span className="text-soft">{say(l.detail)}</span>
            </li>
          ))}
      </ul>
      {p.linesInAll > p.lines.length && (
        <p className="text-soft px-4 py-2 text-sm">
          {t('First {{n}} of {{all}}. Changes and ends come first.', {
            n: number(p.lines.length),
            all: number(p.linesInAll),
          })}
        </p>
      )}
    </section>
  );
}
