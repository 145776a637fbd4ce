import { addDays } from '../../shared/days';
import { otherHomeLanguage } from '../../shared/language';
import type { TaskKind } from '../../shared/taskKinds';
import { t } from '../../shared/words';
import type { ClassData, ReaderRow } from '../classQueries';
import { usualWorth, type Terms } from './terms';
import type { WayRow } from './ways';

/** Kinds of tasks that are about a text. */
export type TextKind = Extract<TaskKind, 'Text' | 'Quiz' | 'Recording'>;

const inTray = 'tray',
  everybody = 'all';

/** Whom it is for at first. */
export const whomFirst = (these: ReaderRow[]) => (these.length > 0 ? inTray : everybody);

/** Whom something is for: those who were picked up, everybody, or a group by its name. */
export function readersOf(who: string, data: ClassData, these: ReaderRow[]): ReaderRow[] {
  if (who === inTray) return these;
  return who === everybody ? data.readers : data.readers.filter((r) => groupKey(r.group) === who);
}
const groupKey = (name: string | null) => `group ${name ?? ''}`;

/** The groups of a class by name. */
export const groupsIn = (data: ClassData) => [...new Set(data.readers.map((r) => r.group).filter((g) => g !== null))];

/** The choices of whom it is for, each with how many. */
export function whomOptions(data: ClassData, these: ReaderRow[]) {
  return [
    ...(these.length > 0 ? [{ value: inTray, label: t('{{count}} readers in tray', { count: these.length }) }] : []),
    { value: everybody, label: t('Everybody, {{count}} readers', { count: data.readers.length }) },
    ...groupsIn(data).map((name) => ({
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
  /** When readers see how it went. */
  results: Terms['results'];
  /** The day on which marked work is released; empty for none. */
  releasesOn: string;
  /** Points in the gradebook; 0 for not in it. */
  worth: number;
  attempts: number;
  directions: string;
  /** The same in the language of homes that speak another. */
  homeDirections: string;
  heading: string;
  note: string;
  onTheWay: boolean;
  aloud: boolean;
  /** What readers do with the texts. */
  kind: TextKind;
  /** Of the one text, those that are asked; null for all. */
  questions: string[] | null;
  /** Readers may change to another version within reach. */
  mayChange: boolean;
  /** Readers see one another's written answers when they have answered. */
  talk: boolean;
  /** Of several, each opens when the one before is handed in. */
  inOrder: boolean;
  /** Also in the class's stream, where it has one. */
  share: boolean;
  /** Who does it otherwise. */
  ways: WayRow[];
}

type Way = Pick<How, 'attempts' | 'onTheWay' | 'aloud' | 'place' | 'results' | 'share'>;
const usual: Way = { attempts: 2, onTheWay: true, aloud: false, place: 'Anywhere', results: 'AtOnce', share: false };
const keptWay = (classId: string) => `dc-way-of-${classId}`;
export const keepWay = (data: ClassData, { attempts, onTheWay, aloud, place, results, share }: How) =>
  localStorage.setItem(keptWay(data.id), JSON.stringify({ attempts, onTheWay, aloud, place, results, share }));

/** From now on what is given in a class is shared in its stream, until that is switched off. */
export const keepShare = (classId: string) =>
  localStorage.setItem(keptWay(classId), JSON.stringify({ ...wayKept(classId), share: true }));

/** As it was last time in this class; nothing is said and no day is set beforehand. */
function wayOf(data: ClassData): How {
  return {
    visibleFrom: '',
    due: '',
    closesOn: '',
    releasesOn: '',
    worth: usualWorth,
    need: 'Required',
    directions: '',
    homeDirections: '',
    heading: '',
    note: '',
    kind: 'Text',
    questions: null,
    mayChange: false,
    talk: false,
    inOrder: false,
    ways: [],
    ...usual,
    ...wayKept(data.id),
  };
}

function wayKept(classId: string): Partial<Way> {
  try {
    return JSON.parse(localStorage.getItem(keptWay(classId)) ?? '{}') as Partial<Way>;
  } catch {
    return {};
  }
}

/** How something is given at first: seen today, due in four days. */
export const howFirst = (data: ClassData): How => ({
  ...wayOf(data),
  visibleFrom: data.today,
  due: addDays(data.today, 4),
});

/** What is sent of it, whatever is given. */
export const termsOfHow = (how: How, today: string) => ({
  visibleFrom: how.visibleFrom || today,
  dueOn: how.need === 'Recommended' ? null : how.due || null,
  closesOn: how.closesOn || null,
  need: how.need,
  place: how.place,
  results: how.results,
  releasesOn: how.releasesOn || null,
  worth: how.worth,
  mayChange: how.mayChange,
  talk: how.talk,
  directions: how.directions,
  homeDirections: how.homeDirections,
  homeLanguage: how.homeDirections.trim() ? otherHomeLanguage : '',
  heading: how.heading,
  note: how.note,
});
