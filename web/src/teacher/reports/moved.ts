import type { Span } from './span';

/** What happened from the first day of a span to its last, days as the device counts them. */
export const within = <T extends { at: string }>(pieces: readonly T[], span: Span) =>
  pieces.filter((p) => {
    const day = new Date(p.at).toLocaleDateString('sv');
    return day >= span.from && day <= span.to;
  });
