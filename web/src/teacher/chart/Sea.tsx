import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { fm, signed } from '../../shared/format';
import { t } from '../../shared/words';
import { depthWords } from '../readers/SetMark';
import type { ClassData } from '../classQueries';
import { useTray } from '../tray/useTray';
import type { ChartShows } from './Chart';
import { forecast, zoneWord } from './forecast';
import { placeReaders, pushApart, span } from './layout';
import { Bands, Ruler, Soundings, bandsOf } from './SeaBackground';
import { sure } from '../../shared/sure';

type Focus = { reader?: string; text?: string };
const axis = 104,
  bandX = 120,
  laneX = 192,
  top = 30,
  pitch = 28,
  rack = 40;

let pen: CanvasRenderingContext2D | null = null;
const widthOf = (s: string, weight = 500) => {
  pen ??= document.createElement('canvas').getContext('2d');
  if (!pen) return s.length * 7;
  pen.font = `${weight} 13px "Atkinson Hyperlegible Next Variable"`;
  return pen.measureText(s).width;
};

function useSize() {
  const ref = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<[number, number]>([1000, 560]);
  useEffect(() => {
    const box = ref.current;
    if (!box) return;
    const watch = new ResizeObserver(() => setSize([Math.max(860, box.clientWidth), Math.max(420, box.clientHeight)]));
    watch.observe(box);
    // Widths of names are measured, so they are measured again once the letters have come.
    void document.fonts.ready.then(() => setSize(([w, h]) => [w, h]));
    return () => watch.disconnect();
  }, []);
  return [ref, size] as const;
}

