import { api, ok, type Api } from '../../shared/api';
import { isDone } from '../../shared/ticketStates';
import { phrase, t } from '../../shared/words';
import { MarkField } from './MarkField';
import { Replies } from './Replies';

/** What 0 to 3 mean where nobody has said it for the question. */
export const usualMarks = [
  phrase('does not answer it'),
  phrase('answers a little of it'),
  phrase('answers most of it'),
  phrase('answers all of it, and says why'),
];

/** A task without a text with what its reader did for it; what is written is marked here. */
export function TaskReply({ x }: { x: Api<'TicketView'> }) {
  const content = x.content;
  const latest = x.replies[0];
  if (!content) return null;
  return (
    <div className="border-ink grid max-w-210 gap-3 border-t px-4 py-3">
      {content.prompt && <p className="font-serif text-lg whitespace-pre-line">{content.prompt}</p>}
      {content.url && (
        <p>
          <a href={content.url} target="_blank" rel="noopener noreferrer">
            {content.url}
          </a>
        </p>
      )}
      {x.kind !== 'Link' && <Replies of={x} />}
      {x.kind === 'Written' && latest && isDone(x.ticket.state) && (
        <MarkField
          key={latest.round}
          mark={latest.reply.mark ?? null}
          said={latest.reply.comment}
          words={usualMarks.map((m) => t(m))}
          may={x.mayMark}
          put={(mark, comment) =>
            ok(
              api.PUT('/tickets/{ticketId}/reply/mark', {
                params: { path: { ticketId: x.ticket.id } },
                body: { mark, comment },
              }),
            )
          }
        />
      )}
    </div>
  );
}
