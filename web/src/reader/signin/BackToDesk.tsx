import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { api, ok, sentence } from '../../shared/api';
import { useSignInBy } from '../../shared/session';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Say } from '../../ui/Reader';
import { PasswordField } from '../../ui/TextField';

/** The way back to the teacher's side of a device that was handed over: by password only. */
export function BackToDesk({ name }: { name: string }) {
  const [open, setOpen] = useState(false);
  const [password, setPassword] = useState('');
  const [error, setError] = useState('');
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await signInBy(() => ok(api.POST('/session/return', { body: { password } })));
      await navigate('/');
    } catch (problem) {
      setError(sentence(problem));
      setPassword('');
    }
  };
  if (!open)
    return (
      <Button look="plain" size="reader" onClick={() => setOpen(true)}>
        {t('Back to teacher pages')}
      </Button>
    );
  return (
    <form className="flex flex-wrap items-center gap-2" onSubmit={(e) => void submit(e)}>
      <PasswordField
        label={t('Password of {{name}}', { name })}
        inline
        size="reader"
        autoFocus
        autoComplete="current-password"
        value={password}
        set={setPassword}
      />
      <Button look="main" size="reader" type="submit">
        {t('Back')}
      </Button>
      {error && <Say role="alert">{error}</Say>}
    </form>
  );
}
