import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { type ReactNode, createContext, use, useEffect, useMemo, useState } from 'react';
import { type ThemeName, inks, themeNames } from './palettes';
import { makeTheme } from './theme';

const KEY = 'tally-theme';
const BEFORE = 'tally-theme-before';

function remembered(key: string): ThemeName {
  const kept = localStorage.getItem(key);
  return themeNames.find((one) => one === kept) ?? 'paper';
}
interface Chosen {
  name: ThemeName;
  choose: (name: ThemeName) => void;
  /** Red on black, or back to the theme that was before it. */
  toggleHalfLight: () => void;
}
const Choice = createContext<Chosen>({
  name: 'paper',
  choose: () => undefined,
  toggleHalfLight: () => undefined,
});

/** The theme in force and the way to change it; remembered on this device. */
export function useThemeChoice() {
  return use(Choice);
}

export function ThemeChoice({ children }: { children: ReactNode }) {
  const [name, setName] = useState<ThemeName>(() => remembered(KEY));
  useEffect(() => {
    document.querySelector('meta[name=theme-color]')?.setAttribute('content', inks[name].paper);
  }, [name]);
  const value = useMemo<Chosen>(() => {
    const choose = (next: ThemeName) => {
      if (name !== 'half-light') localStorage.setItem(BEFORE, name);
      localStorage.setItem(KEY, next);
      setName(next);
    };
    return {
      name,
      choose,
      toggleHalfLight: () => choose(name === 'half-light' ? remembered(BEFORE) : 'half-light'),
    };
  }, [name]);
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
