import { Link, useOutletContext } from 'react-router';
import { dayOf } from '../../shared/format';
import { phrase, say, t } from '../../shared/words';
import { AssignmentTabs } from '../assignments/AssignmentTabs';
import type { Place } from '../frame/Frame';
import { seasonWords, useChecks, type CheckRow } from './checkQueries';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';

function when(k: CheckRow) {
  if (k.draft) return t('draft');
  if (k.closedAt) return t('ended {{day}}', { day: dayOf(k.closedAt) });
  return `${k.opensOn ? dayOf(k.opensOn) : dayOf(k.madeAt)}${k.closesOn ? ` – ${dayOf(k.closesOn)}` : ''}`;
}

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
            <CheckTable rows={rows} base={`/class/${data.id}/assignments/checks`} />
          )
        }
      </Show>
    </ListPage>
  );
}

const columns: Column<CheckRow>[] = [
  { key: 'name', name: phrase('Level check'), by: (k) => say(k.name), show: (k) => say(k.name), wrap: true },
  { key: 'title', name: phrase('Readers see'), by: (k) => k.readerTitle, show: (k) => k.readerTitle },
  {
    key: 'season',
    name: phrase('Window'),
    by: (k) => k.season ?? '',
    show: (k) => (k.season ? t(seasonWords[k.season]) : ''),
  },
  { key: 'when', name: phrase('When'), by: (k) => k.opensOn ?? k.madeAt, show: when },
  { key: 'by', name: phrase('By'), by: (k) => k.by, show: (k) => k.by },
  { key: 'readers', name: phrase('Readers'), num: true, by: (k) => k.readers, show: (k) => (k.draft ? '' : k.readers) },
  { key: 'open', name: phrase('Under way'), num: true, by: (k) => k.open, show: (k) => (k.draft ? '' : k.open) },
  {
    key: 'finished',
    name: phrase('Finished'),
    num: true,
    by: (k) => k.finished,
    show: (k) => (k.draft ? '' : t('{{n}} of {{of}}', { n: k.finished, of: k.readers })),
  },
];

/** A list of checks. */
export const CheckTable = ({ rows, base }: { rows: CheckRow[]; base: string }) => (
  <DataList
    list="checks"
    label={t('Level checks')}
    columns={columns}
    rows={rows}
    id={(k) => k.id}
    name={(k) => say(k.name)}
    to={(k) => `${base}/${k.id}${k.draft ? '/change' : ''}`}
    sort={{ key: 'when', down: true }}
    counted={(_, count) => t('{{count}} level checks', { count })}
  />
);
