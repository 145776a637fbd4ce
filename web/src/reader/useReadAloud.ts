import { useCallback, useEffect, useState } from 'react';

/** Reads aloud with the device's own voice where it has one; `word` is the place of the word being spoken. */
export function useReadAloud(text: string) {
  const [can, setCan] = useState(false);
  const [on, setOn] = useState(false);
  const [word, setWord] = useState<number | null>(null);
  useEffect(() => {
    if (!('speechSynthesis' in window)) return;
    const look = () => setCan(speechSynthesis.getVoices().some((v) => v.lang.startsWith('en')));
    look();
    speechSynthesis.addEventListener('voiceschanged', look);
    return () => {
      speechSynthesis.removeEventListener('voiceschanged', look);
      speechSynthesis.cancel();
    };
  }, []);
  const stop = useCallback(() => {
    if ('speechSynthesis' in window) speechSynthesis.cancel();
    setOn(false);
    setWord(null);
  }, []);
  const toggle = () => {
    if (on) return stop();
    const speech = new SpeechSynthesisUtterance(text);
    speech.lang = 'en-GB';
    speech.rate = 0.85;
    speech.onboundary = (e) => setWord(e.charIndex);
    speech.onend = stop;
    setOn(true);
    speechSynthesis.speak(speech);
  };
  return { can, on, word, toggle, stop };
}
