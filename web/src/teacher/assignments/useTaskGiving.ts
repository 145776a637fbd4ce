import { useMemo, useState, type FormEvent } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { useSaid, type ClassData, type ReaderRow } from '../classQueries';
import { howFirst, readersOf, termsOfHow, whomFirst, type How } from './how';
import { useAlsoIn } from './useAlsoIn';
import { sentWays } from './ways';
import { useNotes } from './useNotes';
import { sentPapers, type PaperDraft } from './PaperFields';

export type TaskToGive = Api<'TaskToGive'>;
export type OtherKind = Extract<TaskToGive['kind'], 'Words' | 'Written' | 'Link'>;

/** A task without a text, as it stands in the window. */
export interface TaskDraft {
  kind: OtherKind;
  title: string;
  prompt: string;
  url: string;
  wordListId: string;
  /** Places of the chosen words in the list; null for all. */
  words: number[] | null;
  atOnce: number;
  by: Api<'WordPractice'>;
  /** Several hand in one written answer. */
  together: boolean;
  /** What is written is marked by it; null for the usual marks. */
  rubric: Api<'Rubric'> | null;
}

interface Props {
  data: ClassData;
  readers: ReaderRow[];
  first: Partial<TaskDraft>;
  close: () => void;
  done?: () => void;
}

const empty: TaskDraft = {
  kind: 'Words',
  title: '',
  prompt: '',
  url: '',
  wordListId: '',
  words: null,
  atOnce: 10,
  by: 'Meaning',
  together: false,
  rubric: null,
};

/** What of it belongs to its kind. */
const sentOf = (x: TaskDraft, id: string): TaskToGive => ({
  id,
  kind: x.kind,
  title: x.title,
  prompt: x.kind === 'Written' ? x.prompt : null,
  url: x.kind === 'Link' ? x.url : null,
  wordListId: x.kind === 'Words' ? x.wordListId || undefined : undefined,
  words: x.kind === 'Words' ? x.words : null,
  atOnce: x.kind === 'Words' ? x.atOnce : null,
  by: x.by,
  together: x.kind === 'Written' && x.together,
  rubric: x.kind === 'Written' ? x.rubric : null,
});
const noId = '00000000-0000-0000-0000-000000000000';

/** A task without a text, for whom and how; giving it. */
export function useTaskGiving({ data, readers: these, first, close, done }: Props) {
  const [task, putTask] = useState<TaskDraft>({ ...empty, ...first });
  const setTask = (change: Partial<TaskDraft>) => putTask((before) => ({ ...before, ...change }));
  const [who, setWho] = useState(() => whomFirst(these));
  const readers = useMemo(() => readersOf(who, data, these), [who, data, these]);
  const [how, putHow] = useState(() => howFirst(data));
  const setHow = (change: Partial<How>) => putHow((before) => ({ ...before, ...change }));
  const [papers, setPapers] = useState<PaperDraft[]>([]);
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const once = useOnce();
  const changed = useChanged();
  const said = useSaid();
  const also = useAlsoIn(data.id, []);
  const readerIds = readers.map((r) => r.id);
  const notes = useNotes(data.id, {
    readerIds,
    texts: [],
    tasks: [sentOf(task, noId)],
    ...termsOfHow(how, data.today),
  });
  const people = readers.length + also.outlooks.reduce((n, o) => n + o.readers, 0);
  const give = async (e: FormEvent) => {
    e.preventDefault();
    const by = (e.nativeEvent as SubmitEvent).submitter;
    const draft = by instanceof HTMLButtonElement && by.value === 'draft';
    setBusy(true);
    try {
      const request = {
        readerIds,
        ...termsOfHow(how, data.today),
        attempts: 1,
        skipGiven: false,
        draft,
        share: how.share,
        ways: sentWays(how.ways, readers),
        papers: sentPapers(papers),
      };
      const about = [request, task, also.chosen];
      const made = await ok(
        api.POST('/classes/{classId}/assignments', {
          params: { path: { classId: data.id } },
          body: { ...request, tasks: [sentOf(task, once.idOf(about))], alsoIn: also.request([], about, ['task']) },
        }),
      );
      said(
        draft
          ? t('Saved {{count}} drafts', { count: 1 })
          : t('Assigned “{{title}}” to {{count}} readers', { count: people, title: task.title.trim() }),
        made.changeId,
      );
      close();
      done?.();
      await changed('work');
    } catch (problem) {
      setError(problem);
    } finally {
      setBusy(false);
    }
  };
  return {
    task,
    setTask,
    who,
    setWho,
    readers,
    how,
    setHow,
    papers,
    setPapers,
    error,
    busy,
    also,
    notes,
    people,
    give,
  };
}

export type TaskGiving = ReturnType<typeof useTaskGiving>;
