import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok, sentence, type Api } from '../../shared/api';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { ErrorText } from '../../ui/Field';
import { Row } from '../../ui/Page';
import { TextArea } from '../../ui/TextField';
import { send } from '../offline/outbox';

type Said = Api<'CommentReply'>;

/** What the teacher wrote to an answer, and what its reader says back. */
export function CommentTalk({
  ticketId,
  answerId,
  comment,
}: {
  ticketId: string;
  /** Null for the comment on a written task. */
  answerId: string | null;
  comment: string;
}) {
  const client = useQueryClient();
  const replies = useQuery({
    queryKey: keys.my.commentReplies(ticketId),
    queryFn: () => ok(api.GET('/my/tickets/{ticketId}/comment-replies', { params: { path: { ticketId } } })),
    retry: false,
  });
  const said = replies.data?.find((r) => r.answerId === answerId)?.words ?? '';
  const [words, setWords] = useState<string | null>(null);
  const [error, setError] = useState('');
  const keep = async (next: string) => {
    // Without a network it is kept here and stands here.
    client.setQueryData<Said[]>(keys.my.commentReplies(ticketId), (all) => [
      ...(all ?? []).filter((r) => r.answerId !== answerId),
      ...(next ? [{ answerId, words: next, at: new Date().toISOString(), seenAt: null }] : []),
    ]);
    setWords(null);
    try {
      await send({
        id: `${answerId ?? ticketId}-comment-reply`,
        about: ticketId,
        kind: 'comment-reply',
        params: { path: { ticketId } },
        body: { answerId, words: next },
      });
      setError('');
    } catch (e) {
      setError(sentence(e));
    }
  };
  return (
    <div className="grid gap-1.5">
      <p className="border-ink bg-sand border-l-4 border-double px-3 py-1.5 wrap-anywhere">
        <b>{t('Your teacher')}</b>: {comment}
      </p>
      {said && words === null && (
        <p className="wrap-anywhere">
          <b>{t('You')}</b>: {said}
        </p>
      )}
      {words === null ? (
        <Row>
          <Button size="reader" onClick={() => setWords(said)}>
            {said ? t('Change what you wrote back') : t('Write back')}
          </Button>
        </Row>
      ) : (
        <form
          className="grid gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            void keep(words.trim());
          }}
        >
          <TextArea
            label={t('What you want to say back')}
            size="reader"
            rows={3}
            maxLength={1000}
            autoFocus
            value={words}
            set={setWords}
          />
          <Row>
            <Button size="reader" look="main" type="submit">
              {t('Send')}
            </Button>
            <Button size="reader" onClick={() => setWords(null)}>
              {t('Cancel')}
            </Button>
          </Row>
        </form>
      )}
      {error && <ErrorText>{error}</ErrorText>}
    </div>
  );
}
