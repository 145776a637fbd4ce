import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { get, post, remove, sentence, type Api } from '../../shared/api';
import { number } from '../../shared/format';
import { Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import { useRefresh, useUndo } from '../classQueries';
import { stateWord } from './Imports';

type View = Api<'ImportView'>;
type Mend = Api<'MendRow'>;

const whats: Record<string, string> = { added: 'added', changed: 'changed', moved: 'moved', ended: 'ended', back: 'back again' };
const kinds: Record<string, string> = { readers: 'Readers', teachers: 'Teachers', classes: 'Classes', enrolments: 'Enrolments', teaching: 'Teaching' };

/** One import: what it would do, what is wrong with which row and where to put it right, then doing it. */
export default function ImportPage() {
  const { importId = '' } = useParams();
  const view = useQuery({
    queryKey: ['import', importId], queryFn: () => get<View>(`/school/imports/${importId}`),
    refetchInterval: (q) => (q.state.data && ['waiting', 'working'].includes(q.state.data.state) ? 400 : false),
  });
  return <Show query={view}>{(v) => <Import key={v.mends.length} view={v} />}</Show>;
}

function Import({ view }: { view: View }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const refresh = useRefresh();
  const undo = useUndo();
  const [cells, setCells] = useState<Record<string, string>>({});
  const [dropped, setDropped] = useState<Mend[]>([]);
  const [kind, setKind] = useState('');
  const working = ['waiting', 'working'].includes(view.state);
  const applied = view.state === 'applied';
  useEffect(() => { if (applied) void refresh(); /* The lists show what came in. */ // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [applied]);
  const ask = useMutation({ mutationFn: (doIt: () => Promise<unknown>) => doIt(), onSuccess: () => void client.invalidateQueries({ queryKey: ['import', view.id] }), onError: (e) => toast.error(sentence(e)) });
  const p = view.preview;
  const mended = (): Mend[] => [...view.mends, ...dropped, ...Object.entries(cells).map(([key, value]) => { const [file, line, column] = key.split('|'); return { file: file!, line: Number(line), column: column!, value }; })];
  const look = (org = view.org) => ask.mutate(() => post(`/school/imports/${view.id}/preview`, { org, mends: mended() }));
  const changed = Object.keys(cells).length + dropped.length;
  return (
    <section className="formpage importpage" aria-labelledby="title">
      <div className="head"><h1 id="title">{view.name}</h1><span className="soft">{stateWord(view.state)}</span><span className="grow" /><Link className="btn plain" to="/school/imports">{t('All roster files')}</Link>
        {!working && !applied && <button className="btn" onClick={() => void remove(`/school/imports/${view.id}`).then(() => navigate('/school/imports'), (e: unknown) => toast.error(sentence(e)))}>{t('Throw away')}</button>}
        {applied && view.changeId && <button className="btn" onClick={() => undo.mutate(view.changeId!)}>{t('Undo the whole import')}</button>}
        {view.state === 'ready' && p && <button className="btn main" disabled={p.steps === 0 || changed > 0 || ask.isPending} onClick={() => ask.mutate(() => post(`/school/imports/${view.id}/apply`))}>{p.steps === 0 ? t('Nothing to do') : t('Do these {{n}} things', { n: number(p.steps) })}</button>}</div>
      {working && <Progress view={view} />}
      {view.error && <p className="remarks error" role="alert">{view.error}</p>}
      {applied && <p className="remarks" role="status">{t('Taken in. Everybody who is new can sign in; print cards from their classes or from all readers.')} {p && p.stopped > 0 && t('The rows below were kept back. Put them right and look again: only they will change anything.')}</p>}
      {p && !working && <>
        {p.orgs.length > 1 && <p className="remarks"><label>{t('Take in what belongs to')} <select value={view.org ?? ''} onChange={(e) => look(e.target.value || null)}><option value="">{t('all schools in the file')}</option>{p.orgs.map((o) => <option key={o.id} value={o.id}>{o.name}</option>)}</select></label></p>}
        <table className="counts"><thead><tr><th>{t('What')}</th><th className="num">{t('added')}</th><th className="num">{t('changed')}</th><th className="num">{t('ended')}</th><th className="num">{t('back again')}</th></tr></thead>
          <tbody>{p.counts.map((c) => <tr key={c.kind}><th scope="row">{t(kinds[c.kind] ?? c.kind)}</th><td className="num">{number(c.added)}</td><td className="num">{number(c.changed)}</td><td className="num">{number(c.ended)}</td><td className="num">{number(c.back)}</td></tr>)}</tbody></table>
        <p className="remarks">{p.moved > 0 && <b>{t('{{n}} readers move to another class.', { n: number(p.moved) })} </b>}{p.linked > 0 && t('{{n}} who were here already are recognised and linked.', { n: number(p.linked) })} {p.steps === 0 && t('This file says what the school has already: nothing would change.')}</p>
        {p.problems.length > 0 && (
          <section aria-labelledby="problems"><h2 id="problems">{t('{{n}} rows kept back, {{m}} remarks', { n: number(p.stopped), m: number(p.noted) })}</h2>
            <div className="scroll problems" tabIndex={0} role="region" aria-labelledby="problems"><table>
              <thead><tr><th>{t('Where')}</th><th>{t('Column')}</th><th>{t('What stands there')}</th><th>{t('Why')}</th><th><span className="hide">{t('Put right')}</span></th></tr></thead>
              <tbody>{p.problems.map((x, i) => { const key = `${x.file}|${x.line}|${x.column}`; const out = dropped.some((d) => d.file === x.file && d.line === x.line); return (
                <tr key={i} className={x.stops ? undefined : 'remark'}><td>{t('{{file}} line {{line}}', { file: x.file, line: x.line })}</td><td>{x.column}</td>
                  <td>{x.stops && !out ? <input type="text" aria-label={t('{{column}} in line {{line}}', { column: x.column, line: x.line })} value={cells[key] ?? x.value} onChange={(e) => setCells({ ...cells, [key]: e.target.value })} /> : x.value}</td><td className="wrap">{x.reason}</td>
                  <td>{x.stops && <button className="btn small" disabled={out} onClick={() => setDropped([...dropped, { file: x.file, line: x.line, column: null, value: null }])} aria-label={t('Leave line {{line}} of {{file}} out', { line: x.line, file: x.file })}>{out ? t('left out') : t('Leave out')}</button>}</td></tr>
              ); })}</tbody></table></div>
            {p.stopped > 0 && <p className="row remarks"><button className="btn" disabled={changed === 0} onClick={() => look()}>{changed === 0 ? t('Put a value right, or leave a row out') : t('Look again with {{count}} put right', { count: changed })}</button><span className="hint">{t('Good rows go in without them.')}</span></p>}
          </section>
        )}
        {p.lines.length > 0 && (
          <section aria-labelledby="lines"><h2 id="lines">{applied ? t('What was done') : t('What would be done')} <label className="small">{t('Show')} <select value={kind} onChange={(e) => setKind(e.target.value)}><option value="">{t('everything')}</option>{Object.keys(kinds).map((k) => <option key={k} value={k}>{t(kinds[k]!)}</option>)}</select></label></h2>
            <ul className="lines">{p.lines.filter((l) => !kind || l.kind === kind).map((l, i) => <li key={i}><span className="what">{t(whats[l.what] ?? l.what)}</span> {l.name} <span className="soft">{l.detail}</span></li>)}</ul>
            {p.linesInAll > p.lines.length && <p className="hint remarks">{t('The first {{n}} of {{all}} are listed; changes and ends come first.', { n: number(p.lines.length), all: number(p.linesInAll) })}</p>}</section>
        )}
      </>}
    </section>
  );
}

function Progress({ view }: { view: View }) {
  const stage = view.stage === 'Writing' ? t('Writing') : view.stage === 'Comparing' ? t('Comparing with the school') : view.stage === 'Reading' ? t('Reading the file') : t('Waiting');
  return <div className="remarks progress" role="status"><p>{stage}… {Math.round(view.progress * 100)} %</p><progress value={view.progress} max={1} aria-label={stage} /><p className="hint">{t('You can leave this page; it goes on. If the server stops in the middle, nothing is half done.')}</p></div>;
}
