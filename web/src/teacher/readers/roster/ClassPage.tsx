import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { api, fieldOf, ok, sentence } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { useSignInBy } from '../../../shared/session';
import { useOnce } from '../../../shared/once';
import { partsToGive, partWords, type Part } from '../../../shared/parts';
import { phrase, t } from '../../../shared/words';
import type { Place } from '../../frame/Frame';
import { RosterTabs } from '../RosterTabs';
import { Choosing } from './Choosing';
import { useRoster, useRosterChange, type Roster } from './rosterQueries';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { FieldRow } from '../../../ui/Field';
import { Card, Cards, PageHead, Row, ScrollPage } from '../../../ui/Page';
import { Select } from '../../../ui/Select';
import { Show } from '../../../ui/Show';
import { DateField } from '../../../ui/DateField';
import { TextField } from '../../../ui/TextField';

/** The class itself: its name and dates, its code, who teaches it, and its end. */
export default function ClassPage() {
  const { data } = useOutletContext<Place>();
  const roster = useRoster(data.id);
  return (
    <ScrollPage>
      <PageHead title={t('Readers')}>
        <RosterTabs classId={data.id} />
      </PageHead>
      <Show query={roster}>
        {(r) => (
          <Cards>
            <Details key={`${r.name}${r.firstDay}${r.lastDay}`} roster={r} />
            <Code roster={r} />
            <Adults roster={r} />
            <Choosing roster={r} />
            <End roster={r} />
          </Cards>
        )}
      </Show>
    </ScrollPage>
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
    <form
      className="border-line bg-paper grid content-start gap-2.5 rounded-md border px-4.5 pt-3.5 pb-4"
      onSubmit={save}
      noValidate
      aria-labelledby="details"
    >
      <h2 id="details">{t('Name and dates')}</h2>
      <TextField
        label={t('Class name')}
        error={fieldOf(error, 'name')}
        disabled={!roster.mayChange}
        value={form.name}
        set={(value) => setForm({ ...form, name: value })}
      />
      <FieldRow>
        <DateField
          label={t('First day')}
          disabled={!roster.mayChange}
          value={form.firstDay}
          set={(value) => setForm({ ...form, firstDay: value })}
        />
        <DateField
          label={t('Last day')}
          error={fieldOf(error, 'lastDay')}
          disabled={!roster.mayChange}
          value={form.lastDay}
          set={(value) => setForm({ ...form, lastDay: value })}
        />
      </FieldRow>
      <p className="text-soft text-sm">
        {t('Optional. Without a date, the whole school year {{year}}.', { year: roster.yearName })}
      </p>
      {roster.mayChange && (
        <Row end>
          <Button look="main" type="submit" disabled={same}>
            {t('Save')}
          </Button>
        </Row>
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
    <Card aria-labelledby="code">
      <h2 id="code">{t('Class code')}</h2>
      <p className="text-2xl font-bold tracking-[0.12em]">{roster.code}</p>
      <p className="text-soft text-sm">
        {t('Readers open {{address}} and type it. They can also ask to join; you decide.', {
          address: `${location.host}/read`,
        })}
      </p>
      <Row>
        <Button onClick={() => void handOver()}>{t('Hand device to class')}</Button>
        {roster.mayChange && (
          <Button
            onClick={() =>
              change.mutate(() => ok(api.POST('/classes/{classId}/code', { params: { path: { classId: roster.id } } })))
            }
          >
            {t('Replace code')}
          </Button>
        )}
      </Row>
      <p className="text-soft text-sm">
        {t(
          phrase(
            'Handing over signs you out and shows the name tiles. Your password brings you back. ' +
              'Replacing the code makes printed cards invalid.',
          ),
        )}
      </p>
    </Card>
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
  const roles = partsToGive.map((r) => ({ value: r, label: t(partWords[r]) }));
  return (
    <Card aria-labelledby="adults">
      <h2 id="adults">{t('Teachers')}</h2>
      <ul className="divide-line divide-y [&>li]:flex [&>li]:items-center [&>li]:gap-2 [&>li]:py-1">
        {roster.adults.map((a) => (
          <li key={a.adultId}>
            <b>{a.name}</b>
            {a.leftSchool && <span className="text-soft">{t('has left')}</span>}
            <span className="grow" />
            {roster.mayChange ? (
              <>
                <Select
                  label={t('Role of {{name}}', { name: a.name })}
                  bare
                  value={a.role}
                  set={(part) => set(a.adultId, part)}
                  options={roles}
                />
                <Button
                  size="sm"
                  onClick={() =>
                    change.mutate(() =>
                      ok(
                        api.DELETE('/classes/{classId}/adults/{adultId}', {
                          params: { path: { classId: roster.id, adultId: a.adultId } },
                        }),
                      ),
                    )
                  }
                  aria-label={t('Remove {{name}} from class', { name: a.name })}
                >
                  {t('Remove')}
                </Button>
              </>
            ) : (
              t(partWords[a.role])
            )}
          </li>
        ))}
      </ul>
      <p className="text-soft text-sm">
        {t(
          phrase(
            'Teachers and co-teachers can do everything. Assistants see the class and can take running ' +
              'records, but cannot change the roster.',
          ),
        )}
      </p>
      {roster.mayChange && (
        <Checkbox
          checked={roster.assistantsPrint}
          set={(on) => {
            const allowed = on;
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
        >
          {t('Assistants can print one reader’s card at a time')}
        </Checkbox>
      )}
      {roster.mayChange && (
        <Row>
          <Select
            label={t('Colleague')}
            bare
            value={who}
            set={setWho}
            options={[
              { value: '', label: t('Choose colleague') },
              ...others.map((c) => ({ value: c.id, label: c.name })),
            ]}
          />
          <Select label={t('Role')} bare value={role} set={setRole} options={roles} />
          <Button
            disabled={!who}
            onClick={() => {
              set(who, role);
              setWho('');
            }}
          >
            {t('Add')}
          </Button>
        </Row>
      )}
    </Card>
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
      return { ...made, sentence: t('Duplicated as {{name}}', { name }), asked: 0 };
    });
  return (
    <Card aria-labelledby="end">
      <h2 id="end">{t('Duplicate or archive')}</h2>
      <div className="flex flex-wrap items-center gap-2">
        <TextField label={t('Name of new class')} bare value={name} set={setName} />
        <Checkbox checked={withReaders} set={setWithReaders}>
          {t('Include readers')}
        </Checkbox>
        <Button onClick={copy}>{t('Duplicate class')}</Button>
      </div>
      <Row>
        <Button
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
          {roster.closed ? t('Restore class') : t('Archive class')}
        </Button>
        <span className="text-soft text-sm">
          {t('An archived class keeps everything. Readers can no longer sign in with its code.')}
        </span>
      </Row>
    </Card>
  );
}
