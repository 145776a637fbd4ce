import { useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { fieldOf, sentence } from '../../shared/api';
import { addDays } from '../../shared/days';
import { dayOf, today } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { BigMark } from '../../ui/Reader';
import { sendReading } from '../offline/outbox';
import type { OwnReading } from './Mine';

const fieldLook = 'border-soft bg-paper min-h-12 w-full rounded-md border-[1.5px] px-3 text-reader';

const Labelled = ({ label, error, children }: { label: string; error?: string | undefined; children: ReactNode }) => (
  <label className="grid gap-1">
    <span className="font-semibold">{label}</span>
    {children}
    {error && (
      <span role="alert" className="font-semibold">
        {error}
      </span>
    )}
  </label>
);

const back = 30;
/** Today and the days before it, and the day that is told. */
const daysTo = (told: string) => {
  const days = Array.from({ length: back }, (_, i) => addDays(today(), -i));
  return days.includes(told) ? days : [...days, told];
};

/** What is being told, and telling it. */
function useOwnReading(of: OwnReading | null, done: () => void) {
  const client = useQueryClient();
  const [id, setId] = useState(() => of?.id ?? crypto.randomUUID());
  const first = {
    title: of?.title ?? '',
    author: of?.author ?? '',
    day: of?.day ?? today(),
    minutes: of?.minutes?.toString() ?? '',
    pages: of?.pages?.toString() ?? '',
    finished: of?.finished ?? true,
    said: of?.said ?? '',
  };
  const [told, tell] = useState(first);
  const [error, setError] = useState<unknown>();
  const [saved, setSaved] = useState('');
  const put = (change: Partial<typeof told>) => {
    setSaved('');
    tell((before) => ({ ...before, ...change }));
  };
  const whole = (typed: string) => (typed.trim() === '' ? null : Math.round(Number(typed)) || 0);
  const send = async (removed: boolean) => {
    setError(undefined);
    try {
      await sendReading(id, { ...told, minutes: whole(told.minutes), pages: whole(told.pages), removed });
      await client.invalidateQueries({ queryKey: keys.my.readings });
      setSaved(removed ? t('Removed.') : t('Added: {{title}}', { title: told.title }));
      setId(crypto.randomUUID());
      tell({ ...first, title: '', author: '', said: '', minutes: '', pages: '' });
      done();
    } catch (problem) {
      setError(problem);
    }
  };
  return { told, put, send, error, saved };
}

/** A book on paper, or anything else that was read elsewhere, told in a few fields. */
export function OwnReadingForm({ of, done }: { of: OwnReading | null; done: () => void }) {
  const { told, put, send, error, saved } = useOwnReading(of, done);
  return (
    <form
      noValidate
      className="border-ink bg-paper grid gap-3.5 rounded-xl border-[1.5px] px-7 py-5"
      onSubmit={(e) => {
        e.preventDefault();
        void send(false);
      }}
    >
      <h2 id="add" className="text-[22px] leading-8">
        {of ? t('Change {{title}}', { title: of.title }) : t('Add a paper book')}
      </h2>
      <Labelled label={t('Title')} error={fieldOf(error, 'title')}>
        <input
          className={fieldLook}
          maxLength={120}
          value={told.title}
          onChange={(e) => put({ title: e.target.value })}
        />
      </Labelled>
      <Labelled label={t('Who wrote it')} error={fieldOf(error, 'author')}>
        <input
          className={fieldLook}
          maxLength={80}
          value={told.author}
          onChange={(e) => put({ author: e.target.value })}
        />
      </Labelled>
      <Labelled label={t('Day')} error={fieldOf(error, 'day')}>
        <select className={fieldLook} value={told.day} onChange={(e) => put({ day: e.target.value })}>
          {daysTo(told.day).map((day) => (
            <option key={day} value={day}>
              {day === today() ? t('Today') : dayOf(day)}
            </option>
          ))}
        </select>
      </Labelled>
      <div className="grid grid-cols-2 gap-3">
        <Labelled label={t('Minutes')} error={fieldOf(error, 'minutes')}>
          <input
            inputMode="numeric"
            className={fieldLook}
            value={told.minutes}
            onChange={(e) => put({ minutes: e.target.value.replace(/\D/g, '') })}
          />
        </Labelled>
        <Labelled label={t('Pages')} error={fieldOf(error, 'pages')}>
          <input
            inputMode="numeric"
            className={fieldLook}
            value={told.pages}
            onChange={(e) => put({ pages: e.target.value.replace(/\D/g, '') })}
          />
        </Labelled>
      </div>
      <label className="flex min-h-11 items-center gap-3">
        <BigMark several checked={told.finished} onChange={(e) => put({ finished: e.target.checked })} />
        {t('I have finished it')}
      </label>
      <Labelled label={t('What I think of it')} error={fieldOf(error, 'said')}>
        <textarea
          rows={3}
          maxLength={500}
          className={`${fieldLook} py-2`}
          value={told.said}
          onChange={(e) => put({ said: e.target.value })}
        />
      </Labelled>
      {error ? <p role="alert">{sentence(error)}</p> : null}
      <p role="status">{saved}</p>
      <Row>
        {of && (
          <>
            <Button size="reader" onClick={() => void send(true)}>
              {t('Remove')}
            </Button>
            <Button size="reader" onClick={done}>
              {t('Cancel')}
            </Button>
          </>
        )}
        <Button look="main" size="reader" type="submit">
          {of ? t('Save') : t('Add')}
        </Button>
      </Row>
    </form>
  );
}
