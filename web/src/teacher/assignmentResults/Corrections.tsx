import type { Api } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { useUndo } from '../classQueries';

/** What has been corrected in this quiz, each with the way back. */
export function Corrections({ corrections, may }: { corrections: Api<'CorrectionView'>[]; may: boolean }) {
  const undo = useUndo();
  if (corrections.length === 0) return null;
  return (
    <ul aria-label={t('Corrected questions')} className="border-line bg-sand border-b px-4 py-1.5">
      {corrections.map((c) => (
        <li key={c.changeId} className="flex flex-wrap items-center gap-x-3">
          <span>
            {c.takenOut
              ? t('Taken out by {{who}}: “{{stem}}”', { who: c.by, stem: c.stem })
              : t('Right answer changed by {{who}}: “{{stem}}”', { who: c.by, stem: c.stem })}
          </span>
          {may && (
            <Button size="sm" look="plain" aria-busy={undo.isPending} onClick={() => undo.mutate(c.changeId)}>
              {t('Undo')}
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
