import type { KeyboardEvent } from 'react';

let pen: CanvasRenderingContext2D | null = null;
/** How wide a word is on the chart, in pixels. */
export const widthOf = (s: string, weight = 500) => {
  pen ??= document.createElement('canvas').getContext('2d');
  if (!pen) return s.length * 7;
  pen.font = `${weight} 13px "Atkinson Hyperlegible Next Variable"`;
  return pen.measureText(s).width;
};

/** Words as far as there is room for it. */
export function cut(title: string, room: number) {
  if (widthOf(title) <= room) return title;
  let short = title;
  while (short.length > 1 && widthOf(`${short}…`) > room) short = short.slice(0, -1);
  return `${short.trimEnd()}…`;
}

/** Space picks what stands on the chart up, Enter opens it. */
export const seaKeys = (pick: () => void, open: () => void) => (e: KeyboardEvent) => {
  if (e.key === ' ') {
    e.preventDefault();
    pick();
  }
  if (e.key === 'Enter') open();
};
