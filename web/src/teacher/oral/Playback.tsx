import { useEffect, useRef, useState } from 'react';
import { t } from '../../shared/words';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Select } from '../../ui/Select';

const rates = [0.75, 1, 1.25, 1.5] as const;

/** Plays a recording, slower or faster, and says which word is being read. */
export function Playback({
  src,
  times,
  word,
  from,
}: {
  src: string;
  times: (number[] | null)[] | undefined;
  word: (index: number | null) => void;
  from: { index: number };
}) {
  const sound = useRef<HTMLAudioElement>(null);
  const [rate, setRate] = useState<(typeof rates)[number]>(1);
  useEffect(() => {
    let frame = 0;
    const look = () => {
      const now = sound.current;
      if (now && times && !now.paused) {
        // The last word that has begun is the one under the playhead, pauses included.
        const at = times.findLastIndex((x) => x !== null && sure(x[0]) <= now.currentTime);
        word(at < 0 ? null : at);
      }
      frame = requestAnimationFrame(look);
    };
    frame = requestAnimationFrame(look);
    return () => {
      cancelAnimationFrame(frame);
      word(null);
    };
  }, [times, word]);
  const fromHere = () => {
    const time = times?.slice(from.index).find((x) => x !== null)?.[0];
    if (!sound.current || time === undefined) return;
    sound.current.currentTime = Math.max(0, time - 0.3);
    void sound.current.play();
  };
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm [&_audio]:h-10 [&_audio]:w-full">
      <audio ref={sound} controls src={src} aria-label={t('The recording')} />
      <Select
        label={t('Speed')}
        inline
        value={rate}
        set={(next) => {
          setRate(next);
          if (sound.current) sound.current.playbackRate = next;
        }}
        options={rates.map((r) => ({ value: r, label: `${r} ×` }))}
      />
      {times && (
        <Button size="sm" onClick={fromHere}>
          {t('Play from the word')}
        </Button>
      )}
    </div>
  );
}
