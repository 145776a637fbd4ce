import { useMutation } from '@tanstack/react-query';
import { useState, type ClipboardEvent } from 'react';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { listed } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { Notice } from '../../ui/Page';
import { NumberField } from '../../ui/TextField';
import { useSaid } from '../classQueries';
import type { Results } from './results';
import { pastedResults } from './typed';

type Reader = Results['readers'][number];
const pointsOf = (readers: readonly Reader[]) =>
  new Map(readers.flatMap((x) => (x.typed ? [[x.ticketId, x.typed.points] as const] : [])));

/** Results from elsewhere: typed reader by reader, or a column of a spreadsheet pasted into any field. */
export function TypedResults({ r, name, close }: { r: Results; name: (id: string) => string; close: () => void }) {
  const said = useSaid();
  const changed = useChanged();
  const [before] = useState(() => pointsOf(r.readers));
  const [points, put] = useState<ReadonlyMap<string, number>>(before);
  const [of, setOf] = useState(() => r.readers.find((x) => x.typed)?.typed?.of ?? 10);
  const [unknown, setUnknown] = useState<string[]>([]);
  const ofWas = r.readers.find((x) => x.typed)?.typed?.of ?? of;
  const other = r.readers.filter(
    (x) => points.get(x.ticketId) !== before.get(x.ticketId) || (of !== ofWas && points.has(x.ticketId)),
  );
  const set = (ticketId: string, value: number | null) =>
    put((was) => {
      const next = new Map(was);
      if (value === null) next.delete(ticketId);
      else next.set(ticketId, value);
      return next;
    });
  const paste = (e: ClipboardEvent) => {
    const text = e.clipboardData.getData('text/plain');
    if (!/[\n\t]/.test(text.trim())) return;
    e.preventDefault();
    const pasted = pastedResults(
      text,
      r.readers.map((x) => ({
        id: x.ticketId,
        names: [name(x.readerId), x.givenName, `${x.givenName} ${x.familyName}`, `${x.familyName} ${x.givenName}`],
      })),
    );
    put((was) => new Map([...was, ...pasted.points]));
    if (pasted.of !== null) setOf(pasted.of);
    setUnknown(pasted.unknown);
  };
  const save = useMutation({
    mutationFn: () =>
      ok(
        api.PUT('/assignments/{assignmentId}/typed-results', {
          params: { path: { assignmentId: r.assignment.id } },
          body: { of, results: other.map((x) => ({ ticketId: x.ticketId, points: points.get(x.ticketId) ?? null })) },
        }),
      ),
    onSuccess: async (done) => {
      await changed('work');
      said(done.summary, done.changeId);
      close();
    },
  });
  return (
    <Dialog title={t('Enter results')} close={close}>
      <form
        noValidate
        onPaste={paste}
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <p className="text-soft mb-2 text-sm">
          {t('Results from elsewhere go into the gradebook. No level goes by them. Paste a list into any field.')}
        </p>
        <NumberField label={t('Points for a full result')} min={1} max={1000} value={of} set={setOf} />
        <ul className="mt-3 grid gap-1" aria-label={t('Results')}>
          {r.readers.map((x) => (
            <li key={x.ticketId} className="border-line grid grid-cols-[1fr_auto] items-center gap-3 border-b pb-1">
              <span>{name(x.readerId)}</span>
              <NumberField
                label={t('Points of {{name}}', { name: name(x.readerId) })}
                bare
                step={0.5}
                min={0}
                max={of}
                error={fieldOf(save.error, x.ticketId)}
                value={points.get(x.ticketId) ?? null}
                set={(value) => set(x.ticketId, value)}
                unset={() => set(x.ticketId, null)}
              />
            </li>
          ))}
        </ul>
        {unknown.length > 0 && (
          <Notice>{t('Left out, because no one reader is called this: {{names}}', { names: listed(unknown) })}</Notice>
        )}
        {save.isError && <ErrorText>{sentence(save.error)}</ErrorText>}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit" disabled={other.length === 0} aria-busy={save.isPending}>
            {t('Save {{count}} results', { count: other.length })}
          </Button>
        </DialogFoot>
      </form>
    </Dialog>
  );
}
