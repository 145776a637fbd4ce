import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf, timeOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { say, t } from '../../shared/words';
import type { TextData } from './TextPage';
import { Button } from '../../ui/Button';
import { Show } from '../../ui/Show';

/** Every revision of a text; an earlier one can be looked at and come back to. */
export function TextHistory({ x }: { x: TextData }) {
  const revisions = useQuery({
    queryKey: keys.text.revisions(x.id),
    queryFn: () => ok(api.GET('/texts/{textId}/revisions', { params: { path: { textId: x.id } } })),
  });
  const changed = useChanged();
  const restore = (revision: number) =>
    void ok(
      api.POST('/texts/{textId}/revisions/{revision}/restore', { params: { path: { textId: x.id, revision } } }),
    ).then(
      (done) => {
        toast.success(t('Restored revision {{n}}', { n: revision }), {
          description: done.warnings.map(say).join(' ') || undefined,
        });
        void changed('texts');
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <Show query={revisions}>
      {(rows) => (
        <ol
          className={cx(
            'border-ink [&>li]:border-line overflow-auto border-t px-4 pt-2 pb-6 [&_section]:max-w-[72ch]',
            '[&_section]:py-1 [&_section]:pl-4 [&_summary]:min-h-6 [&_summary]:cursor-pointer',
            '[&_summary]:text-sm [&>li]:border-b [&>li]:py-2',
          )}
          aria-label={t('History')}
        >
          {rows.map((r) => (
            <li key={r.revision}>
              <p>
                <b>{t('Revision {{n}}', { n: r.revision })}</b> {dayOf(r.at)} {timeOf(r.at)}
                {r.by && `, ${r.by}`}: {say(r.note)}{' '}
                {r.revision === x.revision ? (
                  <span className="text-soft">{t('current')}</span>
                ) : (
                  x.mayChange && (
                    <Button size="sm" onClick={() => restore(r.revision)}>
                      {t('Restore revision {{n}}', { n: r.revision })}
                    </Button>
                  )
                )}
              </p>
              <details>
                <summary>{t('Show this revision')}</summary>
                {r.versions.map((v) => (
                  <section key={v.label}>
                    <h3>{t('Version {{name}}', { name: v.label })}</h3>
                    {v.pages.flat().map((p, i) => (
                      <p key={i}>{p.replace(/^#+\s*/, '')}</p>
                    ))}
                  </section>
                ))}
              </details>
            </li>
          ))}
        </ol>
      )}
    </Show>
  );
}
