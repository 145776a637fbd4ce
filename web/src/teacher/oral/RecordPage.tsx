import { cx } from 'class-variance-authority';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { DraftNote } from './DraftNote';
import { FiguresBox } from './FiguresBox';
import { MarkSide } from './MarkSide';
import { clear, counted, linesOf, put, type Kind } from './marks';
import { MarkTools } from './MarkTools';
import { RecordHead, RecordNotices } from './RecordHead';
import { recordKeys } from './recordKeys';
import { SheetLines } from './SheetLines';
import { SoundBox } from './SoundBox';
import { useSheet, type RecordData } from './useSheet';
import { useTimer } from './useTimer';
import { sure } from '../../shared/sure';
import { Show } from '../../ui/Show';

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
  const changed = useChanged();
  const [playing, setPlaying] = useState<number | null>(null);
  const marking = useMarking(record, saved);
  const { sheet, change, undo, canUndo, done, finish, state, cursor, tool, setTool, timer, lines, line } = marking;
  const { c, move, mark, tap, endHere } = marking;
  const close = async () => {
    if (timer.on) timer.stop();
    await finish(!done);
    void changed('level');
  };
  const discard = useDiscard(record, data.id, saved);

  return (
    <div className="flex min-h-0 min-w-0 flex-col">
      <RecordHead
        record={record}
        classId={data.id}
        state={state}
        done={done}
        words={c.words}
        close={() => void close()}
        discard={() => discard(true)}
      />
      <RecordNotices record={record} state={state} restore={() => discard(false)} />
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
          <MarkTools
            tool={tool}
            setTool={setTool}
            goesOn={sheet.lastWord === null}
            endHere={endHere}
            undo={canUndo ? undo : null}
            done={done}
          />
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
              onKeyDown={recordKeys({
                cursor,
                lines,
                line,
                move,
                mark,
                clear: () => change((x) => ({ marks: clear(x.marks, cursor) })),
                undo,
                clock: timer.toggle,
                endHere,
              })}
            />
          </div>
          <Foot line={line} lines={lines.length} />
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

/** Deletes a record, and brings it back. */
function useDiscard(record: RecordData, classId: string, saved: (r: RecordData) => void) {
  const navigate = useNavigate();
  const changed = useChanged();
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
        void navigate(`/class/${classId}/readers/${record.readerId}`);
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  return discard;
}

/** A record while it is marked: its sheet, its clock, where the cursor is and what a tap does. */
function useMarking(record: RecordData, saved: (r: RecordData) => void) {
  const kept = useSheet(record, saved);
  const { sheet, change } = kept;
  const [cursor, setCursor] = useState(0);
  const [tool, setTool] = useState<Kind>('Substitution');
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
  const endHere = () => {
    if (timer.on) timer.stop();
    change((s) => ({ lastWord: s.lastWord === cursor || cursor === record.words.length - 1 ? null : cursor }));
  };
  return { ...kept, cursor, tool, setTool, timer, lines, line, c, move, mark, tap, endHere };
}

/** Where the cursor is, and what the keys do. */
const Foot = ({ line, lines }: { line: number; lines: number }) => (
  <p className="border-line bg-sand flex min-h-8 items-center gap-4 border-t px-4 text-sm">
    <span>{t('Line {{n}} of {{of}}', { n: line + 1, of: lines })}</span>
    <span>{t('← → word, ↑ ↓ line, Backspace clears, P clock')}</span>
  </p>
);
