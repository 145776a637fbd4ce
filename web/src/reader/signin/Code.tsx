import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ok, sentence } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { PageTitle } from '../../ui/PageTitle';
import { BigField, islandLook, Say } from '../../ui/Reader';

/** The class code, typed. */
export function Code() {
  const [code, setCode] = useState('');
  const [error, setError] = useState('');
  const navigate = useNavigate();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await ok(api.GET('/session/class/{code}', { params: { path: { code: code.trim() || '-' } } }));
      await navigate(`/read/${encodeURIComponent(code.trim())}`);
    } catch (problem) {
      setError(sentence(problem));
    }
  };
  return (
    <form className={islandLook()} onSubmit={(e) => void submit(e)}>
      <PageTitle>{t('Class code')}</PageTitle>
      <BigField
        label={t('Class code')}
        bare
        kind="code"
        className="uppercase"
        autoFocus
        autoCapitalize="characters"
        maxLength={12}
        value={code}
        set={(typed) => setCode(typed.toUpperCase())}
      />
      {error && <Say role="alert">{error}</Say>}
      <Button look="main" size="reader" type="submit">
        {t('Continue')}
      </Button>
      <Button asChild look="plain" size="reader">
        <Link to="/staff">{t('I am a teacher')}</Link>
      </Button>
    </form>
  );
}
