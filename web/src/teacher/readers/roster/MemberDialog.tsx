import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { api, fieldOf, ok, Problem, sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { dayOf } from '../../../shared/format';
import { kindName, Secret, secretKinds, type SecretKind } from '../../../shared/Secret';
import { detailNames, readerDetails } from '../../../shared/readerDetails';
import { Show } from '../../../shared/Whole';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { useSaid } from '../../classQueries';
import { Field, Window } from '../../frame/Window';
import { useRosterChange, type Member, type Roster } from './rosterQueries';
import { SupportFields } from './SupportFields';

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
    <Field key={key} id={`m-${key}`} label={label} error={fieldOf(error, key)}>
      <input
        id={`m-${key}`}
        type="text"
        disabled={!roster.mayChange}
        value={value}
        onChange={(e) => set(e.target.value)}
      />
    </Field>
  );
  const text = (key: 'givenName' | 'familyName' | 'guardianMail', label: string) =>
    field(key, label, form[key], (value) => setForm({ ...form, [key]: value }));
  const other = error && !(error instanceof Problem && Object.keys(error.fields).length > 0);
  return (
    <Window title={`${member.givenName} ${member.familyName}`} close={close} wide>
      <form onSubmit={(e) => void save(e)} noValidate>
        <div className="twocol">
          <div>
            <div className="fields">
              {text('givenName', t('Given name'))}
              {text('familyName', t('Family name'))}
            </div>
            <div className="fields">
              <Field id="m-grade" label={t('Grade')} error={fieldOf(error, 'grade')}>
                <select
                  id="m-grade"
                  disabled={!roster.mayChange}
                  value={form.grade}
                  onChange={(e) => setForm({ ...form, grade: Number(e.target.value) })}
                >
                  {Array.from({ length: 13 }, (_, g) => (
                    <option key={g} value={g}>
                      {g === 0 ? 'K' : g}
                    </option>
                  ))}
                </select>
              </Field>
              {readerDetails.map((d) =>
                field(d, t(detailNames[d]), form.details[d] ?? '', (value) =>
                  setForm({ ...form, details: { ...form.details, [d]: value } }),
                ),
              )}
            </div>
            {text('guardianMail', t('Guardian’s e-mail'))}
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
          <p className="error" role="alert">
            {sentence(error)} {t('What you typed is kept.')}
          </p>
        ) : null}
        <p className="row end">
          {roster.mayChange && (
            <button type="button" className="btn plain" onClick={leave}>
              {t('Has left the school')}
            </button>
          )}
          <span className="grow" />
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          {roster.mayChange && <button className="btn main">{t('Save')}</button>}
        </p>
      </form>
    </Window>
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
      <p className="small">
        {t('Class code {{code}}', { code: roster.code })}, {t('user name {{name}}', { name: member.userName })}
      </p>
      <Show query={card}>
        {(c) => (
          <>
            <Secret kind={c.secretKind} secret={c.secret} />
            {roster.mayChange && (
              <p className="row">
                <span className="small soft">{t('New:')}</span>
                {secretKinds.map((k) => (
                  <button key={k} type="button" className="btn small" onClick={() => renew(k)}>
                    {kindName(k)}
                  </button>
                ))}
              </p>
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
          <ul className="stays">
            {rows.map((s, i) => (
              <li key={i}>
                <b>{s.className}</b>{' '}
                <span className="soft">
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
