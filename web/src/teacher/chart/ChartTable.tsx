import { fm, signed } from '../../shared/format';
import { t } from '../../shared/words';
import type { ClassData, ReaderRow } from '../classQueries';
import { SetMark } from '../readers/SetMark';
import { forecast } from './forecast';

/** The same facts as the chart, as rows. */
export function ChartTable({
  readers,
  texts,
  open,
}: {
  readers: ReaderRow[];
  texts: ClassData['texts'];
  open: (id: string) => void;
}) {
  return (
    <div className="scroll" tabIndex={0} role="region" aria-label={t('Readers and texts as a table')}>
      <table>
        <thead>
          <tr>
            <th>{t('Reader')}</th>
            <th className="num">{t('Depth')}</th>
            <th>{t('90 % range')}</th>
            <th>{t('Reach')}</th>
            <th className="num">{t('Six weeks')}</th>
            <th>{t('Group')}</th>
            {texts.map((x) => (
              <th key={x.textId} className="num">
                {x.title}
                <br />
                <span className="soft">{fm(x.depth)} fm</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {readers.map((r) => (
            <tr key={r.id}>
              <th scope="row">
                <button className="link" onClick={() => open(r.id)}>
                  {r.givenName} {r.familyName}
                </button>
              </th>
              <td className="num">{fm(r.depth)}</td>
              <td>{r.levelSet ? <SetMark /> : `${fm(r.low)}–${fm(r.high)}`}</td>
              <td>
                {fm(r.reachFrom)}–{fm(r.reachTo)}
              </td>
              <td className="num">{r.sixWeeks == null ? '–' : signed(r.sixWeeks)}</td>
              <td>{r.group ?? '–'}</td>
              {texts.map((x) => (
                <td key={x.textId} className="num">
                  {forecast(r.depth, x.depth)} %
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
