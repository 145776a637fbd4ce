/** How many kinds of things live in a pool. */
export const kinds = 8;

export interface InPool {
  kind: number;
  /** From −1 to 1, from the pool's middle. */
  x: number;
  y: number;
  turned: number;
}

const golden = Math.PI * (3 - Math.sqrt(5));

/**
 * Where things lie in a pool, oldest first. Each keeps its place when others come: they are laid along a spiral that
 * fills the pool evenly; where more come than there was room for, all move in together.
 */
export const placesIn = (count: number, most: number): InPool[] =>
  Array.from({ length: count }, (_, i) => {
    const far = Math.sqrt((i + 0.6) / most) * 0.94;
    const angle = i * golden;
    return {
      kind: (i * 5 + Math.floor(i / kinds)) % kinds,
      x: far * Math.cos(angle),
      y: far * Math.sin(angle),
      turned: ((i * 47) % 50) - 25,
    };
  });
