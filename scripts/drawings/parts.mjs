// What the drawings are made of: ink lines and tints of the sea, each part at its own feet (0, 0) or its own middle.
export const ink = '#14303A';
export const paper = '#FBF8F1';
export const tint = ['#EEF6F7', '#D6E9EC', '#B4D5DC', '#86BAC5', '#4E93A3', '#266C7F'];

const g = (x, y, s, inner, flip = false) =>
  `<g transform="translate(${x} ${y}) scale(${flip ? -s : s} ${s})">${inner}</g>`;
export const path = (d, fill = 'none', extra = '') => `<path d="${d}" fill="${fill}" ${extra}/>`;
export const line = (d, width = 2, extra = '') => `<path d="${d}" fill="none" stroke-width="${width}" ${extra}/>`;
export const circle = (x, y, r, fill = 'none', extra = '') =>
  `<circle cx="${x}" cy="${y}" r="${r}" fill="${fill}" ${extra}/>`;
export const oval = (x, y, rx, ry, fill = 'none', extra = '') =>
  `<ellipse cx="${x}" cy="${y}" rx="${rx}" ry="${ry}" fill="${fill}" ${extra}/>`;
export const box = (x, y, w, h, fill = 'none', r = 2) =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" rx="${r}" fill="${fill}"/>`;
const dot = (x, y, r = 1.6) => `<circle cx="${x}" cy="${y}" r="${r}" fill="${ink}" stroke="none"/>`;
export const at = (x, y, s, inner, flip) => g(x, y, s, inner, flip);
export const turned = (x, y, degrees, inner) => `<g transform="translate(${x} ${y}) rotate(${degrees})">${inner}</g>`;
/** A limb: an inked line with paper, or a tint, inside. */
const limb = (d, fill = paper, width = 7) =>
  line(d, width + 3.5) + `<path d="${d}" fill="none" stroke="${fill}" stroke-width="${width}"/>`;

export const sky = (fill = tint[0]) => `<rect x="0" y="0" width="360" height="240" fill="${fill}" stroke="none"/>`;
export const ground = (y, fill = tint[2], d = `M-5 ${y}Q90 ${y - 7} 180 ${y}T365 ${y - 2}V245H-5Z`) => path(d, fill);
export const floor = (y, fill = tint[1]) => path(`M-5 ${y}H365V245H-5Z`, fill);
export const sea = (y, fill = tint[2]) =>
  path(`M-5 ${y}q15 -7 30 0t30 0t30 0t30 0t30 0t30 0t30 0t30 0t30 0t30 0t30 0t30 0t30 0V245H-5Z`, fill) +
  line(
    `M20 ${y + 22}q10 -5 20 0t20 0M150 ${y + 32}q10 -5 20 0t20 0M270 ${y + 20}q10 -5 20 0t20 0`,
    1.6,
    `stroke="${tint[5]}"`,
  );
export const rain = () => {
  let d = '';
  for (let i = 0; i < 46; i++) d += `M${(i * 53) % 360} ${(i * 37) % 150}l-4 11`;
  return line(d, 1.8, `stroke="${tint[4]}"`);
};
export const snow = () => {
  let out = '';
  for (let i = 0; i < 34; i++)
    out += circle((i * 61) % 360, (i * 41) % 190, 2.4, paper, `stroke="${tint[4]}" stroke-width="1"`);
  return out;
};
export const sun = (x, y, r = 20) =>
  circle(x, y, r, paper) +
  Array.from({ length: 10 }, (_, i) => {
    const a = (i * Math.PI) / 5;
    const [c, s] = [Math.cos(a), Math.sin(a)];
    return line(`M${x + c * (r + 6)} ${y + s * (r + 6)}L${x + c * (r + 14)} ${y + s * (r + 14)}`);
  }).join('');
