import { t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import { useTray } from '../tray/useTray';
import { Buoy } from './Buoy';
import { signalKinds, signalName, signals } from './signals';

/** At most five signals, each one sentence with its evidence and a button. Kinds take turns, so that one kind does not hide the others. */
export function LookHere({ readers, open }: { readers: ReaderRow[]; open: (id: string) => void }) {
  const tray = useTray();
  const byKind = signalKinds.map((kind) =>
    readers.flatMap((r) => r.signals.filter((s) => s.kind === kind).map((s) => ({ r, s }))),
  );
  const turns = Math.max(0, ...byKind.map((k) => k.length));
  const all = Array.from({ length: turns }, (_, i) => byKind.map((k) => k[i]).filter((x) => x !== undefined)).flat();
  return (
    <aside className="look" aria-labelledby="look">
      <h2 id="look">{t('Look here first')}</h2>
      {all.length === 0 && (
        <p className="none">
          {t('Nothing needs a look just now. Signals appear here when the work of a reader stands out.')}
        </p>
      )}
      <ul>
        {all.slice(0, 5).map(({ r, s }) => {
          const [what, evidence] = signals[s.kind].says(r.givenName, s);
          const held = tray.readers.includes(r.id);
          return (
            <li key={`${r.id}${s.kind}${s.strand ?? ''}`}>
              <p className="kind">
                <Buoy kind={s.kind} />
                {signalName(s.kind)}
              </p>
              <p>{what}</p>
              {evidence && <p className="evidence">{evidence}</p>}
              <p className="two">
                <button className="btn small" onClick={() => open(r.id)}>
                  {t('See {{name}}', { name: r.givenName })}
                </button>
                <button className="btn small plain" onClick={() => tray.pickReaders([r.id], !held)}>
                  {held ? t('Put {{name}} back', { name: r.givenName }) : t('Pick {{name}} up', { name: r.givenName })}
                </button>
              </p>
            </li>
          );
        })}
      </ul>
    </aside>
  );
}
