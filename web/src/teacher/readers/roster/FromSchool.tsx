import { cx } from 'class-variance-authority';
import { type Api } from '../../../shared/api';
import { useSession } from '../../../shared/session';
import { gradeName, gradeOptions } from '../../../shared/format';
import { t } from '../../../shared/words';
import { type Roster } from './rosterQueries';
import { Button } from '../../../ui/Button';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { Select } from '../../../ui/Select';
import { SearchField } from '../../../ui/TextField';
import { useFromSchool } from './useFromSchool';

/** Finds readers the school has and puts them into the class: type, Enter. */
export function FromSchool({ roster, close }: { roster: Roster; close: () => void }) {
  const search = useFromSchool(roster, close);
  const { asked, setAsked, grade, setGrade, from, setFrom, at, setAt, chosen, setChosen } = search;
  const { found, rows, elsewhere, choose, add, onKey, forget } = search;
  return (
    <Dialog title={t('Add from school')} close={close} wide>
      <div className="flex flex-wrap items-center gap-2">
        <SearchField
          label={t('Name')}
          autoFocus
          placeholder={t('Type a name; Enter adds the highlighted one')}
          value={asked}
          onKeyDown={onKey}
          set={(value) => {
            setAsked(value);
            setAt(0);
            forget();
          }}
        />
        <Narrowing rosterId={roster.id} grade={grade} setGrade={setGrade} from={from} setFrom={setFrom} />
      </div>
      {chosen.length > 0 && <Chosen readers={chosen} set={setChosen} />}
      <ul className="mt-2 max-h-80 overflow-auto" aria-label={t('Found')}>
        {rows.map((r, i) => (
          <FoundLine key={r.id} r={r} current={i === at} choose={() => choose(r)} point={() => setAt(i)} />
        ))}
      </ul>
      {elsewhere > 0 && (
        <p className="text-soft text-sm" role="status">
          {t('{{count}} readers are in other classes. You request them and their teachers decide.', {
            count: elsewhere,
          })}
        </p>
      )}
      {found.data && rows.length === 0 && (
        <p className="text-soft text-sm">
          {asked ? t('No one else at the school has this name.') : t('Every reader at the school is in this class.')}
        </p>
      )}
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button look="main" disabled={chosen.length === 0} onClick={() => add(chosen)}>
          {chosen.length === 0 ? t('Choose readers') : t('Add {{count}} readers', { count: chosen.length })}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}

function Narrowing({
  rosterId,
  grade,
  setGrade,
  from,
  setFrom,
}: {
  rosterId: string;
  grade: string;
  setGrade: (grade: string) => void;
  from: string;
  setFrom: (classId: string) => void;
}) {
  const classes = useSession().data?.classes ?? [];
  return (
    <>
      <Select
        label={t('Grade')}
        bare
        value={grade}
        set={setGrade}
        options={[
          { value: '', label: t('any grade') },
          ...gradeOptions.map((g) => ({ value: String(g.value), label: t('grade {{grade}}', { grade: g.label }) })),
        ]}
      />
      <Select
        label={t('Class')}
        bare
        value={from}
        set={setFrom}
        options={[
          { value: '', label: t('any class') },
          ...classes.filter((c) => c.id !== rosterId).map((c) => ({ value: c.id, label: c.name })),
        ]}
      />
    </>
  );
}

function Chosen({ readers, set }: { readers: Api<'Found'>[]; set: (readers: Api<'Found'>[]) => void }) {
  return (
    <ul className="flex flex-wrap gap-1.5" aria-label={t('Chosen')}>
      {readers.map((r) => (
        <li key={r.id}>
          <Button
            size="sm"
            onClick={() => set(readers.filter((c) => c.id !== r.id))}
            aria-label={t('Remove {{name}} from tray', { name: r.givenName })}
          >
            {r.givenName} {r.familyName} ×
          </Button>
        </li>
      ))}
    </ul>
  );
}

function FoundLine({
  r,
  current,
  choose,
  point,
}: {
  r: Api<'Found'>;
  current: boolean;
  choose: () => void;
  point: () => void;
}) {
  return (
    <li>
      <button
        className={cx(
          'hover:bg-tint flex min-h-8 w-full items-center justify-between gap-4 rounded-sm px-2.5 text-left',
          current && 'bg-tint',
        )}
        onClick={choose}
        onMouseEnter={point}
      >
        <b>
          {r.givenName} {r.familyName}
        </b>
        <span className="text-soft">
          {t('grade {{grade}}', { grade: gradeName(r.grade) })},{' '}
          {r.leftSchool ? t('has left') : r.classes || t('in no class')}
        </span>
      </button>
    </li>
  );
}
