import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence, type Api } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf } from '../../shared/format';
import { useFields } from '../../shared/forms';
import { homeWords, longestHomeWords } from '../../shared/homeWords';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Form, FormFoot } from '../../ui/Form';
import { TextArea } from '../../ui/TextField';

type Message = Api<'HomeMessage'>;
type Put = (m: { id: string; words: string }) => Promise<void>;

/** What was written to the reader's family, and what they answered. */
export function HomeMessages({ readerId, name }: { readerId: string; name: string }) {
  const client = useQueryClient();
  const changed = useChanged();
  const key = keys.reader.homeMessages(readerId);
  const messages = useQuery({
    queryKey: key,
    queryFn: () => ok(api.GET('/readers/{readerId}/home-messages', { params: { path: { readerId } } })),
  });
  const [writing, write] = useState<Partial<Message> | null>(null);
  const now = (rows: Message[]) => client.setQueryData(key, rows);
  const put: Put = async ({ id, words }) => {
    now(
      await ok(
        api.PUT('/readers/{readerId}/home-messages/{messageId}', {
          params: { path: { readerId, messageId: id } },
          body: { words },
        }),
      ),
    );
  };
  const remove = async (m: Message) => {
    try {
      const path = { readerId, messageId: m.id };
      now(await ok(api.DELETE('/readers/{readerId}/home-messages/{messageId}', { params: { path } })));
      toast(t('Removed the message'), {
        action: {
          label: t('Undo'),
          onClick: () => void put(m).catch((e: unknown) => toast.error(sentence(e))),
        },
      });
    } catch (e) {
      toast.error(sentence(e));
    }
  };
  const seen = async () => {
    try {
      await ok(api.POST('/readers/{readerId}/home-messages/seen', { params: { path: { readerId } } }));
      await client.invalidateQueries({ queryKey: key });
      await changed('work');
    } catch (e) {
      toast.error(sentence(e));
    }
  };
  if (!messages.data) return null;
  return (
    <section className="px-4 pt-3.5" aria-labelledby="home-messages">
      <h2 id="home-messages">{t('Messages to the family')}</h2>
      <p className="text-soft text-sm">
        {t('Guardians of {{name}} who have registered see them on their page. Each sees only their own answers.', {
          name,
        })}
      </p>
      <ul className="mt-1.5">
        {messages.data.map((m) => (
          <Row key={m.id} m={m} change={() => write(m)} remove={() => void remove(m)} seen={() => void seen()} />
        ))}
      </ul>
      <Button size="sm" className="mt-1.5" onClick={() => write({})}>
        {t('Write to the family…')}
      </Button>
      {writing && <Write of={writing} put={put} close={() => write(null)} />}
    </section>
  );
}

function Row({ m, change, remove, seen }: { m: Message; change: () => void; remove: () => void; seen: () => void }) {
  return (
    <li className="border-line grid gap-1 border-t py-1.5">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <p className="max-w-prose wrap-anywhere whitespace-pre-line">{m.words}</p>
        <span className="text-soft text-sm">{[m.by, dayOf(m.at)].filter(Boolean).join(', ')}</span>
        <span className="grow" />
        {m.answers.length === 0 && (
          <Button size="sm" onClick={change}>
            {t('Change…')}
          </Button>
        )}
        <Button size="sm" aria-label={t('Remove the message of {{day}}', { day: dayOf(m.at) })} onClick={remove}>
          {t('Remove')}
        </Button>
      </div>
      {m.answers.map((a) => (
        <p key={a.id} className="border-depth-5 border-l-3 pl-3 wrap-anywhere whitespace-pre-line">
          {a.words} <span className="text-soft text-sm">{[a.by, dayOf(a.at)].filter(Boolean).join(', ')}</span>
        </p>
      ))}
      {m.answers.some((a) => a.seenAt === null) && (
        <Button size="sm" className="justify-self-start" onClick={seen}>
          {t('Mark as seen')}
        </Button>
      )}
    </li>
  );
}

function Write({ of, put, close }: { of: Partial<Message>; put: Put; close: () => void }) {
  const [id] = useState(() => of.id ?? crypto.randomUUID());
  const form = useFields({
    schema: homeWords,
    start: { words: of.words ?? '' },
    send: async (typed) => {
      await put({ id, ...typed });
      close();
    },
  });
  return (
    <Dialog title={of.id ? t('Change the message') : t('Write to the family')} close={close}>
      <Form of={form}>
        <TextArea label={t('Message')} rows={5} maxLength={longestHomeWords} {...form.field('words')} />
        <FormFoot of={form} close={close}>
          {of.id ? t('Save') : t('Send')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
