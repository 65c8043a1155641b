import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { type ReactNode, createContext, use, useEffect, useMemo, useState } from 'react';
import { type ThemeName, inks, themeNames } from './palettes';
import { makeTheme } from './theme';

const KEY = 'tally-theme';
const Choice = createContext<{ name: ThemeName; choose: (name: ThemeName) => void }>({
  name: 'paper',
  choose: () => undefined,
});

/** The theme in force and the way to change it; remembered on this device. */
export function useThemeChoice() {
  return use(Choice);
}

export function ThemeChoice({ children }: { children: ReactNode }) {
  const [name, setName] = useState<ThemeName>(() => {
    const kept = localStorage.getItem(KEY);
    return themeNames.find((one) => one === kept) ?? 'paper';
  });
  useEffect(() => {
    document.querySelector('meta[name=theme-color]')?.setAttribute('content', inks[name].paper);
  }, [name]);
  const value = useMemo(
    () => ({
      name,
      choose: (next: ThemeName) => {
        localStorage.setItem(KEY, next);
        setName(next);
      },
    }),
    [name],
  );
  const theme = useMemo(() => makeTheme(name), [name]);
  return (
    <Choice value={value}>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        {children}
      </ThemeProvider>
    </Choice>
  );
}
