import type { Api } from '../../../shared/api';
import { Secret } from '../../../shared/Secret';
import { t } from '../../../shared/words';
import type { ClassData } from '../../classQueries';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Page';

/** Everybody who came in can sign in at once. */
export function Added({ data, added, close }: { data: ClassData; added: Api<'SignInRow'>[]; close: () => void }) {
  const ids = added.map((a) => a.readerId).join(',');
  return (
    <Notice kind="action" className="max-h-[45%] flex-none overflow-auto" aria-label={t('Sign-ins of new readers')}>
      <p>
        <b>{t('{{count}} can sign in now', { count: added.length })}</b>,{' '}
        {t('class code {{code}}', { code: data.code })}{' '}
        <Button asChild size="sm">
          <a href={`/api/classes/${data.id}/print/Cards.pdf?readers=${ids}`} target="_blank" rel="noreferrer">
            {t('Print cards')}
          </a>
        </Button>{' '}
        <Button asChild size="sm">
          <a href={`/api/classes/${data.id}/print/Letters.pdf?readers=${ids}`} target="_blank" rel="noreferrer">
            {t('Print guardian letters')}
          </a>
        </Button>{' '}
        <Button look="plain" size="sm" onClick={close}>
          {t('Close')}
        </Button>
      </p>
      <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(340px,1fr))] gap-x-6 gap-y-0.5">
        {added.map((a) => (
          <li key={a.readerId} className="flex min-h-8 items-center gap-2.5">
            <b>
              {a.givenName} {a.familyName}
            </b>{' '}
            <span>{a.userName}</span>
            <Secret small kind={a.secretKind} secret={a.secret} />
          </li>
        ))}
      </ul>
    </Notice>
  );
}
