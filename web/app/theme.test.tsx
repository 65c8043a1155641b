import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { ThemeProvider } from '@mui/material/styles';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { makeTheme } from './theme';

beforeEach(() => vi.useFakeTimers());
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

function Place() {
  const [value, setValue] = useState('tank');
  return (
    <ThemeProvider theme={makeTheme('paper')}>
      <TextField
        select
        id="where"
        label="Where"
        value={value}
        onChange={({ target }) => setValue(target.value)}
      >
        <MenuItem value="tank">In the tank well</MenuItem>
        <MenuItem value="seat">Under the seat</MenuItem>
      </TextField>
    </ThemeProvider>
  );
}

describe('a list that opens over what was pressed', () => {
  it('takes the end of that press for no choice, however late it comes', () => {
    render(<Place />);
    const chosen = () => screen.getByRole('combobox', { hidden: true }).textContent;
    fireEvent.mouseDown(screen.getByRole('combobox'));
    // The page is busy: the list is there before the press is over.
    vi.advanceTimersByTime(1000);
    const seat = screen.getByRole('option', { name: 'Under the seat' });
    fireEvent.mouseUp(seat);
    expect(chosen()).toBe('In the tank well');
    expect(screen.getByRole('listbox')).toBeTruthy();
    fireEvent.mouseDown(seat);
    fireEvent.mouseUp(seat);
    fireEvent.click(seat);
    expect(chosen()).toBe('Under the seat');
  });
});
