import { useQuery } from '@tanstack/react-query';
import { api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import { PaperPages } from '../../shared/papers/PaperPages';
import { t } from '../../shared/words';

/** A reader's copies of the papers of a task, as they are now. */
export function PaperCopies({ ticketId }: { ticketId: string }) {
  const copies = useQuery({
    queryKey: keys.ticketPapers(ticketId),
    queryFn: () => ok(api.GET('/tickets/{ticketId}/papers', { params: { path: { ticketId } } })),
  });
  const own = (copies.data ?? []).filter((p) => p.eachOwn);
  if (own.length === 0) return null;
  return (
    <section className="border-line grid gap-3 border-t px-4.5 py-3.5">
      <h2>{t('Papers')}</h2>
      {own.map((p) => (
        <div key={p.id} className="grid max-w-200 gap-1.5">
          <h3 className="text-base">{p.name}</h3>
          <PaperPages src={`/api/papers/${p.id}/file`} kind={p.kind} name={p.name} strokes={p.strokes} />
        </div>
      ))}
    </section>
  );
}
