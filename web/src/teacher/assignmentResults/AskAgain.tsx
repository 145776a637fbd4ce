import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { sentence } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { TextArea } from '../../ui/TextField';
import type { Results } from './results';

const longest = 500;

/** Missed questions go back for another try: to all who missed one, or to those who are picked. */
export function AskAgain({
  r,
  tickets,
  name,
  send,
  close,
}: {
  r: Results;
  tickets: string[];
  name: (id: string) => string;
  send: (tickets: string[], comment: string) => Promise<unknown>;
  close: () => void;
}) {
  const [picked, pick] = useState<ReadonlySet<string>>(() => new Set(tickets));
  const [comment, say] = useState('');
  const act = useMutation({ mutationFn: () => send([...picked], comment), onSuccess: close });
  const shown = r.readers.filter((x) => tickets.includes(x.ticketId));
  return (
    <Dialog title={t('Ask missed questions again')} close={close}>
      <div className="grid gap-3">
        <p>{t('Each reader gets the questions they have not got right. Both tries are kept and shown.')}</p>
        <fieldset className="grid max-h-64 gap-0.5 overflow-auto">
          <legend className="mb-1 font-semibold">
            {t('{{n}} of {{count}} readers', { n: picked.size, count: shown.length })}
          </legend>
          <Checkbox
            checked={picked.size === 0 ? false : picked.size === shown.length || 'indeterminate'}
            set={(on) => pick(new Set(on ? tickets : []))}
          >
            {t('All')}
          </Checkbox>
          {shown.map((x) => {
            const row = r.rows.find((y) => y.readerId === x.readerId);
            return (
              <Checkbox
                key={x.ticketId}
                checked={picked.has(x.ticketId)}
                set={(on) => {
                  const next = new Set(picked);
                  if (on) next.add(x.ticketId);
                  else next.delete(x.ticketId);
                  pick(next);
                }}
              >
                {name(x.readerId)}
                {row && (
                  <span className="text-soft text-sm">
                    {' '}
                    {t('{{n}} of {{of}} right', { n: row.right, of: row.asked })}
                  </span>
                )}
              </Checkbox>
            );
          })}
        </fieldset>
        <TextArea label={t('Comment to readers, optional')} rows={2} maxLength={longest} value={comment} set={say} />
        {act.isError && <ErrorText>{sentence(act.error)}</ErrorText>}
      </div>
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button look="main" disabled={picked.size === 0} aria-busy={act.isPending} onClick={() => act.mutate()}>
          {t('Send back to {{count}} readers', { count: picked.size })}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}
