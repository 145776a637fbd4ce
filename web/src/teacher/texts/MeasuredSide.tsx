import { dayOf, fm, gradeName, halfRange } from '../../shared/format';
import { say, t } from '../../shared/words';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';
import type { Version } from './TextPage';

/** How deep a version is, and how that was measured. */
export function MeasuredSide({ v }: { v: Version }) {
  const m = v.measure;
  const used = m.formulas.filter((f) => f.weight > 0);
  const x = (grade: number) => 4 + (Math.max(-1, Math.min(12, grade)) + 1) * 13;
  return (
    <section aria-labelledby="how">
      <h2 id="how">
        {t('Depth {{depth}} fm', { depth: fm(v.depth) })}{' '}
        <span className="font-ui text-soft text-sm font-normal">
          ± {halfRange(v.depthError).toFixed(1)}, {t('typical of {{level}}', { level: say(v.levelName) })}
        </span>
      </h2>
      {v.stated && (
        <p className="text-sm">
          <b>
            {t('Overruled by {{name}}, {{day}}:', {
              name: v.stated.by ?? t('a former colleague'),
              day: dayOf(v.stated.at),
            })}
          </b>{' '}
          “{v.stated.reason}”{' '}
          {t('Calculated depth: {{depth}} ± {{error}} fm.', {
            depth: fm(v.formulaDepth),
            error: halfRange(v.formulaError).toFixed(1),
          })}
        </p>
      )}
      <FromWhere v={v} />
      <p className="text-sm">
        {t('{{words}} words, {{sentences}} sentences of {{each}} words on average, {{distinct}} different words.', {
          words: m.words,
          sentences: m.sentences,
          each: (m.words / m.sentences).toFixed(1),
          distinct: m.distinctWords,
        })}
        {m.short && ` ${t('Under 100 words: depth is approximate.')}`}
      </p>
      <Table className="[&_caption]:pb-1 [&_caption]:text-left">
        <caption className="sr-only">{t('Formulas compared')}</caption>
        <TableHead>
          <tr>
            <Th>{t('Formula')}</Th>
            <Th num>{t('Grade')}</Th>
            <Th>
              <span className="sr-only">{t('weight shown by size')}</span>
              <svg width="176" height="16" className="overflow-visible" aria-hidden>
                {[0, 3, 6, 9, 12].map((grade) => (
                  <text key={grade} x={x(grade)} y="12" textAnchor="middle" fill="var(--color-ink)" fontSize="13">
                    {gradeName(grade)}
                  </text>
                ))}
              </svg>
            </Th>
          </tr>
        </TableHead>
        <TableBody>
          {used.map((f) => (
            <tr key={f.formula}>
              <Th scope="row">{f.formula}</Th>
              <Td num>{f.grade.toFixed(1).replace('-', '−')}</Td>
              <Td>
                <svg width="176" height="14" aria-hidden>
                  <path d="M4 7H172" stroke="var(--color-line)" />
                  <circle cx={x(f.grade)} cy="7" r={2 + f.weight * 1.6} fill="var(--color-depth-6)" />
                  <path d={`M${x(m.gradeEquivalent)} 0v14`} stroke="var(--color-overlay)" strokeWidth="2" />
                </svg>
              </Td>
            </tr>
          ))}
        </TableBody>
      </Table>
      <p className="text-soft text-sm">
        {t('Combined, with {{rarity}} grades for rare words: grade {{grade}} (the line).', {
          rarity: (m.rarityGrades >= 0 ? '+' : '−') + Math.abs(m.rarityGrades).toFixed(1),
          grade: m.gradeEquivalent.toFixed(1),
        })}
      </p>
      {m.rarestWords.length > 0 && (
        <p className="text-sm">
          {t('Rarest words:')} {m.rarestWords.join(', ')}
        </p>
      )}
      {m.longestSentences[0] && (
        <p className="text-sm">
          {t('Longest sentence ({{count}} words):', { count: m.longestSentences[0].words })} “
          {m.longestSentences[0].sentence}”
        </p>
      )}
    </section>
  );
}

/** What the formulas say, what readers' answers say, and how much each weighs. */
function FromWhere({ v }: { v: Version }) {
  const shown = v.shown;
  if (!shown)
    return <p className="text-soft text-sm">{t('From the formulas only: fewer than five readers have answered.')}</p>;
  const rows = [
    { name: t('formulas'), depth: v.formulaDepth, weight: 1 - shown.weight },
    ...(shown.alone == null ? [] : [{ name: t('answers'), depth: shown.alone, weight: shown.weight }]),
  ];
  const low = Math.min(...rows.map((r) => r.depth), shown.depth) - 3,
    high = Math.max(...rows.map((r) => r.depth), shown.depth) + 3;
  const x = (d: number) => 4 + ((d - low) / (high - low)) * 168;
  return (
    <Table className="[&_caption]:pb-1 [&_caption]:text-left">
      <caption className="text-sm">
        {t('From the formulas and from {{count}} readers’ answers', { count: shown.readers })}
      </caption>
      <TableHead>
        <tr>
          <Th>{t('Source')}</Th>
          <Th num>fm</Th>
          <Th>{t('weight shown by size')}</Th>
          <Th num>{t('Weight')}</Th>
        </tr>
      </TableHead>
      <TableBody>
        {rows.map((r) => (
          <tr key={r.name}>
            <Th scope="row">{r.name}</Th>
            <Td num>{fm(r.depth)}</Td>
            <Td>
              <svg width="176" height="14" aria-hidden>
                <path d="M4 7H172" stroke="var(--color-line)" />
                <circle cx={x(r.depth)} cy="7" r={2 + r.weight * 5} fill="var(--color-depth-6)" />
                <path d={`M${x(shown.depth)} 0v14`} stroke="var(--color-overlay)" strokeWidth="2" />
              </svg>
            </Td>
            <Td num>{t('{{n}}%', { n: Math.round(r.weight * 100) })}</Td>
          </tr>
        ))}
      </TableBody>
    </Table>
  );
}
