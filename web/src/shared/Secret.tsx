import type { Api } from './api';
import { Picture, pictureName } from './Picture';
import { t } from './words';

/** A secret as it is told to its reader: pictures in order, or the code or password to type. */
export function Secret({ kind, secret }: { kind: SecretKind; secret: string }) {
  if (kind === 'Pictures')
    return (
      <ol className="secret" aria-label={t('Picture secret')}>
        {secret.split(' ').map((p) => (
          <li key={p}>
            <Picture name={p} />
            {pictureName(p)}
          </li>
        ))}
      </ol>
    );
  return (
    <p className="secretword">
      <span className="soft">{kind === 'Code' ? t('Code') : t('Password')}</span>{' '}
      <b aria-label={kind === 'Code' ? t('Code') : t('Password')}>{secret}</b>
    </p>
  );
}

export type SecretKind = Api<'SecretKind'>;

const kinds: Record<SecretKind, string> = { Pictures: 'pictures', Code: 'code', Password: 'password' };
export const kindName = (kind: SecretKind) => t(kinds[kind]);
export const secretKinds = ['Pictures', 'Code', 'Password'] as const satisfies readonly SecretKind[];
