import { useMutation, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ok, sentence } from '../../shared/api';
import { fm } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Window } from '../frame/Window';
import { useFits } from '../tray/Tray';

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
    <Window title={t('Take a running record of {{name}}', { name: reader.givenName })} close={close} wide>
      {!text && (
        <p className="find">
          <input
            type="search"
            aria-label={t('Find a text')}
            placeholder={t('Title, topic or word')}
            value={q}
            onChange={(e) => setQ(e.target.value)}
          />
        </p>
      )}
      <Show query={{ data: text || found.data ? texts : undefined, error: found.error, refetch: found.refetch }}>
        {(shown) =>
          shown.length === 0 ? (
            <p>{t('No text has these words.')}</p>
          ) : (
            <div className="scroll pickrecord" tabIndex={0} role="region" aria-label={t('Texts to read aloud')}>
              <table>
                <thead>
                  <tr>
                    <th>{t('Text')}</th>
                    <th className="num">{t('Depth')}</th>
                    <th className="num">{t('Words')}</th>
                    <th className="num">{t('Fit')}</th>
                    <th>{t('Read it')}</th>
                  </tr>
                </thead>
                <tbody>
                  {shown.flatMap((x) =>
                    x.versions.map((v) => {
                      const fit = fits.data?.find((f) => f.textId === x.id);
                      const best = fit?.versionId === v.id;
                      return (
                        <tr key={v.id}>
                          <th scope="row">{x.title}</th>
                          <td className="num">{fm(v.depth)}</td>
                          <td className="num">{v.words}</td>
                          <td className="num">{best ? `${fit.forecast} %` : ''}</td>
                          <td>
                            <button
                              className={best ? 'btn small main' : 'btn small'}
                              disabled={begin.isPending}
                              aria-label={t('Begin with {{title}}, {{depth}} fm', {
                                title: x.title,
                                depth: fm(v.depth),
                              })}
                              onClick={() => begin.mutate({ x, versionId: v.id })}
                            >
                              {t('Begin')}
                            </button>
                          </td>
                        </tr>
                      );
                    }),
                  )}
                </tbody>
              </table>
            </div>
          )
        }
      </Show>
      {begin.error ? (
        <p className="error" role="alert">
          {sentence(begin.error)}
        </p>
      ) : null}
    </Window>
  );
}
