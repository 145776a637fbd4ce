import { type Api, api, ok } from '../../../shared/api';
import { dayOf, timeOf } from '../../../shared/format';
import { t } from '../../../shared/words';
import { useRosterChange, type Roster } from './rosterQueries';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Page';

type Asked = Api<'TakingIn'>;
const nameOf = (a: Asked) => `${a.givenName} ${a.familyName}`.trim();

/** Requests for readers of this class, the requests it has made itself, and a word when someone guesses secrets. */
export function TakingIn({ roster }: { roster: Roster }) {
  return (
    <>
      {roster.guessing && (
        <p className="px-4 py-2" role="status">
          <b>
            {t('Someone has tried many wrong secrets in this class, last at {{time}}.', {
              time: `${dayOf(roster.guessing)} ${timeOf(roster.guessing)}`,
            })}
          </b>{' '}
          {t('If it was not your readers, replace the code under “Class”.')}
        </p>
      )}
      <Requests asked={roster.askedOfUs} />
      {roster.weAsked.length > 0 && (
        <Notice aria-label={t('Requested')}>
          <p>
            <b>{t('You requested {{count}} readers from other classes', { count: roster.weAsked.length })}</b>
          </p>
          <ul className="flex flex-wrap gap-x-6 gap-y-1.5 [&>li]:inline-flex [&>li]:items-center [&>li]:gap-1.5">
            {roster.weAsked.map((a) => (
              <Waiting key={a.id} asked={a} />
            ))}
          </ul>
        </Notice>
      )}
    </>
  );
}

function Waiting({ asked }: { asked: Asked }) {
  const change = useRosterChange();
  const back = () =>
    change.mutate(async () => {
      await ok(api.DELETE('/taking-in/{takingInId}', { params: { path: { takingInId: asked.id } } }));
      return { changeId: null, sentence: t('Took back request for {{name}}', { name: nameOf(asked) }), asked: 0 };
    });
  return (
    <li>
      <b>{nameOf(asked)}</b> <span className="text-soft">{asked.from}</span>{' '}
      <Button size="sm" onClick={back} aria-label={t('Take back request for {{name}}', { name: asked.givenName })}>
        {t('Take back')}
      </Button>
    </li>
  );
}

/** Requests to answer: by the teachers of the readers' classes, and by whoever leads the school. */
export function Requests({ asked }: { asked: Asked[] }) {
  const change = useRosterChange();
  if (asked.length === 0) return null;
  const decide = (a: Asked, accept: boolean, move = false) =>
    change.mutate(() =>
      ok(api.POST('/taking-in/{takingInId}', { params: { path: { takingInId: a.id } }, body: { accept, move } })),
    );
  return (
    <Notice aria-label={t('Requests to you')}>
      <p>
        <b>{t('Colleagues request {{count}} readers', { count: asked.length })}</b>
      </p>
      <ul className="flex flex-wrap gap-x-6 gap-y-1.5 [&>li]:inline-flex [&>li]:items-center [&>li]:gap-1.5">
        {asked.map((a) => (
          <li key={a.id}>
            <span>
              {t('{{who}} requests {{name}} for {{class}}', { who: a.askedBy, name: nameOf(a), class: a.class })}
            </span>
            <Button
              size="sm"
              onClick={() => decide(a, true)}
              aria-label={t('Approve {{name}} for both classes', { name: a.givenName })}
            >
              {t('Approve for both classes')}
            </Button>
            <Button
              size="sm"
              onClick={() => decide(a, true, true)}
              aria-label={t('Approve {{name}} and move', { name: a.givenName })}
            >
              {t('Approve and move')}
            </Button>
            <Button
              size="sm"
              onClick={() => decide(a, false)}
              aria-label={t('Decline {{name}}', { name: a.givenName })}
            >
              {t('Decline')}
            </Button>
          </li>
        ))}
      </ul>
    </Notice>
  );
}
