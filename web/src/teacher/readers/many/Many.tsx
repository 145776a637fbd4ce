import { ClipboardText, DownloadSimple } from '@phosphor-icons/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok } from '../../../shared/api';
import { timeOf } from '../../../shared/format';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import type { ClassData } from '../../classQueries';
import type { Place } from '../../frame/Frame';
import { LevelTable } from '../LevelTable';
import { useRoster } from '../roster/rosterQueries';
import { Added } from './Added';
import { Columns } from './Columns';
import { Grid } from './Grid';
import { isEmpty, type Checked } from './gridRows';
import { useMany } from './useMany';
import { Button } from '../../../ui/Button';
import { Dialog } from '../../../ui/Dialog';
import { FileButton } from '../../../ui/FileButton';
import { ListPage, PageHead } from '../../../ui/Page';
import { Select } from '../../../ui/Select';
import { Show } from '../../../ui/Show';

/**
 * Many readers at once: typed, pasted from a spreadsheet, or from a file. What is wrong is shown in its cell; what is
 * good can go in at once.
 */
export default function Many() {
  const { data } = useOutletContext<Place>();
  const draft = useQuery({
    queryKey: keys.draft(data.id),
    staleTime: Infinity,
    gcTime: 0,
    queryFn: () => ok(api.GET('/classes/{classId}/list/draft', { params: { path: { classId: data.id } } })),
  });
  return <Show query={draft}>{(d) => <Sheet data={data} draft={d} />}</Show>;
}

function Sheet({ data, draft }: { data: ClassData; draft: Api<'DraftView'> }) {
  const list = useMany(data.id, draft);
  const [levels, setLevels] = useState(false);
  const systems = useRoster(data.id).data?.systems ?? ['fm'];
  const { read } = list;
  return (
    <ListPage>
      <PageHead
        title={t('Add many readers')}
        beside={
          <>
            <FileButton
              label={t('Choose a file')}
              accept=".csv,.tsv,.txt,.xlsx"
              take={(file) => void list.take(file)}
            />
            <Button asChild>
              <a href="/api/list-template.xlsx">
                <DownloadSimple size={20} aria-hidden />
                {t('Template')}
              </a>
            </Button>
            <Select
              label={t('Level unit')}
              inline
              value={list.system}
              set={list.setSystem}
              options={[{ value: '', label: t('as written') }, ...systems.map((s) => ({ value: s, label: s }))]}
            />
            <Button look="plain" onClick={() => setLevels(true)}>
              {t('Levels side by side')}
            </Button>
          </>
        }
      >
        <Button asChild look="plain">
          <Link to={`/class/${data.id}/readers/roster`}>{t('Back to the roster')}</Link>
        </Button>
      </PageHead>
      {levels && (
        <Dialog title={t('Levels side by side')} close={() => setLevels(false)}>
          <LevelTable
            rows={data.levelChart}
            own={data.ownColumns}
            level={-99}
            choose={(fm) => {
              void navigator.clipboard?.writeText(`${fm} fm`);
              toast.success(t('Copied {{fm}} fm', { fm }));
            }}
          />
        </Dialog>
      )}
      {read && <Columns view={read.view} change={(fields, heading) => void list.take(read.body, fields, heading)} />}
      {list.added.length > 0 && <Added data={data} added={list.added} close={list.forgetAdded} />}
      <Grid rows={list.rows} checked={list.checked} change={list.change} />
      <Foot list={list} />
    </ListPage>
  );
}

function Foot({ list }: { list: ReturnType<typeof useMany> }) {
  return (
    <footer className="border-line bg-sand flex min-h-12 items-center gap-4 border-t px-4 text-sm">
      <span>
        <Counts result={list.result} />
      </span>
      <span className="ml-auto" role="status">
        {list.saved && t('Saved {{time}}', { time: timeOf(list.saved) })}
      </span>
      <Button disabled={list.rows.every(isEmpty)} onClick={list.clear}>
        {t('Clear')}
      </Button>
      <Button
        look="main"
        disabled={!list.current || list.good === 0 || list.apply.isPending}
        onClick={() => list.apply.mutate()}
      >
        {list.good === 0 ? t('No rows yet') : t('Save {{count}} rows', { count: list.good })}
      </Button>
    </footer>
  );
}

/** What the rows come to, or how to begin. */
function Counts({ result }: { result: Checked | undefined }) {
  if (!result)
    return (
      <>
        <ClipboardText size={16} aria-hidden />{' '}
        {t('Type, paste cells from a spreadsheet, or choose a file. Only a name is needed.')}
      </>
    );
  return (
    <>
      <b>{t('{{n}} new,', { n: result.new })}</b> {t('{{n}} join', { n: result.joins })},{' '}
      {t('{{n}} changed', { n: result.changed })}, {t('{{n}} unchanged', { n: result.unchanged })}
      {result.asked > 0 && <>, {t('{{count}} requested', { count: result.asked })}</>}
      {result.kept > 0 && (
        <>
          ,{' '}
          <b className="decoration-buoy underline decoration-2 underline-offset-3">
            {t('{{count}} to fix', { count: result.kept })}
          </b>
        </>
      )}
    </>
  );
}
