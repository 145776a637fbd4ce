import type { ReactNode } from 'react';
import { z } from 'zod';
import { type Api, api, ok } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { line, useFields, type Fields } from '../../shared/forms';
import { useOnce } from '../../shared/once';
import { phrase, t } from '../../shared/words';
import { useSaid } from '../classQueries';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog } from '../../ui/Dialog';
import { Form, FormFoot } from '../../ui/Form';
import { TextField } from '../../ui/TextField';
import type { Invited } from './SignInLink';

const schema = z.object({
  name: line(120, phrase('Enter a name of 120 letters or fewer.')),
  mail: z.string().trim(),
  lead: z.boolean(),
  post: z.enum(['Teacher', 'Assistant']),
  left: z.boolean(),
});
type PersonForm = z.infer<typeof schema>;

/** The window for somebody of the staff, new or known; what differs is given. */
function Person({
  title,
  start,
  act,
  hints,
  more,
  save,
  close,
}: {
  title: string;
  start: PersonForm;
  act: string;
  hints?: { mail?: string; below?: string };
  more?: (form: Fields<PersonForm>) => ReactNode;
  save: (form: PersonForm) => Promise<void>;
  close: () => void;
}) {
  const form = useFields({ schema, start, send: save });
  const post = form.field('post');
  return (
    <Dialog title={title} close={close}>
      <Form of={form}>
        <TextField label={t('Name')} autoFocus {...form.field('name')} />
        <TextField label={t('Email')} hint={hints?.mail} inputMode="email" {...form.field('mail')} />
        <Checkbox checked={post.value === 'Assistant'} set={(on) => post.set(on ? 'Assistant' : 'Teacher')}>
          {t('Assistant: helps in classes; cannot create classes or search readers')}
        </Checkbox>
        <Checkbox {...form.tick('lead')}>{t('School lead: sees and changes the whole school')}</Checkbox>
        {more?.(form)}
        {hints?.below && <p className="text-soft text-sm">{hints.below}</p>}
        <FormFoot of={form} close={close}>
          {act}
        </FormFoot>
      </Form>
    </Dialog>
  );
}

export function Invite({ close, done }: { close: () => void; done: (i: Invited) => void }) {
  const once = useOnce();
  const changed = useChanged();
  const said = useSaid();
  return (
    <Person
      title={t('Invite colleague')}
      act={t('Invite')}
      start={{ name: '', mail: '', lead: false, post: 'Teacher', left: false }}
      save={async ({ name, mail, lead, post }) => {
        const form = { name, mail: mail || null, lead, post };
        const made = await ok(api.POST('/school/adults', { body: { ...form, id: once.idOf(form) } }));
        said(t('Invited {{name}}', { name: made.name }), made.changeId);
        await changed('staff');
        close();
        done(made);
      }}
      close={close}
      hints={{
        mail: t('Optional. Without one, print a sheet.'),
        below: t('They choose a password at first sign-in. Their role in a class is set on the class page.'),
      }}
    />
  );
}

export function Edit({ row, close }: { row: Api<'StaffRow'>; close: () => void }) {
  const changed = useChanged();
  const said = useSaid();
  return (
    <Person
      title={row.name}
      act={t('Save')}
      start={{ name: row.name, mail: row.mail ?? '', lead: row.lead, post: row.post, left: row.leftSchool }}
      save={async (form) => {
        const done = await ok(
          api.PUT('/school/adults/{adultId}', {
            params: { path: { adultId: row.id } },
            body: { ...form, mail: form.mail || null },
          }),
        );
        said(done.sentence, done.changeId);
        await changed('staff');
        close();
      }}
      close={close}
      more={(form) => <Checkbox {...form.tick('left')}>{t('Has left the school and cannot sign in')}</Checkbox>}
    />
  );
}
