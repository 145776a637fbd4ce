import { ArrowDown, ArrowUp, Ear, NotePencil } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { useState } from 'react';
import type { Api } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { IconButton } from '../../ui/IconButton';
import { TextField } from '../../ui/TextField';
import { allMarks, marks, observations } from './points';
import { SayNote } from './SayNote';
import { Water } from './Water';

type Seen = Api<'SeeRequest'>;

/** A button for a thumb: its icon above its word. */
const tall = 'h-14 w-14 flex-none flex-col gap-0.5 px-0 text-sm';

/** One reader at the meeting: a tap says how it went, a second what was seen. */
export function ReaderRow({
  meetingId,
  name,
  seen,
  phrases,
  left,
  open,
  look,
  see,
  aloud,
  seat,
  listens,
}: {
  meetingId: string;
  name: string;
  seen: Seen;
  phrases: readonly Api<'Observation'>[];
  /** The heights lie at the left thumb. */
  left: boolean;
  /** The phrases lie open: it is the reader in hand. */
  open: boolean;
  look: () => void;
  see: (seen: Seen) => void;
  /** Starts a running record; null without a text. */
  aloud: (() => void) | null;
  /** Moves the reader up or down the table; null while nobody changes seats. */
  seat: ((by: -1 | 1) => void) | null;
  /** A note can be said. */
  listens: boolean;
}) {
  // The note as it is being written; null while it is not.
  const [writing, write] = useState<string | null>(null);
  if (!seen.here) return <Away name={name} back={() => see({ ...seen, here: true })} />;
  const said = [...seen.observed.map((o) => t(observations[o])), seen.note && `“${seen.note}”`].filter(Boolean);
  const flip = (o: Api<'Observation'>) =>
    see({
      ...seen,
      observed: seen.observed.includes(o) ? seen.observed.filter((x) => x !== o) : [...seen.observed, o],
    });
  return (
    <li aria-label={name} className={cx('bg-paper border px-3.5 py-1.5', open ? 'border-overlay' : 'border-ink')}>
      <div className={cx('flex items-center gap-x-2 max-sm:flex-wrap', left && 'flex-row-reverse')}>
        <b className="w-20 flex-none font-serif text-xl font-semibold">{name}</b>
        {seat && <Seat name={name} move={seat} />}
        <span className="min-w-0 grow text-sm">
          {said.length > 0 ? said.join(', ') : <span className="text-soft">{t('nothing noted yet')}</span>}
        </span>
        {aloud && (
          <Button look="plain" className={tall} onClick={aloud}>
            <Ear size={20} aria-hidden /> {t('aloud')}
          </Button>
        )}
        <Button
          look="plain"
          className={tall}
          aria-expanded={writing !== null}
          onClick={() => write(writing === null ? seen.note : null)}
        >
          <NotePencil size={20} aria-hidden /> {t('note')}
        </Button>
        <span role="group" aria-label={t('How it went for {{name}}', { name })} className="flex flex-none gap-1">
          {allMarks.map((m) => (
            <button
              key={m}
              type="button"
              aria-pressed={seen.mark === m}
              onClick={() => {
                look();
                see({ ...seen, mark: seen.mark === m ? null : m });
              }}
              className={cx(
                'grid min-h-16 w-19 place-items-center rounded-sm border py-0.5 text-sm',
                seen.mark === m ? 'border-ink bg-depth-1 font-bold' : 'border-line text-soft',
              )}
            >
              <Water mark={m} chosen={seen.mark === m} />
              {t(marks[m])}
            </button>
          ))}
        </span>
      </div>
      {open && (
        <div className="flex flex-wrap gap-1.5 pt-1.5">
          {phrases.map((o) => (
            <Button
              key={o}
              className="h-11"
              look={seen.observed.includes(o) ? 'main' : 'outline'}
              aria-pressed={seen.observed.includes(o)}
              onClick={() => flip(o)}
            >
              {t(observations[o])}
            </Button>
          ))}
          <span className="ml-auto flex gap-1.5">
            {listens && (
              <SayNote
                meetingId={meetingId}
                name={name}
                heard={(words) => write([seen.note, words].filter(Boolean).join(' '))}
              />
            )}
            <Button
              look="plain"
              className="h-11"
              onClick={() => see({ ...seen, here: false, mark: null, observed: [] })}
            >
              {t('Away')}
            </Button>
          </span>
        </div>
      )}
      {writing !== null && (
        <Note key={writing} name={name} from={writing} note={seen.note} keep={(note) => see({ ...seen, note })} />
      )}
    </li>
  );
}

const Away = ({ name, back }: { name: string; back: () => void }) => (
  <li aria-label={name} className="border-soft flex min-h-14 items-center gap-3 border border-dashed px-3.5">
    <b className="text-soft font-serif text-xl font-semibold">{name}</b>
    <span className="text-soft grow">{t('away today')}</span>
    <Button onClick={back}>{t('Here after all')}</Button>
  </li>
);

const Seat = ({ name, move }: { name: string; move: (by: -1 | 1) => void }) => (
  <span className="flex flex-none gap-1">
    <IconButton label={t('Move {{name}} up', { name })} className="size-11" onClick={() => move(-1)}>
      <ArrowUp size={20} aria-hidden />
    </IconButton>
    <IconButton label={t('Move {{name}} down', { name })} className="size-11" onClick={() => move(1)}>
      <ArrowDown size={20} aria-hidden />
    </IconButton>
  </span>
);

/** @param from What the field begins with: the note as it is kept, or with what was said. */
function Note({ name, from, note, keep }: { name: string; from: string; note: string; keep: (note: string) => void }) {
  const [words, set] = useState(from);
  return (
    <div className="flex items-end gap-2 pt-1.5" onBlur={() => words !== note && keep(words)}>
      <TextField
        label={t('Note on {{name}}', { name })}
        className="grow"
        maxLength={1000}
        autoFocus
        value={words}
        set={set}
      />
    </div>
  );
}
