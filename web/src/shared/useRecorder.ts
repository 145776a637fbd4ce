import { useCallback, useEffect, useRef, useState } from 'react';

/** Half an hour: what is longer is no reading, and would be refused. */
const longest = 30 * 60;

export interface Recording {
  blob: Blob;
  seconds: number;
}

/** Records from the device's microphone; what was recorded stays here until it is taken or thrown away. */
export function useRecorder() {
  const [state, setState] = useState<'idle' | 'asking' | 'recording' | 'done' | 'refused'>('idle');
  const [seconds, setSeconds] = useState(0);
  const [recording, setRecording] = useState<Recording | null>(null);
  const recorder = useRef<MediaRecorder | null>(null);
  const stop = useCallback(() => {
    if (recorder.current?.state === 'recording') recorder.current.stop();
  }, []);
  useEffect(() => stop, [stop]);
  const start = useCallback(async () => {
    setState('asking');
    setRecording(null);
    let stream: MediaStream;
    try {
      stream = await navigator.mediaDevices.getUserMedia({ audio: true });
    } catch {
      setState('refused');
      return;
    }
    const made = new MediaRecorder(stream, { audioBitsPerSecond: 32_000 });
    const parts: Blob[] = [];
    const from = performance.now();
    const clock = setInterval(() => {
      const gone = (performance.now() - from) / 1000;
      setSeconds(gone);
      if (gone > longest) made.stop();
    }, 250);
    made.ondataavailable = (e) => {
      if (e.data.size > 0) parts.push(e.data);
    };
    made.onstop = () => {
      clearInterval(clock);
      for (const track of stream.getTracks()) track.stop();
      setRecording({ blob: new Blob(parts, { type: made.mimeType }), seconds: (performance.now() - from) / 1000 });
      setState('done');
    };
    recorder.current = made;
    setSeconds(0);
    made.start(1000);
    setState('recording');
  }, []);
  const forget = useCallback(() => {
    setRecording(null);
    setSeconds(0);
    setState('idle');
  }, []);
  return {
    can: typeof MediaRecorder !== 'undefined' && !!navigator.mediaDevices,
    state,
    seconds,
    recording,
    start,
    stop,
    forget,
  };
}
