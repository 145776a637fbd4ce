import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok } from '../shared/api';
import { keys } from '../shared/keys';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { refusal } from './refusal';

/** Puts a chosen text back; what was done on it is kept. */
export function PutBack({ ticketId, title }: { ticketId: string; title: string }) {
  const client = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>();
  const back = async () => {
    setBusy(true);
    setError(undefined);
    try {
      await ok(api.DELETE('/my/choices/{ticketId}', { params: { path: { ticketId } } }));
    } catch (problem) {
      setError(problem);
    } finally {
      setBusy(false);
      void client.invalidateQueries({ queryKey: keys.my.all });
    }
  };
  return (
    <p className="flex flex-wrap items-center gap-1.5">
      {t('You chose this.')}{' '}
      <Button
        look="plain"
        size="reader"
        disabled={busy}
        onClick={() => void back()}
        aria-label={t('Put {{title}} back', { title })}
      >
        {t('Put it back')}
      </Button>
      {error ? <span role="alert"> {refusal(error)}</span> : null}
    </p>
  );
}
