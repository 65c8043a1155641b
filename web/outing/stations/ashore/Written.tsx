import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

/** Lines that were written, each to be taken back. */
export function Written<T extends { key: string }>({
  list,
  name,
  text,
  onChange,
}: {
  list: readonly T[];
  /** What is taken back, as it is spoken. */
  name: (one: T) => string;
  text: (one: T) => string;
  onChange: (list: T[]) => void;
}) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {list.map((one) => (
        <Box
          component="li"
          key={one.key}
          sx={{ display: 'flex', gap: 2, alignItems: 'center', borderTop: 1, borderColor: 'divider' }}
        >
          <Box sx={{ flex: 1 }}>{text(one)}</Box>
          <Button
            aria-label={`Take back: ${name(one)}`}
            onClick={() => onChange(list.filter(({ key }) => key !== one.key))}
          >
            Take back
          </Button>
        </Box>
      ))}
    </Box>
  );
}
