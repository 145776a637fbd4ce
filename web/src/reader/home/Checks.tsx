import { Link } from 'react-router';
import { dayOf } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { islandLook } from '../../ui/looks';
import { useMyChecks } from '../check/checkQueries';

/** Level checks stand on top. */
export function Checks() {
  const checks = useMyChecks().data ?? [];
  return (
    <>
      {checks.map((k) => (
        <article key={k.id} className={islandLook({ kind: 'next' })}>
          <h2>{k.title}</h2>
          <p className="text-soft">
            {t('{{count}} parts left', { count: k.left })}
            {k.closesOn && ` · ${t('until {{day}}', { day: dayOf(k.closesOn) })}`}
          </p>
          <Button asChild look="main" size="reader">
            <Link to={`/check/${k.id}`} aria-label={`${k.begun ? t('Continue') : t('Start')}: ${k.title}`}>
              {k.begun ? t('Continue') : t('Start')}
            </Link>
          </Button>
        </article>
      ))}
    </>
  );
}
