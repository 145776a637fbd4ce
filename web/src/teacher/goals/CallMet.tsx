import { z } from 'zod';
import { api, ok } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { line, useFields } from '../../shared/forms';
import { goalKinds } from '../../shared/goalKinds';
import { phrase, t } from '../../shared/words';
import { Dialog } from '../../ui/Dialog';
import { Form, FormFoot } from '../../ui/Form';
import { TextField } from '../../ui/TextField';
import { useSaid } from '../classQueries';
import type { Line, OfKind } from './goals';

const longest = 200;
const schema = z.object({ reason: line(longest, phrase('Say why, in {{n}} letters or fewer.'), { n: longest }) });

/** Calls a goal met that was just missed, with a reason. */
export function CallMet({
  classId,
  termId,
  l,
  k,
  name,
  close,
}: {
  classId: string;
  termId: string;
  l: Line;
  k: OfKind;
  name: string;
  close: () => void;
}) {
  const said = useSaid();
  const changed = useChanged();
  const form = useFields({
    schema,
    start: { reason: '' },
    send: async ({ reason }) => {
      const done = await ok(
        api.POST('/classes/{classId}/goals/met', {
          params: { path: { classId } },
          body: { termId, readerId: l.readerId, kind: k.kind, reason },
        }),
      );
      close();
      said(t('Called {{name}}’s goal met', { name }), done.changeId);
      await changed('goals');
    },
  });
  return (
    <Dialog title={t('Call {{name}}’s goal met', { name })} close={close}>
      <Form of={form}>
        <p>
          {goalKinds[k.kind].name()}: {k.goal && goalKinds[k.kind].outOf(k.soFar, k.goal.target)}
        </p>
        <TextField
          label={t('Reason')}
          hint={t('It stays with the goal. You can undo this.')}
          autoFocus
          {...form.field('reason')}
        />
        <FormFoot of={form} close={close}>
          {t('Call met')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}
