import { ArrowsClockwise, Printer } from '@phosphor-icons/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { get, type Api } from '../../shared/api';
import { Show } from '../../shared/Whole';
import { t } from '../../shared/words';

/** A draft of a maze passage: every seventh word a choice of three, with the right ones marked for the teacher. Printed, they are not. */
export function MazeDraft({ textId, title, version }: { textId: string; title: string; version: string }) {
  const [draft, setDraft] = useState(0);
  const maze = useQuery({ queryKey: ['text', textId, 'maze', version, draft], queryFn: () => get<Api<'MazeView'>>(`/texts/${textId}/maze?version=${encodeURIComponent(version)}&draft=${draft}`) });
  return (
    <Show query={maze}>{({ pieces }) => {
      const choices = pieces.filter((p) => p.choices.length > 0).length;
      return (
        <div className="mazepage">
          <div className="row wrap noprint"><p>{choices > 0 ? t('{{count}} choices. Score: right ones less half the wrong ones, in a minute.', { count: choices }) : t('The text is too short for a maze passage.')}</p><span className="grow" />
            <button className="btn" onClick={() => setDraft(draft + 1)}><ArrowsClockwise size={18} aria-hidden />{t('Another draft')}</button><button className="btn" disabled={choices === 0} onClick={() => window.print()}><Printer size={18} aria-hidden />{t('Print')}</button></div>
          <article aria-label={t('Maze passage')}><h2 className="onlyprint">{title}</h2><p>{pieces.map((p, i) => <span key={i}>{p.text}{p.choices.length > 0 && <span className="threeway">{p.choices.map((c, n) => <span key={n} className={n === p.right ? 'right' : undefined}>{c}{n === p.right && <span className="hide"> {t('(right)')}</span>}</span>)}</span>}</span>)}</p></article>
        </div>
      );
    }}</Show>
  );
}
