import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText, FieldRow } from '../../ui/Field';
import { Segments } from '../../ui/Segments';
import { Select } from '../../ui/Select';
import { TextArea, TextField } from '../../ui/TextField';
import type { ClassData, ReaderRow } from '../classQueries';
import { blankRubric } from '../texts/quiz/quizForm';
import { RubricForm } from '../texts/quiz/RubricForm';
import { AlsoIn } from './AlsoIn';
import { DifferentForSome } from './DifferentForSome';
import { whomOptions } from './how';
import { HowFields } from './HowFields';
import { PaperFields } from './PaperFields';
import { LookFirst } from './LookFirst';
import { practiceOptions, talkWords } from './terms';
import { useTaskGiving, type TaskDraft, type TaskGiving } from './useTaskGiving';

/** Gives something to do without a text: words to practise, a prompt to write about, a link to follow. */
export function TaskDialog({
  data,
  readers,
  first = {},
  close,
  done,
}: {
  data: ClassData;
  readers: ReaderRow[];
  /** What is known beforehand. */
  first?: Partial<TaskDraft>;
  close: () => void;
  done?: () => void;
}) {
  const giving = useTaskGiving({ data, readers, first, close, done });
  const { task, setTask, error, busy, people, also } = giving;
  const blocked = busy || people === 0 || !also.ready;
  return (
    <Dialog title={t('Assign task')} close={close} wide>
      <form noValidate className="grid gap-3" onSubmit={(e) => void giving.give(e)}>
        <div>
          <Segments
            label={t('Kind of task')}
            value={task.kind}
            set={(kind) => setTask({ kind })}
            options={[
              { value: 'Words', label: t('Word list') },
              { value: 'Written', label: t('Written answer') },
              { value: 'Link', label: t('Link') },
            ]}
          />
        </div>
        {task.kind === 'Words' && <WordFields of={giving} classId={data.id} />}
        <TextField
          label={t('Title for readers')}
          error={fieldOf(error, 'title')}
          maxLength={120}
          value={task.title}
          set={(title) => setTask({ title })}
        />
        {task.kind === 'Written' && (
          <>
            <Checkbox checked={giving.how.talk} set={(talk) => giving.setHow({ talk })}>
              {t(talkWords)}
            </Checkbox>
            <Checkbox checked={task.together} set={(together) => setTask({ together })}>
              {t('Several readers can hand in one answer together')}
            </Checkbox>
          </>
        )}
        {task.kind === 'Written' && <PromptFields of={giving} />}
        {task.kind === 'Link' && (
          <TextField
            label={t('Link')}
            error={fieldOf(error, 'url')}
            maxLength={1000}
            hint={t('The whole address, with https:// in front')}
            value={task.url}
            set={(url) => setTask({ url })}
          />
        )}
        <Select
          label={t('For')}
          error={fieldOf(error, 'readerIds')}
          value={giving.who}
          set={giving.setWho}
          options={whomOptions(data, readers)}
        />
        <AlsoIn of={also} />
        <HowFields of={giving} today={data.today} classId={data.id} tries={false} />
        <PaperFields papers={giving.papers} set={giving.setPapers} classId={data.id} error={error} />
        <DifferentForSome of={giving} data={data} fields={{ words: task.kind === 'Words', supports: true }} />
        <LookFirst notes={giving.notes.data} />
        {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button type="submit" value="draft" disabled={blocked}>
            {t('Save as draft')}
          </Button>
          <Button look="main" type="submit" disabled={blocked}>
            {t('Assign to {{count}} readers', { count: people })}
          </Button>
        </DialogFoot>
      </form>
    </Dialog>
  );
}

/** What readers write about, and what it is marked by. */
function PromptFields({ of: { task, setTask, error } }: { of: TaskGiving }) {
  const wrong = fieldOf(error, 'rubric');
  return (
    <>
      <TextArea
        label={t('Prompt')}
        error={fieldOf(error, 'prompt')}
        rows={3}
        maxLength={2000}
        value={task.prompt}
        set={(prompt) => setTask({ prompt })}
      />
      <Checkbox checked={task.rubric !== null} set={(own) => setTask({ rubric: own ? blankRubric() : null })}>
        {t('Mark by a rubric of its own')}
      </Checkbox>
      {task.rubric && <RubricForm rubric={task.rubric} change={(rubric) => setTask({ rubric })} />}
      {wrong && <ErrorText>{wrong}</ErrorText>}
    </>
  );
}

const sizes = Array.from({ length: 9 }, (_, i) => i + 2);

/** Which words of which list, and how many at once. */
function WordFields({ of: { task, setTask, error }, classId }: { of: TaskGiving; classId: string }) {
  const lists = useQuery({ queryKey: keys.wordLists, queryFn: () => ok(api.GET('/word-lists')) });
  const list = lists.data?.find((l) => l.id === task.wordListId);
  const all = list?.words.map((_, i) => i) ?? [];
  const on = task.words ?? all;
  const wrong = fieldOf(error, 'words');
  if (lists.data?.length === 0)
    return (
      <p>
        {t('No word lists yet.')} <Link to={`/class/${classId}/texts/word-lists`}>{t('New word list')}</Link>
      </p>
    );
  return (
    <>
      <FieldRow>
        <Select
          label={t('Word list')}
          error={fieldOf(error, 'wordListId')}
          value={task.wordListId}
          set={(wordListId) =>
            setTask({ wordListId, words: null, title: lists.data?.find((l) => l.id === wordListId)?.name ?? '' })
          }
          options={[
            ...(list ? [] : [{ value: '', label: t('Choose a list') }]),
            ...(lists.data ?? []).map((l) => ({
              value: l.id,
              label: t('{{name}}, {{count}} words', { name: l.name, count: l.words.length }),
            })),
          ]}
        />
        <Select
          label={t('Words at once')}
          error={fieldOf(error, 'atOnce')}
          value={task.atOnce}
          set={(value) => setTask({ atOnce: Number(value) })}
          options={sizes.map((n) => ({ value: n, label: n }))}
        />
        <Select
          label={t('Words are asked by')}
          value={task.by}
          set={(by) => setTask({ by })}
          options={practiceOptions()}
        />
      </FieldRow>
      {list && (
        <fieldset className="border-line max-h-40 overflow-auto rounded-md border px-2.5 pb-2">
          <legend className="px-1 text-sm font-semibold">
            {t('Words, {{n}} of {{of}}', { n: on.length, of: all.length })}
          </legend>
          <div className="flex flex-wrap gap-x-4">
            {list.words.map((w, i) => (
              <Checkbox
                key={i}
                checked={on.includes(i)}
                set={(want) => {
                  const next = all.filter((x) => (x === i ? want : on.includes(x)));
                  setTask({ words: next.length === all.length ? null : next });
                }}
              >
                {w.text}
              </Checkbox>
            ))}
          </div>
          {wrong && <ErrorText>{wrong}</ErrorText>}
        </fieldset>
      )}
    </>
  );
}
