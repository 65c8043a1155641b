import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
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

export function ToastProvider({ children }: { children: ReactNode }) {
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
        autoHideDuration={10_000}
        onClose={(_, reason) => {
          if (reason !== 'clickaway') setOpen(false);
        }}
        message={word?.text}
        // Beside what one goes on by: the rail of places; on a phone their row at the foot, and the bar of the margin on it.
        sx={{ bottom: { xs: 128, sm: 24 }, left: { sm: 100 } }}
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
