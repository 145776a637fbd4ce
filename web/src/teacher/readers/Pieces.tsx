import { cx } from 'class-variance-authority';
import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import type { Api } from '../../shared/api';
import { dayOf, fm, halfRange, signed } from '../../shared/format';
import { sure } from '../../shared/sure';
import { say, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';
import { pieceId } from './Trail';
import { evidenceSources } from './evidence';
import type { InClass } from './useChange';

type Piece = Api<'PieceView'>;
type Acts = { include: (p: Piece) => void; leaveOut: (p: Piece) => void };

const atFirst = 10;

/** Whether all is shown: when it was asked for, or when a mark of the trail leads to what is further down. */
function useAll(pieces: readonly Piece[]) {
  const { hash } = useLocation();
  const [asked, ask] = useState(false);
  const further = pieces.slice(atFirst).some((p) => `#${pieceId(p)}` === hash);
  useEffect(() => {
    if (further) document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'center' });
  }, [further, hash]);
  return { all: asked || further || pieces.length <= atFirst + 2, ask: () => ask(true) };
}

/** The evidence of a level, piece by piece, with what each did to it: the latest, and all when it is wanted. */
export function Pieces({ account, params, ...acts }: { account: Api<'AccountView'>; params: InClass } & Acts) {
  const { all, ask } = useAll(account.pieces);
  const shown = all ? account.pieces : account.pieces.slice(0, atFirst);
  return (
    <div className="border-ink -mx-4 overflow-x-auto border-t" tabIndex={0} role="region" aria-labelledby="account">
      <Table>
        <TableHead>
          <tr>
            <Th>{t('Day')}</Th>
            <Th>{t('What')}</Th>
            <Th>{t('Result')}</Th>
            <Th num>{t('Level change')}</Th>
            <Th num>{t('Level after')}</Th>
            <Th>{t('Counts')}</Th>
          </tr>
        </TableHead>
        <TableBody>
          {shown.map((p) => (
            <tr key={pieceId(p)} id={pieceId(p)} className={cx('group target:bg-tint', p.counted === 0 && 'text-soft')}>
              <Td>{dayOf(p.at)}</Td>
              <Td>{t(evidenceSources[p.what].word)}</Td>
              <Th scope="row">
                <PieceResult piece={p} path={params.path} />
                {p.leftOut.map((l) => (
                  <small key={say(l)}>{t('left out: {{what}}', { what: say(l) })}</small>
                ))}
              </Th>
              <Td num>{p.counted === 0 ? '–' : signed(p.moved)}</Td>
              <Td num>{p.after == null ? '–' : `${fm(p.after)} ± ${halfRange(sure(p.sdAfter)).toFixed(1)}`}</Td>
              <Td>
                <Counts piece={p} may={account.mayJudge} {...acts} />
              </Td>
            </tr>
          ))}
        </TableBody>
      </Table>
      {!all && (
        <p className="flex items-center gap-3 px-4 py-1.5">
          {t('{{n}} of {{count}} pieces of evidence', { n: shown.length, count: account.pieces.length })}
          <Button size="sm" onClick={ask}>
            {t('Show all')}
          </Button>
        </p>
      )}
    </div>
  );
}

/** What a piece of evidence says, leading to where it came from. */
export function PieceResult({ piece, path: { classId, readerId } }: { piece: Piece; path: InClass['path'] }) {
  if (piece.recordId)
    return <Link to={`/class/${classId}/readers/${readerId}/records/${piece.recordId}`}>{say(piece.note)}</Link>;
  if (piece.ticketId) return <Link to={`/class/${classId}/tickets/${piece.ticketId}`}>{say(piece.note)}</Link>;
  return say(piece.note);
}

// Seen where the pointer or the focus is; a row says only whether it counts.
const onDemand = 'opacity-0 group-hover:opacity-100 group-focus-within:opacity-100 pointer-coarse:opacity-100';

function Counts({ piece, may, include, leaveOut }: { piece: Piece; may: boolean } & Acts) {
  if (piece.reason != null)
    return (
      <>
        <span>{t('left out: {{what}}', { what: piece.reason })}</span>{' '}
        {may && (
          <Button
            size="sm"
            onClick={() => include(piece)}
            aria-label={t('Include: {{what}}', { what: say(piece.note) })}
          >
            {t('Include')}
          </Button>
        )}
      </>
    );
  return (
    <span className="flex items-center gap-2">
      {piece.counted > 0 ? t('yes') : t('no')}
      {may && piece.may && (
        <Button
          size="sm"
          className={onDemand}
          onClick={() => leaveOut(piece)}
          aria-label={t('Leave out: {{what}}', { what: say(piece.note) })}
        >
          {t('Leave out')}
        </Button>
      )}
    </span>
  );
}
