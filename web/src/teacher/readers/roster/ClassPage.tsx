import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { api, fieldOf, ok, sentence } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { useSignInBy } from '../../../shared/session';
import { Show } from '../../../shared/Whole';
import { useOnce } from '../../../shared/once';
import { partsToGive, partWords, type Part } from '../../../shared/parts';
import { t } from '../../../shared/words';
import type { Place } from '../../frame/Frame';
import { Field } from '../../frame/Window';
import { RosterTabs } from '../RosterTabs';
import { Choosing } from './Choosing';
import { useRoster, useRosterChange, type Roster } from './rosterQueries';

/** The class itself: its name and dates, its code, who teaches it, and its end. */
export default function ClassPage() {
  const { data } = useOutletContext<Place>();
  const roster = useRoster(data.id);
  return (
    <section className="formpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Readers')}</h1>
        <RosterTabs classId={data.id} />
      </div>
      <Show query={roster}>
        {(r) => (
          <div className="cards">
            <Details key={`${r.name}${r.firstDay}${r.lastDay}`} roster={r} />
            <Code roster={r} />
            <Adults roster={r} />
            <Choosing roster={r} />
            <End roster={r} />
          </div>
        )}
      </Show>
    </section>
  );
}

function Details({ roster }: { roster: Roster }) {
  const [form, setForm] = useState({
    name: roster.name,
    firstDay: roster.firstDay ?? '',
    lastDay: roster.lastDay ?? '',
  });
  const [error, setError] = useState<unknown>();
  const change = useRosterChange();
  const save = (e: FormEvent) => {
    e.preventDefault();
    setError(undefined);
    change.mutate(() =>
      ok(
        api.PUT('/classes/{classId}', {
          params: { path: { classId: roster.id } },
          body: {
            name: form.name,
            firstDay: form.firstDay || null,
            lastDay: form.lastDay || null,
          },
        }),
      ).catch((x: unknown) => {
        setError(x);
        throw x;
      }),
    );
  };
  const same =
    form.name === roster.name && form.firstDay === (roster.firstDay ?? '') && form.lastDay === (roster.lastDay ?? '');
  return (
    <form className="card" onSubmit={save} noValidate aria-labelledby="details">
      <h2 id="details">{t('Name and dates')}</h2>
      <Field id="c-name" label={t('Class name')} error={fieldOf(error, 'name')}>
        <input
          id="c-name"
          type="text"
          disabled={!roster.mayChange}
          value={form.name}
          onChange={(e) => setForm({ ...form, name: e.target.value })}
        />
      </Field>
      <div className="fields">
        <Field id="c-first" label={t('First day')}>
          <input
            id="c-first"
            type="date"
            disabled={!roster.mayChange}
            value={form.firstDay}
            onChange={(e) => setForm({ ...form, firstDay: e.target.value })}
          />
        </Field>
        <Field id="c-last" label={t('Last day')} error={fieldOf(error, 'lastDay')}>
          <input
            id="c-last"
            type="date"
            disabled={!roster.mayChange}
            value={form.lastDay}
            onChange={(e) => setForm({ ...form, lastDay: e.target.value })}
          />
        </Field>
      </div>
      <p className="hint">{t('Empty: the whole school year {{year}}', { year: roster.yearName })}</p>
      {roster.mayChange && (
        <p className="row end">
          <button className="btn main" disabled={same}>
            {t('Save')}
          </button>
        </p>
      )}
    </form>
  );
}

function Code({ roster }: { roster: Roster }) {
  const change = useRosterChange();
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const handOver = async () => {
    try {
      await signInBy(() => ok(api.POST('/session/hand-over', { body: { classId: roster.id } })));
      await navigate(`/read/${roster.code}`);
    } catch (e) {
      toast.error(sentence(e));
    }
  };
  return (
    <section className="card" aria-labelledby="code">
      <h2 id="code">{t('Class code')}</h2>
      <p className="bigword">{roster.code}</p>
      <p className="hint">
        {t('Readers open {{address}} and type it. They may also ask to join with it; you decide.', {
          address: `${location.host}/read`,
        })}
      </p>
      <p className="row">
        <button className="btn" onClick={() => void handOver()}>
          {t('Hand this device to the class')}
        </button>
        {roster.mayChange && (
          <button
            className="btn"
            onClick={() =>
              change.mutate(() => ok(api.POST('/classes/{classId}/code', { params: { path: { classId: roster.id } } })))
            }
          >
            {t('Renew the code')}
          </button>
        )}
      </p>
      <p className="hint">
        {t(
          'Handing over signs you out here and shows the name tiles. Coming back takes your password. A renewed code makes printed cards wrong.',
        )}
      </p>
    </section>
  );
}

