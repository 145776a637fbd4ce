import { cx } from 'class-variance-authority';
import { ArrowsClockwise, Printer } from '@phosphor-icons/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Show } from '../../ui/Show';

/**
 * A maze passage: every seventh word a choice of three, with the right ones marked for the teacher. Printed, they are
 * not. A draft is accepted, and then kept for the school.
 */
export function MazeDraft({ textId, versionId }: { textId: string; versionId: string }) {
  const client = useQueryClient();
  const [draft, setDraft] = useState<number | null>(null);
  const params = { path: { textId, versionId } };
  const maze = useQuery({
    queryKey: keys.text.mazeDraft(textId, versionId, draft),
    queryFn: () =>
      ok(
        api.GET('/texts/{textId}/versions/{versionId}/maze', {
          params: { path: { textId, versionId }, query: { draft: draft ?? undefined } },
        }),
      ),
  });
  const change = (doing: Promise<unknown>, said: string) =>
    void doing.then(
      () => {
        toast.success(said);
        setDraft(null);
        void client.invalidateQueries({ queryKey: keys.text.maze(textId, versionId) });
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <Show query={maze}>
      {(m) => {
        const choices = m.pieces.filter((p) => p.choices.length > 0).length;
        return (
          <div
            className={cx(
              'border-ink overflow-auto border-t px-6 pt-3 pb-8 print:block print:h-auto',
              'print:overflow-visible [&_article]:max-w-[76ch] [&_article]:font-serif [&_article]:text-lg',
              '[&_article]:leading-10 [&_article]:whitespace-pre-line',
            )}
          >
            <div className="flex flex-wrap items-center gap-2 print:hidden">
              <p>
                {choices > 0
                  ? t('{{count}} choices. Score: right answers minus half the wrong ones, per minute.', {
                      count: choices,
                    })
                  : t('The text is too short for a maze passage.')}
                {m.kept &&
                  m.at &&
                  ` ${t('Saved by {{name}}, {{day}}.', { name: m.by ?? t('a former colleague'), day: dayOf(m.at) })}`}
              </p>
              <span className="grow" />
              <Button onClick={() => setDraft(m.draft + 1)}>
                <ArrowsClockwise size={18} aria-hidden />
                {t('New draft')}
              </Button>
              <Button disabled={choices === 0} onClick={() => window.print()}>
                <Printer size={18} aria-hidden />
                {t('Print')}
              </Button>
              {m.kept ? (
                <Button
                  onClick={() =>
                    change(
                      ok(api.DELETE('/texts/{textId}/versions/{versionId}/maze', { params })),
                      t('Deleted maze passage'),
                    )
                  }
                >
                  {t('Delete maze passage')}
                </Button>
              ) : (
                <Button
                  look="main"
                  disabled={choices === 0}
                  onClick={() =>
                    change(
                      ok(api.PUT('/texts/{textId}/versions/{versionId}/maze', { params, body: { draft: m.draft } })),
                      t('Saved maze passage'),
                    )
                  }
                >
                  {t('Save maze passage')}
                </Button>
              )}
            </div>
            <article aria-label={t('Maze passage')}>
              <p>
                {m.pieces.map((p, i) => (
                  <span key={i}>
                    {p.text}
                    {p.choices.length > 0 && (
                      <span
                        className={cx(
                          'divide-line border-soft mx-0.5 inline-grid grid-flow-col divide-x rounded-sm border',
                          'leading-6.5 *:px-1.75',
                        )}
                      >
                        {p.choices.map((c, n) => (
                          <span
                            key={n}
                            className={
                              n === p.right ? 'bg-tint font-semibold print:bg-transparent print:font-normal' : undefined
                            }
                          >
                            {c}
                            {n === p.right && <span className="sr-only"> {t('(right)')}</span>}
                          </span>
                        ))}
                      </span>
                    )}
                  </span>
                ))}
              </p>
            </article>
          </div>
        );
      }}
    </Show>
  );
}
