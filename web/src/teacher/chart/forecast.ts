// The same forecast the core makes, for what is drawn while the pointer moves; what is saved is always the core's.
const ease = 10 * Math.log(0.8 / 0.2);
export const forecast = (reader: number, text: number) => Math.round(100 / (1 + Math.exp(-(reader - text + ease) / 10)));
export const zoneWord = (percent: number) => (percent < 70 ? 'deep' : percent >= 90 ? 'easy' : '');
