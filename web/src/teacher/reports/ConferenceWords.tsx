import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok, sentence, type Api } from '../../shared/api';
import { dayOf, timeOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { useKept } from '../../shared/useKept';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { ErrorText } from '../../ui/Field';
import { Show } from '../../ui/Show';
import { TextArea } from '../../ui/TextField';
import { conferenceAddress } from './ReportExports';

const longest = 1200;

const useWords = (classId: string) =>
  useQuery({
    queryKey: keys.conference(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/conference', { params: { path: { classId } } })),
  });

/** What a teacher writes about a reader for the conference page, and the page itself. */
export function ConferenceWords({ classId, readerId, name }: { classId: string; readerId: string; name: string }) {
  const words = useWords(classId);
  return (
    <Show query={words}>
      {(all) => {
        const before = all.find((w) => w.readerId === readerId);
        return (
          <Form
            key={`${readerId} ${before?.writtenAt ?? ''}`}
            classId={classId}
            readerId={readerId}
            name={name}
            before={before}
          />
        );
      }}
    </Show>
  );
}

function Form({
  classId,
  readerId,
  name,
  before,
}: {
  classId: string;
  readerId: string;
  name: string;
  before: Api<'ConferenceWords'> | undefined;
}) {
  const client = useQueryClient();
  // What is written stays on this device until it is saved.
  const kept = useKept(`dc-conference-${classId}-${readerId}`, before?.words ?? '');
  const [error, setError] = useState('');
  const save = async () => {
    try {
      await ok(
        api.PUT('/classes/{classId}/conference/{readerId}', {
          params: { path: { classId, readerId } },
          body: { words: kept.value },
        }),
      );
      kept.letGo();
      setError('');
      await client.invalidateQueries({ queryKey: keys.conference(classId) });
    } catch (e) {
      setError(sentence(e));
    }
  };
  const unsaved = kept.value.trim() !== (before?.words ?? '');
  return (
    <div className="grid gap-2.5 px-4 py-3">
      <TextArea
        label={t('Your words for {{name}}’s conference page', { name })}
        hint={t('Printed as you write them, in place of empty lines. The family reads them.')}
        rows={9}
        maxLength={longest}
        value={kept.value}
        set={kept.set}
      />
      {error && <ErrorText>{error}</ErrorText>}
      <div className="flex flex-wrap items-center gap-2">
        <Button look="main" disabled={!unsaved} onClick={() => void save()}>
          {t('Save')}
        </Button>
        {unsaved && kept.found && <Button onClick={kept.again}>{t('Discard')}</Button>}
        <span role="status" className="text-soft text-sm">
          {!unsaved &&
            before &&
            [t('Saved {{time}}', { time: `${dayOf(before.writtenAt)} ${timeOf(before.writtenAt)}` }), before.by]
              .filter(Boolean)
              .join(', ')}
        </span>
      </div>
      <p>
        <a href={conferenceAddress(classId, 'home', readerId)} download>
          {t('Conference page')}
        </a>
      </p>
    </div>
  );
}
