import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { dayOf, minutes, number, timeOf } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { Notice } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column, Sum } from '../../ui/table/useDataTable';
import { TideMarks } from '../../ui/TideMarks';
import { calledIn, type ClassData } from '../classQueries';
import { logKey, Recording, rightOf, whatWas } from './LogLines';
import { useLog, type LogRow } from './reportQueries';
import { linesOf, logOf, logParts } from './logOf';
import { Narrowed } from './Narrowed';
import { addressOf, type Asked } from './span';
import { spanWords } from './SpanPicker';

const columnsFor = (classId: string, name: (id: string) => string): Column<LogRow>[] => [
  { key: 'reader', name: phrase('Reader'), by: (l) => name(l.readerId), show: (l) => name(l.readerId) },
  { key: 'day', name: phrase('Day'), by: (l) => l.at, show: (l) => dayOf(l.at) },
  { key: 'time', name: phrase('Time'), show: (l) => (l.ticketId === null ? '–' : timeOf(l.at)) },
  {
    key: 'text',
    name: phrase('Text'),
    by: (l) => l.title,
    show: (l) =>
      l.ticketId === null ? l.title : <Link to={`/class/${classId}/tickets/${l.ticketId}`}>{l.title}</Link>,
  },
  { key: 'what', name: phrase('What'), by: whatWas, show: whatWas },
  { key: 'for', name: phrase('For'), num: true, by: (l) => l.seconds, show: (l) => minutes(l.seconds) },
  {
    key: 'words',
    name: phrase('Words'),
    num: true,
    by: (l) => l.words,
    show: (l) => (l.words ? number(l.words) : '–'),
  },
  { key: 'kept', name: phrase('Words kept'), num: true, by: (l) => l.keptWords, show: (l) => l.keptWords || '–' },
  { key: 'sound', name: phrase('Recording'), show: (l) => <Recording l={l} classId={classId} /> },
  {
    key: 'quiz',
    name: phrase('Quiz'),
    by: (l) => (l.marks.length ? rightOf(l) / l.marks.length : -1),
    show: (l) =>
      l.marks.length > 0 && (
        <span className="inline-flex items-center gap-1.5">
          <TideMarks of={l.marks} />
          {t('{{n}} of {{of}}', { n: rightOf(l), of: l.marks.length })}
        </span>
      ),
  },
];

/** Who read what, when, for how long. Openings stand in it and in no sum. */
export function LogReport({ data, asked }: { data: ClassData; asked: Asked }) {
  const [search, setSearch] = useSearchParams();
  const of = logOf(search);
  const log = useLog(data.id, asked, of.reader);
  const columns = useMemo(() => {
    const called = calledIn(data);
    return columnsFor(data.id, (id) => called(id, ''));
  }, [data]);
  return (
    <Show query={log}>
      {(l) => (
        <>
          <Narrowed
            to={[
              of.reader && calledIn(data)(of.reader, ''),
              of.text && l.rows.find((x) => x.textId === of.text)?.title,
              of.part && t(logParts[of.part].name),
            ]}
            clear={() => setSearch(addressOf(asked))}
          />
          {l.more && (
            <Notice>{t('The latest {{n}} lines. Choose fewer days for the rest.', { n: l.rows.length })}</Notice>
          )}
          <DataList
            list="report-log"
            label={t('Log')}
            columns={columns}
            rows={linesOf(l.rows, of)}
            id={logKey}
            name={(x) => x.title}
            sort={{ key: 'day', down: true }}
            sums={[sumOf(linesOf(l.rows, of), spanWords(l.spans.span))]}
            empty={<Empty title={t('Nothing read in these days')} />}
            counted={(_, count) => t('{{count}} lines', { count })}
          />
        </>
      )}
    </Show>
  );
}

function sumOf(rows: LogRow[], name: string): Sum {
  const full = rows.filter((l) => l.full);
  const marks = rows.flatMap((l) => l.marks);
  return {
    name,
    show: (key) =>
      ({
        what: t('{{n}} full readings, {{openings}} openings, {{elsewhere}} elsewhere', {
          n: full.length,
          openings: rows.filter((l) => !l.full && l.kind === 'Text').length,
          elsewhere: rows.filter((l) => l.ticketId === null).length,
        }),
        for: minutes(full.reduce((sum, l) => sum + l.seconds, 0)),
        words: number(full.reduce((sum, l) => sum + l.words, 0)),
        kept: number(rows.reduce((sum, l) => sum + l.keptWords, 0)),
        quiz: t('{{n}} of {{of}}', {
          n: number(marks.filter((m) => m === 'RightAtOnce').length),
          of: number(marks.length),
        }),
      })[key],
  };
}
