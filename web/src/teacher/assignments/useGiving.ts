import { useMemo, useState, type FormEvent } from 'react';
import { api, ok } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { addDays } from '../../shared/days';
import { createOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { useSaid, type ClassData, type ReaderRow, type TextRow } from '../classQueries';
import { useFits } from '../tray/useFits';
import { sure } from '../../shared/sure';
import type { Terms } from './terms';
import { useAlsoIn } from './useAlsoIn';
import { useNotes } from './useNotes';

/** Which texts for whom. */
export interface Giving {
  data: ClassData;
  texts: TextRow[];
  readers: ReaderRow[];
  close: () => void;
  /** Called when it has been given, or is kept as drafts. */
  done?: () => void;
}

const inTray = 'tray',
  everybody = 'all';

/** Whom something is for: those who were picked up, everybody, or a group by its name. */
function readersOf(who: string, data: ClassData, these: ReaderRow[]): ReaderRow[] {
  if (who === inTray) return these;
  return who === everybody ? data.readers : data.readers.filter((r) => groupKey(r.group) === who);
}
const groupKey = (name: string | null) => `group ${name ?? ''}`;

/** The choices of whom it is for, each with how many. */
export function whomOptions(data: ClassData, these: ReaderRow[]) {
  const groups = [...new Set(data.readers.map((r) => r.group).filter((g) => g !== null))];
  return [
    ...(these.length > 0 ? [{ value: inTray, label: t('{{count}} readers in tray', { count: these.length }) }] : []),
    { value: everybody, label: t('Everybody, {{count}} readers', { count: data.readers.length }) },
    ...groups.map((name) => ({
      value: groupKey(name),
      label: t('{{group}}, {{count}} readers', {
        group: name,
        count: data.readers.filter((r) => r.group === name).length,
      }),
    })),
  ];
}

/** When and how something is given. */
export interface How {
  visibleFrom: string;
  due: string;
  /** Empty where it goes on. */
  closesOn: string;
  need: Terms['need'];
  place: Terms['place'];
  attempts: number;
  directions: string;
  heading: string;
  note: string;
  onTheWay: boolean;
  aloud: boolean;
}

type Way = Pick<How, 'attempts' | 'onTheWay' | 'aloud' | 'place'>;
const usual: Way = { attempts: 2, onTheWay: true, aloud: false, place: 'Anywhere' };
const keptWay = (data: ClassData) => `dc-way-of-${data.id}`;
const keepWay = (data: ClassData, { attempts, onTheWay, aloud, place }: How) =>
  localStorage.setItem(keptWay(data), JSON.stringify({ attempts, onTheWay, aloud, place }));

/** As it was last time in this class; nothing is said and no day is set beforehand. */
function wayOf(data: ClassData): How {
  return {
    visibleFrom: '',
    due: '',
    closesOn: '',
    need: 'Required',
    directions: '',
    heading: '',
    note: '',
    ...usual,
    ...wayKept(data),
  };
}

function wayKept(data: ClassData): Partial<Way> {
  try {
    return JSON.parse(localStorage.getItem(keptWay(data)) ?? '{}') as Partial<Way>;
  } catch {
    return {};
  }
}

/** What is given to whom and how, as it stands in the window; giving it. */
export function useGiving({ data, texts, readers: these, close, done }: Giving) {
  const [who, setWho] = useState(these.length > 0 ? inTray : everybody);
  const readers = useMemo(() => readersOf(who, data, these), [who, data, these]);
  const [how, put] = useState(() => ({ ...wayOf(data), visibleFrom: data.today, due: addDays(data.today, 4) }));
  const setHow = (change: Partial<How>) => put((before) => ({ ...before, ...change }));
  const [skip, setSkip] = useState(true);
  const [versions, setVersions] = useState<Record<string, string>>({});
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const [onces] = useState(() => new Map(texts.map((x) => [x.id, createOnce()])));
  const fits = useFits(
    data.id,
    readers.map((r) => r.id),
    texts.map((x) => x.id),
  );
  const changed = useChanged();
  const said = useSaid();
  const also = useAlsoIn(
    data.id,
    texts.map((x) => x.id),
  );
  const notes = useNotes(data.id, {
    readerIds: readers.map((r) => r.id),
    texts: texts.map((x) => x.id),
    visibleFrom: how.visibleFrom || data.today,
    dueOn: how.need === 'Recommended' ? null : how.due || null,
    heading: how.heading,
    directions: how.directions,
  });
  const rows = texts.flatMap((text) =>
    (fits.data ?? [])
      .filter((f) => f.textId === text.id)
      .map((f) => ({ f, text, r: sure(readers.find((r) => r.id === f.readerId)) })),
  );
  const going = rows.filter(({ f }) => !skip || !f.before);
  const goingTo = (text: TextRow) => going.filter((g) => g.text.id === text.id);
  const elsewhere = new Set(
    also.outlooks.flatMap((o) => o.fits.filter((f) => !skip || !f.before).map((f) => f.readerId)),
  );
  const people = new Set([...going.map((g) => g.r.id), ...elsewhere]).size;
  const key = (textId: string, readerId: string) => `${textId} ${readerId}`;

  const given = (wanted: { textId: string }[]) => {
    const only = wanted.length === 1 ? texts.find((x) => x.id === wanted[0]?.textId) : undefined;
    const to = { count: people };
    return only
      ? t('Assigned “{{title}}” to {{count}} readers', { ...to, title: only.title })
      : t('Assigned {{n}} texts to {{count}} readers', { ...to, n: wanted.length });
  };
  const assign = async (e: FormEvent) => {
    e.preventDefault();
    const by = (e.nativeEvent as SubmitEvent).submitter;
    const draft = by instanceof HTMLButtonElement && by.value === 'draft';
    setBusy(true);
    try {
      // One request for all of it: it is given whole or not at all, and once, however often it is sent.
      const those = texts.filter((x) => goingTo(x).length > 0);
      const wanted = (those.length > 0 ? those : texts).map((x) => ({
        textId: x.id,
        versions: Object.fromEntries(
          readers.flatMap((r) => {
            const v = versions[key(x.id, r.id)];
            return v ? [[r.id, v]] : [];
          }),
        ),
      }));
      const request = {
        readerIds: readers.map((r) => r.id),
        visibleFrom: how.visibleFrom || data.today,
        dueOn: how.need === 'Recommended' ? null : how.due || null,
        closesOn: how.closesOn || null,
        need: how.need,
        place: how.place,
        attempts: how.attempts,
        directions: how.directions,
        heading: how.heading,
        note: how.note,
        skipGiven: skip,
        onTheWay: how.onTheWay,
        aloud: how.aloud,
        draft,
        texts: wanted,
      };
      const made = await ok(
        api.POST('/classes/{classId}/assignments', {
          params: { path: { classId: data.id } },
          body: {
            ...request,
            texts: wanted.map((x) => ({ ...x, id: sure(onces.get(x.textId)).idOf([request, also.chosen]) })),
            alsoIn: also.request(
              texts.map((x) => x.id),
              request,
            ),
          },
        }),
      );
      keepWay(data, how);
      said(draft ? t('Saved {{count}} drafts', { count: wanted.length }) : given(wanted), made.changeId);
      close();
      done?.();
      await changed('work');
    } catch (problem) {
      setError(problem);
      void changed('work');
    } finally {
      setBusy(false);
    }
  };
  return {
    who,
    setWho,
    readers,
    how,
    setHow,
    skip,
    setSkip,
    versions,
    setVersions,
    error,
    busy,
    notes,
    also,
    fits,
    rows,
    going,
    goingTo,
    people,
    key,
    assign,
  };
}

export type GivingState = ReturnType<typeof useGiving>;
