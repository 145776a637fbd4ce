const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const short = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
const hours = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const whole = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 0 });

const date = (iso: string) => new Date(iso.length === 10 ? `${iso}T12:00:00` : iso);
/** Tue 24 Nov */
export const dayOf = (iso: string) => day.format(date(iso)).replace(',', '');
export const shortDay = (iso: string) => short.format(date(iso));
export const timeOf = (iso: string) => hours.format(date(iso));
export const fm = (x: number) => x.toFixed(1).replace('-', '−');
export const signed = (x: number) => (x >= 0 ? '+' : '−') + Math.abs(x).toFixed(1);
export const percent = (x: number) => `${Math.round(x * 100)} %`;
export const number = (x: number) => whole.format(x);
/** 1:05 */
export const clock = (seconds: number) => `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
export const minutes = (seconds: number) => (seconds <= 0 ? '–' : seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`);

const strandNames: Record<string, string> = {
  Retrieve: 'retrieve', Infer: 'infer', WordMeaning: 'word meaning', Summarise: 'summarise', Structure: 'structure', AuthorsCraft: 'author’s craft', Connect: 'connect',
};
export const strandName = (s: string | null | undefined) => (s ? (strandNames[s] ?? s) : '');
