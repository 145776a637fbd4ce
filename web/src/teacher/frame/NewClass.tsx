import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { useQueryClient } from '@tanstack/react-query';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { keys } from '../../shared/keys';
import type { Session } from '../../shared/session';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { Field, Window } from './Window';
import { Mark } from './Mark';

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
    <form onSubmit={(e) => void save(e)} noValidate>
      <Field
        id="class-name"
        label={t('Class name')}
        error={error ? (fieldOf(error, 'name') ?? sentence(error)) : undefined}
        hint={t('For example “4 Tern”')}
      >
        <input id="class-name" type="text" value={name} onChange={(e) => setName(e.target.value)} />
      </Field>
      <p className="row end">
        <button className="btn main">{t('Make the class')}</button>
      </p>
    </form>
  );
}

export function NewClassDialog({ close }: { close: () => void }) {
  const navigate = useNavigate();
  return (
    <Window title={t('New class')} close={close}>
      <ClassForm
        done={(id) => {
          close();
          void navigate(`/class/${id}/readers`);
        }}
      />
    </Window>
  );
}

/** What a teacher without a class sees. */
export function NewClass({ session }: { session: Session }) {
  const navigate = useNavigate();
  return (
    <main className="door">
      <section className="doorcard" aria-labelledby="door">
        <p className="mark">
          <Mark />
          Deep Current
        </p>
        <h1 id="door">{t('Make your first class')}</h1>
        <p>
          {t('Welcome, {{name}}. A class holds the readers you teach together. You can add readers right after this.', {
            name: session.name,
          })}
        </p>
        <ClassForm done={(id) => void navigate(`/class/${id}/readers`)} />
      </section>
    </main>
  );
}
