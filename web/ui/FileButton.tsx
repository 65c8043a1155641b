import Button, { type ButtonProps } from '@mui/material/Button';
import { useRef } from 'react';

interface Props {
  name: string;
  /** What the file is, for those who listen. */
  label: string;
  accept: string;
  variant?: ButtonProps['variant'];
  onFile: (file: File) => void;
}

/** A button that lets one file be chosen; the same file may be chosen again. */
export function FileButton({ name, label, accept, variant = 'text', onFile }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        hidden
        accept={accept}
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
      <Button variant={variant} onClick={() => input.current?.click()}>
        {name}
      </Button>
    </>
  );
}
