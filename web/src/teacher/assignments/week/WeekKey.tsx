import {
  BookOpen,
  LinkSimple,
  ListBullets,
  ListChecks,
  Microphone,
  PencilLine,
  type Icon,
} from '@phosphor-icons/react';
import type { ReactNode } from 'react';
import { taskWords, type TaskKind } from '../../../shared/taskKinds';
import { t } from '../../../shared/words';
import { LateMark, StateMark } from '../../../ui/StateMark';

const Entry = ({ children }: { children: ReactNode }) => (
  <li className="inline-flex items-center gap-1.5">{children}</li>
);

/** Kinds of tasks that are explained where there are some. */
const others: [TaskKind, Icon][] = [
  ['Written', PencilLine],
  ['Words', ListBullets],
  ['Link', LinkSimple],
];

/** What the shapes of the week mean, and its keys. */
export const WeekKey = ({ kinds }: { kinds: ReadonlySet<TaskKind> }) => (
  <footer className="border-ink flex min-h-8 flex-wrap items-center gap-x-6 border-t px-4 py-1 text-sm">
    <ul className="flex flex-wrap gap-x-4" aria-label={t('Key')}>
      <Entry>
        <BookOpen size={16} aria-hidden /> {t('read')}
      </Entry>
      <Entry>
        <ListChecks size={16} aria-hidden /> {t('quiz')}
      </Entry>
      <Entry>
        <Microphone size={16} aria-hidden /> {t('aloud')}
      </Entry>
      {others
        .filter(([kind]) => kinds.has(kind))
        .map(([kind, Glyph]) => (
          <Entry key={kind}>
            <Glyph size={16} aria-hidden /> {t(taskWords[kind])}
          </Entry>
        ))}
      <Entry>
        <StateMark state="Released" bare /> {t('handed in')}
      </Entry>
      <Entry>
        <StateMark state="UnderWay" bare /> {t('under way')}
      </Entry>
      <Entry>
        <StateMark state="Waiting" bare /> {t('waiting')}
      </Entry>
      <Entry>
        <LateMark bare /> {t('late')}
      </Entry>
      <Entry>
        <i aria-hidden className="border-soft bg-paper inline-block h-3 w-6 border border-dashed" /> {t('draft')}
      </Entry>
    </ul>
    <p className="text-soft ml-auto">{t('Drag, or Alt with arrows, to move; with Shift to change the due day.')}</p>
  </footer>
);
