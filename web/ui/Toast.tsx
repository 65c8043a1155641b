import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import useMediaQuery from '@mui/material/useMediaQuery';
import { type ReactNode, createContext, use, useCallback, useState } from 'react';

interface Word {
  text: string;
  action: { name: string; run: () => void } | null;
  key: number;
}
type Say = (text: string, action?: { name: string; run: () => void }) => void;
const Voice = createContext<Say>(() => undefined);

/** Says a sentence at the foot of the screen, with one thing to do about it where there is one. */
export function useToast(): Say {
  return use(Voice);
}

/** A telephone, as the theme's breakpoints have it. */
const SMALL = '(max-width: 599.95px)';
/** How long a sentence is shown, ms; it can be undone by Ctrl+Z after. */
const SHOWN_MS = 7000;

export function ToastProvider({ children }: { children: ReactNode }) {
  const isSmall = useMediaQuery(SMALL);
  const [word, setWord] = useState<Word | null>(null);
  const [open, setOpen] = useState(false);
  const say = useCallback<Say>((text, action) => {
    setWord((last) => ({ text, action: action ?? null, key: (last?.key ?? 0) + 1 }));
    setOpen(true);
  }, []);
  return (
    <Voice value={say}>
      {children}
      <Snackbar
        key={word?.key}
        open={open}
        autoHideDuration={SHOWN_MS}
        // A press elsewhere is meant for what lies there: it goes through, and the words go.
        onClose={() => setOpen(false)}
        message={word?.text}
        anchorOrigin={{ vertical: isSmall ? 'top' : 'bottom', horizontal: 'left' }}
        // On a phone at the head, away from what is pressed at the foot; else beside the rail of places.
        sx={{
          top: { xs: 'calc(8px + env(safe-area-inset-top))', sm: 'auto' },
          bottom: { xs: 'auto', sm: 24 },
          left: { sm: 100 },
          pointerEvents: 'none',
          '& button': { pointerEvents: 'auto' },
        }}
        action={
          word?.action && (
            <Button
              sx={{ color: 'background.default', textDecoration: 'underline' }}
              onClick={() => {
                word.action?.run();
                setOpen(false);
              }}
            >
              {word.action.name}
            </Button>
          )
        }
      />
    </Voice>
  );
}
