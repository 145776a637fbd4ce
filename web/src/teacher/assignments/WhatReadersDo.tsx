import { useQuery } from '@tanstack/react-query';
import { api, fieldOf, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import { phrase, t, type Phrase } from '../../shared/words';
import { Checkbox } from '../../ui/Checkbox';
import { ErrorText } from '../../ui/Field';
import { Select } from '../../ui/Select';
import type { TextKind } from './how';
import { optionsOf, talkWords } from './terms';
import type { Giving, GivingState } from './useGiving';

const words: Record<TextKind, Phrase> = {
  Text: phrase('Read and answer questions'),
  Quiz: phrase('Answer questions only, without the text'),
  Recording: phrase('Read aloud and record, without questions'),
};

/** What readers do with the texts: read and answer, answer only, or read aloud. */
export function WhatReadersDo({ of, texts }: { of: GivingState; texts: Giving['texts'] }) {
  const { how, setHow, error } = of;
  const only = texts.length === 1 ? texts[0] : undefined;
  return (
    <>
      <Select
        label={t('What readers do')}
        error={fieldOf(error, 'kind')}
        value={how.kind}
        set={(kind) => setHow({ kind, questions: null })}
        options={optionsOf(words)}
      />
      {how.kind === 'Quiz' && only && <QuestionPicks of={of} textId={only.id} />}
      {how.kind === 'Text' && texts.some((x) => x.onTheWay > 0) && (
        <p>
          <Checkbox checked={how.onTheWay} set={(onTheWay) => setHow({ onTheWay })}>
            {t('Ask questions on the way, between paragraphs. They do not count.')}
          </Checkbox>
        </p>
      )}
      {how.kind !== 'Quiz' && texts.some((x) => x.versions.length > 1) && (
        <p>
          <Checkbox checked={how.mayChange} set={(mayChange) => setHow({ mayChange })}>
            {t('Readers may change to another version within reach')}
          </Checkbox>
        </p>
      )}
      {how.kind !== 'Recording' && (
        <p>
          <Checkbox checked={how.talk} set={(talk) => setHow({ talk })}>
            {t(talkWords)}
          </Checkbox>
        </p>
      )}
      {texts.length > 1 && (
        <p>
          <Checkbox checked={how.inOrder} set={(inOrder) => setHow({ inOrder })}>
            {t('One after another: each opens when the one before is handed in')}
          </Checkbox>
          {how.inOrder && ` ${t('In this order: {{titles}}.', { titles: texts.map((x) => x.title).join(', ') })}`}
        </p>
      )}
      {how.kind === 'Text' && (
        <p>
          <Checkbox checked={how.aloud} set={(aloud) => setHow({ aloud })}>
            {t('Read aloud: readers record themselves and you mark the recording.')}
          </Checkbox>
        </p>
      )}
    </>
  );
}

/** Which questions of the quiz are asked; all of them at first. */
function QuestionPicks({ of: { how, setHow, error }, textId }: { of: GivingState; textId: string }) {
  const quiz = useQuery({
    queryKey: keys.text.quiz(textId),
    queryFn: () => ok(api.GET('/texts/{textId}/quiz', { params: { path: { textId } } })),
  });
  const all = (quiz.data?.questions ?? []).filter((q) => q.after == null);
  const ids = all.flatMap((q) => (q.id ? [q.id] : []));
  const on = how.questions ?? ids;
  const wrong = fieldOf(error, 'questions');
  return (
    <fieldset className="border-line grid max-h-44 gap-1 overflow-auto rounded-md border px-2.5 pb-2">
      <legend className="px-1 text-sm font-semibold">
        {t('Questions, {{n}} of {{of}}', { n: on.length, of: ids.length })}
      </legend>
      {all.map((q) => (
        <Checkbox
          key={q.id}
          checked={q.id ? on.includes(q.id) : false}
          set={(want) => {
            const next = want ? [...on, q.id] : on.filter((x) => x !== q.id);
            setHow({ questions: next.length === ids.length ? null : ids.filter((id) => next.includes(id)) });
          }}
        >
          {q.stem}
        </Checkbox>
      ))}
      {wrong && <ErrorText>{wrong}</ErrorText>}
    </fieldset>
  );
}