export const moon = (x, y, r = 20, fill = paper) =>
  path(
    `M${x + r * 0.4} ${y - r}A${r} ${r} 0 1 0 ${x + r * 0.4} ${y + r}A${r * 1.15} ${r * 1.15} 0 0 1 ${x + r * 0.4} ${y - r}Z`,
    fill,
  );
export const stars = (n = 14, fill = paper) =>
  Array.from({ length: n }, (_, i) =>
    circle((i * 83 + 20) % 355, (i * 47 + 12) % 110, 1.7, fill, 'stroke="none"'),
  ).join('');
export const cloud = (x, y, s = 1, fill = paper) =>
  g(x, y, s, path('M-34 10C-44 8 -44 -6 -30 -7C-30 -20 -10 -24 -4 -14C4 -24 24 -20 24 -7C38 -8 42 8 30 10Z', fill));
export const tree = (x, y, s = 1, fill = tint[3]) =>
  g(
    x,
    y,
    s,
    path('M-5 0V-40H5V0Z', paper) +
      path('M0 -120C34 -120 44 -88 32 -70C44 -50 20 -34 0 -40C-22 -34 -44 -50 -32 -70C-44 -90 -30 -120 0 -120Z', fill) +
      line('M0 -40V-76M0 -56l14 -12M0 -62l-12 -10'),
  );
export const house = (x, y, s = 1, { roof = tint[4], wall = paper, lit = tint[2] } = {}) =>
  g(
    x,
    y,
    s,
    path('M-40 0V-54H40V0Z', wall) +
      path('M-50 -52L0 -92L50 -52Z', roof) +
      box(-10, -30, 20, 30, tint[5]) +
      box(-32, -42, 15, 15, lit) +
      box(17, -42, 15, 15, lit) +
      line('M-24.500 -42v15M24.500 -42v15'),
  );
export const fence = (y, from = -5, to = 365) => {
  let out = line(`M${from} ${y - 26}H${to}M${from} ${y - 12}H${to}`);
  for (let x = from + 18; x < to; x += 40)
    out += path(`M${x - 6} ${y}V${y - 34}L${x} ${y - 41}L${x + 6} ${y - 34}V${y}Z`, paper);
  return out;
};
export const wall = (x, y, w, h, fill = paper) => {
  let out = box(x, y, w, h, fill, 1);
  for (let r = 0; r < h / 14 - 0.5; r++) {
    const top = y + r * 14;
    if (r > 0) out += line(`M${x} ${top}h${w}`, 1.4);
    for (let c = x + (r % 2 ? 14 : 28); c < x + w - 4; c += 28)
      out += line(`M${c} ${top}v${Math.min(14, y + h - top)}`, 1.4);
  }
  return out;
};
export const window_ = (x, y, w, h, fill = tint[1]) =>
  box(x, y, w, h, fill) +
  line(`M${x + w / 2} ${y}v${h}M${x} ${y + h / 2}h${w}`) +
  path(`M${x - 6} ${y + h}h${w + 12}v6h${-w - 12}Z`, paper);
export const table = (x, y, w, h = 50, fill = paper) =>
  path(`M${x} ${y}h${w}v8h${-w}Z`, fill) +
  path(`M${x + 10} ${y + 8}h8v${h}h-8ZM${x + w - 18} ${y + 8}h8v${h}h-8Z`, fill);

