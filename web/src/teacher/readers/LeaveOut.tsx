import { z } from 'zod';
import { type Api, api, ok } from '../../shared/api';
import { useFields } from '../../shared/forms';
import { say, t } from '../../shared/words';
import { Dialog } from '../../ui/Dialog';
import { Form, FormFoot } from '../../ui/Form';
import { TextField } from '../../ui/TextField';
import { useChange, type InClass } from './useChange';

const schema = z.object({ reason: z.string() });

/** Takes a piece of evidence out of the level, with a reason. */
export function LeaveOut({ params, piece, close }: { params: InClass; piece: Api<'PieceView'>; close: () => void }) {
  const change = useChange(close);
  const form = useFields({
    schema,
    start: { reason: '' },
    send: ({ reason }) =>
      change.mutateAsync(() =>
        ok(api.PUT('/classes/{classId}/readers/{readerId}/evidence', { params, body: { ids: piece.ids, reason } })),
      ),
  });
  return (
    <Dialog title={t('Leave out of level')} close={close}>
      <Form of={form}>
        <p>{say(piece.note)}</p>
        <TextField
          label={t('Why')}
          hint={t('It stays here, and you can include it again.')}
          autoFocus
          {...form.field('reason')}
        />
        <FormFoot of={form} close={close}>
          {t('Leave out')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
