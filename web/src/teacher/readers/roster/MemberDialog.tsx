import { Link } from 'react-router';
import { z } from 'zod';
import { api, ok } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { gradeOptions } from '../../../shared/format';
import { present, useFields } from '../../../shared/forms';
import { detailNames, readerDetails, type ReaderDetail } from '../../../shared/readerDetails';
import { phrase, t } from '../../../shared/words';
import { useSaid } from '../../classQueries';
import { ChoosePicture } from './ChoosePicture';
import { SignIn } from './MemberPieces';
import { Stays } from '../Stays';
import { useRosterChange, type Member, type Roster } from './rosterQueries';
import { SupportFields } from './SupportFields';
import { Button } from '../../../ui/Button';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { FieldRow } from '../../../ui/Field';
import { Form, FormFault, Submit } from '../../../ui/Form';
import { Select } from '../../../ui/Select';
import { TextField } from '../../../ui/TextField';

const schema = z.object({
  givenName: present(phrase('Enter the given name.')),
  familyName: z.string().trim(),
  grade: z.number(),
  details: z.custom<Member['details']>(),
  guardianMail: z.string().trim(),
  supports: z.custom<Member['supports']>(),
});

/** One reader's details, supports, sign-in and classes. */
export function MemberDialog({ roster, member, close }: { roster: Roster; member: Member; close: () => void }) {
  const changed = useChanged();
  const said = useSaid();
  const change = useRosterChange();
  const before = {
    givenName: member.givenName,
    familyName: member.familyName,
    grade: member.grade,
    details: member.details,
    guardianMail: member.guardianMail,
  };
  const form = useFields({
    schema,
    start: { ...before, guardianMail: member.guardianMail ?? '', supports: member.supports },
    send: async (typed) => {
      const done = await ok(
        api.PUT('/classes/{classId}/readers/{readerId}', {
          params: { path: { classId: roster.id, readerId: member.id } },
          body: { ...typed, before },
        }),
      );
      if (done.changeId) said(done.sentence, done.changeId);
      await changed('roster');
      close();
    },
  });
  const leave = () => {
    change.mutate(() =>
      ok(
        api.POST('/classes/{classId}/readers/{readerId}/leave', {
          params: { path: { classId: roster.id, readerId: member.id } },
        }),
      ),
    );
    close();
  };
  // What was changed while the window is open is shown in it.
  const current = roster.members.find((m) => m.id === member.id) ?? member;
  const disabled = !roster.mayChange;
  const detail = (name: ReaderDetail) => {
    const { value, ...field } = form.field(`details.${name}`);
    return { ...field, value: value ?? '' };
  };
  return (
    <Dialog title={`${member.givenName} ${member.familyName}`} close={close} wide>
      <Form of={form}>
        <div className="grid gap-6 *:grid *:content-start *:gap-3 sm:grid-cols-[1fr_1.1fr]">
          <div>
            <FieldRow>
              <TextField label={t('Given name')} disabled={disabled} {...form.field('givenName')} />
              <TextField label={t('Family name')} disabled={disabled} {...form.field('familyName')} />
            </FieldRow>
            <FieldRow>
              <Select label={t('Grade')} disabled={disabled} {...form.field('grade')} options={gradeOptions} />
              {readerDetails.map((d) => (
                <TextField key={d} label={t(detailNames[d])} disabled={disabled} {...detail(d)} />
              ))}
            </FieldRow>
            <TextField label={t('Guardian’s email')} disabled={disabled} {...form.field('guardianMail')} />
            <SupportFields value={form.values.supports} change={(supports) => form.set('supports', supports)} />
          </div>
          <div>
            <ChoosePicture roster={roster} member={current} />
            <SignIn roster={roster} member={member} />
            <Stays readerId={member.id} />
            <p>
              <Link to={`/class/${roster.id}/readers/${member.id}`}>{t('Levels and readings')}</Link>
            </p>
          </div>
        </div>
        <FormFault of={form}>{t('What you typed is still here.')}</FormFault>
        <DialogFoot>
          {roster.mayChange && (
            <Button
              look="danger"
              title={t('Ends their time in every class. Everything is kept, and you can undo it.')}
              onClick={leave}
            >
              {t('Has left the school')}
            </Button>
          )}
          <span className="grow" />
          <Button onClick={close}>{t('Cancel')}</Button>
          {roster.mayChange && <Submit of={form}>{t('Save')}</Submit>}
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