/** Hands are where the arms end, from the feet: [left, right]; null leaves an arm at the side. */
export function person(
  x,
  y,
  s = 1,
  {
    hair = 'short',
    coat = tint[3],
    hands = [],
    flip = false,
    mouth = 'smile',
    legs = true,
    skin = paper,
    sits = false,
  } = {},
) {
  const arm = (side, to) => {
    const [hx, hy] = to ?? [side * 19, -44];
    return limb(`M${side * 11} -70Q${side * 20} -58 ${hx} ${hy}`, coat, 6) + circle(hx, hy, 4, skin);
  };
  const below = sits
    ? limb('M-6 -42Q-2 -30 18 -30V-4M6 -42Q14 -32 28 -31V-4', tint[5], 6)
    : limb('M-7 -42V-3M7 -42V-3', tint[5], 6) + path('M-3 0h-10q-1 -5 5 -5h5ZM13 0H3v-5h5q6 0 5 5Z', ink);
  const tops = {
    short: path('M-14 -92C-17 -112 17 -112 14 -92C8 -102 -6 -102 -14 -92Z', ink),
    long: path(
      'M-14 -92C-19 -114 19 -114 14 -92L18 -72Q12 -68 11 -78L12 -92C6 -102 -6 -102 -12 -92L-11 -78Q-12 -68 -18 -72Z',
      ink,
    ),
    bun: circle(0, -110, 6, ink) + path('M-14 -92C-17 -111 17 -111 14 -92C8 -101 -8 -101 -14 -92Z', ink),
    old: path('M-14 -90C-19 -100 -12 -108 -9 -104M14 -90C19 -100 12 -108 9 -104', tint[1]),
    white: path('M-14 -90C-20 -114 20 -114 14 -90C10 -100 -10 -100 -14 -90Z', tint[1]) + circle(0, -110, 6, tint[1]),
    cap: path('M-14 -95C-14 -112 14 -112 14 -95Z', tint[5]) + path('M8 -95H24Q20 -101 12 -100Z', tint[5]),
    curls: [-12, -5, 3, 11].map((c) => circle(c, -103 + Math.abs(c) / 4, 6, ink)).join(''),
    plaits:
      path('M-14 -92C-17 -112 17 -112 14 -92C8 -102 -8 -102 -14 -92Z', ink) +
      limb('M-14 -88Q-20 -78 -17 -68M14 -88Q20 -78 17 -68', ink, 3),
    hat: path('M-22 -98H22Q20 -102 13 -102C12 -116 -12 -116 -13 -102Q-20 -102 -22 -98Z', tint[4]),
    chef: path('M-12 -100H12V-106C22 -108 18 -122 8 -119C4 -126 -6 -126 -8 -119C-18 -122 -22 -108 -12 -106Z', paper),
  };
  const mouths = {
    smile: line('M-5 -86Q0 -81 5 -86', 1.8),
    flat: line('M-4 -85H4', 1.8),
    sad: line('M-5 -83Q0 -88 5 -83', 1.8),
    open: oval(0, -84, 3, 4, ink),
  };
  const [left, right] = hands;
  return g(
    x,
    y,
    s,
    (legs ? below : '') +
      path('M-16 -40L-13 -72Q0 -82 13 -72L16 -40Q0 -35 -16 -40Z', coat) +
      arm(-1, left) +
      arm(1, right) +
      circle(0, -92, 14, skin) +
      dot(-5, -93) +
      dot(5, -93) +
      mouths[mouth] +
      tops[hair],
    flip,
  );
}

export const gull = (x, y, s = 1, flip = false) =>
  g(
    x,
    y,
    s,
    line('M-3 -8V0M5 -8V0M-7 0h7M1 0h7') +
      path('M-30 -16C-20 -40 8 -44 14 -30C22 -24 12 -8 0 -8C-12 -8 -24 -10 -38 -12Z', paper) +
      path('M-34 -14C-22 -30 -2 -30 4 -22C0 -12 -18 -10 -34 -14Z', tint[3]) +
      circle(14, -38, 10, paper) +
      dot(17, -40) +
      path('M23 -40L36 -36L23 -33Z', tint[4]),
    flip,
  );
