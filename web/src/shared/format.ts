import type { Api } from './api';
import { t } from './words';
const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const short = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
const hours = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const whole = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 0 });

const date = (iso: string) => new Date(iso.length === 10 ? `${iso}T12:00:00` : iso);
/** Tue 24 Nov */
export const dayOf = (iso: string) => day.format(date(iso)).replace(',', '');
/** Today on this device, as the API writes days. */
export const today = () => new Date().toLocaleDateString('sv');
export const shortDay = (iso: string) => short.format(date(iso));
export const timeOf = (iso: string) => hours.format(date(iso));
export const fm = (x: number) => x.toFixed(1).replace('-', '−');
export const signed = (x: number) => (x >= 0 ? '+' : '−') + Math.abs(x).toFixed(1);
export const percent = (x: number) => `${Math.round(x * 100)} %`;
export const number = (x: number) => whole.format(x);
/** Half of a level's 90 % range: what stands behind every ± of a reader's level. */
export const halfRange = (sd: number) => 1.645 * sd;
/** 1:05 */
export const clock = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
export const minutes = (seconds: number) =>
  seconds <= 0 ? '–' : seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;

type Strand = Api<'Strand'>;
const strandNames: Record<Strand, string> = {
  Retrieve: 'retrieve',
  Infer: 'infer',
  WordMeaning: 'word meaning',
  Summarise: 'summarise',
  Structure: 'structure',
  AuthorsCraft: 'author’s craft',
  Connect: 'connect',
};
export const strandName = (s: Strand | null | undefined) => (s ? strandNames[s] : '');

/** A chance, in a word and tenths; the ends are one and nineteen in twenty, never nothing or certain. */
export const chanceWords = (chance: number): string => {
  const word = chance >= 0.65 ? t('likely') : chance >= 0.35 ? t('possible') : t('unlikely');
  if (chance <= 0.07) return `${word}, ${t('{{n}} in {{of}}', { n: 1, of: 20 })}`;
  if (chance >= 0.93) return `${word}, ${t('{{n}} in {{of}}', { n: 19, of: 20 })}`;
  return `${word}, ${t('{{n}} in {{of}}', { n: Math.min(9, Math.max(1, Math.round(chance * 10))), of: 10 })}`;
};
