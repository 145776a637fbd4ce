import { Link, useOutletContext } from 'react-router';
import { dayOf } from '../../shared/format';
import { phrase, say, t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { seasonWords, useChecks, type CheckRow } from './checkQueries';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { SegmentLinks } from '../../ui/Segments';
import { Empty, Show } from '../../ui/Show';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';

/** The two views of what readers are given. */
export function AssignmentTabs({ classId }: { classId: string }) {
  return (
    <SegmentLinks
      label={t('Assignment views')}
      links={(
        [
          ['', 'Texts'],
          ['/checks', 'Level checks'],
        ] as const
      ).map(([path, name]) => ({ to: `/class/${classId}/assignments${path}`, name: t(name) }))}
    />
  );
}

const when = (k: CheckRow) =>
  k.draft
    ? t('draft')
    : k.closedAt
      ? t('ended {{day}}', { day: dayOf(k.closedAt) })
      : `${k.opensOn ? dayOf(k.opensOn) : dayOf(k.madeAt)}${k.closesOn ? ` – ${dayOf(k.closesOn)}` : ''}`;

/** Level checks of a class, the latest first. */
export default function Checks() {
  const { data } = useOutletContext<Place>();
  const all = useChecks(data.id);
  return (
    <ListPage>
      <PageHead title={t('Assignments')} beside={<AssignmentTabs classId={data.id} />}>
        <Button asChild look="main">
          <Link to="new">{t('New level check')}</Link>
        </Button>
      </PageHead>
      <Show query={all}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No level check yet')}>
              <p>
                {t(
                  phrase(
                    'A level check measures many readers at once: words, meanings, a maze passage, and texts ' +
                      'with questions chosen for each reader.',
                  ),
                )}
              </p>
              <Button asChild look="main">
                <Link to="new">{t('New level check')}</Link>
              </Button>
            </Empty>
          ) : (
            <CheckTable rows={rows} base="" />
          )
        }
      </Show>
    </ListPage>
  );
}

/** A list of checks. */
export function CheckTable({ rows, base }: { rows: CheckRow[]; base: string }) {
  return (
    <TableScroll label={t('Level checks')}>
      <TableHead>
        <tr>
          <Th>{t('Level check')}</Th>
          <Th>{t('Readers see')}</Th>
          <Th>{t('Window')}</Th>
          <Th>{t('When')}</Th>
          <Th>{t('By')}</Th>
          <Th num>{t('Readers')}</Th>
          <Th num>{t('Under way')}</Th>
          <Th num>{t('Finished')}</Th>
        </tr>
      </TableHead>
      <TableBody>
        {rows.map((k) => (
          <tr key={k.id}>
            <Th scope="row">
              <Link to={`${base}${k.id}${k.draft ? '/change' : ''}`}>{say(k.name)}</Link>
            </Th>
            <Td>{k.readerTitle}</Td>
            <Td>{k.season ? t(seasonWords[k.season]) : ''}</Td>
            <Td>{when(k)}</Td>
            <Td>{k.by}</Td>
            <Td num>{k.draft ? '' : k.readers}</Td>
            <Td num>{k.draft ? '' : k.open}</Td>
            <Td num>{k.draft ? '' : t('{{n}} of {{of}}', { n: k.finished, of: k.readers })}</Td>
          </tr>
        ))}
      </TableBody>
    </TableScroll>
  );
}
