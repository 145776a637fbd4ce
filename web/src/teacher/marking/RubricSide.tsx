import { Plus, X } from '@phosphor-icons/react';
import { useState, type RefObject } from 'react';
import { listed } from '../../shared/format';
import { markSum } from '../../shared/scores';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { IconButton } from '../../ui/IconButton';
import { TextArea } from '../../ui/TextField';
import { Criteria } from './Criteria';
import type { Answer, Entry } from './queue';
import { sumOf } from './rubric';
import { useKeptComments, type Marks } from './useMarks';

/** What a mark means, the proposed one, a comment, and marking. */
export function RubricSide({
  of,
  e,
  name,
  may,
  field,
  sendBack,
  called,
}: {
  of: Marks;
  e: Entry;
  name: string;
  may: boolean;
  field: RefObject<HTMLTextAreaElement | null>;
  sendBack: () => void;
  called: (id: string, given: string) => string;
}) {
  const waits = e.a.mark === null;
  return (
    <aside className="bg-sand border-ink flex min-h-0 flex-col overflow-auto max-lg:border-t lg:border-l">
      <div className="grid gap-3.5 px-4 pt-3 pb-4">
        <h2 className="flex items-baseline gap-2.5">
          {t('Rubric')}
          <span className="font-ui text-soft text-sm font-normal">
            {t('{{count}} marks; {{right}} or more count as right', { count: e.q.most, right: e.q.right })}
          </span>
        </h2>
        {e.a.proposal && waits && <Proposed proposal={e.a.proposal} most={e.q.most} use={of.usesProposed} may={may} />}
        <Criteria
          of={e.q}
          points={of.points}
          proposed={waits ? (e.a.proposal?.points ?? null) : null}
          now={of.row}
          may={may}
          choose={of.choose}
        />
        {e.q.rubric && e.q.rubric.samples.length > 0 && (
          <details>
            <summary className="min-h-6 cursor-pointer text-sm">{t('Sample answers')}</summary>
            {e.q.rubric.samples.map((s, i) => (
              <p key={i} className="text-soft">
                “{s}”
              </p>
            ))}
          </details>
        )}
        <Comment of={of} name={name} may={may} field={field} />
      </div>
      <span className="grow" />
      <footer className="border-ink bg-paper sticky bottom-0 grid gap-2 border-t px-4 py-3">
        {of.points.length > 1 && <Sum of={of} />}
        {of.others.length > 0 && (
          <Checkbox checked={of.same} set={of.setSame}>
            {t('Also for {{names}}, who wrote the same', {
              names: listed(of.others.map((o) => called(o.a.readerId, o.a.givenName))),
            })}
          </Checkbox>
        )}
        <div className="flex flex-wrap gap-2">
          <Button look="main" disabled={!may || !of.whole} onClick={of.markIt}>
            {t('Mark and next')} <kbd className="bg-overlay-dark text-paper">↵</kbd>
          </Button>
          <Button disabled={!may} onClick={sendBack}>
            {t('Send back…')} <kbd>B</kbd>
          </Button>
          <Button look="plain" onClick={of.skip}>
            {t('Skip')} <kbd>S</kbd>
          </Button>
        </div>
        <Checkbox checked={of.release} disabled={!may} set={of.setRelease}>
          {t('Release when all are marked')}
        </Checkbox>
      </footer>
    </aside>
  );
}

/** What the rows come to so far. */
function Sum({ of }: { of: Marks }) {
  const count = of.points.filter((p) => p === null).length;
  return (
    <p role="status">
      <b>{t('{{n}} so far', { n: sumOf(of.points) })}</b>
      {count > 0 && `, ${t('{{count}} rows to choose', { count })}`}
    </p>
  );
}

/** The mark the answer's own words speak for, and why; it counts only when it is used. */
function Proposed({
  proposal: p,
  most,
  use,
  may,
}: {
  proposal: NonNullable<Answer['proposal']>;
  use: () => void;
  most: number;
  may: boolean;
}) {
  const named =
    p.words.length === 0
      ? t('None of the words of a full answer.')
      : t('Says {{words}}.', { words: listed(p.words.slice(0, 4).map((w) => `“${w}”`)) });
  return (
    <section
      aria-label={t('Proposed mark')}
      className="border-ink grid gap-1.5 rounded-md border-2 border-dashed px-3 py-2"
    >
      <p>
        <b>{t('Proposed: {{n}} of {{of}}.', { n: markSum(p), of: most })}</b> {named}{' '}
        {p.reason ? t('Gives a reason.') : t('Gives no reason.')}
      </p>
      <div className="flex items-center justify-between gap-2">
        <span className="text-soft text-sm">{t('Counts only when you use it.')}</span>
        <Button size="sm" disabled={!may} onClick={use}>
          {t('Use this mark')} <kbd>A</kbd>
        </Button>
      </div>
    </section>
  );
}

function Comment({
  of,
  name,
  may,
  field,
}: {
  of: Marks;
  name: string;
  may: boolean;
  field: RefObject<HTMLTextAreaElement | null>;
}) {
  const kept = useKeptComments();
  const [editing, edit] = useState(false);
  const keepable = of.comment.trim() !== '' && !kept.all.includes(of.comment.trim()) && kept.all.length < 9;
  return (
    <div className="grid gap-1.5">
      <TextArea
        label={t('Comment to {{name}} (C)', { name })}
        ref={field}
        rows={2}
        maxLength={500}
        disabled={!may}
        value={of.comment}
        set={of.setComment}
      />
      <ul className="flex flex-wrap gap-1.5" aria-label={t('Kept comments')}>
        {kept.all.map((c, i) => (
          <li key={c} className="flex items-center">
            <Button size="sm" disabled={!may} onClick={() => of.setComment(c)}>
              <kbd>K {i + 1}</kbd> {c}
            </Button>
            {editing && (
              <IconButton
                look="plain"
                label={t('Remove “{{words}}”', { words: c })}
                onClick={() => void kept.put(kept.all.filter((x) => x !== c))}
              >
                <X size={14} aria-hidden />
              </IconButton>
            )}
          </li>
        ))}
        {keepable && (
          <li>
            <Button size="sm" look="plain" onClick={() => void kept.put([...kept.all, of.comment.trim()])}>
              <Plus size={14} aria-hidden />
              {t('Keep this comment')}
            </Button>
          </li>
        )}
        {kept.all.length > 0 && (
          <li>
            <Button size="sm" look="plain" onClick={() => edit(!editing)}>
              {editing ? t('Done') : t('Edit kept comments')}
            </Button>
          </li>
        )}
      </ul>
    </div>
  );
}