export const flying = (x, y, s = 1) => g(x, y, s, line('M-16 -6Q-8 -12 0 0Q8 -12 16 -6', 2.2));
export const hen = (x, y, s = 1, flip = false) =>
  g(
    x,
    y,
    s,
    line('M-2 -18V0M10 -18V0M-8 0h10M4 0h10', 2.4) +
      path(
        'M-40 -56C-34 -68 -26 -60 -22 -52C-6 -52 6 -66 10 -84C12 -96 32 -96 34 -82C36 -60 36 -44 26 -30C14 -14 -12 -14 -24 -26C-34 -36 -44 -46 -40 -56Z',
        paper,
      ) +
      path('M-18 -44C-4 -52 14 -46 18 -36C8 -22 -12 -26 -18 -44Z', tint[3]) +
      path('M14 -92C10 -102 20 -104 21 -98C22 -106 32 -104 29 -96C34 -100 38 -94 32 -90Z', tint[5]) +
      dot(26, -82, 2) +
      path('M34 -84L48 -80L34 -75Z', tint[4]) +
      path('M34 -74q6 6 1 12q-6 -4 -1 -12Z', tint[5]),
    flip,
  );
export const pup = (x, y, s = 1, flip = false) =>
  g(
    x,
    y,
    s,
    path('M-18 0V-22C-18 -36 18 -36 18 -22V0Z', paper) +
      circle(0, -44, 19, paper) +
      path('M-16 -56C-28 -54 -30 -34 -22 -30C-16 -32 -14 -44 -16 -56Z', tint[4]) +
      path('M16 -56C28 -54 30 -34 22 -30C16 -32 14 -44 16 -56Z', tint[4]) +
      path('M2 -62C14 -62 18 -50 12 -40C4 -42 2 -52 2 -62Z', tint[2], 'stroke="none"') +
      dot(-7, -47, 2) +
      dot(8, -47, 2) +
      oval(0, -39, 4, 3, ink) +
      line('M0 -36V-33M-6 -32Q-3 -28 0 -33Q3 -28 6 -32') +
      line('M-7 0V-12M7 0V-12'),
    flip,
  );
export const dog = (x, y, s = 1, { flip = false, legs = 4, fill = paper } = {}) =>
  g(
    x,
    y,
    s,
    limb(legs === 4 ? 'M-26 -26V-3M-16 -24V-3M14 -24V-3M24 -26V-3' : 'M-26 -26V-3M14 -24V-3M24 -26V-3', fill, 6) +
      limb('M-30 -36Q-44 -40 -44 -56', fill, 5) +
      path(
        'M-32 -40C-30 -52 14 -52 26 -46C32 -34 24 -22 14 -22C-4 -26 -12 -20 -26 -22C-34 -26 -34 -34 -32 -40Z',
        fill,
      ) +
      path('M18 -48C16 -66 34 -72 44 -62C54 -60 62 -54 58 -48C50 -42 40 -44 36 -40C28 -36 20 -40 18 -48Z', fill) +
      path('M26 -66C16 -68 12 -54 18 -46C26 -46 28 -58 26 -66Z', tint[4]) +
      dot(40, -57, 2) +
      oval(58, -51, 3.5, 3, ink),
    flip,
  );
export const cat = (x, y, s = 1, { flip = false, fill = tint[3] } = {}) =>
  g(
    x,
    y,
    s,
    limb('M16 -6Q38 -4 34 -26', fill, 5) +
      path('M-18 0C-22 -30 -12 -44 0 -44C12 -44 22 -30 18 0Z', fill) +
      path('M-16 -66L-14 -50C-16 -36 16 -36 14 -50L16 -66L6 -60Q0 -61 -6 -60Z', fill) +
      dot(-6, -52, 2) +
      dot(6, -52, 2) +
      path('M-3 -46h6l-3 3Z', ink) +
      line('M0 -43q-3 4 -7 2M0 -43q3 4 7 2M-10 -46l-12 -3M-10 -44l-12 2M10 -46l12 -3M10 -44l12 2', 1.4) +
      line('M-6 0V-14M6 0V-14'),
    flip,
  );
