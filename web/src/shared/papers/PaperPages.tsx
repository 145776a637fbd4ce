import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type PointerEvent } from 'react';
import { keys } from '../keys';
import { t } from '../words';
import { Empty, Loading } from '../../ui/Show';
import { pathOf, strokeAt, thinned, type Stroke } from './strokes';

/** With what a reader draws; the rubber takes whole strokes away. */
export type Tool = Stroke['pen'] | 'Rubber';

export interface Drawing {
  tool: Tool;
  add: (stroke: Stroke) => void;
  rub: (id: string) => void;
}

interface PageOf {
  url: string;
  /** Height to width. */
  ratio: number;
}

const sharpness = 1400,
  hair = 0.0015,
  reach = 0.025;
const width = 1000;

/** The pages of a paper with what is drawn on them; with `drawing`, more can be drawn. */
export function PaperPages({
  src,
  kind,
  name,
  strokes,
  drawing,
}: {
  src: string;
  kind: 'Pdf' | 'Png' | 'Jpeg';
  name: string;
  strokes: readonly Stroke[];
  drawing?: Drawing;
}) {
  const { pages, failed, whole } = usePages(src, kind);
  if (failed)
    return (
      <Empty title={t('This paper cannot be shown')}>
        <p>{t('It may be damaged, or there is no internet. Try again later.')}</p>
      </Empty>
    );
  return (
    <div className="grid gap-4">
      {pages.map((p, i) => (
        <Page
          key={i}
          of={p}
          n={i}
          label={t('{{name}}, page {{n}}', { name, n: i + 1 })}
          strokes={strokes}
          drawing={drawing}
        />
      ))}
      {!whole && <Loading />}
    </div>
  );
}

function usePages(src: string, kind: string) {
  const [pages, setPages] = useState<PageOf[]>([]);
  const [whole, setWhole] = useState(false);
  const [broken, setBroken] = useState(false);
  const file = useQuery({
    queryKey: keys.paperFile(src),
    staleTime: Infinity,
    retry: 1,
    queryFn: async () => {
      const answer = await fetch(src);
      if (!answer.ok) throw new Error(String(answer.status));
      return answer.blob();
    },
  });
  const found = file.data;
  useEffect(() => {
    if (!found) return;
    let gone = false;
    const add = (url: string, ratio: number) => {
      if (!gone) setPages((before) => [...before, { url, ratio }]);
    };
    const read = async () => {
      if (kind === 'Pdf') {
        const { pagesOf } = await import('./pdf');
        await pagesOf(await found.arrayBuffer(), sharpness, add);
      } else {
        const picture = await createImageBitmap(found);
        add(src, picture.height / picture.width);
        picture.close();
      }
    };
    read().then(
      () => !gone && setWhole(true),
      () => !gone && setBroken(true),
    );
    return () => {
      gone = true;
      setPages([]);
      setWhole(false);
    };
  }, [found, kind, src]);
  return { pages, whole, failed: broken || file.isError };
}

function Page({
  of,
  n,
  label,
  strokes,
  drawing,
}: {
  of: PageOf;
  n: number;
  label: string;
  strokes: readonly Stroke[];
  drawing?: Drawing | undefined;
}) {
  const height = width * of.ratio;
  const line = useRef<number[]>([]);
  const [live, setLive] = useState<number[]>([]);
  const at = (e: PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const within = (x: number) => Math.min(1, Math.max(0, x));
    return [within((e.clientX - box.left) / box.width), within((e.clientY - box.top) / box.height)] as const;
  };
  const rub = (e: PointerEvent<SVGSVGElement>) => {
    const hit = strokeAt(strokes, n, ...at(e), reach);
    if (hit) drawing?.rub(hit.id);
  };
  const down = (e: PointerEvent<SVGSVGElement>) => {
    if (!drawing || !e.isPrimary) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    line.current = [...at(e)];
    if (drawing.tool === 'Rubber') rub(e);
  };
  const move = (e: PointerEvent<SVGSVGElement>) => {
    if (!drawing || line.current.length === 0) return;
    if (drawing.tool === 'Rubber') return rub(e);
    line.current = [...line.current, ...at(e)];
    setLive(line.current);
  };
  const up = () => {
    if (drawing && drawing.tool !== 'Rubber' && line.current.length > 0)
      drawing.add({
        id: crypto.randomUUID(),
        page: n,
        pen: drawing.tool,
        points: thinned(line.current, hair),
        gone: false,
      });
    line.current = [];
    setLive([]);
  };
  const shown = strokes.filter((s) => s.page === n && !s.gone);
  const pen = drawing && drawing.tool !== 'Rubber' ? drawing.tool : 'Fine';
  return (
    <div className="border-ink relative border bg-white">
      <img src={of.url} alt={label} className="block w-full" draggable={false} />
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className={drawing ? 'absolute inset-0 size-full cursor-crosshair touch-none' : 'absolute inset-0 size-full'}
        role="img"
        aria-label={t('{{count}} strokes drawn on it', { count: shown.length })}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={up}
      >
        {shown.map((s) => (
          <Line key={s.id} pen={s.pen} d={pathOf(s, width, height)} />
        ))}
        {live.length > 2 && (
          <Line pen={pen} d={pathOf({ id: '', page: n, pen, points: live, gone: false }, width, height)} />
        )}
      </svg>
    </div>
  );
}

const Line = ({ pen, d }: { pen: Stroke['pen']; d: string }) => (
  <path
    d={d}
    fill="none"
    stroke={pen === 'Fine' ? 'var(--color-overlay)' : 'var(--color-depth-4)'}
    strokeWidth={pen === 'Fine' ? 4 : 22}
    strokeOpacity={pen === 'Fine' ? 1 : 0.45}
    strokeLinecap="round"
    strokeLinejoin="round"
  />
);