/** The chart itself. Pointing at a reader shades the reach; pointing at a text prints each forecast. Space picks up, Enter opens. */
export function Sea({
  data,
  texts,
  shows,
  labelName,
  open,
}: {
  data: ClassData;
  texts: ClassData['texts'];
  shows: ChartShows;
  labelName: string;
  open: (id: string) => void;
}) {
  const tray = useTray();
  const navigate = useNavigate();
  const [box, [W, H]] = useSize();
  const [focus, setFocus] = useState<Focus>({});
  const end = H - 8,
    textX = W - 298,
    plateX = textX + 18,
    plateW = 200;
  const [shallow, deep] = useMemo(
    () => span([...data.readers.flatMap((r) => [r.low, r.high]), ...texts.map((x) => x.depth)]),
    [data.readers, texts],
  );
  const y = (d: number) => top + ((d - shallow) / (deep - shallow)) * (end - top);
  const lanes = Math.max(2, Math.min(4, Math.floor((textX - laneX) / 178)));
  const laneW = (textX - 14 - laneX) / lanes;
  const placed = placeReaders(data.readers, y, lanes, pitch, top + 4, end - 14);
  const bands = shows.groups ? bandsOf(data.groups, data.readers, y) : [];
  const labelYs = pushApart(
    bands.map((b) => (b.y0 + b.y1) / 2),
    38,
    top + 16,
    end - 20,
  );
  const sorted = [...texts].sort((a, b) => a.depth - b.depth);
  const textYs = pushApart(
    sorted.map((x) => y(x.depth)),
    pitch,
    top + 4,
    end - 14,
  );
  const reader = data.readers.find((r) => r.id === focus.reader);
  const text = texts.find((x) => x.textId === focus.text);
  const keys = (pick: () => void, go: () => void) => (e: React.KeyboardEvent) => {
    if (e.key === ' ') {
      e.preventDefault();
      pick();
    }
    if (e.key === 'Enter') go();
  };
  return (
    <div className="sea" ref={box}>
      <svg
        id="sea"
        width={W}
        height={H}
        viewBox={`0 0 ${W} ${H}`}
        role="group"
        aria-label={t('Chart of {{readers}} readers and {{texts}} texts on the depth axis, shallow at the top', {
          readers: data.readers.length,
          texts: texts.length,
        })}
        onPointerLeave={() => setFocus({})}
      >
        <g className="cols">
          <text x={16} y={16} className="t">
            {labelName}
          </text>
          <text x={axis - 18} y={16} textAnchor="end" className="t">
            fm
          </text>
          {bands.length > 0 && (
            <text x={bandX} y={16} className="t">
              {t('Group')}
            </text>
          )}
          <text x={laneX} y={16}>
            <tspan className="t">{t('{{count}} readers', { count: data.readers.length })}</tspan>
            {'  '}
            {shows.range && t('mast: 90 % range')}
            {shows.range && shows.trend && ' · '}
            {shows.trend && t('arrow: six weeks, down is deeper')}
          </text>
          <text x={textX} y={16}>
            <tspan className="t">{t('{{count}} texts', { count: texts.length })}</tspan>
          </text>
          <text x={W - 12} y={16} textAnchor="end">
            {reader ? t('forecasts for {{name}}', { name: reader.givenName }) : text ? t('forecasts on the flags') : ''}
          </text>
        </g>
        <Bands bands={bands} width={W} axis={axis} />
        <Soundings from={shallow} to={deep} y={y} axis={axis} width={W} />
        <Ruler from={shallow} to={deep} y={y} axis={axis} rows={data.levelChart} labels={shows.labels} />
        {reader && (
          <Reach x={textX} width={W} from={y(reader.reachFrom)} to={y(reader.reachTo)} lowest={top} highest={end} />
        )}
        {bands.map((b, i) => (
          <g key={b.name} style={{ '--under': b.tint } as React.CSSProperties}>
            <text x={bandX} y={sure(labelYs[i]) - 3} className="gname">
              {b.name}
              <tspan className="gn" dx={7}>
                {b.all}
              </tspan>
            </text>
            <text x={bandX} y={sure(labelYs[i]) + 15}>
              {Math.round(b.lo)}–{Math.round(b.hi)} fm
            </text>
          </g>
        ))}
        {[...placed]
          .sort((a, b) => Number(a.reader.id === focus.reader) - Number(b.reader.id === focus.reader))
          .map((p) => {
            const r = p.reader,
              fx = laneX + p.lane * laneW + rack + 12,
              mx = fx - 14 - p.slot * 8;
            const home = bands.find((b) => b.y0 <= p.want && p.want <= b.y1);
            const away = home && r.group && home.name !== r.group ? r.group : '';
            const num = depthWords(r, String(Math.round(r.depth)));
            const nameW = widthOf(r.givenName),
              awayW = away ? widthOf(away, 400) + 6 : 0,
              numW = widthOf(num, 400);
            const w = 8 + nameW + 6 + numW + 6 + awayW + (shows.trend && r.sixWeeks != null ? 16 : 0) + 10;
            const lead =
              Math.abs(p.at - p.want) < 1.5
                ? `M${mx} ${p.want}H${fx}`
                : `M${mx} ${p.want}H${fx - 11}L${fx - 4} ${p.at}H${fx}`;
            const percent = text ? forecast(r.depth, text.depth) : null;
            const state = [
              'f',
              tray.readers.includes(r.id) && 'tray',
              focus.reader === r.id && 'on',
              percent != null && zoneWord(percent, data) && 'dim',
              percent != null && 'casting',
            ]
              .filter(Boolean)
              .join(' ');
            const name = [
              `${r.givenName} ${r.familyName}`,
              `${fm(r.depth)} fm`,
              r.levelSet ? t('set by a teacher') : `${t('range')} ${Math.round(r.low)}–${Math.round(r.high)}`,
              r.sixWeeks != null && `${signed(r.sixWeeks)} ${t('in six weeks')}`,
              r.group && `${t('group')} ${r.group}`,
            ]
              .filter(Boolean)
              .join(', ');
            return (
              <g
                key={r.id}
                className={state}
                style={{ '--under': home?.tint ?? 'var(--paper)' } as React.CSSProperties}
                role="button"
                tabIndex={0}
                aria-pressed={tray.readers.includes(r.id)}
                aria-label={name}
                onPointerEnter={() => setFocus({ reader: r.id })}
                onFocus={() => setFocus({ reader: r.id })}
                onClick={(e) => (e.detail === 2 ? open(r.id) : tray.toggleReader(r.id))}
                onKeyDown={keys(
                  () => tray.toggleReader(r.id),
                  () => open(r.id),
                )}
              >
                {shows.range && !r.levelSet && (
                  <path
                    className="mast"
                    d={`M${mx} ${p.top}V${p.bottom}M${mx - 2.5} ${p.top}h5M${mx - 2.5} ${p.bottom}h5`}
                  />
                )}
                <path className="halo" d={lead} />
                <path className="lead" d={lead} />
                <circle className="mean" cx={mx} cy={p.want} r={3} />
                <path className="body" d={`M${fx} ${p.at - 12}h${w}l-6 12l6 12h${-w}z`} />
                <text className="name" x={fx + 8} y={p.at + 4.5}>
                  {r.givenName}
                </text>
                <text x={fx + 8 + nameW + 6} y={p.at + 4.5}>
                  {num}
                </text>
                {away && (
                  <text className="out" x={fx + 8 + nameW + 6 + numW + 6} y={p.at + 4.5}>
                    {away}
                  </text>
                )}
                {shows.trend && r.sixWeeks != null && (
                  <path
                    className="arrow"
                    transform={`translate(${fx + 8 + nameW + 6 + numW + 6 + awayW + 5} ${p.at}) rotate(${Math.max(-60, Math.min(60, r.sixWeeks * 24))})`}
                    d="M-5 0H5M1.500 -3.500L5 0L1.500 3.500"
                  />
                )}
                {percent != null && (
                  <text className="cast" x={fx + w + 3} y={p.at + 4.5}>
                    {percent} %
                  </text>
                )}
              </g>
            );
          })}
        <path d={`M${textX} ${top + 4}V${end}`} stroke="var(--ink)" />
        {sorted.map((x, i) => {
          const want = y(x.depth),
            at = sure(textYs[i]),
            picked = tray.texts.includes(x.textId);
          const percent = reader ? forecast(reader.depth, x.depth) : null;
          const title = widthOf(x.title) > plateW - 46 ? `${x.title.slice(0, 22)}…` : x.title;
          return (
            <g
              key={x.textId}
              className={[
                'p',
                picked && 'tray',
                focus.text === x.textId && 'on',
                percent != null && zoneWord(percent, data) && 'dim',
              ]
                .filter(Boolean)
                .join(' ')}
              role="button"
              tabIndex={0}
              aria-pressed={picked}
              aria-label={`${x.title}, ${fm(x.depth)} fm, ${t('{{count}} readers', { count: x.readers })}`}
              onPointerEnter={() => setFocus({ text: x.textId })}
              onFocus={() => setFocus({ text: x.textId })}
              onClick={() => tray.toggleText(x.textId)}
              onKeyDown={keys(
                () => tray.toggleText(x.textId),
                () => void navigate(`/class/${data.id}/texts/${x.textId}`),
              )}
            >
              <title>{x.title}</title>
              <path
                className="lead"
                d={
                  Math.abs(at - want) < 1.5
                    ? `M${textX} ${want}H${plateX}`
                    : `M${textX} ${want}h6L${plateX - 4} ${at}h4`
                }
              />
              <path d={`M${textX - 4} ${want}h8`} stroke="var(--ink)" strokeWidth="2.5" />
              <rect className="body" x={plateX} y={at - 12} width={plateW} height={24} />
              <path className="spine" d={`M${plateX + 3.5} ${at - 12}v24`} />
              <text className="title" x={plateX + 12} y={at + 4.5}>
                {title}
              </text>
              <text x={plateX + plateW - 8} y={at + 4.5} textAnchor="end">
                {picked ? t('tray') : x.readers}
              </text>
              {percent != null && (
                <text className="cast" x={W - 12} y={at + 4.5} textAnchor="end">
                  {percent} % {t(zoneWord(percent, data))}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </div>
  );
}

function Reach({
  x,
  width,
  from,
  to,
  lowest,
  highest,
}: {
  x: number;
  width: number;
  from: number;
  to: number;
  lowest: number;
  highest: number;
}) {
  const a = Math.max(lowest, from),
    b = Math.min(highest, to);
  return (
    <g aria-hidden>
      <defs>
        <pattern id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0v6" stroke="var(--overlay)" opacity=".22" />
        </pattern>
      </defs>
      <rect x={x} y={a} width={width - x} height={b - a} fill="var(--overlay-tint)" />
      <rect x={x} y={a} width={width - x} height={b - a} fill="url(#hatch)" />
      <path
        d={`M${x - 7} ${a}H${width}M${x - 7} ${b}H${width}M${x - 7} ${a}V${b}`}
        fill="none"
        stroke="var(--overlay)"
        strokeWidth="1.5"
      />
    </g>
  );
}
