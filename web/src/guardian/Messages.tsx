import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok, type Api } from '../shared/api';
import { dayOf } from '../shared/format';
import { useFields } from '../shared/forms';
import { homeWords, longestHomeWords } from '../shared/homeWords';
import { keys } from '../shared/keys';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { Form, FormFoot } from '../ui/Form';
import { TextArea } from '../ui/TextField';
import type { Child } from './child';

type Message = Api<'HomeMessage'>;

/** What the child's teachers write, and what is answered from home: the latest first. */
export function Messages({ c }: { c: Child }) {
  const [first, ...earlier] = c.messages;
  if (!first) return null;
  return (
    <section className="border-line border-t" aria-label={t('From school')}>
      <OneMessage child={c.id} m={first} />
      {earlier.length > 0 && (
        <details className="mt-3">
          <summary className="cursor-pointer font-semibold">
            {t('{{count}} earlier messages', { count: earlier.length })}
          </summary>
          {earlier.map((m) => (
            <OneMessage key={m.id} child={c.id} m={m} />
          ))}
        </details>
      )}
    </section>
  );
}

function OneMessage({ child, m }: { child: string; m: Message }) {
  const [answering, answer] = useState(false);
  return (
    <div className="mt-2 grid gap-2 first:mt-0">
      <h3>{m.by ? t('From {{name}}', { name: m.by }) : t('From school')}</h3>
      <p className="wrap-anywhere whitespace-pre-line">{m.words}</p>
      <p className="text-soft">{dayOf(m.at)}</p>
      {m.answers.map((a) => (
        <p key={a.id} className="border-depth-5 border-l-3 pl-3.5 wrap-anywhere whitespace-pre-line">
          <span className="text-soft block">
            {t('Your answer, {{day}}', { day: dayOf(a.at) })}
            {a.seenAt !== null && `, ${t('seen by the school')}`}
          </span>
          {a.words}
        </p>
      ))}
      {answering ? (
        <Answer child={child} message={m.id} close={() => answer(false)} />
      ) : (
        <Button className="justify-self-start print:hidden" onClick={() => answer(true)}>
          {t('Answer…')}
        </Button>
      )}
    </div>
  );
}

function Answer({ child, message, close }: { child: string; message: string; close: () => void }) {
  const client = useQueryClient();
  // The same answer sent again, after the network had gone, is one answer.
  const [id] = useState(() => crypto.randomUUID());
  const form = useFields({
    schema: homeWords,
    start: { words: '' },
    send: async ({ words }) => {
      await ok(
        api.PUT('/guardian/children/{readerId}/messages/{messageId}/answers/{homeAnswerId}', {
          params: { path: { readerId: child, messageId: message, homeAnswerId: id } },
          body: { words },
        }),
      );
      await client.invalidateQueries({ queryKey: keys.children });
      close();
    },
  });
  return (
    <Form of={form}>
      <TextArea label={t('Your answer')} rows={4} maxLength={longestHomeWords} {...form.field('words')} />
      <FormFoot of={form} close={close}>
        {t('Send answer')}
      </FormFoot>
    </Form>
  );
}
