import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { api, fieldOf, ok, sentence, namesFields } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { dayOf } from '../../../shared/format';
import { kindName, Secret, secretKinds, type SecretKind } from '../../../shared/Secret';
import { detailNames, readerDetails } from '../../../shared/readerDetails';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { useSaid } from '../../classQueries';
import { useRosterChange, type Member, type Roster } from './rosterQueries';
import { SupportFields } from './SupportFields';
import { Button } from '../../../ui/Button';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { ErrorText, FieldRow } from '../../../ui/Field';
import { Form, Row } from '../../../ui/Page';
import { Select } from '../../../ui/Select';
import { Show } from '../../../ui/Show';
import { TextField } from '../../../ui/TextField';

/** One reader's details, supports, sign-in and classes. */
export function MemberDialog({ roster, member, close }: { roster: Roster; member: Member; close: () => void }) {
  const [form, setForm] = useState({
    givenName: member.givenName,
    familyName: member.familyName,
    grade: member.grade,
    details: member.details,
    guardianMail: member.guardianMail ?? '',
    supports: member.supports,
  });
  const [error, setError] = useState<unknown>();
  const changed = useChanged();
  const said = useSaid();
  const change = useRosterChange();
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const done = await ok(
        api.PUT('/classes/{classId}/readers/{readerId}', {
          params: { path: { classId: roster.id, readerId: member.id } },
          body: {
            ...form,
            before: {
              givenName: member.givenName,
              familyName: member.familyName,
              grade: member.grade,
              details: member.details,
              guardianMail: member.guardianMail,
            },
          },
        }),
      );
      if (done.changeId) said(done.sentence, done.changeId);
      await changed('roster');
      close();
    } catch (problem) {
      setError(problem);
    }
  };
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
  const field = (key: string, label: string, value: string, set: (value: string) => void) => (
    <TextField
      key={key}
      label={label}
      error={fieldOf(error, key)}
      disabled={!roster.mayChange}
      value={value}
      set={set}
    />
  );
  const text = (key: 'givenName' | 'familyName' | 'guardianMail', label: string) =>
    field(key, label, form[key], (value) => setForm({ ...form, [key]: value }));
  const other = error && !namesFields(error);
  return (
    <Dialog title={`${member.givenName} ${member.familyName}`} close={close} wide>
      <Form onSubmit={(e) => void save(e)}>
        <div className="grid gap-6 *:grid *:content-start *:gap-3 sm:grid-cols-[1fr_1.1fr]">
          <div>
            <FieldRow>
              {text('givenName', t('Given name'))}
              {text('familyName', t('Family name'))}
            </FieldRow>
            <FieldRow>
              <Select
                label={t('Grade')}
                error={fieldOf(error, 'grade')}
                disabled={!roster.mayChange}
                value={form.grade}
                set={(value) => setForm({ ...form, grade: Number(value) })}
                options={Array.from({ length: 13 }, (_, g) => ({ value: g, label: g === 0 ? 'K' : g }))}
              />
              {readerDetails.map((d) =>
                field(d, t(detailNames[d]), form.details[d] ?? '', (value) =>
                  setForm({ ...form, details: { ...form.details, [d]: value } }),
                ),
              )}
            </FieldRow>
            {text('guardianMail', t('Guardian’s email'))}
            <SupportFields value={form.supports} change={(supports) => setForm({ ...form, supports })} />
          </div>
          <div>
            <SignIn roster={roster} member={member} />
            <Stays readerId={member.id} />
            <p>
              <Link to={`/class/${roster.id}/readers/${member.id}`}>{t('Levels and readings')}</Link>
            </p>
          </div>
        </div>
        {other ? (
          <ErrorText>
            {sentence(error)} {t('What you typed is still here.')}
          </ErrorText>
        ) : null}
        <DialogFoot>
          {roster.mayChange && (
            <Button look="plain" onClick={leave}>
              {t('Has left the school')}
            </Button>
          )}
          <span className="grow" />
          <Button onClick={close}>{t('Cancel')}</Button>
          {roster.mayChange && (
            <Button look="main" type="submit">
              {t('Save')}
            </Button>
          )}
        </DialogFoot>
      </Form>
    </Dialog>
  );
}

function SignIn({ roster, member }: { roster: Roster; member: Member }) {
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

function Stays({ readerId }: { readerId: string }) {
  const stays = useQuery({
    queryKey: keys.stays(readerId),
    queryFn: () => ok(api.GET('/readers/{readerId}/stays', { params: { path: { readerId } } })),
  });
  return (
    <section aria-labelledby="stays">
      <h3 id="stays">{t('Classes')}</h3>
      <Show query={stays}>
        {(rows) => (
          <ul className="[&>li]:py-0.75">
            {rows.map((s, i) => (
              <li key={i}>
                <b>{s.className}</b>{' '}
                <span className="text-soft">
                  {s.yearName}, {s.schoolName},{' '}
                  {s.to
                    ? t('{{from}} to {{to}}', { from: dayOf(s.from), to: dayOf(s.to) })
                    : t('since {{day}}', { day: dayOf(s.from) })}
                </span>
              </li>
            ))}
          </ul>
        )}
      </Show>
    </section>
  );
}
