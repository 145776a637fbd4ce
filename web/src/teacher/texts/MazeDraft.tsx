import { ArrowsClockwise, Printer } from '@phosphor-icons/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';

/** A maze passage: every seventh word a choice of three, with the right ones marked for the teacher. Printed, they are not. A draft is accepted, and then kept for the school. */
export function MazeDraft({ textId, title, versionId }: { textId: string; title: string; versionId: string }) {
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
          <div className="mazepage">
            <div className="row wrap noprint">
              <p>
                {choices > 0
                  ? t('{{count}} choices. Score: right ones less half the wrong ones, in a minute.', { count: choices })
                  : t('The text is too short for a maze passage.')}
                {m.kept &&
                  m.at &&
                  ` ${t('Kept by {{name}}, {{day}}.', { name: m.by ?? t('a former colleague'), day: dayOf(m.at) })}`}
              </p>
              <span className="grow" />
              <button className="btn" onClick={() => setDraft(m.draft + 1)}>
                <ArrowsClockwise size={18} aria-hidden />
                {t('Another draft')}
              </button>
              <button className="btn" disabled={choices === 0} onClick={() => window.print()}>
                <Printer size={18} aria-hidden />
                {t('Print')}
              </button>
              {m.kept ? (
                <button
                  className="btn"
                  onClick={() =>
                    change(
                      ok(api.DELETE('/texts/{textId}/versions/{versionId}/maze', { params })),
                      t('It is no longer kept'),
                    )
                  }
                >
                  {t('No longer keep it')}
                </button>
              ) : (
                <button
                  className="btn main"
                  disabled={choices === 0}
                  onClick={() =>
                    change(
                      ok(api.PUT('/texts/{textId}/versions/{versionId}/maze', { params, body: { draft: m.draft } })),
                      t('Kept for your school'),
                    )
                  }
                >
                  {t('Keep this one')}
                </button>
              )}
            </div>
            <article aria-label={t('Maze passage')}>
              <h2 className="onlyprint">{title}</h2>
              <p>
                {m.pieces.map((p, i) => (
                  <span key={i}>
                    {p.text}
                    {p.choices.length > 0 && (
                      <span className="threeway">
                        {p.choices.map((c, n) => (
                          <span key={n} className={n === p.right ? 'right' : undefined}>
                            {c}
                            {n === p.right && <span className="hide"> {t('(right)')}</span>}
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
