import { FileArrowUp } from '@phosphor-icons/react';
import { useRef } from 'react';
import { Button, type ButtonLook } from './Button';

type Props = ButtonLook & { label: string; accept: string; take: (file: File) => void; disabled?: boolean };

/** A button that asks for a file. The same file can be chosen twice. */
export function FileButton({ label, accept, take, disabled = false, ...look }: Props) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...look} disabled={disabled} onClick={() => field.current?.click()}>
        <FileArrowUp size={look.size === 'sm' ? 16 : 20} aria-hidden />
        {label}
      </Button>
      <input
        ref={field}
        type="file"
        hidden
        aria-label={label}
        accept={accept}
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) take(file);
          e.target.value = '';
        }}
      />
    </>
  );
}
