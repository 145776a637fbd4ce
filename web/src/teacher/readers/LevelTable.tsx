import { cx } from 'class-variance-authority';
import { fm } from '../../shared/format';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import { Button } from '../../ui/Button';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

type Props = {
  rows: ClassData['levelChart'];
  own: string[];
  level: number;
  /** The reader's own grade, as a row of the chart. */
  grade?: number;
  choose: (level: number) => void;
};

/** The level chart beside the choice: depth, grade, school year, age and the school's own labels, side by side. */
export function LevelTable({ rows, own, level, grade, choose }: Props) {
  const here = rows.findIndex((r) => level <= r.depth);
  return (
    <div className="text-sm">
      <Table>
        <caption className="pb-1 text-left font-semibold">{t('Typical at the end of the grade')}</caption>
        <TableHead>
          <tr>
            <Th>{t('Grade')}</Th>
            <Th>{t('School year')}</Th>
            <Th>{t('Age')}</Th>
            {own.map((name) => (
              <Th key={name}>{name}</Th>
            ))}
            <Th num>fm</Th>
          </tr>
        </TableHead>
        <TableBody>
          {rows.map((r, i) => (
            <tr
              key={r.grade}
              className={cx('hover:bg-depth-1 cursor-pointer', i === here && 'bg-tint font-semibold')}
              onClick={() => choose(r.depth)}
            >
              <Td>
                {r.grade}
                {i === grade && <span className="text-soft font-normal"> {t('their grade')}</span>}
              </Td>
              <Td>{r.schoolYear}</Td>
              <Td>{r.ages}</Td>
              {own.map((name, c) => (
                <Td key={name}>{r.own[c]}</Td>
              ))}
              <Td num>
                <Button
                  size="sm"
                  aria-label={t('Start at {{fm}} fm, end of grade {{grade}}', { fm: fm(r.depth), grade: r.grade })}
                  onClick={(e) => {
                    e.stopPropagation();
                    choose(r.depth);
                  }}
                >
                  {fm(r.depth)}
                </Button>
              </Td>
            </tr>
          ))}
        </TableBody>
      </Table>
    </div>
  );
}
