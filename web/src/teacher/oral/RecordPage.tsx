import { cx } from 'class-variance-authority';
import { ArrowCounterClockwise, Microphone, Printer, Stop } from '@phosphor-icons/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo, useState, type KeyboardEvent } from 'react';
import { Link, useNavigate, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { api, asFile, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { clock, dayOf, fm, percent, timeOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { useRecorder } from '../../shared/useRecorder';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { DraftNote } from './DraftNote';
import { FiguresBox } from './FiguresBox';
import { MarkSide } from './MarkSide';
import { clear, counted, kinds, linesOf, put, isBetween, type Kind } from './marks';
import { Playback } from './Playback';
import { kindNames, SheetLines } from './SheetLines';
import { useSheet, type RecordData } from './useSheet';
import { useTimer } from './useTimer';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { ErrorText } from '../../ui/Field';
import { Notice, PageHead, Row } from '../../ui/Page';
import { Show } from '../../ui/Show';

const letterKinds: Record<string, Kind> = {
  s: 'Substitution',
  o: 'Omission',
  i: 'Insertion',
  r: 'Repetition',
  c: 'SelfCorrection',
  t: 'Told',
};
const letterOf = Object.fromEntries(Object.entries(keys).map(([letter, kind]) => [kind, letter.toUpperCase()]));
/** While a device listens, the page looks for its draft. */
const lookAgain = 1500;

/** One oral reading, marked as fast as it is read. */
export default function RecordPage() {
  const { readerId = '', recordId = '' } = useParams();
  const client = useQueryClient();
  const key = keys.reader.record(readerId, recordId);
  const record = useQuery({
    queryKey: key,
    queryFn: () => ok(api.GET('/readers/{readerId}/records/{recordId}', { params: { path: { readerId, recordId } } })),
    refetchInterval: (q) =>
      q.state.data?.listening === 'Waiting' || q.state.data?.listening === 'Listening' ? lookAgain : false,
  });
  const saved = useCallback(
    (r: RecordData) => {
      client.setQueryData(keys.reader.record(r.readerId, r.id), r);
    },
    [client],
  );
  return <Show query={record}>{(r) => <Marking key={r.id} record={r} saved={saved} />}</Show>;
}

function Marking({ record, saved }: { record: RecordData; saved: (r: RecordData) => void }) {
  const { data } = useOutletContext<Place>();
  const navigate = useNavigate();
  const changed = useChanged();
  const { sheet, change, undo, canUndo, done, finish, state } = useSheet(record, saved);
  const [cursor, setCursor] = useState(0);
  const [tool, setTool] = useState<Kind>('Substitution');
  const [playing, setPlaying] = useState<number | null>(null);
  const timer = useTimer(
    sheet.seconds,
    useCallback((seconds: number) => change(() => ({ seconds }), false), [change]),
  );
  const lines = useMemo(() => linesOf(record.body, record.words), [record.body, record.words]);
  const keyOf = useCallback(
    (i: number) =>
      record.body
        .slice(sure(record.words[i]).start, sure(record.words[i]).start + sure(record.words[i]).length)
        .toLowerCase(),
    [record.body, record.words],
  );
  const c = useMemo(
    () => counted(sheet.marks, record.words, sheet.lastWord, keyOf),
    [sheet.marks, sheet.lastWord, record.words, keyOf],
  );
  const move = useCallback(
    (to: number) => setCursor(Math.max(0, Math.min(record.words.length - 1, to))),
    [record.words.length],
  );
  const mark = useCallback(
    (index: number, kind: Kind) => change((s) => ({ marks: put(s.marks, index, kind) })),
    [change],
  );
  const tap = useCallback(
    (index: number) => {
      setCursor(index);
      mark(index, tool);
    },
    [mark, tool],
  );
  const line = lines.findIndex((l) => cursor >= l.from && cursor < l.to);
  const path = `/readers/${record.readerId}/records/${record.id}`;

  const onKeyDown = (e: KeyboardEvent) => {
    const key = e.key.toLowerCase();
    if (e.altKey || ((e.ctrlKey || e.metaKey) && key !== 'z')) return;
    const kind = letterKinds[key];
    if (key === 'z') undo();
    else if (kind) {
      mark(cursor, kind);
      if (!isBetween(kind)) move(cursor + 1);
    } else if (key === 'arrowright' || key === ' ') move(cursor + 1);
    else if (key === 'arrowleft') move(cursor - 1);
    else if (key === 'arrowdown') move(lines[line + 1]?.from ?? cursor);
    else if (key === 'arrowup') move(lines[line - 1]?.from ?? 0);
    else if (key === 'home') move(lines[line]?.from ?? 0);
    else if (key === 'end') move((lines[line]?.to ?? 1) - 1);
    else if (key === 'backspace' || key === 'delete') change((s) => ({ marks: clear(s.marks, cursor) }));
    else if (key === 'p') timer.toggle();
    else if (key === 'e') endHere();
    else return;
    e.preventDefault();
  };
  const endHere = () => {
    if (timer.on) timer.stop();
    change((s) => ({ lastWord: s.lastWord === cursor || cursor === record.words.length - 1 ? null : cursor }));
  };
  const close = async () => {
    if (timer.on) timer.stop();
    await finish(!done);
    void changed('level');
  };
  const discard = (gone: boolean) =>
    void ok(
      api.POST('/readers/{readerId}/records/{recordId}/discard', {
        params: { path: { readerId: record.readerId, recordId: record.id } },
        body: { gone },
      }),
    ).then(
      (r) => {
        saved(r);
        void changed('level');
        if (!gone) return;
        toast.success(t('Deleted running record'), { action: { label: t('Undo'), onClick: () => discard(false) } });
        void navigate(`/class/${data.id}/readers/${record.readerId}`);
      },
      (e: unknown) => toast.error(sentence(e)),
    );

  return (
    <div className="flex min-h-0 min-w-0 flex-col">
      <PageHead
        title={t('Running record')}
        beside={
          <p className="text-soft">
            <Link to={`/class/${data.id}/readers/${record.readerId}`}>
              {record.givenName} {record.familyName}
            </Link>{' '}
            · {record.title}, {fm(record.textDepth)} fm, {t('forecast {{share}}', { share: percent(record.forecast) })}{' '}
            · {dayOf(record.readAt)}
            {record.by && ` · ${record.by}`}
          </p>
        }
      >
        <Saved state={state} done={done} />
        <Button asChild>
          <a href={`/api${path}/record.pdf`} target="_blank" rel="noreferrer">
            <Printer size={20} aria-hidden />
            {t('PDF')}
          </a>
        </Button>
        <Button onClick={() => discard(true)}>{t('Delete')}</Button>
        <Button look={done ? 'outline' : 'main'} disabled={c.words === 0} onClick={() => void close()}>
          {done ? t('Reopen') : t('Finish and count in level')}
        </Button>
      </PageHead>
      {record.gone && (
        <Notice kind="action" role="status">
          {t('This record was deleted.')}{' '}
          <Button size="sm" onClick={() => discard(false)}>
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
      <DraftNote
        record={record}
        empty={sheet.marks.length === 0}
        saved={saved}
        use={(d) => {
          timer.set(d.seconds);
          change(() => ({
            marks: d.marks as never,
            lastWord: d.lastWord ?? null,
            seconds: d.seconds,
            pauses: d.pauses,
          }));
        }}
      />
      <div
        className={cx(
          'border-ink grid min-h-0 flex-1 border-t max-lg:grid-cols-1 max-lg:overflow-auto',
          'lg:grid-cols-[minmax(0,1fr)_348px]',
        )}
      >
        <div className="flex min-h-0 min-w-0 flex-col">
          <div
            className="border-line bg-sand flex flex-wrap gap-1 border-b px-4 py-2"
            role="group"
            aria-label={t('A tap marks')}
          >
            {kinds.map((k) => (
              <Button key={k} aria-pressed={tool === k} onClick={() => setTool(k)}>
                {t(kindNames[k])} <kbd>{letterOf[k]}</kbd>
              </Button>
            ))}
            <Button look="plain" onClick={endHere}>
              {sheet.lastWord === null ? t('stops here') : t('goes on')} <kbd>E</kbd>
            </Button>
            <Button look="plain" disabled={!canUndo} onClick={undo}>
              <ArrowCounterClockwise size={16} aria-hidden />
              {t('Undo')} <kbd>Z</kbd>
            </Button>
          </div>
          <div
            className={cx(
              'min-h-0 flex-1 overflow-auto px-4 pt-1.5 pb-6 max-lg:max-h-[60vh]',
              record.textDepth < 30 ? 'font-first text-xl leading-6' : 'font-serif text-[19px] leading-6',
            )}
          >
            <SheetLines
              body={record.body}
              words={record.words}
              lines={lines}
              marks={sheet.marks}
              lastWord={sheet.lastWord}
              cursor={cursor}
              playing={playing}
              go={move}
              tap={tap}
              onKeyDown={onKeyDown}
            />
          </div>
          <p className="border-line bg-sand flex min-h-8 items-center gap-4 border-t px-4 text-sm">
            <span>{t('Line {{n}} of {{of}}', { n: line + 1, of: lines.length })}</span>
            <span>{t('← → word, ↑ ↓ line, Backspace clears, P clock')}</span>
          </p>
        </div>
        <div
          className={cx(
            'border-ink [&>section]:border-line min-h-0 overflow-auto max-lg:border-t lg:border-l',
            '[&>section]:grid [&>section]:gap-2 [&>section]:border-b [&>section]:px-3.5',
            '[&>section]:py-2.5',
          )}
        >
          <FiguresBox
            c={c}
            seconds={timer.seconds}
            on={timer.on}
            toggle={timer.toggle}
            setSeconds={(seconds) => {
              timer.set(seconds);
              change(() => ({ seconds }));
            }}
            record={record}
          />
          <SoundBox
            record={record}
            done={done}
            saved={saved}
            began={timer.start}
            ended={timer.stop}
            playing={setPlaying}
            cursor={cursor}
          />
          <MarkSide record={record} sheet={sheet} change={change} go={move} />
        </div>
      </div>
    </div>
  );
}

function Saved({ state, done }: { state: ReturnType<typeof useSheet>['state']; done: boolean }) {
  return (
    <span className="text-soft text-sm" role="status">
      {state.said === 'away'
        ? t('No internet: saved on this device, will be sent')
        : state.said === 'saving'
          ? t('Saving…')
          : state.at
            ? t('Saved {{time}}', { time: timeOf(state.at.toISOString()) })
            : ''}
      {done && state.said === 'saved' ? ` ${t('counts in the level')}` : ''}
    </span>
  );
}

/** The recording: made here while the reader reads, or by the reader alone; played back with the word marked. */
function SoundBox({
  record,
  done,
  saved,
  began,
  ended,
  playing,
  cursor,
}: {
  record: RecordData;
  done: boolean;
  saved: (r: RecordData) => void;
  began: () => void;
  ended: () => void;
  playing: (i: number | null) => void;
  cursor: number;
}) {
  const recorder = useRecorder();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState('');
  const path = `/readers/${record.readerId}/records/${record.id}/sound`;
  const keep = async () => {
    const made = recorder.recording;
    if (!made) return;
    setBusy(true);
    setError('');
    try {
      saved(
        await ok(
          api.PUT('/readers/{readerId}/records/{recordId}/sound', {
            params: {
              path: { readerId: record.readerId, recordId: record.id },
              query: { seconds: Math.round(made.seconds * 10) / 10 },
            },
            body: made.blob,
            ...asFile,
          }),
        ),
      );
      recorder.forget();
    } catch (e) {
      setError(sentence(e));
    }
    setBusy(false);
  };
  return (
    <section className="empty:hidden" aria-label={t('Recording')}>
      {record.soundSeconds != null && (
        <Playback
          key={record.soundSeconds}
          src={`/api${path}?${record.soundSeconds}`}
          times={record.draft?.times as (number[] | null)[] | undefined}
          word={playing}
          from={{ index: cursor }}
        />
      )}
      {recorder.state === 'refused' && (
        <ErrorText>{t('The browser blocks the microphone. Allow it, or mark without a recording.')}</ErrorText>
      )}
      {error && (
        <ErrorText>
          {error} {t('Your recording is still here.')}
        </ErrorText>
      )}
      {!done && recorder.can && (
        <Row>
          {recorder.state === 'recording' ? (
            <Button
              look="main"
              onClick={() => {
                recorder.stop();
                ended();
              }}
            >
              <Stop size={20} aria-hidden />
              {t('Stop recording, {{time}}', { time: clock(recorder.seconds) })}
            </Button>
          ) : (
            <Button
              size="sm"
              disabled={busy || recorder.state === 'asking'}
              onClick={() => void recorder.start().then(began)}
            >
              <Microphone size={16} aria-hidden />
              {record.soundSeconds != null || recorder.recording ? t('Record again') : t('Record')}
            </Button>
          )}
          {recorder.recording && (
            <Button look="main" size="sm" disabled={busy} onClick={() => void keep()}>
              {busy ? t('Sending…') : t('Save recording, {{time}}', { time: clock(recorder.recording.seconds) })}
            </Button>
          )}
        </Row>
      )}
    </section>
  );
}
