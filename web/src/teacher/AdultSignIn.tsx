import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ok, sentence } from '../shared/api';
import { useSignInBy } from '../shared/session';
import { t } from '../shared/words';
import { Mark } from './frame/Mark';
import './teacher.css';

/** The front door. */
export default function AdultSignIn() {
  const [userName, setUserName] = useState('');
  const [password, setPassword] = useState('');
  const [error, setError] = useState('');
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await signInBy(() => ok(api.POST('/session/adult', { body: { userName, password } })));
      await navigate('/');
    } catch (problem) {
      setError(sentence(problem));
    }
  };
  return (
    <main className="door">
      <section className="doorcard" aria-labelledby="door">
        <p className="mark">
          <Mark />
          Deep Current
        </p>
        <h1 id="door">{t('Sign in')}</h1>
        <form onSubmit={(e) => void submit(e)}>
          <div className="field">
            <label htmlFor="user">{t('User name')}</label>
            <input
              id="user"
              type="text"
              autoComplete="username"
              autoCapitalize="none"
              autoFocus
              required
              value={userName}
              onChange={(e) => setUserName(e.target.value)}
            />
          </div>
          <div className="field">
            <label htmlFor="password">{t('Password')}</label>
            <input
              id="password"
              type="password"
              autoComplete="current-password"
              required
              value={password}
              onChange={(e) => setPassword(e.target.value)}
            />
          </div>
          {error && (
            <p className="error" role="alert">
              {error}
            </p>
          )}
          <p className="row end">
            <button className="btn main">{t('Sign in')}</button>
          </p>
        </form>
        <p className="other">
          <Link to="/read">{t('I am a reader and have a class code')}</Link>
        </p>
        <p className="other">
          <Link to="/guardian">{t('I am a guardian and have a letter')}</Link>
        </p>
      </section>
    </main>
  );
}
