import { z } from 'zod';
import { dayOf } from '../../../shared/format';
import { line, useFields } from '../../../shared/forms';
import { phrase, t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { Form, FormFoot } from '../../../ui/Form';
import { Show } from '../../../ui/Show';
import { TextField } from '../../../ui/TextField';
import { toast } from 'sonner';
import { sentence } from '../../../shared/api';
import { useStream, useStreamDeeds } from './streamQueries';

/** Which stream of the school's platform a class has: what is shared there leads its readers to their task. */
export function StreamDialog({ classId, close }: { classId: string; close: () => void }) {
  const stream = useStream(classId);
  return (
    <Dialog title={t('Class stream')} close={close}>
      <Show query={stream}>
        {(s) => {
          if (!s.name) return <NoStream close={close} />;
          return s.course == null ? (
            <Connect classId={classId} name={s.name} close={close} />
          ) : (
            <Connected classId={classId} of={{ ...s, course: s.course }} close={close} />
          );
        }}
      </Show>
    </Dialog>
  );
}

const NoStream = ({ close }: { close: () => void }) => (
  <>
    <p>{t('No class stream is set up for this school. The person who runs the server can add one.')}</p>
    <DialogFoot>
      <Button look="main" onClick={close}>
        {t('Done')}
      </Button>
    </DialogFoot>
  </>
);

function Connect({ classId, name, close }: { classId: string; name: string; close: () => void }) {
  const deeds = useStreamDeeds(classId);
  const form = useFields({
    schema: z.object({ course: line(100, phrase('Enter the name of the course in your platform.')) }),
    start: { course: '' },
    send: async ({ course }) => {
      await deeds.link(course);
      toast.success(t('Connected with {{course}}', { course }));
    },
  });
  return (
    <Form of={form}>
      <p>
        {t(
          phrase(
            'What you share appears in {{name}} for exactly the readers who have it, with its title, due day and a ' +
              'link to the task. No level, version or group is shown.',
          ),
          { name },
        )}
      </p>
      <TextField label={t('Course in {{name}}', { name })} maxLength={100} {...form.field('course')} />
      <FormFoot of={form} close={close}>
        {t('Connect')}
      </FormFoot>
    </Form>
  );
}

interface Of {
  name: string;
  course: string;
  linkedAt?: string | null;
  linkedBy?: string | null;
  shared: readonly { sentAt?: string | null; failures: number }[];
}

function Connected({ classId, of: s, close }: { classId: string; of: Of; close: () => void }) {
  const deeds = useStreamDeeds(classId);
  const there = s.shared.filter((x) => x.sentAt != null).length;
  const failing = s.shared.filter((x) => x.failures > 0).length;
  const unlink = () =>
    void deeds.unlink().then(
      () => toast.success(t('Disconnected. What was shared is taken back.')),
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <>
      <p>
        {t('Connected with {{course}} in {{name}} since {{day}}.', {
          course: s.course,
          name: s.name,
          day: s.linkedAt ? dayOf(s.linkedAt) : '–',
        })}
      </p>
      <p>{t('{{count}} assignments are in the stream.', { count: there })}</p>
      {failing > 0 && (
        <p role="status">
          {t('The stream does not answer now. {{count}} wait and are sent again.', { count: failing })}
        </p>
      )}
      <DialogFoot>
        <Button onClick={unlink}>{t('Disconnect')}</Button>
        <Button look="main" onClick={close}>
          {t('Done')}
        </Button>
      </DialogFoot>
    </>
  );
}
