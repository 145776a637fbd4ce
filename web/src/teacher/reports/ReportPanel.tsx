import { X } from '@phosphor-icons/react';
import { Link, useSearchParams } from 'react-router';
import { fm, number } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { IconButton } from '../../ui/IconButton';
import { Segments } from '../../ui/Segments';
import { Show } from '../../ui/Show';
import { calledIn, type ClassData } from '../classQueries';
import { ConferenceWords } from './ConferenceWords';
import { LevelMoved } from './LevelMoved';
import { LogLines } from './LogLines';
import { useLog, type Report, type ReportRow } from './reportQueries';
import { conferenceAddress } from './ReportExports';
import { SideBySide } from './SideBySide';
import type { Asked } from './span';
import { spanWords } from './SpanPicker';

type View = 'log' | 'level' | 'side' | 'words';

/** The address of a reader's panel over the same report. */
export function panelOf(search: URLSearchParams, readerId: string, view: View): string {
  const next = new URLSearchParams(search);
  next.set('focus', readerId);
  next.set('panel', view);
  return `?${next.toString()}`;
}

/** The reader in focus: what was read, line by line, or beside others. */
export function ReportPanel({
  r,
  row,
  data,
  asked,
  close,
}: {
  r: Report;
  row: ReportRow;
  data: ClassData;
  asked: Asked;
  close: () => void;
}) {
  const [search, setSearch] = useSearchParams();
  const views: { value: View; label: string }[] = [
    { value: 'log', label: t('Log') },
    { value: 'level', label: t('Level') },
    { value: 'side', label: t('Side by side') },
    ...(data.mayAssign ? [{ value: 'words' as const, label: t('Conference') }] : []),
  ];
  const view = views.find((v) => v.value === search.get('panel'))?.value ?? 'log';
  const show = (next: View) => setSearch(panelOf(search, row.readerId, next), { replace: true });
  const reader = data.readers.find((x) => x.id === row.readerId);
  const name = reader ? `${reader.givenName} ${reader.familyName}` : calledIn(data)(row.readerId, '');
  return (
    <aside aria-label={name} className="border-ink flex min-h-0 flex-col border-l max-lg:border-t">
      <header className="border-overlay bg-tint border-b px-4 pt-1.5 pb-2">
        <div className="flex items-baseline gap-2">
          <h2>{name}</h2>
          <span className="text-sm">
            {reader?.group && `${reader.group}, `}
            {t('{{n}} ± {{half}} fm', { n: fm(row.level), half: fm(1.645 * row.levelSd) })}
          </span>
          <span className="grow" />
          <IconButton look="plain" label={t('Close')} onClick={close}>
            <X size={18} aria-hidden />
          </IconButton>
        </div>
        <div className="grid justify-items-start gap-1">
          <Segments size="sm" label={t('Views of the reader')} value={view} set={show} options={views} />
          <span className="text-sm">{spanWords(r.spans.span)}</span>
        </div>
      </header>
      <div className="min-h-0 grow overflow-auto">
        {view === 'log' && <OneLog row={row} data={data} asked={asked} />}
        {view === 'level' && (
          <LevelMoved row={row} name={reader?.called ?? name} classId={data.id} span={r.spans.span} />
        )}
        {view === 'side' && <SideBySide r={r} first={row.readerId} data={data} />}
        {view === 'words' && <ConferenceWords classId={data.id} readerId={row.readerId} name={name} />}
      </div>
      <footer className="border-ink bg-sand flex flex-wrap gap-2 border-t px-4 py-2 print:hidden">
        <Button asChild size="sm">
          <a href={conferenceAddress(data.id, 'home', row.readerId)} download>
            {t('Conference page')}
          </a>
        </Button>
        <Button asChild size="sm">
          <Link to={`/class/${data.id}/readers/${row.readerId}`}>{t('Open profile')}</Link>
        </Button>
      </footer>
    </aside>
  );
}

function OneLog({ row, data, asked }: { row: ReportRow; data: ClassData; asked: Asked }) {
  const log = useLog(data.id, asked, row.readerId);
  const s = row.sums;
  return (
    <>
      <dl className="border-ink flex flex-wrap gap-x-5 gap-y-1 border-b px-4 py-2 text-sm">
        <Figure value={s.readings} name={t('full readings')} />
        <Figure value={s.words} name={t('words')} />
        <Figure value={Math.round(s.seconds / 60)} name={t('minutes')} />
        {s.openings > 0 && <Figure value={s.openings} name={t('openings, left out')} />}
        {s.outside > 0 && <Figure value={s.outsideMinutes} name={t('minutes elsewhere')} />}
      </dl>
      <Show query={log}>{(l) => <LogLines rows={l.rows} classId={data.id} />}</Show>
    </>
  );
}

const Figure = ({ value, name }: { value: number; name: string }) => (
  <div className="flex flex-col-reverse">
    <dt>{name}</dt>
    <dd className="text-lg font-semibold">{number(value)}</dd>
  </div>
);
