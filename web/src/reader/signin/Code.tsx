import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ok, sentence } from '../../shared/api';
import { forgetTyped, typedEarly } from '../../shared/early';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { PageTitle } from '../../ui/PageTitle';
import { BigField, Say } from '../../ui/Reader';
import { islandLook } from '../../ui/looks';

/** The class code, typed. */
export function Code() {
  const [typed] = useState(typedEarly);
  const [code, setCode] = useState(typed.code);
  const [error, setError] = useState('');
  const navigate = useNavigate();
  const go = async () => {
    try {
      await ok(api.GET('/session/class/{code}', { params: { path: { code: code.trim() || '-' } } }));
      await navigate(`/read/${encodeURIComponent(code.trim())}`);
    } catch (problem) {
      setError(sentence(problem));
    }
  };
  // Sent before this page had come: it goes on from there.
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    forgetTyped();
    if (typed.sent) form.current?.requestSubmit();
  }, [typed]);
  return (
    <form
      ref={form}
      className={islandLook()}
      onSubmit={(e) => {
        e.preventDefault();
        void go();
      }}
    >
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
