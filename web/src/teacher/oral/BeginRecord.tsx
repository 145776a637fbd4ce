import { useMutation, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ok, sentence } from '../../shared/api';
import { fm, percent } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { useFits } from '../tray/useFits';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { Show } from '../../ui/Show';
import { SearchField } from '../../ui/TextField';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

interface Choice {
  id: string;
  title: string;
  versions: { id: string; label: string; depth: number; words: number }[];
}

/** Which text is read: the one picked up, or one that fits, found here. */
export function BeginRecord({
  classId,
  reader,
  text,
  close,
}: {
  classId: string;
  reader: { id: string; givenName: string };
  text?: Choice;
  close: () => void;
}) {
  const [q, setQ] = useState('');
  const asked = useDeferredValue(q);
  const navigate = useNavigate();
  const found = useQuery({
    queryKey: keys.library.forRecord(classId, reader.id, asked),
    enabled: !text,
    queryFn: () =>
      ok(
        api.GET('/library', {
          params: { query: { classId, readers: reader.id, sort: 'Fit', q: asked.trim() || undefined } },
        }),
      ),
  });
  const texts: Choice[] = text ? [text] : (found.data?.rows ?? []).slice(0, 12);
  const fits = useFits(
    classId,
    [reader.id],
    texts.map((x) => x.id),
  );
  const begin = useMutation({
    mutationFn: ({ x, versionId }: { x: Choice; versionId: string }) =>
      ok(
        api.PUT('/readers/{readerId}/records/{recordId}', {
          params: { path: { readerId: reader.id, recordId: crypto.randomUUID() } },
          body: { textId: x.id, versionId },
        }),
      ),
    onSuccess: (r) => {
      close();
      void navigate(`/class/${classId}/readers/${r.readerId}/records/${r.id}`);
    },
  });
  return (
    <Dialog title={t('Take a running record of {{name}}', { name: reader.givenName })} close={close} wide>
      {!text && <SearchField label={t('Find texts')} placeholder={t('Title, topic or word')} value={q} set={setQ} />}
      <Show query={{ data: text || found.data ? texts : undefined, error: found.error, refetch: found.refetch }}>
        {(shown) =>
          shown.length === 0 ? (
            <p>{t('No texts match')}</p>
          ) : (
            <div
              className="border-ink border-line relative max-h-85 min-h-0 overflow-auto border border-t"
              tabIndex={0}
              role="region"
              aria-label={t('Texts to read aloud')}
            >
              <Table>
                <TableHead>
                  <tr>
                    <Th>{t('Text')}</Th>
                    <Th num>{t('Depth')}</Th>
                    <Th num>{t('Words')}</Th>
                    <Th num>{t('Fit')}</Th>
                    <Th>{t('Read before')}</Th>
                  </tr>
                </TableHead>
                <TableBody>
                  {shown.flatMap((x) =>
                    x.versions.map((v) => {
                      const fit = fits.data?.find((f) => f.textId === x.id);
                      const best = fit?.versionId === v.id;
                      return (
                        <tr key={v.id}>
                          <Th scope="row">{x.title}</Th>
                          <Td num>{fm(v.depth)}</Td>
                          <Td num>{v.words}</Td>
                          <Td num>{best ? percent(fit.forecast / 100) : ''}</Td>
                          <Td>
                            <Button
                              size="sm"
                              look={best ? 'main' : 'outline'}
                              disabled={begin.isPending}
                              aria-label={t('Start with {{title}}, {{depth}} fm', {
                                title: x.title,
                                depth: fm(v.depth),
                              })}
                              onClick={() => begin.mutate({ x, versionId: v.id })}
                            >
                              {t('Start')}
                            </Button>
                          </Td>
                        </tr>
                      );
                    }),
                  )}
                </TableBody>
              </Table>
            </div>
          )
        }
      </Show>
      {begin.error ? <ErrorText>{sentence(begin.error)}</ErrorText> : null}
    </Dialog>
  );
}
