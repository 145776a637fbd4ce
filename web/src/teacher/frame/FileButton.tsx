import { FileArrowUp } from '@phosphor-icons/react';

/** A button that asks for a file. The same file can be chosen twice. */
export function FileButton({
  label,
  accept,
  take,
  main = false,
  small = false,
  disabled = false,
}: {
  label: string;
  accept: string;
  take: (file: File) => void;
  main?: boolean;
  small?: boolean;
  disabled?: boolean;
}) {
  return (
    <label className={`btn filebtn ${main ? 'main' : ''} ${small ? 'small' : ''}`}>
      <FileArrowUp size={small ? 16 : 20} aria-hidden />
      {label}
      <input
        type="file"
        accept={accept}
        disabled={disabled}
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) take(file);
          e.target.value = '';
        }}
      />
    </label>
  );
}
