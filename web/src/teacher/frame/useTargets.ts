import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Api } from '../../shared/api';
import { fm } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { allGroups, libraryFor, type ClassData } from '../classQueries';

/** Where one can jump to: what kind it is, what it is called, what is said beside it. */
export interface Target {
  key: string;
  kind: string;
  name: string;
  what: string;
  to: string;
}

const most = 12;
const places = [
  { name: phrase('Chart'), path: '' },
  { name: phrase('Readers'), path: '/readers' },
  { name: phrase('Texts'), path: '/texts' },
  { name: phrase('Assignments'), path: '/assignments' },
  { name: phrase('Level checks'), path: '/assignments/checks' },
  { name: phrase('Marking'), path: '/marking' },
  { name: phrase('Goals'), path: '/goals' },
  { name: phrase('Groups'), path: '/groups' },
];
const acts = [
  { name: phrase('Add reader'), path: '/readers?add=1', roster: true },
  { name: phrase('Add many readers'), path: '/readers/many', roster: true },
  { name: phrase('New text'), path: '/texts/new', roster: false },
  { name: phrase('Import texts'), path: '/texts/bring', roster: false },
  { name: phrase('New level check'), path: '/assignments/checks/new', roster: false },
];

/** What is known without asking: places, readers, groups, and what can be begun. */
function known(data: ClassData): Target[] {
  const base = `/class/${data.id}`;
  return [
    ...places.map((p) => ({ key: p.path, kind: t('Places'), name: t(p.name), what: '', to: base + p.path })),
    ...data.readers.map((r) => ({
      key: r.id,
      kind: t('Readers'),
      name: `${r.givenName} ${r.familyName}`,
      what: `${fm(r.depth)} fm`,
      to: `${base}/readers/${r.id}`,
    })),
    ...allGroups(data).map((g) => ({
      key: g.id,
      kind: t('Groups'),
      name: g.name,
      what: t('{{count}} readers', { count: g.readerIds.length }),
      to: g.grouping ? `${base}/groups?grouping=${g.grouping}` : `${base}/groups`,
    })),
    ...acts
      .filter((a) => !a.roster || data.mayChangeRoster)
      .map((a) => ({ key: a.path, kind: t('Actions'), name: t(a.name), what: '', to: base + a.path })),
  ];
}

/** What has a word in its name, and the texts of the library that the server finds for it. */
export function useTargets(data: ClassData, word: string) {
  const client = useQueryClient();
  const options = libraryFor(data.id, word);
  const asks = word.length > 1;
  const texts = useQuery({ ...options, enabled: asks, placeholderData: keepPreviousData });
  const named = known(data)
    .filter((x) => x.name.toLowerCase().includes(word.toLowerCase()))
    .slice(0, word ? 7 : places.length);
  const withTexts = (rows: Api<'LibraryRow'>[]): Target[] => [
    ...named,
    ...rows.slice(0, most - named.length).map((x) => ({
      key: x.id,
      kind: t('Texts'),
      name: x.title,
      what: `${x.versions.map((v) => fm(v.depth)).join(' / ')} fm`,
      to: `/class/${data.id}/texts/${x.id}`,
    })),
  ];
  return {
    found: withTexts(asks ? (texts.data?.rows ?? []) : []),
    /** How many of those found need no answer of the server. */
    here: named.length,
    ready: !asks || !texts.isFetching,
    arrive: async () => withTexts((await client.ensureQueryData(options).catch(() => null))?.rows ?? []),
  };
}
