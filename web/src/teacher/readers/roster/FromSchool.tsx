import { keepPreviousData, queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type KeyboardEvent } from 'react';
import { cx } from 'class-variance-authority';
import { type Api, api, ok } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { useSession } from '../../../shared/session';
import { gradeOptions } from '../../../shared/format';
import { t } from '../../../shared/words';
import { useRosterChange, type Roster } from './rosterQueries';
import { Button } from '../../../ui/Button';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { Select } from '../../../ui/Select';
import { SearchField } from '../../../ui/TextField';

/** Finds readers the school has and puts them into the class: type, Enter. */
export function FromSchool({ roster, close }: { roster: Roster; close: () => void }) {
  const [asked, setAsked] = useState('');
  const [grade, setGrade] = useState('');
  const [from, setFrom] = useState('');
  const [at, setAt] = useState(0);
  const [chosen, setChosen] = useState<Api<'Found'>[]>([]);
  const change = useRosterChange();
  const client = useQueryClient();
  const classes = useSession().data?.classes ?? [];
  const options = queryOptions({
    queryKey: keys.find(roster.id, asked, grade, from),
    queryFn: () =>
      ok(
        api.GET('/school/find', {
          params: {
            query: {
              notIn: roster.id,
              name: asked,
              grade: grade === '' ? undefined : Number(grade),
              classId: from || undefined,
            },
          },
        }),
      ),
  });
  const found = useQuery({ ...options, placeholderData: keepPreviousData });
  const free = (all: Api<'Found'>[]) => all.filter((r) => !chosen.some((c) => c.id === r.id));
  const rows = free(found.data ?? []);
  const elsewhere = chosen.filter((r) => r.asks).length;
  const choose = (r: Api<'Found'> | undefined) => {
    if (r) {
      setChosen([...chosen, r]);
      setAsked('');
      setAt(0);
    }
  };
  const add = (readers: Api<'Found'>[]) => {
    change.mutate(() =>
      ok(
        api.POST('/classes/{classId}/enrol', {
          params: { path: { classId: roster.id } },
          body: { readerIds: readers.map((r) => r.id) },
        }),
      ),
    );
    close();
  };
  const onKey = (e: KeyboardEvent) => {
    if (e.key === 'ArrowDown') {
      e.preventDefault();
      setAt(Math.min(at + 1, rows.length - 1));
    }
    if (e.key === 'ArrowUp') {
      e.preventDefault();
      setAt(Math.max(at - 1, 0));
    }
    if (e.key === 'Enter') {
      e.preventDefault();
      // Enter takes one; Enter again, with nothing typed, is done.
      if (asked === '' && chosen.length > 0) add(chosen);
      else if (ready) choose(rows[at]);
      else void wait();
    }
  };
  // Enter may come before what was typed has been found: then it, and the second one, wait for that.
  const ready = !found.isPlaceholderData;
  const waits = useRef<{ enters: number } | null>(null);
  const wait = async () => {
    if (waits.current) {
      waits.current.enters++;
      return;
    }
    const mine = { enters: 1 };
    waits.current = mine;
    // Where nothing could be found out, the list says so.
    const all = await client.ensureQueryData(options).catch(() => []);
    if (waits.current !== mine) return;
    waits.current = null;
    const row = free(all)[at];
    if (row && mine.enters > 1) add([...chosen, row]);
    else choose(row);
  };
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
            waits.current = null;
          }}
        />
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
            ...classes.filter((c) => c.id !== roster.id).map((c) => ({ value: c.id, label: c.name })),
          ]}
        />
      </div>
      {chosen.length > 0 && (
        <ul className="flex flex-wrap gap-1.5" aria-label={t('Chosen')}>
          {chosen.map((r) => (
            <li key={r.id}>
              <Button
                size="sm"
                onClick={() => setChosen(chosen.filter((c) => c.id !== r.id))}
                aria-label={t('Remove {{name}} from tray', { name: r.givenName })}
              >
                {r.givenName} {r.familyName} ×
              </Button>
            </li>
          ))}
        </ul>
      )}
      <ul className="mt-2 max-h-80 overflow-auto" aria-label={t('Found')}>
        {rows.map((r, i) => (
          <li key={r.id}>
            <button
              className={cx(
                'hover:bg-tint flex min-h-8 w-full items-center justify-between gap-4 rounded-sm px-2.5 text-left',
                i === at && 'bg-tint',
              )}
              onClick={() => choose(r)}
              onMouseEnter={() => setAt(i)}
            >
              <b>
                {r.givenName} {r.familyName}
              </b>
              <span className="text-soft">
                {t('grade {{grade}}', { grade: r.grade === 0 ? 'K' : r.grade })},{' '}
                {r.leftSchool ? t('has left') : r.classes || t('in no class')}
              </span>
            </button>
          </li>
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
