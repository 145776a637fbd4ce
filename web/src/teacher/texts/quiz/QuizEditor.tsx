import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { phrase, say, t } from '../../../shared/words';
import type { Place } from '../../frame/Frame';
import { base64 } from '../bring';
import { useKept } from '../../../shared/useKept';
import { useChanged } from '../../../shared/changed';
import { OneQuestion } from './OneQuestion';
import { ProofText } from './ProofText';
import { QuestionList } from './QuestionList';
import { blank, formOf, moved, type FormQuestion, type QuizData } from './quizForm';
import { sure } from '../../../shared/sure';
import { Button } from '../../../ui/Button';
import { ErrorText } from '../../../ui/Field';
import { PageHead } from '../../../ui/Page';
import { Empty, Show } from '../../../ui/Show';
import { NotYours } from '../NotYours';

/** Writing a text's questions: the list, one question, and the text that proves it, beside one another. */
export default function QuizEditor() {
  const { data } = useOutletContext<Place>();
  const { textId = '' } = useParams();
  const quiz = useQuery({
    queryKey: keys.text.quiz(textId),
    queryFn: () => ok(api.GET('/texts/{textId}/quiz', { params: { path: { textId } } })),
    staleTime: Infinity,
    gcTime: 0,
  });
  return (
    <Show query={quiz}>
      {(x) =>
        x.mayChange ? (
          <Editor key={x.revision} quiz={x} classId={data.id} />
        ) : (
          <NotYours to={`/class/${data.id}/texts/${textId}`} title={t('This quiz cannot be edited')} />
        )
      }
    </Show>
  );
}

function useFaults(textId: string, revision: number, questions: FormQuestion[], first: QuizData['faults']) {
  const [faults, setFaults] = useState(first);
  useEffect(() => {
    const wait = setTimeout(
      () =>
        void ok(
          api.POST('/texts/{textId}/quiz/check', { params: { path: { textId } }, body: { revision, questions } }),
        ).then(
          (x) => setFaults(x.faults),
          () => undefined,
        ),
      300,
    );
    return () => clearTimeout(wait);
  }, [textId, revision, questions]);
  return faults;
}

function Editor({ quiz, classId }: { quiz: QuizData; classId: string }) {
  const draft = useQuiz(quiz, classId);
  const { kept, questions, at, setAt, q, faults, error, change, add, move, remove, importFile, save } = draft;
  const [version, setVersion] = useState(sure(quiz.versions[0]).label);
  return (
    <form
      className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]"
      noValidate
      aria-labelledby="title"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <PageHead title={t('Quiz of “{{title}}”', { title: quiz.title })}>
        {error && <ErrorText>{error}</ErrorText>}
        <Button asChild>
          <Link to={`/class/${classId}/texts/${quiz.textId}`}>{t('Cancel')}</Link>
        </Button>
        <Button look="main" type="submit">
          {t('Save quiz')}
        </Button>
      </PageHead>
      <div
        className={cx(
          'border-ink grid min-h-0 border-t max-lg:grid-cols-1 max-lg:overflow-auto',
          'lg:grid-cols-[264px_minmax(0,1fr)_380px]',
        )}
      >
        <QuestionList
          questions={questions}
          faults={faults}
          at={at}
          setAt={setAt}
          add={add}
          importFile={(file) => void importFile(file)}
        >
          {kept.found && (
            <p className="text-sm" role="status">
              {t('Restored your unsaved text from this device.')}{' '}
              <Button
                size="sm"
                onClick={() => {
                  kept.again();
                  setAt(0);
                }}
              >
                {t('Discard and start again')}
              </Button>
            </p>
          )}
        </QuestionList>
        {q ? (
          <OneQuestion
            q={q}
            at={at}
            last={at === questions.length - 1}
            faults={faults}
            change={change}
            move={move}
            remove={remove}
          />
        ) : (
          <Empty title={t('No questions yet')}>
            <p>
              {t(
                phrase(
                  'A quiz has six to ten questions in the order of the text, from at least four strands. A ' +
                    'text needs a quiz before it can be assigned.',
                ),
              )}
            </p>
            <Button look="main" onClick={() => add('Single')}>
              {t('Add first question')}
            </Button>
          </Empty>
        )}
        <ProofText quiz={quiz} version={version} setVersion={setVersion} q={q} change={change} />
      </div>
    </form>
  );
}

/** A quiz while it is written: its questions, the one that is open, what is to be said of them, and saving. */
function useQuiz(quiz: QuizData, classId: string) {
  const go = useNavigate();
  const changed = useChanged();
  const kept = useKept(`dc-quiz-rows-${quiz.textId}-${quiz.revision}`, () => formOf(quiz));
  const { value: questions, set: setQuestions } = kept;
  const [at, setAt] = useState(0);
  const [error, setError] = useState('');
  const faults = useFaults(quiz.textId, quiz.revision, questions, quiz.faults);
  const q = questions[at];
  const change = (next: FormQuestion) => setQuestions(questions.map((x, i) => (i === at ? next : x)));
  const add = (kind: FormQuestion['kind']) => {
    setQuestions([...questions, blank(kind, questions.length % 2 ? 'Infer' : 'Retrieve')]);
    setAt(questions.length);
  };
  const move = (to: number) => {
    setQuestions(moved(questions, at, to));
    setAt(to);
  };
  const remove = () => {
    const had = questions;
    setQuestions(questions.filter((_, i) => i !== at));
    setAt(Math.max(0, at - 1));
    toast(t('Removed question {{n}}', { n: at + 1 }), {
      action: { label: t('Undo'), onClick: () => setQuestions(had) },
    });
  };
  const importFile = async (file: File) => {
    try {
      const found = await ok(
        api.POST('/texts/{textId}/quiz/read', {
          params: { path: { textId: quiz.textId } },
          body: {
            name: file.name,
            file: await base64(file),
          },
        }),
      );
      // eslint-disable-next-line @tanstack/query/no-rest-destructuring -- a quiz that was read, no query
      setQuestions([...questions, ...formOf({ ...quiz, questions: found.questions }).map((x) => ({ ...x, id: null }))]);
      setAt(questions.length);
      toast.success(t('Imported {{count}} questions', { count: found.questions.length }), {
        description: found.leftOut.map(say).join(' ') || undefined,
      });
    } catch (e) {
      toast.error(sentence(e));
    }
  };
  const save = async () => {
    try {
      const done = await ok(
        api.PUT('/texts/{textId}/quiz', {
          params: { path: { textId: quiz.textId } },
          body: {
            revision: quiz.revision,
            note: null,
            questions,
          },
        }),
      );
      kept.letGo();
      await changed('texts');
      toast.success(t('Saved quiz'), {
        description:
          done.warnings.length > 0 ? t('{{count}} remarks still open', { count: done.warnings.length }) : undefined,
      });
      void go(`/class/${classId}/texts/${quiz.textId}`);
    } catch (e) {
      setError(sentence(e));
    }
  };
  return { kept, questions, at, setAt, q, faults, error, change, add, move, remove, importFile, save };
}
