import { ArrowDown, ArrowUp, Plus, Trash, WarningDiamond } from '@phosphor-icons/react';
import { useQuery } from '@tanstack/react-query';
import { DropdownMenu } from 'radix-ui';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../../shared/api';
import { strandName } from '../../../shared/format';
import { Empty, Show } from '../../../shared/Whole';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { FileButton } from '../../frame/FileButton';
import type { Place } from '../../frame/Frame';
import { Menu } from '../../frame/Menu';
import { base64 } from '../bring';
import { useKept } from '../../../shared/useKept';
import { useChanged } from '../../../shared/changed';
import { kindName, kinds } from './kinds';
import { ProofText } from './ProofText';
import { QuestionForm } from './QuestionForm';
import { blank, formOf, moved, type FormQuestion, type QuizData } from './quizForm';
import '../texts.css';
import './quiz.css';
import { sure } from '../../../shared/sure';

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
          <Empty title={t('This quiz stays as it is')}>
            <p>{t('Copy the text to change it and its quiz.')}</p>
            <Link className="btn main" to={`/class/${data.id}/texts/${textId}`}>
              {t('To the text')}
            </Link>
          </Empty>
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
  const go = useNavigate();
  const changed = useChanged();
  const kept = useKept(`dc-quiz-${quiz.textId}-${quiz.revision}`, () => formOf(quiz));
  const { value: questions, set: setQuestions } = kept;
  const [at, setAt] = useState(0);
  const [version, setVersion] = useState(sure(quiz.versions[0]).label);
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
    toast(t('Question {{n}} taken out', { n: at + 1 }), {
      action: { label: t('Undo'), onClick: () => setQuestions(had) },
    });
  };
  const bringIn = async (file: File) => {
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
      toast.success(t('{{count}} questions brought in', { count: found.questions.length }), {
        description: found.leftOut.join(' ') || undefined,
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
      toast.success(t('Quiz kept'), {
        description:
          done.warnings.length > 0
            ? t('{{count}} remarks were left as they are', { count: done.warnings.length })
            : undefined,
      });
      void go(`/class/${classId}/texts/${quiz.textId}`);
    } catch (e) {
      setError(sentence(e));
    }
  };
  return (
    <form
      className="quizeditor"
      noValidate
      aria-labelledby="title"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <div className="head">
        <h1 id="title">{t('Quiz of “{{title}}”', { title: quiz.title })}</h1>
        <span className="grow" />
        {error && (
          <p className="error" role="alert">
            {error}
          </p>
        )}
        <Link className="btn" to={`/class/${classId}/texts/${quiz.textId}`}>
          {t('Cancel')}
        </Link>
        <button className="btn main">{t('Keep the quiz')}</button>
      </div>
      <div className="quizcols">
        <aside className="quizside" aria-label={t('Questions')}>
          {kept.found && (
            <p className="note small" role="status">
              {t('What you had written here was kept on this device.')}{' '}
              <button
                type="button"
                className="btn small"
                onClick={() => {
                  kept.again();
                  setAt(0);
                }}
              >
                {t('Begin again')}
              </button>
            </p>
          )}
          <ol>
            {questions.map((x, i) => {
              const mine = faults.filter((f) => f.at === i);
              return (
                <li key={i}>
                  <button type="button" aria-current={i === at ? 'true' : undefined} onClick={() => setAt(i)}>
                    <b>{i + 1}</b>
                    <span>
                      {x.stem || t('(asks nothing yet)')}
                      <small>
                        {strandName(x.strand)} · {kindName(x.kind)}
                        {x.after && ` · ${t('on the way')}`}
                        {x.evidence && ` · ${t('proof')}`}
                      </small>
                    </span>
                    {mine.length > 0 && (
                      <WarningDiamond
                        size={18}
                        weight={mine.some((f) => f.stops) ? 'fill' : 'regular'}
                        color="var(--buoy)"
                        aria-label={t('{{count}} remarks', { count: mine.length })}
                      />
                    )}
                  </button>
                </li>
              );
            })}
          </ol>
          <Menu label={t('Add a question')} className="btn">
            {kinds.map((k) => (
              <DropdownMenu.Item key={k} className="item" onSelect={() => add(k)}>
                <Plus size={16} aria-hidden /> {kindName(k)}
              </DropdownMenu.Item>
            ))}
          </Menu>
          <FileButton label={t('Bring in questions (QTI)')} accept=".zip" small take={(file) => void bringIn(file)} />
          {questions.length > 0 && (
            <ul className="wholefaults" aria-label={t('About the whole quiz')}>
              {faults
                .filter((f) => f.at == null)
                .map((f) => (
                  <li key={f.sentence}>{f.sentence}</li>
                ))}
            </ul>
          )}
        </aside>
        {q ? (
          <div className="quizform">
            <div className="row wrap">
              <h2>{t('Question {{n}}', { n: at + 1 })}</h2>
              <span className="grow" />
              <button type="button" className="btn small" disabled={at === 0} onClick={() => move(at - 1)}>
                <ArrowUp size={16} aria-hidden />
                {t('Earlier')}
              </button>
              <button
                type="button"
                className="btn small"
                disabled={at === questions.length - 1}
                onClick={() => move(at + 1)}
              >
                <ArrowDown size={16} aria-hidden />
                {t('Later')}
              </button>
              <button type="button" className="btn small" onClick={remove}>
                <Trash size={16} aria-hidden />
                {t('Take it out')}
              </button>
            </div>
            <QuestionForm key={at} q={q} first={at === 0} change={change} />
            <div role="status" aria-label={t('Remarks')}>
              {faults.some((f) => f.at === at) && (
                <ul className="faults">
                  {faults
                    .filter((f) => f.at === at)
                    .map((f) => (
                      <li key={f.sentence} className={f.stops ? 'stops' : undefined}>
                        <WarningDiamond
                          size={16}
                          weight={f.stops ? 'fill' : 'regular'}
                          color="var(--buoy)"
                          aria-hidden
                        />
                        {f.sentence.charAt(0).toUpperCase() + f.sentence.slice(1)}
                      </li>
                    ))}
                </ul>
              )}
            </div>
          </div>
        ) : (
          <Empty title={t('No questions yet')}>
            <p>
              {t(
                'Six to ten questions in the order of the text, of at least four strands, make a quiz. A text can be given once it has one.',
              )}
            </p>
            <button type="button" className="btn main" onClick={() => add('Single')}>
              {t('Write the first question')}
            </button>
          </Empty>
        )}
        <ProofText quiz={quiz} version={version} setVersion={setVersion} q={q} change={change} />
      </div>
    </form>
  );
}