function Adults({ roster }: { roster: Roster }) {
  const colleagues = useQuery({
    queryKey: keys.colleagues,
    enabled: roster.mayChange,
    queryFn: () => ok(api.GET('/colleagues')),
  });
  const [who, setWho] = useState('');
  const [role, setRole] = useState<Part>('CoTeacher');
  const change = useRosterChange();
  const set = (adultId: string, as: Part) =>
    change.mutate(() =>
      ok(
        api.PUT('/classes/{classId}/adults', { params: { path: { classId: roster.id } }, body: { adultId, role: as } }),
      ),
    );
  const others = (colleagues.data ?? []).filter((c) => !roster.adults.some((a) => a.adultId === c.id));
  const roles = partsToGive.map((r) => (
    <option key={r} value={r}>
      {t(partWords[r])}
    </option>
  ));
  return (
    <section className="card" aria-labelledby="adults">
      <h2 id="adults">{t('Who teaches this class')}</h2>
      <ul className="adults">
        {roster.adults.map((a) => (
          <li key={a.adultId}>
            <b>{a.name}</b>
            {a.leftSchool && <span className="soft">{t('has left')}</span>}
            <span className="grow" />
            {roster.mayChange ? (
              <>
                <select
                  aria-label={t('Part of {{name}}', { name: a.name })}
                  value={a.role}
                  onChange={(e) => set(a.adultId, e.target.value as Part)}
                >
                  {roles}
                </select>
                <button
                  className="btn small"
                  onClick={() =>
                    change.mutate(() =>
                      ok(
                        api.DELETE('/classes/{classId}/adults/{adultId}', {
                          params: { path: { classId: roster.id, adultId: a.adultId } },
                        }),
                      ),
                    )
                  }
                  aria-label={t('Take {{name}} off the class', { name: a.name })}
                >
                  {t('Take off')}
                </button>
              </>
            ) : (
              t(partWords[a.role])
            )}
          </li>
        ))}
      </ul>
      <p className="hint">
        {t(
          'Teachers and co-teachers do everything. Assistants see the class and may take checks and running records; they do not change the roster.',
        )}
      </p>
      {roster.mayChange && (
        <label className="tickline">
          <input
            type="checkbox"
            checked={roster.assistantsPrint}
            onChange={(e) => {
              const allowed = e.target.checked;
              change.mutate(async () => {
                await ok(
                  api.PUT('/classes/{classId}/assistants-print', {
                    params: { path: { classId: roster.id } },
                    body: { allowed },
                  }),
                );
                return {
                  changeId: null,
                  sentence: allowed ? t('Assistants can print one card at a time') : t('Assistants print no cards'),
                  asked: 0,
                };
              });
            }}
          />
          {t('Assistants can print one reader’s card at a time')}
        </label>
      )}
      {roster.mayChange && (
        <p className="row">
          <select aria-label={t('Colleague')} value={who} onChange={(e) => setWho(e.target.value)}>
            <option value="">{t('Choose a colleague')}</option>
            {others.map((c) => (
              <option key={c.id} value={c.id}>
                {c.name}
              </option>
            ))}
          </select>
          <select aria-label={t('Part')} value={role} onChange={(e) => setRole(e.target.value as Part)}>
            {roles}
          </select>
          <button
            className="btn"
            disabled={!who}
            onClick={() => {
              set(who, role);
              setWho('');
            }}
          >
            {t('Add')}
          </button>
        </p>
      )}
    </section>
  );
}

function End({ roster }: { roster: Roster }) {
  const [name, setName] = useState(t('{{name}} (copy)', { name: roster.name }));
  const [withReaders, setWithReaders] = useState(true);
  const once = useOnce();
  const change = useRosterChange();
  if (!roster.mayChange) return null;
  const copy = () =>
    change.mutate(async () => {
      const made = await ok(
        api.POST('/classes/{classId}/copy', {
          params: { path: { classId: roster.id } },
          body: {
            name,
            withReaders,
            id: once.idOf({ name, withReaders }),
          },
        }),
      );
      once.done();
      return { ...made, sentence: t('Copied to {{name}}', { name }), asked: 0 };
    });
  return (
    <section className="card" aria-labelledby="end">
      <h2 id="end">{t('Copy or close')}</h2>
      <div className="row">
        <input type="text" aria-label={t('Name of the copy')} value={name} onChange={(e) => setName(e.target.value)} />
        <label className="tickline">
          <input type="checkbox" checked={withReaders} onChange={(e) => setWithReaders(e.target.checked)} />
          {t('with its readers')}
        </label>
        <button className="btn" onClick={copy}>
          {t('Copy the class')}
        </button>
      </div>
      <p className="row">
        <button
          className="btn"
          onClick={() =>
            change.mutate(() =>
              ok(
                api.POST(`/classes/{classId}/${roster.closed ? 'reopen' : 'close'}`, {
                  params: { path: { classId: roster.id } },
                }),
              ),
            )
          }
        >
          {roster.closed ? t('Open the class again') : t('Close the class')}
        </button>
        <span className="hint">
          {t('A closed class keeps everything; readers can no longer sign in with its code.')}
        </span>
      </p>
    </section>
  );
}
