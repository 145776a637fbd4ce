import { useQuery } from '@tanstack/react-query';
import { api, ok, type Api } from '../../shared/api';
import { dayOf, signed } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import { Dialog } from '../../ui/Dialog';
import { Show } from '../../ui/Show';

type Past = Api<'GroupPastView'>;
const daysOf = (of: { from: string; to: string | null }) =>
  of.to ? `${dayOf(of.from)} – ${dayOf(of.to)}` : t('since {{day}}', { day: dayOf(of.from) });

/** What became of the groups: who was where when, how often they met, how levels changed meanwhile. */
export function Stays({
  classId,
  readers,
  close,
}: {
  classId: string;
  readers: ReadonlyMap<string, ReaderRow>;
  close: () => void;
}) {
  const past = useQuery({
    queryKey: keys.groups.past(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/groups/past', { params: { path: { classId } } })),
  });
  return (
    <Dialog title={t('What became of groups')} close={close} wide>
      <Show query={past}>
        {(p) =>
          p.groups.length === 0 ? (
            <p>{t('No groups yet')}</p>
          ) : (
            <div className="grid gap-5">
              <Groups groups={p.groups} />
              <Readers stays={p.stays.filter((s) => readers.has(s.readerId))} readers={readers} />
            </div>
          )
        }
      </Show>
    </Dialog>
  );
}

/** @param words How many columns hold words; the rest are figures. */
const Head = ({ columns, words = 2 }: { columns: string[]; words?: number }) => (
  <thead>
    <tr className="text-soft text-left text-sm">
      {columns.map((c, i) => (
        <th key={c} scope="col" className={i < words ? 'font-normal' : 'pl-3 text-right font-normal'}>
          {c}
        </th>
      ))}
    </tr>
  </thead>
);

/** Each group over all who were in it. */
const Groups = ({ groups }: { groups: Past['groups'] }) => (
  <table className="w-full">
    <caption className="pb-1 text-left font-semibold">{t('Groups')}</caption>
    <Head columns={[t('Group'), t('Days'), t('Readers'), t('Meetings held'), t('Change of level, fm (90% range)')]} />
    <tbody>
      {groups.map((g) => (
        <tr key={g.groupId} className="border-line border-t">
          <th scope="row" className="py-1 text-left font-semibold">
            {g.group}
          </th>
          <td>{daysOf(g)}</td>
          <td className="text-right">{g.readers}</td>
          <td className="text-right">{g.held}</td>
          <td className="text-right whitespace-nowrap">
            {g.change ? `${signed(g.change.mean)} ± ${g.change.half.toFixed(1)}` : '–'}
          </td>
        </tr>
      ))}
    </tbody>
  </table>
);

/** Who is and was where, latest first. */
const Readers = ({ stays, readers }: { stays: Past['stays']; readers: ReadonlyMap<string, ReaderRow> }) => (
  <table className="w-full">
    <caption className="pb-1 text-left font-semibold">{t('Readers')}</caption>
    <Head words={3} columns={[t('Reader'), t('Days'), t('Group'), t('At meetings'), t('Change of level, fm')]} />
    <tbody>
      {stays.map((s, i) => (
        <tr key={i} className="border-line border-t">
          <th scope="row" className="py-1 text-left font-normal">
            {readers.get(s.readerId)?.called}
          </th>
          <td>{daysOf(s)}</td>
          <td>{s.group}</td>
          <td className="text-right whitespace-nowrap">
            {s.held === 0 ? '–' : t('{{n}} of {{of}}', { n: s.here, of: s.held })}
          </td>
          <td className="text-right">{s.change === null ? '–' : signed(s.change)}</td>
        </tr>
      ))}
    </tbody>
  </table>
);
