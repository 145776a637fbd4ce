import { Printer } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { dayOf, fm, percent, timeOf } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Notice, PageHead } from '../../ui/Page';
import type { RecordData, useSheet } from './useSheet';

type State = ReturnType<typeof useSheet>['state'];

/** Whose reading it is and of what, whether it is saved, and how it ends. */
export function RecordHead({
  record,
  classId,
  state,
  done,
  words,
  close,
  discard,
}: {
  record: RecordData;
  classId: string;
  state: State;
  done: boolean;
  /** How many words have been read. */
  words: number;
  close: () => void;
  discard: () => void;
}) {
  return (
    <PageHead
      title={t('Running record')}
      beside={
        <p className="text-soft">
          <Link to={`/class/${classId}/readers/${record.readerId}`}>
            {record.givenName} {record.familyName}
          </Link>{' '}
          · {record.title}, {fm(record.textDepth)} fm, {t('forecast {{share}}', { share: percent(record.forecast) })} ·{' '}
          {dayOf(record.readAt)}
          {record.by && ` · ${record.by}`}
        </p>
      }
    >
      <Saved state={state} done={done} />
      <Button asChild>
        <a href={`/api/readers/${record.readerId}/records/${record.id}/record.pdf`} target="_blank" rel="noreferrer">
          <Printer size={20} aria-hidden />
          {t('PDF')}
        </a>
      </Button>
      <Button onClick={discard}>{t('Delete')}</Button>
      <Button look={done ? 'outline' : 'main'} disabled={words === 0} onClick={close}>
        {done ? t('Reopen') : t('Finish and count in level')}
      </Button>
    </PageHead>
  );
}

/** What one should know before going on with a record. */
export function RecordNotices({ record, state, restore }: { record: RecordData; state: State; restore: () => void }) {
  return (
    <>
      {record.gone && (
        <Notice kind="action" role="status">
          {t('This record was deleted.')}{' '}
          <Button size="sm" onClick={restore}>
            {t('Restore')}
          </Button>
        </Notice>
      )}
      {record.textChanged && (
        <Notice kind="action" role="status">
          {t('The text was edited later. This record shows it as it was read.')}
        </Notice>
      )}
      {(state.said === 'stale' || state.said === 'refused') && (
        <Notice kind="action" role="alert">
          {state.why}{' '}
          <Button size="sm" onClick={() => location.reload()}>
            {t('Reload')}
          </Button>
        </Notice>
      )}
    </>
  );
}

function Saved({ state, done }: { state: State; done: boolean }) {
  return (
    <span className="text-soft text-sm" role="status">
      {state.said === 'away' && t('No internet: saved on this device, will be sent')}
      {state.said === 'saving' && t('Saving…')}
      {state.said !== 'away' &&
        state.said !== 'saving' &&
        state.at &&
        t('Saved {{time}}', { time: timeOf(state.at.toISOString()) })}
      {done && state.said === 'saved' ? ` ${t('counts in the level')}` : ''}
    </span>
  );
}
