import { useQuery } from '@tanstack/react-query';
import { api, ok } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { kindName, Secret, secretKinds, type SecretKind } from '../../../shared/Secret';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Row } from '../../../ui/Page';
import { Show } from '../../../ui/Show';
import { useRosterChange, type Member, type Roster } from './rosterQueries';

/** How a reader signs in, and a new secret where the old one is lost. */
export function SignIn({ roster, member }: { roster: Roster; member: Member }) {
  const card = useQuery({
    queryKey: keys.signIn(member.id),
    queryFn: () => ok(api.GET('/readers/{readerId}/sign-in', { params: { path: { readerId: member.id } } })),
  });
  const change = useRosterChange();
  const renew = (kind: SecretKind) =>
    change.mutate(() =>
      ok(
        api.POST('/classes/{classId}/readers/{readerId}/secret', {
          params: { path: { classId: roster.id, readerId: member.id } },
          body: { kind },
        }),
      ),
    );
  return (
    <section aria-labelledby="signin">
      <h3 id="signin">{t('Sign-in')}</h3>
      <p className="text-sm">
        {t('Class code {{code}}', { code: roster.code })}, {t('user name {{name}}', { name: member.userName })}
      </p>
      <Show query={card}>
        {(c) => (
          <>
            <Secret kind={c.secretKind} secret={c.secret} />
            {roster.mayChange && (
              <Row>
                <span className="text-soft text-sm">{t('New:')}</span>
                {secretKinds.map((k) => (
                  <Button size="sm" key={k} onClick={() => renew(k)}>
                    {kindName(k)}
                  </Button>
                ))}
              </Row>
            )}
          </>
        )}
      </Show>
    </section>
  );
}
