import Button from '@mui/material/Button';
import { useRef } from 'react';
import { WhenField } from '../../../../ui/WhenField';

/** One of the sentence's days or times, and the way out of its blank. */
export function When({
  kind,
  label,
  value,
  onChange,
  onDone,
}: {
  kind: 'date' | 'time';
  label: string;
  value: string;
  onChange: (value: string) => void;
  onDone: () => void;
}) {
  const field = useRef<{ commit: () => boolean }>(null);
  return (
    <>
      <WhenField
        handle={field}
        kind={kind}
        label={label}
        value={value}
        autoFocus
        onChange={(next) => {
          if (next !== null) onChange(next);
        }}
        onEnter={onDone}
      />
      <Button
        variant="outlined"
        onClick={() => {
          if (field.current?.commit() !== false) onDone();
        }}
      >
        Done
      </Button>
    </>
  );
}