export const goat = (x, y, s = 1, flip = false) =>
  g(
    x,
    y,
    s,
    limb('M-24 -30V-3M-14 -28V-3M14 -28V-3M24 -30V-3', paper, 6) +
      path(
        'M-34 -44C-30 -58 18 -58 30 -50C34 -36 24 -26 12 -26C-6 -30 -12 -24 -26 -26C-34 -30 -36 -36 -34 -44Z',
        paper,
      ) +
      limb('M-32 -48L-40 -60', paper, 4) +
      path('M20 -52C22 -74 30 -86 42 -84C56 -80 60 -70 56 -62C46 -60 42 -58 36 -46Z', paper) +
      line('M38 -84C34 -98 42 -104 48 -102M46 -83C46 -94 54 -98 58 -94', 4) +
      path('M34 -78L20 -76Q24 -68 34 -70Z', tint[3]) +
      dot(46, -74, 2) +
      line('M50 -61Q48 -50 44 -46M54 -63q-2 3 -5 2', 2),
    flip,
  );
export const crab = (x, y, s = 1) =>
  g(
    x,
    y,
    s,
    line(
      'M-26 -16L-44 -10L-48 0M-24 -10L-38 -2L-40 4M26 -16L44 -10L48 0M24 -10L38 -2L40 4M-20 -6L-28 4M20 -6L28 4',
      3,
    ) +
      line('M-22 -28Q-38 -34 -36 -50M22 -28Q38 -34 36 -50', 5) +
      path('M-36 -48C-52 -54 -48 -76 -38 -74L-40 -62L-32 -72C-24 -66 -26 -50 -36 -48Z', tint[4]) +
      path('M36 -48C52 -54 48 -76 38 -74L40 -62L32 -72C24 -66 26 -50 36 -48Z', tint[4]) +
      path('M-32 -18C-32 -38 32 -38 32 -18C28 0 -28 0 -32 -18Z', tint[4]) +
      line('M-9 -33V-44M9 -33V-44') +
      circle(-9, -47, 4.5, paper) +
      circle(9, -47, 4.5, paper) +
      dot(-9, -47) +
      dot(9, -47) +
      line('M-8 -14Q0 -8 8 -14'),
  );
export const boat = (x, y, s = 1, fill = paper) =>
  g(
    x,
    y,
    s,
    path('M-70 -34H70C66 -10 54 0 44 0H-44C-56 0 -66 -12 -70 -34Z', fill) + path('M-74 -40H74V-32H-74Z', tint[4]),
  );
export const ferry = (x, y, s = 1) =>
  g(
    x,
    y,
    s,
    path('M-110 -40H112C106 -12 96 0 84 0H-86C-98 -4 -106 -20 -110 -40Z', paper) +
      path('M-84 -40V-76H70V-40Z', tint[1]) +
      box(-74, -68, 22, 18, paper) +
      box(-42, -68, 22, 18, paper) +
      box(-10, -68, 22, 18, paper) +
      box(22, -68, 36, 28, tint[4]) +
      path('M20 -76V-100H62V-76Z', paper) +
      box(28, -94, 26, 11, tint[2]) +
      path('M-46 -76V-106H-26V-76Z', tint[5]) +
      line('M-36 -110q-6 -10 2 -18q6 -8 -2 -16') +
      line('M-100 -22H100', 1.6),
  );
export const bus = (x, y, s = 1, { fill = tint[3], lit = paper } = {}) =>
  g(
    x,
    y,
    s,
    path('M-100 -18V-92Q-100 -104 -88 -104H86Q100 -104 100 -90V-18Q100 -12 94 -12H-94Q-100 -12 -100 -18Z', fill) +
      [-86, -50, -14, 22].map((w) => box(w, -90, 30, 30, lit, 4)).join('') +
      path('M62 -90H90V-20H62Z', lit) +
      line('M76 -90V-20M-100 -48H62') +
      circle(-58, -12, 15, ink) +
      circle(-58, -12, 6, paper) +
      circle(38, -12, 15, ink) +
      circle(38, -12, 6, paper) +
      circle(93, -30, 4, paper),
  );
