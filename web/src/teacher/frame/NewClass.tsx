import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useQueryClient } from '@tanstack/react-query';
import { api, ok } from '../../shared/api';
import { useFields } from '../../shared/forms';
import { keys } from '../../shared/keys';
import type { Session } from '../../shared/session';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { Form, FormFault, Submit } from '../../ui/Form';
import { Door } from '../../ui/Frame';
import { Row } from '../../ui/Page';
import { ClassFields, classRequest, classSchema } from '../ClassFields';

function ClassForm({ done, foot }: { done: (id: string) => void; foot: (submit: ReactNode) => ReactNode }) {
  const once = useOnce();
  const client = useQueryClient();
  const form = useFields({
    schema: classSchema,
    start: { name: '', grade: -1, firstDay: '', lastDay: '' },
    send: async (typed) => {
      const made = await ok(api.POST('/classes', { body: { ...classRequest(typed), id: once.idOf(typed) } }));
      await client.invalidateQueries({ queryKey: keys.session });
      done(made.id);
    },
  });
  return (
    <Form of={form}>
      <ClassFields form={form} yearName={undefined} />
      <FormFault of={form} />
      {foot(<Submit of={form}>{t('Create class')}</Submit>)}
    </Form>
  );
}

export function NewClassDialog({ close }: { close: () => void }) {
  const navigate = useNavigate();
  return (
    <Dialog title={t('New class')} close={close}>
      <ClassForm
        done={(id) => {
          close();
          void navigate(`/class/${id}/readers`);
        }}
        foot={(submit) => (
          <DialogFoot>
            <Button onClick={close}>{t('Cancel')}</Button>
            {submit}
          </DialogFoot>
        )}
      />
    </Dialog>
  );
}

/** What a teacher without a class sees. */
export function NewClass({ session }: { session: Session }) {
  const navigate = useNavigate();
  return (
    <Door title={t('Create your first class')}>
      <p>
        {t('Welcome, {{name}}. A class holds the readers you teach together. Add readers next.', {
          name: session.name,
        })}
      </p>
      <ClassForm done={(id) => void navigate(`/class/${id}/readers`)} foot={(submit) => <Row end>{submit}</Row>} />
    </Door>
  );
}
