import { t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import { useTray } from '../tray/useTray';
import { Buoy } from './Buoy';
import { signalKinds, signalName, signals } from './signals';
import { Button } from '../../ui/Button';
import { SidePanel } from '../../ui/Page';

/** At most five signals, each one sentence with its evidence and a button. Kinds take turns, so that one kind does not hide the others. */
export function LookHere({ readers, open }: { readers: ReaderRow[]; open: (id: string) => void }) {
  const tray = useTray();
  const byKind = signalKinds.map((kind) =>
    readers.flatMap((r) => r.signals.filter((s) => s.kind === kind).map((s) => ({ r, s }))),
  );
  const turns = Math.max(0, ...byKind.map((k) => k.length));
  const all = Array.from({ length: turns }, (_, i) => byKind.map((k) => k[i]).filter((x) => x !== undefined)).flat();
  return (
    <SidePanel aria-labelledby="look" className="group-data-sheet/work:hidden">
      <h2 id="look" className="px-4 pt-2.75 pb-2.5">
        {t('Look here first')}
      </h2>
      {all.length === 0 && (
        <p className="px-4 py-2">{t('No signals now. They appear here when a reader’s work stands out.')}</p>
      )}
      <ul>
        {all.slice(0, 5).map(({ r, s }) => {
          const [what, evidence] = signals[s.kind].says(r.called, s);
          const held = tray.readers.includes(r.id);
          return (
            <li
              key={`${r.id}${s.kind}${s.strand ?? ''}`}
              className="border-line grid gap-0.75 border-t px-4 pt-2.25 pb-2.75"
            >
              <p className="flex items-center gap-1.5 text-sm font-bold">
                <Buoy kind={s.kind} />
                {signalName(s.kind)}
              </p>
              <p>{what}</p>
              {evidence && <p className="text-soft text-sm">{evidence}</p>}
              <p className="mt-0.75 flex flex-wrap gap-1">
                <Button size="sm" onClick={() => open(r.id)}>
                  {t('Open {{name}}', { name: r.called })}
                </Button>
                <Button look="plain" size="sm" onClick={() => tray.pickReaders([r.id], !held)}>
                  {held
                    ? t('Remove {{name}} from tray', { name: r.called })
                    : t('Add {{name}} to tray', { name: r.called })}
                </Button>
              </p>
            </li>
          );
        })}
      </ul>
    </SidePanel>
  );
}
