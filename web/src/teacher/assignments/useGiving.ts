import { useMemo, useState, type FormEvent } from 'react';
import { api, ok } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { createOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { useSaid, type ClassData, type ReaderRow, type TextRow } from '../classQueries';
import { howFirst, keepWay, readersOf, termsOfHow, whomFirst, type How } from './how';
import { useFits } from '../tray/useFits';
import { sure } from '../../shared/sure';
import { sentWays } from './ways';
import { useAlsoIn } from './useAlsoIn';
import { useNotes } from './useNotes';
import { sentPapers, type PaperDraft } from './PaperFields';

/** Which texts for whom. */
export interface Giving {
  data: ClassData;
  texts: TextRow[];
  readers: ReaderRow[];
  close: () => void;
  /** What stands out already, in words. */
  said?: string[];
  /** Called when it has been given, or is kept as drafts. */
  done?: () => void;
}

/** What is given to whom and how, as it stands in the window; giving it. */
export function useGiving({ data, texts, readers: these, close, done }: Giving) {
  const [who, setWho] = useState(() => whomFirst(these));
  const readers = useMemo(() => readersOf(who, data, these), [who, data, these]);
  const [how, put] = useState(() => howFirst(data));
  const setHow = (change: Partial<How>) => put((before) => ({ ...before, ...change }));
  const [skip, setSkip] = useState(true);
  const [versions, setVersions] = useState<Record<string, string>>({});
  const [papers, setPapers] = useState<PaperDraft[]>([]);
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
  const also = useAlsoIn(
    data.id,
    texts.map((x) => x.id),
  );
  const notes = useNotes(data.id, {
    readerIds: readers.map((r) => r.id),
    texts: texts.map((x) => x.id),
    kind: how.kind,
    ...termsOfHow(how, data.today),
  });
  const rows = texts.flatMap((text) =>
    (fits.data ?? [])
      .filter((f) => f.textId === text.id)
      .map((f) => ({ f, text, r: sure(readers.find((r) => r.id === f.readerId)) })),
  );
  const going = rows.filter(({ f }) => !skip || !f.before);
  const goingTo = (text: TextRow) => going.filter((g) => g.text.id === text.id);
  const elsewhere = new Set(
    also.outlooks.flatMap((o) => o.fits.filter((f) => !skip || !f.before).map((f) => f.readerId)),
  );
  const people = new Set([...going.map((g) => g.r.id), ...elsewhere]).size;
  const key = (textId: string, readerId: string) => `${textId} ${readerId}`;

  const given = (wanted: { textId: string }[]) => {
    const only = wanted.length === 1 ? texts.find((x) => x.id === wanted[0]?.textId) : undefined;
    const to = { count: people };
    return only
      ? t('Assigned “{{title}}” to {{count}} readers', { ...to, title: only.title })
      : t('Assigned {{n}} texts to {{count}} readers', { ...to, n: wanted.length });
  };
  const assign = async (e: FormEvent) => {
    e.preventDefault();
    const by = (e.nativeEvent as SubmitEvent).submitter;
    const draft = by instanceof HTMLButtonElement && by.value === 'draft';
    setBusy(true);
    try {
      // One request for all of it: it is given whole or not at all, and once, however often it is sent.
      const those = texts.filter((x) => goingTo(x).length > 0);
      const wanted = (those.length > 0 ? those : texts).map((x) => ({
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
        ...termsOfHow(how, data.today),
        attempts: how.attempts,
        skipGiven: skip,
        onTheWay: how.onTheWay,
        aloud: how.kind === 'Text' && how.aloud,
        kind: how.kind,
        share: how.share,
        inOrder: how.inOrder && texts.length > 1,
        ways: sentWays(how.ways, readers),
        questions: how.kind === 'Quiz' && texts.length === 1 ? how.questions : null,
        draft,
        papers: sentPapers(papers),
        texts: wanted,
      };
      const made = await ok(
        api.POST('/classes/{classId}/assignments', {
          params: { path: { classId: data.id } },
          body: {
            ...request,
            texts: wanted.map((x) => ({ ...x, id: sure(onces.get(x.textId)).idOf([request, also.chosen]) })),
            alsoIn: also.request(
              texts.map((x) => x.id),
              request,
            ),
          },
        }),
      );
      keepWay(data, how);
      said(draft ? t('Saved {{count}} drafts', { count: wanted.length }) : given(wanted), made.changeId);
      close();
      done?.();
      await changed('work');
    } catch (problem) {
      setError(problem);
      void changed('work');
    } finally {
      setBusy(false);
    }
  };
  return {
    who,
    setWho,
    readers,
    how,
    setHow,
    skip,
    setSkip,
    versions,
    setVersions,
    papers,
    setPapers,
    error,
    busy,
    notes,
    also,
    fits,
    rows,
    going,
    goingTo,
    people,
    key,
    assign,
  };
}

export type GivingState = ReturnType<typeof useGiving>;
