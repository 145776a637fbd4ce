import type { Api } from '../../shared/api';
import { fm, shortDay, signed } from '../../shared/format';
import { t } from '../../shared/words';
import { Show } from '../../ui/Show';
import { useEvidence, useReader } from '../classQueries';
import { evidenceSources } from '../readers/evidence';
import { PieceResult } from '../readers/Pieces';
import { pieceId } from '../readers/Trail';
import { within } from './moved';
import type { ReportRow } from './reportQueries';
import type { Span } from './span';
import { Trails } from './Trails';

/** What moved a reader's level in the span: the trail, and each piece of evidence with what it did. */
export function LevelMoved({
  row,
  name,
  classId,
  span,
}: {
  row: ReportRow;
  name: string;
  classId: string;
  span: Span;
}) {
  const reader = useReader(row.readerId);
  const account = useEvidence(row.readerId);
  return (
    <div className="grid gap-3 px-4 py-2.5">
      <p>
        {row.change === null
          ? t('No level at the start of these days, so there is no change to show.')
          : t('{{change}} fm in these days, to {{level}} fm.', {
              change: signed(row.change),
              level: fm(row.level),
            })}
      </p>
      {reader.data && (
        <Trails of={[{ id: row.readerId, name, trail: reader.data.trail }]} first={row.readerId} since={span.from} />
      )}
      <Show query={account}>
        {(a) => <Moves pieces={within(a.pieces, span)} classId={classId} readerId={row.readerId} />}
      </Show>
    </div>
  );
}

function Moves({ pieces, classId, readerId }: { pieces: Api<'PieceView'>[]; classId: string; readerId: string }) {
  if (pieces.length === 0)
    return <p className="text-soft">{t('No evidence in these days. A level also drifts without any.')}</p>;
  return (
    <>
      <ul aria-label={t('What moved the level')} className="text-sm">
        {pieces.map((p) => (
          <li key={pieceId(p)} className="border-line grid grid-cols-[auto_minmax(0,1fr)_auto] gap-x-3 border-t py-1">
            <span>{shortDay(p.at)}</span>
            <span>
              <PieceResult piece={p} path={{ classId, readerId }} />{' '}
              <span className="text-soft">{t(evidenceSources[p.what].word)}</span>
            </span>
            <span className="tabular-nums">{p.counted === 0 ? t('left out') : signed(p.moved)}</span>
          </li>
        ))}
      </ul>
      <p className="text-soft text-sm">
        {t('What the pieces did does not add up to the change: the level also drifts from day to day.')}
      </p>
    </>
  );
}
