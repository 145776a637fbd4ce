import { cx } from 'class-variance-authority';
import { Heart, Smiley, SmileyMeh, SmileySad } from '@phosphor-icons/react';
import { useState } from 'react';
import { sentence } from '../../shared/api';
import { phrase, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { TextArea } from '../../ui/TextField';
import { useRatings, type Liking } from './useRatings';

const likings = [
  ['NotForMe', phrase('Not for me'), SmileySad],
  ['AllRight', phrase('All right'), SmileyMeh],
  ['Good', phrase('I liked it'), Smiley],
  ['Favourite', phrase('One of my favourites'), Heart],
] as const;

/** What the reader thinks of a text: one tap; and a sentence for others, which the teacher reads first. */
export function RateText({ textId, title }: { textId: string; title: string }) {
  const ratings = useRatings();
  const mine = ratings.of(textId);
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState<string | null>(null);
  const [error, setError] = useState('');
  const said = words ?? mine?.words ?? '';
  const put = (liking: Liking, say: string) =>
    ratings.put(textId, liking, say).then(
      () => setError(''),
      (problem: unknown) => setError(sentence(problem)),
    );
  return (
    <section aria-labelledby={`rate-${textId}`} className="border-soft bg-paper grid gap-3 rounded-lg border px-6 py-4">
      <h3 id={`rate-${textId}`}>{t('How did you like it?')}</h3>
      <div role="radiogroup" aria-label={t('How you liked {{title}}', { title })} className="flex flex-wrap gap-2">
        {likings.map(([key, name, Icon]) => (
          <label
            key={key}
            className={cx(
              'border-soft hover:bg-depth-1 has-checked:border-overlay has-checked:bg-tint has-focus-visible:outline-overlay',
              'flex min-h-11 cursor-pointer items-center gap-2 rounded-md border px-3 py-1.5 has-focus-visible:outline-3',
            )}
          >
            <input
              type="radio"
              className="sr-only"
              name={`liking-${textId}`}
              checked={mine?.liking === key}
              onChange={() => void put(key, mine?.words ?? '')}
            />
            <Icon size={24} aria-hidden weight={mine?.liking === key ? 'fill' : 'regular'} />
            {t(name)}
          </label>
        ))}
      </div>
      {mine && !open && (
        <Row>
          {mine.words && <p className="grow">“{mine.words}”</p>}
          <Button size="reader" onClick={() => setOpen(true)}>
            {mine.words ? t('Change') : t('Tell others about it')}
          </Button>
        </Row>
      )}
      {mine?.words && !open && <p className="text-soft">{seen[mine.approval]()}</p>}
      {mine && open && (
        <form
          className="grid gap-2.5"
          onSubmit={(e) => {
            e.preventDefault();
            void put(mine.liking, said.trim()).then(() => setOpen(false));
          }}
        >
          <TextArea
            label={t('What others should know about it')}
            size="reader"
            rows={3}
            maxLength={300}
            value={said}
            set={setWords}
          />
          <p className="text-soft">{t('Your teacher reads it first. Then your class can see it.')}</p>
          <Row>
            <Button size="reader" look="main" type="submit">
              {t('Save')}
            </Button>
            <Button
              size="reader"
              onClick={() => {
                setWords(null);
                setOpen(false);
              }}
            >
              {t('Cancel')}
            </Button>
          </Row>
        </form>
      )}
      {error && <p role="alert">{error}</p>}
    </section>
  );
}

const seen = {
  None: () => '',
  Waiting: () => t('Your teacher has not read it yet.'),
  Approved: () => t('Your class can see it.'),
  Kept: () => t('Only you and your teacher can see it.'),
};
