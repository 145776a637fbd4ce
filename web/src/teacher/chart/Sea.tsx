import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import { useTray } from '../tray/useTray';
import type { ChartShows } from './Chart';
import { forecast } from '../../shared/forecast';
import { placeReaders, pushApart, span } from './layout';
import css from './sea.module.css';
import { Bands, Ruler, Soundings, bandsOf } from './SeaBackground';
import { SeaFlag } from './SeaFlag';
import { SeaPlate } from './SeaPlate';
import { sure } from '../../shared/sure';
import { axis, GroupNames, Heads, laneX, pitch, rack, Reach, top } from './SeaHeads';

type Focus = { reader?: string; text?: string };
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
  const flags = text ? t('forecasts on the flags') : '';
  return (
    <div className="min-h-0 min-w-0 flex-1 overflow-auto max-lg:h-140" ref={box}>
      <svg
        className={css.sea}
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
        <Heads
          data={data}
          texts={texts.length}
          shows={shows}
          labelName={labelName}
          grouped={bands.length > 0}
          textX={textX}
          width={W}
          about={reader ? t('forecasts for {{name}}', { name: reader.called }) : flags}
        />
        <Bands bands={bands} width={W} axis={axis} />
        <Soundings from={shallow} to={deep} y={y} axis={axis} width={W} />
        <Ruler from={shallow} to={deep} y={y} axis={axis} rows={data.levelChart} labels={shows.labels} />
        {reader && (
          <Reach x={textX} width={W} from={y(reader.reachFrom)} to={y(reader.reachTo)} lowest={top} highest={end} />
        )}
        <GroupNames bands={bands} at={labelYs} />
        {[...placed]
          .sort((one, other) => Number(one.reader.id === focus.reader) - Number(other.reader.id === focus.reader))
          .map((p) => (
            <SeaFlag
              key={p.reader.id}
              placed={p}
              x={laneX + p.lane * laneW + rack + 12}
              home={bands.find((band) => band.y0 <= p.want && p.want <= band.y1)}
              shows={shows}
              picked={tray.readers.includes(p.reader.id)}
              on={focus.reader === p.reader.id}
              cast={text ? forecast(p.reader.depth, text.depth) : null}
              cuts={data}
              meet={() => setFocus({ reader: p.reader.id })}
              pick={() => tray.toggleReader(p.reader.id)}
              open={() => open(p.reader.id)}
            />
          ))}
        <path d={`M${textX} ${top + 4}V${end}`} stroke="var(--color-ink)" />
        {sorted.map((x, i) => (
          <SeaPlate
            key={x.textId}
            text={x}
            x={textX}
            plateX={plateX}
            width={plateW}
            end={W - 12}
            want={y(x.depth)}
            at={sure(textYs[i])}
            picked={tray.texts.includes(x.textId)}
            on={focus.text === x.textId}
            cast={reader ? forecast(reader.depth, x.depth) : null}
            cuts={data}
            meet={() => setFocus({ text: x.textId })}
            pick={() => tray.toggleText(x.textId)}
            open={() => void navigate(`/class/${data.id}/texts/${x.textId}`)}
          />
        ))}
      </svg>
    </div>
  );
}
