import type { Api } from '../../shared/api';
import { fm } from '../../shared/format';
import { phrase, type Phrase, t } from '../../shared/words';
import { Select } from '../../ui/Select';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';
import type { Giving, GivingState } from './useGiving';

const earlier: Record<Api<'EarlierReading'>, Phrase> = {
  Given: phrase('assigned, not opened'),
  UnderWay: phrase('reading now'),
  Read: phrase('has read it'),
  InLevelCheck: phrase('read in a level check'),
};

/** Each reader with the version they get, which can be chosen, and how it fits. */
export function WhoGetsWhat({ of, texts }: { of: GivingState; texts: Giving['texts'] }) {
  const { rows, skip, versions, setVersions, key } = of;
  return (
    <div
      className="border-ink border-line relative max-h-62 min-h-0 overflow-auto border border-t"
      tabIndex={0}
      role="region"
      aria-label={t('Who gets what')}
    >
      <Table>
        <TableHead>
          <tr>
            <Th>{t('Reader')}</Th>
            {texts.length > 1 && <Th>{t('Text')}</Th>}
            <Th num>{t('Depth')}</Th>
            <Th>{t('Version')}</Th>
            <Th>{t('Fit')}</Th>
            <Th>{t('Before')}</Th>
          </tr>
        </TableHead>
        <TableBody>
          {rows.map(({ f, r, text }) => (
            <tr key={key(text.id, r.id)} className={skip && f.before ? 'text-soft line-through' : undefined}>
              <Th scope="row">
                {r.givenName} {r.familyName}
              </Th>
              {texts.length > 1 && <Td>{text.title}</Td>}
              <Td num>{fm(r.depth)}</Td>
              <Td>
                {text.versions.length > 1 ? (
                  <Select
                    label={t('Version for {{name}}', { name: r.called })}
                    bare
                    value={versions[key(text.id, r.id)] ?? f.versionId}
                    set={(value) => setVersions({ ...versions, [key(text.id, r.id)]: value })}
                    options={text.versions.map((v) => ({
                      value: v.id,
                      label: `${fm(v.depth)} fm${v.id === f.versionId ? ` (${t('fits')})` : ''}`,
                    }))}
                  />
                ) : (
                  `${fm(f.versionDepth)} fm`
                )}
              </Td>
              <Td>
                <Forecast
                  of={f.versions.find((v) => v.versionId === (versions[key(text.id, r.id)] ?? f.versionId)) ?? f}
                />
              </Td>
              <Td>{f.before ? t(earlier[f.before]) : ''}</Td>
            </tr>
          ))}
        </TableBody>
      </Table>
    </div>
  );
}

/** The forecast of the version that stands beside it, whoever chose that. */
function Forecast({ of }: { of: { forecast: number; zone: string } }) {
  return (
    <>
      {t('{{n}}%', { n: of.forecast })}
      {of.zone === 'Frustration' && `, ${t('too deep')}`}
      {of.zone === 'Independent' && `, ${t('easy')}`}
    </>
  );
}
