import { useState, type FormEvent } from 'react';
import { api, fieldOf, ok, Problem, sentence } from '../../../shared/api';
import { kindName, secretKinds, type SecretKind } from '../../../shared/Secret';
import { useChanged } from '../../../shared/changed';
import { t } from '../../../shared/words';
import { useClass, useSaid } from '../../classQueries';
import { Field, Window } from '../../frame/Window';
import { LevelTable } from '../LevelTable';
import type { Member, Roster } from './rosterQueries';
import { SupportFields } from './SupportFields';
import { noSupports } from './supports';
import { sure } from '../../../shared/sure';

/** Changes the same things for several readers: what is left empty stays as it is for each. */
export function BulkChange({ roster, members, close }: { roster: Roster; members: Member[]; close: () => void }) {
  const [grade, setGrade] = useState('');
  const [level, setLevel] = useState('');
  const [system, setSystem] = useState(sure(roster.systems[0]));
  const [kind, setKind] = useState<SecretKind | ''>('');
  const [renew, setRenew] = useState(false);
  const [withSupports, setWithSupports] = useState(false);
  const [supports, setSupports] = useState(noSupports);
  const [error, setError] = useState<unknown>();
  const data = useClass(roster.id);
  const changed = useChanged();
  const said = useSaid();
  const [group, setGroup] = useState('');
  const details = grade || level.trim() || kind || renew || withSupports;
  // Groups are the teachers' own: a school lead who is not in the class leaves them alone.
  const groups = data.data && data.data.part !== 'None' ? data.data.groups : [];
  const ids = members.map((m) => m.id);
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      if (group) {
        const next = groups
          .map((g) => ({
            name: g.name,
            readerIds: [...g.readerIds.filter((id) => !ids.includes(id)), ...(g.name === group ? ids : [])],
          }))
          .filter((g) => g.readerIds.length > 0);
        const moved = await ok(
          api.PUT('/classes/{classId}/groups', { params: { path: { classId: roster.id } }, body: { groups: next } }),
        );
        said(t('Put {{count}} readers into {{group}}', { count: ids.length, group }), moved.changeId);
      }
      if (details) {
        const done = await ok(
          api.POST('/classes/{classId}/bulk', {
            params: { path: { classId: roster.id } },
            body: {
              readerIds: ids,
              grade: grade === '' ? null : Number(grade),
              level: level.trim() || null,
              levelSystem: system,
              supports: withSupports ? supports : null,
              secretKind: kind || null,
              newSecrets: renew,
            },
          }),
        );
        said(done.sentence, done.changeId);
      }
      await changed('roster');
      close();
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Window title={t('Change {{count}} readers', { count: members.length })} close={close}>
      <form onSubmit={(e) => void save(e)} noValidate>
        <p className="hint">{members.map((m) => m.givenName).join(', ')}</p>
        <div className="fields">
          <Field id="b-grade" label={t('Grade')}>
            <select id="b-grade" value={grade} onChange={(e) => setGrade(e.target.value)}>
              <option value="">{t('as it is')}</option>
              {Array.from({ length: 13 }, (_, g) => (
                <option key={g} value={g}>
                  {g === 0 ? 'K' : g}
                </option>
              ))}
            </select>
          </Field>
          <Field id="b-level" label={t('Level')} error={fieldOf(error, 'level')}>
            <input
              id="b-level"
              type="text"
              placeholder={t('as it is')}
              value={level}
              onChange={(e) => setLevel(e.target.value)}
            />
          </Field>
          <Field id="b-system" label={t('Level is in')}>
            <select id="b-system" value={system} onChange={(e) => setSystem(e.target.value)}>
              {roster.systems.map((s) => (
                <option key={s}>{s}</option>
              ))}
            </select>
          </Field>
        </div>
        {data.data && (
          <details>
            <summary>{t('Levels side by side')}</summary>
            <LevelTable
              rows={data.data.levelChart}
              own={data.data.ownColumns}
              level={Number(level) || 0}
              choose={(fm) => {
                setLevel(String(fm));
                setSystem('fm');
              }}
            />
          </details>
        )}
        <div className="fields">
          {groups.length > 0 && (
            <Field id="b-group" label={t('Group')}>
              <select id="b-group" value={group} onChange={(e) => setGroup(e.target.value)}>
                <option value="">{t('as it is')}</option>
                {groups.map((g) => (
                  <option key={g.id}>{g.name}</option>
                ))}
              </select>
            </Field>
          )}
          <Field id="b-kind" label={t('Signs in with')}>
            <select id="b-kind" value={kind} onChange={(e) => setKind(e.target.value as SecretKind | '')}>
              <option value="">{t('as it is')}</option>
              {secretKinds.map((k) => (
                <option key={k} value={k}>
                  {kindName(k)}
                </option>
              ))}
            </select>
          </Field>
          <label className="tickline">
            <input type="checkbox" checked={renew} onChange={(e) => setRenew(e.target.checked)} />
            {t('A new secret for each; old cards stop working')}
          </label>
        </div>
        <label className="tickline">
          <input type="checkbox" checked={withSupports} onChange={(e) => setWithSupports(e.target.checked)} />
          {t('Set the same supports for all')}
        </label>
        {withSupports && <SupportFields value={supports} change={setSupports} />}
        {error && !(error instanceof Problem && Object.keys(error.fields).length > 0) ? (
          <p className="error" role="alert">
            {sentence(error)}
          </p>
        ) : null}
        <p className="row end">
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main" disabled={!details && !group}>
            {t('Change {{count}} readers', { count: members.length })}
          </button>
        </p>
      </form>
    </Window>
  );
}
