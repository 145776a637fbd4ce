import { fm, signed } from '../../shared/format';
import { t } from '../../shared/words';
import type { ClassData, ReaderRow } from '../classQueries';
import { SetMark } from '../readers/SetMark';
import { forecast } from '../../shared/forecast';
import { TextButton } from '../../ui/Button';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';

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
    <TableScroll label={t('Readers and texts as a table')}>
      <TableHead>
        <tr>
          <Th>{t('Reader')}</Th>
          <Th num>{t('Depth')}</Th>
          <Th>{t('90% range')}</Th>
          <Th>{t('Reach')}</Th>
          <Th num>{t('Six weeks')}</Th>
          <Th>{t('Group')}</Th>
          {texts.map((x) => (
            <Th num key={x.textId}>
              {x.title}
              <br />
              <span className="text-soft">{fm(x.depth)} fm</span>
            </Th>
          ))}
        </tr>
      </TableHead>
      <TableBody>
        {readers.map((r) => (
          <tr key={r.id}>
            <Th scope="row">
              <TextButton className="font-medium" onClick={() => open(r.id)}>
                {r.givenName} {r.familyName}
              </TextButton>
            </Th>
            <Td num>{fm(r.depth)}</Td>
            <Td>{r.levelSet ? <SetMark /> : `${fm(r.low)}–${fm(r.high)}`}</Td>
            <Td>
              {fm(r.reachFrom)}–{fm(r.reachTo)}
            </Td>
            <Td num>{r.sixWeeks == null ? '–' : signed(r.sixWeeks)}</Td>
            <Td>{r.group ?? '–'}</Td>
            {texts.map((x) => (
              <Td num key={x.textId}>
                {t('{{n}}%', { n: forecast(r.depth, x.depth) })}
              </Td>
            ))}
          </tr>
        ))}
      </TableBody>
    </TableScroll>
  );
}
