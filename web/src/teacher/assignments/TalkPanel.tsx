import { useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Page';

/** What readers wrote, question by question; whether they see one another's is switched here. */
export function TalkPanel({ assignmentId, mayChange }: { assignmentId: string; mayChange: boolean }) {
  const client = useQueryClient();
  const key = keys.talk(assignmentId);
  const talk = useQuery({
    queryKey: key,
    queryFn: () => ok(api.GET('/assignments/{assignmentId}/talk', { params: { path: { assignmentId } } })),
  });
  if (!talk.data || (!talk.data.open && talk.data.answers.length === 0)) return null;
  const { open, answers } = talk.data;
  const stems = [...new Set(answers.map((a) => a.stem))];
  const set = (wanted: boolean) =>
    ok(
      api.PUT('/assignments/{assignmentId}/talk', { params: { path: { assignmentId } }, body: { open: wanted } }),
    ).then(
      (now) => client.setQueryData(key, now),
      (problem: unknown) => toast.error(sentence(problem)),
    );
  return (
    <Card aria-labelledby="talk">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2 id="talk">{t('Written answers')}</h2>
        {mayChange && (
          <Button size="sm" onClick={() => void set(!open)}>
            {open ? t('Close talk') : t('Open for talk')}
          </Button>
        )}
      </div>
      <p className="text-soft text-sm" role="status">
        {open ? t('Readers who have answered see what others wrote.') : t('Readers see only their own answer.')}
      </p>
      {answers.length === 0 && <p>{t('Nobody has written anything yet.')}</p>}
      {stems.map((stem) => (
        <section key={stem} className="mt-2">
          <h3 className="text-base">{stem}</h3>
          <ul>
            {answers
              .filter((a) => a.stem === stem)
              .map((a) => (
                <li key={a.ticketId} className="border-line border-t py-1 wrap-anywhere">
                  <b>
                    {a.givenName} {a.familyName}
                  </b>
                  : {a.words}
                </li>
              ))}
          </ul>
        </section>
      ))}
    </Card>
  );
}
