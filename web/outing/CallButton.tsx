import Button from '@mui/material/Button';
import { Suspense, lazy, useState } from 'react';

const CallCard = lazy(async () => ({ default: (await import('./CallCard')).CallCard }));

/**
 * What to do and say when it goes wrong, one press from every screen of the outing.
 * @param large on the walk-round of a telephone, where the heading is not shown
 */
export function CallButton({ large = false }: { large?: boolean }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        size="small"
        color="error"
        onClick={() => setOpen(true)}
        sx={large ? { minHeight: 56, display: { sm: 'none' } } : { minWidth: 0, minHeight: 36, py: 0 }}
      >
        Call for help
      </Button>
      {open && (
        <Suspense fallback={null}>
          <CallCard onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
