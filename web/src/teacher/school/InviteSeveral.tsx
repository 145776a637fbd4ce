import { useState } from 'react';
import { z } from 'zod';
import { api, ok } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { useFields } from '../../shared/forms';
import { t } from '../../shared/words';
import { useSaid } from '../classQueries';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { Form, FormFoot } from '../../ui/Form';
import { TextArea } from '../../ui/TextField';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';
import { readInvitees, type Invitee } from './invitees';
import { PrintSheets, type Invited } from './SignInLink';

const most = 200;
const schema = z.object({
  pasted: z
    .string()
    .refine((text) => readInvitees(text).length > 0, { error: () => t('Enter a name or an email address.') })
    .refine((text) => readInvitees(text).length <= most, {
      error: () => t('Invite {{n}} people or fewer at a time.', { n: most }),
    }),
  assistants: z.boolean(),
});

/** Invites everybody of a pasted list at once: by email, and by a sheet whoever has none. */
export function InviteSeveral({ close }: { close: () => void }) {
  const [invited, setInvited] = useState<Invited[] | null>(null);
  return invited ? <Sent invited={invited} close={close} /> : <Paste close={close} done={setInvited} />;
}

function Paste({ close, done }: { close: () => void; done: (invited: Invited[]) => void }) {
  // The same person of a request that is sent again is not invited twice.
  const [ids] = useState(() => new Map<string, string>());
  const idOf = (one: Invitee, i: number, all: Invitee[]) => {
    // Two of one name without an address are two people.
    const twins = all.slice(0, i).filter((x) => x.name === one.name && x.mail === one.mail).length;
    const key = `${one.name} ${one.mail ?? ''} ${twins}`;
    const id = ids.get(key) ?? crypto.randomUUID();
    ids.set(key, id);
    return id;
  };
  const changed = useChanged();
  const said = useSaid();
  const form = useFields({
    schema,
    start: { pasted: '', assistants: false },
    send: async ({ pasted, assistants }) => {
      const people = readInvitees(pasted).map((one, i, all) => ({ ...one, id: idOf(one, i, all) }));
      const made = await ok(
        api.POST('/school/adults/several', { body: { people, post: assistants ? 'Assistant' : 'Teacher' } }),
      );
      said(t('Invited {{count}} people', { count: made.invited.length }), made.changeId);
      await changed('staff');
      done(made.invited);
    },
  });
  const people = readInvitees(form.values.pasted);
  return (
    <Dialog title={t('Invite several')} close={close} wide>
      <Form of={form}>
        <div className="grid gap-6 sm:grid-cols-2">
          <TextArea
            label={t('Names and email addresses')}
            hint={t('One person a line, such as “Ada Byron, ada@school.org”. Without an address, print a sheet.')}
            rows={10}
            autoFocus
            {...form.field('pasted')}
          />
          <People people={people} />
        </div>
        <Checkbox {...form.tick('assistants')}>
          {t('Assistants: help in classes; cannot create classes or search readers')}
        </Checkbox>
        <FormFoot of={form} close={close} disabled={people.length === 0}>
          {t('Invite {{count}} people', { count: people.length })}
        </FormFoot>
      </Form>
    </Dialog>
  );
}

function People({ people }: { people: Invitee[] }) {
  if (people.length === 0) return <p className="text-soft text-sm">{t('Who is invited appears here.')}</p>;
  return (
    <div
      className="border-line max-h-70 overflow-auto rounded-md border"
      role="region"
      aria-label={t('Who is invited')}
      tabIndex={0}
    >
      <Table>
        <TableHead>
          <tr>
            <Th>{t('Name')}</Th>
            <Th>{t('Email')}</Th>
          </tr>
        </TableHead>
        <TableBody>
          {people.map((one, i) => (
            <tr key={i}>
              <Th scope="row">{one.name}</Th>
              <Td>{one.mail ?? t('sheet')}</Td>
            </tr>
          ))}
        </TableBody>
      </Table>
    </div>
  );
}

function Sent({ invited, close }: { invited: Invited[]; close: () => void }) {
  const byMail = invited.filter((one) => one.mailed).length;
  const sheets = invited.filter((one) => !one.mailed).map((one) => one.adultId);
  return (
    <Dialog title={t('Invited {{count}} people', { count: invited.length })} close={close}>
      {byMail > 0 && <p>{t('{{count}} links were sent by email.', { count: byMail })}</p>}
      {sheets.length > 0 && (
        <p>{t('{{count}} people have no email address. Print a sheet each.', { count: sheets.length })}</p>
      )}
      <DialogFoot>
        {sheets.length > 0 && <PrintSheets ids={sheets} />}
        <Button look="main" onClick={close}>
          {t('Done')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}
