import { fm } from '../../shared/format';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';

type Props = { rows: ClassData['levelChart']; own: string[]; level: number; choose: (level: number) => void };

/** The level chart beside the choice: depth, grade, school year, age and the school's own labels, side by side. */
export function LevelTable({ rows, own, level, choose }: Props) {
  const here = rows.findIndex((r) => level <= r.depth);
  return (
    <div className="levels">
      <table>
        <caption>{t('Typical at the end of the grade')}</caption>
        <thead>
          <tr>
            <th>{t('Grade')}</th>
            <th>{t('School year')}</th>
            <th>{t('Age')}</th>
            {own.map((name) => (
              <th key={name}>{name}</th>
            ))}
            <th className="num">fm</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => (
            <tr key={r.grade} className={i === here ? 'on' : undefined}>
              <td>{r.grade}</td>
              <td>{r.schoolYear}</td>
              <td>{r.ages}</td>
              {own.map((name, c) => (
                <td key={name}>{r.own[c]}</td>
              ))}
              <td className="num">
                <button
                  type="button"
                  className="btn small"
                  aria-label={t('Start at {{fm}} fm, end of grade {{grade}}', { fm: fm(r.depth), grade: r.grade })}
                  onClick={() => choose(r.depth)}
                >
                  {fm(r.depth)}
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
