import { Pause, Play } from '@phosphor-icons/react';
import { useRef, useState } from 'react';
import { clock } from '../shared/format';
import { t } from '../shared/words';
import { Button } from '../ui/Button';

/** Somebody's reading of the text: one large button, and how far it is. */
export function Listen({ src }: { src: string }) {
  const sound = useRef<HTMLAudioElement>(null);
  const [on, setOn] = useState(false);
  const [at, setAt] = useState(0);
  const [failed, setFailed] = useState(false);
  const toggle = () => {
    if (on) sound.current?.pause();
    else sound.current?.play().catch(() => setFailed(true));
  };
  return (
    <>
      <audio
        ref={sound}
        src={src}
        preload="none"
        onPlay={() => {
          setOn(true);
          setFailed(false);
        }}
        onPause={() => setOn(false)}
        onEnded={() => setOn(false)}
        onTimeUpdate={(e) => setAt(e.currentTarget.currentTime)}
        onError={() => setFailed(true)}
      />
      <Button size="reader" onClick={toggle}>
        {on ? <Pause size={24} aria-hidden /> : <Play size={24} aria-hidden />}
        {on ? t('Pause, {{time}}', { time: clock(at) }) : t('Listen')}
      </Button>
      {failed && <span role="status">{t('The recording cannot play now.')}</span>}
    </>
  );
}
