import './english';
import { Link, useNavigate } from 'react-router';
import { api, ok } from '../shared/api';
import { useSignInBy } from '../shared/session';
import { SignInForm } from '../shared/SignInForm';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { Door } from '../ui/Frame';

/** The front door. */
export default function AdultSignIn() {
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  return (
    <Door title={t('Sign in')}>
      <SignInForm
        send={async (typed) => {
          await signInBy(() => ok(api.POST('/session/adult', { body: typed })));
          await navigate('/');
        }}
      />
      <div className="flex flex-wrap gap-2">
        <Button asChild look="plain">
          <Link to="/read">{t('I am a reader with a class code')}</Link>
        </Button>
        <Button asChild look="plain">
          <Link to="/guardian">{t('I am a guardian with a letter')}</Link>
        </Button>
      </div>
    </Door>
  );
}
