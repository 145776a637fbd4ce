import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { useQueryClient } from '@tanstack/react-query';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { keys } from '../../shared/keys';
import type { Session } from '../../shared/session';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Door } from '../../ui/Frame';
import { Form, Row } from '../../ui/Page';
import { TextField } from '../../ui/TextField';

function ClassForm({ done }: { done: (id: string) => void }) {
  const [name, setName] = useState('');
  const [error, setError] = useState<unknown>();
  const once = useOnce();
  const client = useQueryClient();
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const made = await ok(api.POST('/classes', { body: { name, id: once.idOf(name) } }));
      await client.invalidateQueries({ queryKey: keys.session });
      done(made.id);
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Form onSubmit={(e) => void save(e)}>
      <TextField
        label={t('Class name')}
        error={error ? (fieldOf(error, 'name') ?? sentence(error)) : undefined}
        hint={t('For example “4 Tern”')}
        value={name}
        set={setName}
      />
      <Row end>
        <Button look="main" type="submit">
          {t('Create class')}
        </Button>
      </Row>
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
      <ClassForm done={(id) => void navigate(`/class/${id}/readers`)} />
    </Door>
  );
}
