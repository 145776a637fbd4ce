import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { type Api, api, ok, Problem, sentence } from '../../shared/api';
import { Show } from '../../shared/Whole';
import { useAllChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Window } from '../frame/Window';
import { sure } from '../../shared/sure';

type View = Api<'ChartView'>;

/** The school's level chart: what each grade typically reads, and what it is called. */
export default function Chart() {
  const chart = useQuery({ queryKey: keys.school.chart, queryFn: () => ok(api.GET('/school/level-chart')) });
  return <Show query={chart}>{(c) => <Editor key={c.version} chart={c} />}</Show>;
}

function Editor({ chart }: { chart: View }) {
  const [rows, setRows] = useState(chart.rows);
  const [columns, setColumns] = useState(chart.ownColumns);
  const [name, setName] = useState('');
  const [error, setError] = useState<unknown>();
  const [effect, setEffect] = useState<Api<'ChartEffect'> | null>(null);
  const changed = useAllChanged();
  const body = { ownColumns: columns, rows, version: chart.version };
  const set = (i: number, change: Partial<View['rows'][number]>) =>
    setRows(rows.map((r, n) => (n === i ? { ...r, ...change } : r)));
  const attempt = async (doIt: () => Promise<void>) => {
    try {
      await doIt();
      setError(undefined);
    } catch (problem) {
      setEffect(null);
      setError(problem);
    }
  };
  const text = (i: number, key: 'label' | 'schoolYear' | 'ages', label: string) => (
    <input
      type="text"
      aria-label={t('{{what}} of row {{n}}', { what: label, n: i + 1 })}
      value={sure(rows[i])[key]}
      onChange={(e) => set(i, { [key]: e.target.value })}
    />
  );
  const addColumn = () => {
    setColumns([...columns, name.trim()]);
    setRows(rows.map((r) => ({ ...r, own: [...r.own, ''] })));
    setName('');
  };
  const dropColumn = (c: number) => {
    setColumns(columns.filter((_, n) => n !== c));
    setRows(rows.map((r) => ({ ...r, own: r.own.filter((_, n) => n !== c) })));
  };
  return (
    <section className="formpage" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Level chart')}</h1>
        <p className="soft">{chart.usual ? t('the chart every school starts with') : t('the school’s own')}</p>
        <span className="grow" />
        <button
          className="btn main"
          onClick={() =>
            void attempt(async () => setEffect(await ok(api.POST('/school/level-chart/effect', { body }))))
          }
        >
          {t('What would change…')}
        </button>
      </div>
      <p className="remarks">
        {t(
          'What is typically read at the end of each grade, in fathoms, and what the grade is called elsewhere. Add a column for labels your school uses; they are understood wherever a level is typed.',
        )}
      </p>
      {error ? (
        <p className="remarks error" role="alert">
          {error instanceof Problem ? Object.values(error.fields).flat().join(' ') || error.message : sentence(error)}
        </p>
      ) : null}
      <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
        <table className="charttable">
          <thead>
            <tr>
              <th>{t('Grade')}</th>
              <th>{t('School year')}</th>
              <th>{t('Ages')}</th>
              <th className="num">{t('Depth, fm')}</th>
              {columns.map((c, n) => (
                <th key={n}>
                  {c}{' '}
                  <button
                    className="btn plain small square"
                    aria-label={t('Take the column {{name}} away', { name: c })}
                    onClick={() => dropColumn(n)}
                  >
                    ×
                  </button>
                </th>
              ))}
              <th>
                <span className="row">
                  <input
                    type="text"
                    aria-label={t('Name of a new column')}
                    placeholder={t('Own labels, such as “Step”')}
                    maxLength={24}
                    value={name}
                    onChange={(e) => setName(e.target.value)}
                  />
                  <button className="btn small" disabled={!name.trim() || columns.length >= 4} onClick={addColumn}>
                    {t('Add the column')}
                  </button>
                </span>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r, i) => (
              <tr key={i}>
                <td>{text(i, 'label', t('Grade'))}</td>
                <td>{text(i, 'schoolYear', t('School year'))}</td>
                <td>{text(i, 'ages', t('Ages'))}</td>
                <td className="num">
                  <input
                    type="number"
                    step="0.5"
                    aria-label={t('Depth of grade {{grade}}', { grade: r.label })}
                    value={r.depth}
                    onChange={(e) => set(i, { depth: Number(e.target.value) })}
                  />
                </td>
                {columns.map((c, n) => (
                  <td key={n}>
                    <input
                      type="text"
                      maxLength={24}
                      aria-label={t('{{what}} of row {{n}}', { what: c, n: i + 1 })}
                      value={r.own[n] ?? ''}
                      onChange={(e) =>
                        set(i, { own: columns.map((_, m) => (m === n ? e.target.value : (r.own[m] ?? ''))) })
                      }
                    />
                  </td>
                ))}
                <td />
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {effect && (
        <Window title={t('What would change')} close={() => setEffect(null)}>
          <ul className="lines">
            {effect.sentences.map((s) => (
              <li key={s}>{s}</li>
            ))}
          </ul>
          <p className="row end">
            <button className="btn" onClick={() => setEffect(null)}>
              {t('Cancel')}
            </button>
            <button
              className="btn main"
              onClick={() =>
                void attempt(async () => {
                  await ok(api.PUT('/school/level-chart', { body }));
                  setEffect(null);
                  toast.success(t('The level chart is saved'));
                  await changed();
                })
              }
            >
              {t('Save the chart')}
            </button>
          </p>
        </Window>
      )}
    </section>
  );
}
