import { api, ok, type Api } from '../../shared/api';
import { isDone } from '../../shared/ticketStates';
import { MarkField } from './MarkField';
import { Replies } from './Replies';

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
          of={{ rubric: content.rubric ?? null }}
          may={x.mayMark}
          put={(points, comment) =>
            ok(
              api.PUT('/tickets/{ticketId}/reply/mark', {
                params: { path: { ticketId: x.ticket.id } },
                body: { points, comment },
              }),
            )
          }
        />
      )}
    </div>
  );
}
