import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ok, type Api } from '../shared/api';
import { useSession } from '../shared/session';
import { getKept } from './offline/kept';

type Said = Api<'SaidView'>;

/** Only one voice speaks at a time. */
let speaking: (() => void) | null = null;

const kept = new Map<string, Promise<Said>>();
/** Has something said, or finds what was said before; kept on the device, so that it can be heard without a network. */
function said(text: string, language: Api<'Language'>): Promise<Said> {
  const name = `${language} ${text}`;
  const before = kept.get(name);
  if (before) return before;
  const asked = getKept(`/voice/${name}`, () => ok(api.POST('/voice', { body: { text, language } })));
  kept.set(name, asked);
  asked.catch(() => kept.delete(name));
  return asked;
}

/** The place of the word that is said at a time; null before the first. */
export function wordAt(words: Said['words'], seconds: number): number | null {
  let at: number | null = null;
  for (const w of words) {
    if (w.start > seconds) break;
    at = w.at;
  }
  return at;
}

const spoken: Record<Api<'Language'>, string> = { English: 'en-GB', Spanish: 'es' };

/** Whether the device has a voice of its own in a language, for where there is no other. */
function useDeviceVoice(language: Api<'Language'>) {
  const [can, setCan] = useState(false);
  useEffect(() => {
    if (!('speechSynthesis' in window)) return;
    const look = () => setCan(speechSynthesis.getVoices().some((v) => v.lang.startsWith(spoken[language].slice(0, 2))));
    look();
    speechSynthesis.addEventListener('voiceschanged', look);
    return () => speechSynthesis.removeEventListener('voiceschanged', look);
  }, [language]);
  return can;
}

const slowest = 0.6;
const fastest = 1.4;

/**
 * Reads aloud: by the school's voice, else by the device's own. `word` is the place of the word being spoken, `failed`
 * that neither could speak just now.
 * @param language Of the text: what is read is English, the page and what stands at home may be another.
 */
export function useReadAloud(text: string, language: Api<'Language'> = 'English') {
  const voice = useSession().data?.voice ?? false;
  const device = useDeviceVoice(language);
  const [on, setOn] = useState(false);
  const [word, setWord] = useState<number | null>(null);
  const [failed, setFailed] = useState(false);
  const [rate, setRate] = useState(1);
  const sound = useRef<HTMLAudioElement | null>(null);
  const frame = useRef(0);
  const stop = useCallback(() => {
    cancelAnimationFrame(frame.current);
    sound.current?.pause();
    sound.current = null;
    if ('speechSynthesis' in window) speechSynthesis.cancel();
    setOn(false);
    setWord(null);
  }, []);
  // Who leaves a page leaves its voice.
  useEffect(() => stop, [stop, text]);
  const byDevice = () => {
    if (!device) {
      stop();
      setFailed(true);
      return;
    }
    const speech = new SpeechSynthesisUtterance(text);
    speech.lang = spoken[language];
    speech.rate = 0.85 * rate;
    speech.onboundary = (e) => setWord(e.charIndex);
    speech.onend = stop;
    speechSynthesis.speak(speech);
  };
  const byVoice = async () => {
    const { key, words } = await said(text, language);
    const audio = new Audio(`/api/voice/${key}`);
    audio.playbackRate = rate;
    audio.onended = stop;
    sound.current = audio;
    await audio.play();
    const follow = () => {
      if (sound.current !== audio) return;
      setWord(wordAt(words, audio.currentTime));
      frame.current = requestAnimationFrame(follow);
    };
    follow();
  };
  const toggle = () => {
    if (on) return stop();
    speaking?.();
    speaking = stop;
    setFailed(false);
    setOn(true);
    if (voice) byVoice().catch(byDevice);
    else byDevice();
  };
  const faster = (by: number) => {
    const next = Math.min(fastest, Math.max(slowest, Math.round((rate + by) * 10) / 10));
    setRate(next);
    if (sound.current) sound.current.playbackRate = next;
  };
  return { can: voice || device, on, word, failed, rate, faster, toggle, stop };
}
