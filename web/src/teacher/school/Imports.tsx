import { DownloadSimple } from '@phosphor-icons/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, asFile, ok, sentence } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { useOnce } from '../../shared/once';
import { phrase, type Phrase, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';

type State = Api<'ImportState'>;

const states: Record<State, Phrase> = {
  Waiting: phrase('Waiting'),
  Working: phrase('In progress'),
  Ready: phrase('Checked, not imported'),
  Applied: phrase('Imported'),
  Undone: phrase('Undone'),
  Failed: phrase('Stopped'),
};
export const stateWord = (state: State) => t(states[state]);
export const isBusy = (state: State) => state === 'Waiting' || state === 'Working';

const columns: Column<Api<'ImportsView'>['imports'][number]>[] = [
  { key: 'file', name: phrase('File'), by: (i) => i.name, show: (i) => i.name },
  { key: 'when', name: phrase('When'), by: (i) => i.madeAt, show: (i) => `${dayOf(i.madeAt)} ${timeOf(i.madeAt)}` },
  { key: 'state', name: phrase('State'), by: (i) => stateWord(i.state), show: (i) => stateWord(i.state) },
];

/** The whole school's roster, in and out, as files or from the district's server. */
export default function Imports() {
  const imports = useQuery({ queryKey: keys.school.imports, queryFn: () => ok(api.GET('/school/imports')) });
  const navigate = useNavigate();
  const once = useOnce();
  const go = {
    onSuccess: (made: Api<'MadeImport'>) => {
      once.done();
      void navigate(`/school/imports/${made.id}`);
    },
    onError: (e: unknown) => {
      toast.error(sentence(e));
    },
  };
  const upload = useMutation({
    mutationFn: (file: File) => {
      const id = once.idOf([file.name, file.size, file.lastModified]);
      return ok(api.POST('/school/imports', { params: { query: { id, name: file.name } }, body: file, ...asFile }));
    },
    ...go,
  });
  const fetchIt = useMutation({
    mutationFn: () => ok(api.POST('/school/imports/source', { params: { query: { id: once.idOf('source') } } })),
    ...go,
  });
  const busy = upload.isPending || fetchIt.isPending;
  return (
    <ListPage>
      <PageHead
        title={t('Roster files')}
        beside={
          <>
            <FileButton
              look="main"
              label={busy ? t('Sending…') : t('Choose OneRoster zip')}
              accept=".zip"
              disabled={busy}
              take={(file) => upload.mutate(file)}
            />
            {imports.data?.source && (
              <Button disabled={busy} onClick={() => fetchIt.mutate()}>
                {t('Fetch from {{name}}', { name: imports.data.source })}
              </Button>
            )}
          </>
        }
      >
        <Button asChild>
          <a href="/api/school/roster.zip">
            <DownloadSimple size={20} aria-hidden />
            {t('Export OneRoster zip')}
          </a>
        </Button>
      </PageHead>
      <Show query={imports}>
        {(v) =>
          v.imports.length === 0 ? (
            <Empty title={t('No roster file yet')}>
              <p>
                {t(
                  phrase(
                    'A OneRoster 1.2 zip adds teachers, classes and readers at once. You see every change first ' +
                      'and can undo all of it.',
                  ),
                )}
              </p>
            </Empty>
          ) : (
            <DataList
              list="imports"
              label={t('Roster files')}
              columns={columns}
              rows={v.imports}
              id={(i) => i.id}
              name={(i) => i.name}
              to={(i) => `/school/imports/${i.id}`}
              sort={{ key: 'when', down: true }}
              counted={(_, count) => t('{{count}} roster files', { count })}
            />
          )
        }
      </Show>
    </ListPage>
  );
}
