import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { fieldOf, sentence } from '../../shared/api';
import { addDays } from '../../shared/days';
import { dayOf, today } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { BigMark } from '../../ui/Reader';
import { Select } from '../../ui/Select';
import { TextArea, TextField } from '../../ui/TextField';
import { sendReading } from '../offline/outbox';
import type { OwnReading } from './Mine';
import { faultsOf, whole, type Told } from './told';

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
  const first: Told = {
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
  const [faults, setFaults] = useState<ReturnType<typeof faultsOf>>({});
  const [saved, setSaved] = useState('');
  const put = (change: Partial<Told>) => {
    setSaved('');
    tell((before) => ({ ...before, ...change }));
  };
  const send = async (removed: boolean) => {
    setError(undefined);
    const found = removed ? {} : faultsOf(told);
    setFaults(found);
    if (Object.keys(found).length > 0) return;
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
  return { told, put, send, error, faults, saved };
}

/** A book on paper, or anything else that was read elsewhere, told in a few fields. */
export function OwnReadingForm({ of, done }: { of: OwnReading | null; done: () => void }) {
  const { told, put, send, error, faults, saved } = useOwnReading(of, done);
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
      <TextField
        label={t('Title')}
        size="reader"
        error={faults.title ?? fieldOf(error, 'title')}
        maxLength={120}
        value={told.title}
        set={(title) => put({ title })}
      />
      <TextField
        label={t('Who wrote it')}
        size="reader"
        error={fieldOf(error, 'author')}
        maxLength={80}
        value={told.author}
        set={(author) => put({ author })}
      />
      <Select
        label={t('Day')}
        size="reader"
        error={fieldOf(error, 'day')}
        value={told.day}
        set={(day) => put({ day })}
        options={daysTo(told.day).map((day) => ({ value: day, label: day === today() ? t('Today') : dayOf(day) }))}
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={t('Minutes')}
          size="reader"
          inputMode="numeric"
          error={faults.minutes ?? fieldOf(error, 'minutes')}
          value={told.minutes}
          set={(minutes) => put({ minutes: minutes.replace(/\D/g, '') })}
        />
        <TextField
          label={t('Pages')}
          size="reader"
          inputMode="numeric"
          error={faults.pages ?? fieldOf(error, 'pages')}
          value={told.pages}
          set={(pages) => put({ pages: pages.replace(/\D/g, '') })}
        />
      </div>
      <label className="flex min-h-11 items-center gap-3">
        <BigMark several checked={told.finished} onChange={(e) => put({ finished: e.target.checked })} />
        {t('I have finished it')}
      </label>
      <TextArea
        label={t('What I think of it')}
        size="reader"
        rows={3}
        maxLength={500}
        error={fieldOf(error, 'said')}
        value={told.said}
        set={(said) => put({ said })}
      />
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
