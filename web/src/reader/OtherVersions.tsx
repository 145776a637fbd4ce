import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok } from '../shared/api';
import { keys } from '../shared/keys';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { Say } from '../ui/Reader';
import type { Work } from './queries';
import { refusal } from './refusal';

/** An easier or a harder version within reach, until something is answered. It needs the school's server. */
export function OtherVersions({ work }: { work: Work }) {
  const client = useQueryClient();
  const [error, setError] = useState<unknown>();
  const others = useQuery({
    queryKey: keys.my.versions(work.id, work.depth),
    queryFn: () => ok(api.GET('/my/tickets/{ticketId}/versions', { params: { path: { ticketId: work.id } } })),
    retry: false,
  });
  const change = async (versionId: string) => {
    try {
      await ok(
        api.POST('/my/tickets/{ticketId}/version', { params: { path: { ticketId: work.id } }, body: { versionId } }),
      );
      await client.invalidateQueries({ queryKey: keys.my.ticket(work.id) });
    } catch (problem) {
      setError(problem);
    }
  };
  // The nearest on each side: one step at a time.
  const easier = others.data?.filter((v) => !v.harder).at(-1);
  const harder = others.data?.find((v) => v.harder);
  return (
    <>
      {easier && (
        <Button size="reader" onClick={() => void change(easier.versionId)}>
          {t('Easier version')}
        </Button>
      )}
      {harder && (
        <Button size="reader" onClick={() => void change(harder.versionId)}>
          {t('Harder version')}
        </Button>
      )}
      {error ? <Say role="alert">{refusal(error)}</Say> : null}
    </>
  );
}
