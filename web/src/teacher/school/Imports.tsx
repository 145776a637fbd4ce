import { DownloadSimple } from '@phosphor-icons/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
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
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';

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
            <TableScroll label={t('Roster files')}>
              <TableHead>
                <tr>
                  <Th>{t('File')}</Th>
                  <Th>{t('When')}</Th>
                  <Th>{t('State')}</Th>
                </tr>
              </TableHead>
              <TableBody>
                {v.imports.map((i) => (
                  <tr key={i.id}>
                    <Th scope="row">
                      <Link to={`/school/imports/${i.id}`}>{i.name}</Link>
                    </Th>
                    <Td>
                      {dayOf(i.madeAt)} {timeOf(i.madeAt)}
                    </Td>
                    <Td>{stateWord(i.state)}</Td>
                  </tr>
                ))}
              </TableBody>
            </TableScroll>
          )
        }
      </Show>
    </ListPage>
  );
}
