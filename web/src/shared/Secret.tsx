import { cx } from 'class-variance-authority';
import type { Api } from './api';
import { Picture, pictureName } from './Picture';
import { phrase, type Phrase, t } from './words';

/** A secret as it is told to its reader: pictures in order, or the code or password to type. */
export function Secret({ kind, secret, small = false }: { kind: SecretKind; secret: string; small?: boolean }) {
  if (kind === 'Pictures')
    return (
      <ol
        className={cx('flex', small ? 'ml-auto gap-2 text-sm [&_svg]:size-6' : 'my-2.5 gap-5')}
        aria-label={t('Picture secret')}
      >
        {secret.split(' ').map((p) => (
          <li key={p} className="grid justify-items-center font-semibold">
            <Picture name={p} />
            {pictureName(p)}
          </li>
        ))}
      </ol>
    );
  return (
    <p className={cx(small && 'ml-auto')}>
      <span className="text-soft">{kind === 'Code' ? t('Code') : t('Password')}</span>{' '}
      <b
        className={cx('ml-1.5 tracking-wider', small ? 'text-lg' : 'text-xl')}
        aria-label={kind === 'Code' ? t('Code') : t('Password')}
      >
        {secret}
      </b>
    </p>
  );
}

export type SecretKind = Api<'SecretKind'>;

const kinds: Record<SecretKind, Phrase> = {
  Pictures: phrase('pictures'),
  Code: phrase('code'),
  Password: phrase('password'),
};
export const kindName = (kind: SecretKind) => t(kinds[kind]);
export const secretKinds = ['Pictures', 'Code', 'Password'] as const satisfies readonly SecretKind[];
