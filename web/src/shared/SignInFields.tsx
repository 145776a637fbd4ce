import { PasswordField, TextField } from '../ui/TextField';
import { t } from './words';

type Typed = { userName: string; password: string };

/** What an adult signs in with. */
export function SignInFields({ value, set }: { value: Typed; set: (value: Typed) => void }) {
  return (
    <>
      <TextField
        label={t('User name')}
        autoComplete="username"
        autoCapitalize="none"
        autoFocus
        required
        value={value.userName}
        set={(userName) => set({ ...value, userName })}
      />
      <PasswordField
        label={t('Password')}
        autoComplete="current-password"
        required
        value={value.password}
        set={(password) => set({ ...value, password })}
      />
    </>
  );
}
