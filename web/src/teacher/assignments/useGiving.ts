import { useState, type FormEvent } from 'react';
import { api, ok } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { addDays } from '../../shared/days';
import { createOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { useSaid, type ClassData, type ReaderRow, type TextRow } from '../classQueries';
import { useFits } from '../tray/useFits';
import { useTray } from '../tray/useTray';
import { sure } from '../../shared/sure';

/** Which texts for whom. */
export interface Giving {
  data: ClassData;
  texts: TextRow[];
  readers: ReaderRow[];
  close: () => void;
}

/** What is given to whom and how, as it stands in the window; giving it. */
export function useGiving({ data, texts, readers, close }: Giving) {
  const [due, setDue] = useState(addDays(data.today, 4));
  const [attempts, setAttempts] = useState(2);
  const [directions, setDirections] = useState('');
  const [skip, setSkip] = useState(true);
  const [onTheWay, setOnTheWay] = useState(true);
  const [aloud, setAloud] = useState(false);
  const [versions, setVersions] = useState<Record<string, string>>({});
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const [onces] = useState(() => new Map(texts.map((x) => [x.id, createOnce()])));
  const fits = useFits(
    data.id,
    readers.map((r) => r.id),
    texts.map((x) => x.id),
  );
  const changed = useChanged();
  const said = useSaid();
  const tray = useTray();
  const rows = texts.flatMap((text) =>
    (fits.data ?? [])
      .filter((f) => f.textId === text.id)
      .map((f) => ({ f, text, r: sure(readers.find((r) => r.id === f.readerId)) })),
  );
  const going = rows.filter(({ f }) => !skip || !f.before);
  const goingTo = (text: TextRow) => going.filter((g) => g.text.id === text.id);
  const people = new Set(going.map((g) => g.r.id)).size;
  const key = (textId: string, readerId: string) => `${textId} ${readerId}`;

  const assign = async (e: FormEvent) => {
    e.preventDefault();
    setBusy(true);
    try {
      // One request for all of it: it is given whole or not at all, and once, however often it is sent.
      const wanted = texts
        .filter((x) => goingTo(x).length > 0)
        .map((x) => ({
          textId: x.id,
          versions: Object.fromEntries(
            readers.flatMap((r) => {
              const v = versions[key(x.id, r.id)];
              return v ? [[r.id, v]] : [];
            }),
          ),
        }));
      const request = {
        readerIds: readers.map((r) => r.id),
        dueOn: due || null,
        attempts,
        directions,
        skipGiven: skip,
        onTheWay,
        aloud,
        texts: wanted,
      };
      const made = await ok(
        api.POST('/classes/{classId}/assignments', {
          params: { path: { classId: data.id } },
          body: {
            ...request,
            texts: wanted.map((x) => ({ ...x, id: sure(onces.get(x.textId)).idOf(request) })),
          },
        }),
      );
      const only = wanted.length === 1 ? texts.find((x) => x.id === wanted[0]?.textId) : undefined;
      const to = { count: people };
      said(
        only
          ? t('Assigned “{{title}}” to {{count}} readers', { ...to, title: only.title })
          : t('Assigned {{n}} texts to {{count}} readers', { ...to, n: wanted.length }),
        made.changeId,
      );
      tray.empty();
      close();
      await changed('work');
    } catch (problem) {
      setError(problem);
      void changed('work');
    } finally {
      setBusy(false);
    }
  };
  return {
    due,
    setDue,
    attempts,
    setAttempts,
    directions,
    setDirections,
    skip,
    setSkip,
    onTheWay,
    setOnTheWay,
    aloud,
    setAloud,
    versions,
    setVersions,
    error,
    busy,
    fits,
    rows,
    going,
    goingTo,
    people,
    key,
    assign,
  };
}
