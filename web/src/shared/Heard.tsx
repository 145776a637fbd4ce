import { useCallback } from 'react';

/** Plays a recording that is kept nowhere yet. */
export function Heard({ blob, label }: { blob: Blob; label: string }) {
  const place = useCallback(
    (player: HTMLAudioElement | null) => {
      if (!player) return;
      const address = URL.createObjectURL(blob);
      player.src = address;
      return () => URL.revokeObjectURL(address);
    },
    [blob],
  );
  return <audio controls ref={place} aria-label={label} />;
}
