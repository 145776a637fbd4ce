import { CaretDown, CaretRight } from '@phosphor-icons/react';
import { useState, type ReactNode } from 'react';
import { listed, strandName } from '../../shared/format';
import { goalKinds } from '../../shared/goalKinds';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { IconButton } from '../../ui/IconButton';
import { calledIn, type ClassData } from '../classQueries';
import { useTray } from '../tray/useTray';
import { Buoy } from './Buoy';
import { signalName, type Signal } from './signals';

/** What several signals have in common, in a few words. */
function troubleOf(s: Signal) {
  const about = s.strand ? strandName(s.strand) : s.goal && goalKinds[s.goal].name().toLowerCase();
  return about ? `${signalName(s.kind)}: ${about}` : signalName(s.kind);
}

/** Readers with the same trouble under one head, which takes all of them into the tray. */
export function Alike({
  of,
  data,
  step,
  children,
}: {
  of: Signal[];
  data: ClassData;
  step: (ids: string[]) => void;
  children: ReactNode;
}) {
  const tray = useTray();
  const [open, set] = useState(true);
  const name = calledIn(data);
  const ids = of.flatMap((s) => (s.readerId ? [s.readerId] : []));
  const [first] = of;
  if (!first) return null;
  const trouble = troubleOf(first);
  const Caret = open ? CaretDown : CaretRight;
  return (
    <div role="group" aria-label={trouble}>
      <div className="border-line bg-depth-1 flex flex-wrap items-center gap-2 border-b px-4 py-1.5">
        <IconButton
          look="plain"
          aria-expanded={open}
          label={open ? t('Fold {{trouble}}', { trouble }) : t('Show {{trouble}}', { trouble })}
          onClick={() => set(!open)}
        >
          <Caret size={16} aria-hidden />
        </IconButton>
        <Buoy kind={first.kind} />
        <b>{trouble}</b>
        <span>
          {t('{{count}} readers', { count: ids.length })}: {listed(ids.map((id) => name(id, '')))}
        </span>
        <span className="grow" />
        <Button
          size="sm"
          onClick={() => {
            tray.pickReaders(ids, true);
            if (data.mayAssign) step(of.map((s) => s.id));
          }}
        >
          {t('Add {{count}} readers to tray', { count: ids.length })}
        </Button>
      </div>
      {open && children}
    </div>
  );
}