export const boot = (x, y, s = 1, { flip = false, fill = tint[2] } = {}) =>
  g(
    x,
    y,
    s,
    path('M-14 -52H10V-18C24 -16 30 -8 28 0H-14Z', fill) + path('M-16 0H30V5H-16Z', ink) + line('M-14 -42H10', 1.8),
    flip,
  );
export const bread = (x, y, s = 1) =>
  g(
    x,
    y,
    s,
    path('M-26 0C-34 -22 -14 -30 0 -30C14 -30 34 -22 26 0Z', tint[1]) + line('M-12 -24l6 12M2 -26l6 13M14 -23l4 10', 2),
  );
export const bun = (x, y, s = 1) =>
  g(
    x,
    y,
    s,
    path('M-16 0C-20 -20 20 -20 16 0Z', tint[1]) +
      dot(-6, -9, 1.2) +
      dot(3, -11, 1.2) +
      dot(8, -6, 1.2) +
      line('M-4 -20q-3 -5 0 -9M5 -20q-3 -5 0 -9', 1.6),
  );
export const flower = (x, y, s = 1, fill = paper) =>
  g(
    x,
    y,
    s,
    line('M0 0V-30M0 -12q10 -2 12 -10') +
      [0, 72, 144, 216, 288]
        .map((d) => `<ellipse cx="0" cy="-9" rx="5" ry="8" fill="${fill}" transform="translate(0 -38) rotate(${d})"/>`)
        .join('') +
      circle(0, -38, 5, tint[4]),
  );
export const bee = (x, y, s = 1, flip = false) =>
  g(
    x,
    y,
    s,
    oval(-4, -14, 8, 12, paper, 'transform="rotate(-25 -4 -14)"') +
      oval(8, -14, 8, 12, paper, 'transform="rotate(20 8 -14)"') +
      oval(0, 0, 20, 12, tint[2]) +
      path('M-6 -11.500v23M4 -11.800v23.500', 'none', 'stroke-width="5"') +
      circle(20, -1, 8, ink) +
      line('M24 -8q6 -8 10 -6M20 -9q2 -9 8 -10', 1.6),
    flip,
  );
export const frame = (inner) => inner;
export { g as group, dot };
export const lamp = (x, y) =>
  at(
    x,
    y,
    1,
    path('M-4 0V-96H4V0Z', ink) +
      path('M-18 -100H18L12 -140H-12Z', paper) +
      path('M-22 -140H22L0 -156Z', tint[4]) +
      circle(0, -120, 7, tint[1]),
  );
export const gate = (x, y) =>
  at(
    x,
    y,
    1,
    [-30, -10, 10, 30].map((p) => path(`M${p - 5} 0V-50L${p} -58L${p + 5} -50V0Z`, paper)).join('') +
      line('M-38 -38H38M-38 -14H38', 4),
  );
export const shelf = (x, y, w) =>
  path(`M${x} ${y}h${w}v9h${-w}Z`, paper) + line(`M${x + 14} ${y + 9}v14M${x + w - 14} ${y + 9}v14`, 4);
export const piano = (x, y) =>
  at(
    x,
    y,
    1,
    path('M-60 0V-130H90V0Z', tint[4]) +
      path('M-60 -130L-40 -158H110L90 -130Z', paper) +
      box(-50, -120, 130, 46, paper) +
      line(Array.from({ length: 12 }, (_, i) => `M${-42 + i * 10} -116V-78`).join(''), 1.3) +
      path('M-70 -60H96V-48H-70Z', paper) +
      line(Array.from({ length: 14 }, (_, i) => `M${-60 + i * 11} -60V-49`).join(''), 1.3) +
      path('M-66 -48h10V0h-10ZM84 -48h10V0h-10Z', tint[4]),
  );
export const bench = (x, y) => at(x, y, 1, path('M-40 -22H40V-14H-40ZM-34 -14h7V0h-7ZM27 -14h7V0h-7Z', paper));
