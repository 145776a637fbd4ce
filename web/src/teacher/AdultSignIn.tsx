import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ok, sentence } from '../shared/api';
import { useSignInBy } from '../shared/session';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { ErrorText } from '../ui/Field';
import { Door } from '../ui/Frame';
import { Form, Row } from '../ui/Page';
import { SignInFields } from '../shared/SignInFields';

/** The front door. */
export default function AdultSignIn() {
  const [typed, setTyped] = useState({ userName: '', password: '' });
  const [error, setError] = useState('');
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await signInBy(() => ok(api.POST('/session/adult', { body: typed })));
      await navigate('/');
    } catch (problem) {
      setError(sentence(problem));
    }
  };
  return (
    <Door title={t('Sign in')}>
      <Form noValidate={false} onSubmit={(e) => void submit(e)}>
        <SignInFields value={typed} set={setTyped} />
        {error && <ErrorText>{error}</ErrorText>}
        <Row end>
          <Button look="main" type="submit">
            {t('Sign in')}
          </Button>
        </Row>
      </Form>
      <p>
        <Link to="/read">{t('I am a reader with a class code')}</Link>
      </p>
      <p>
        <Link to="/guardian">{t('I am a guardian with a letter')}</Link>
      </p>
    </Door>
  );
}
