import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import MenuList from '@mui/material/MenuList';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useTyped } from '../../../ui/useTyped';

/** One of a list; choosing closes. */
export function PickOne({
  label,
  options,
  chosen,
  onPick,
}: {
  label: string;
  options: readonly { id: string; name: string; more?: string }[];
  chosen: string | null;
  onPick: (id: string) => void;
}) {
  return (
    <MenuList aria-label={label} autoFocusItem sx={{ p: 0, maxHeight: 360, overflowY: 'auto' }}>
      {options.map((option) => (
        <MenuItem
          key={option.id}
          selected={option.id === chosen}
          onClick={() => onPick(option.id)}
          sx={{ display: 'block' }}
        >
          {option.name}
          {option.more && <Box sx={{ typography: 'caption', color: 'text.secondary' }}>{option.more}</Box>}
        </MenuItem>
      ))}
    </MenuList>
  );
}

/** A list longer than this can be searched. */
const MANY = 12;

/** Several of a list, in the order they were chosen. */
export function PickSeveral<Id extends string>({
  options,
  chosen,
  most,
  onChange,
  onDone,
}: {
  options: readonly { id: Id; name: string; more?: string }[];
  chosen: readonly Id[];
  most: number;
  onChange: (chosen: Id[]) => void;
  onDone: () => void;
}) {
  const [words, setWords] = useState('');
  const wanted = words.trim().toLowerCase();
  // What is chosen stands first, and stays in sight whatever is looked for.
  const shown = [
    ...options.filter(({ id }) => chosen.includes(id)),
    ...options.filter(({ id, name }) => !chosen.includes(id) && name.toLowerCase().includes(wanted)),
  ];
  return (
    <>
      {options.length > MANY && (
        <TextField
          label="Find"
          size="small"
          autoFocus
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
      )}
      <Box sx={{ display: 'grid', maxHeight: 330, overflowY: 'auto', pl: 0.5 }}>
        {shown.map(({ id, name, more }) => {
          const on = chosen.includes(id);
          return (
            <FormControlLabel
              key={id}
              control={
                <Checkbox
                  checked={on}
                  slotProps={{ input: { 'aria-label': name } }}
                  disabled={!on && chosen.length >= most}
                  onChange={() => onChange(on ? chosen.filter((one) => one !== id) : [...chosen, id])}
                />
              }
              label={
                <>
                  {name}
                  {more !== undefined && (
                    <Box
                      component="span"
                      sx={{ display: 'block', typography: 'caption', color: 'text.secondary' }}
                    >
                      {more}
                    </Box>
                  )}
                </>
              }
            />
          );
        })}
      </Box>
      <Button variant="outlined" onClick={onDone}>
        Done
      </Button>
    </>
  );
}

/** A whole number with a button on either side. */
export function Count({
  label,
  value,
  min,
  max,
  onChange,
  onDone,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  onChange: (value: number) => void;
  onDone: () => void;
}) {
  const read = (text: string): number | undefined => {
    const typed = Number(text);
    return /^\d+$/.test(text.trim()) && typed >= min && typed <= max ? typed : undefined;
  };
  const allowed = `A whole number from ${min} to ${max}.`;
  const { text, type, refusal, commit, drop } = useTyped({
    ...{ label, shown: String(value), read, onTake: onChange, allowed },
  });
  const step = (by: number) => {
    drop();
    onChange(Math.min(max, Math.max(min, value + by)));
  };
  const done = () => {
    if (commit()) onDone();
  };
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
        <Button
          variant="outlined"
          onClick={() => step(-1)}
          disabled={value <= min}
          aria-label={`${label}: one fewer`}
          sx={{ height: 56 }}
        >
          −
        </Button>
        <TextField
          label={label}
          value={text}
          autoFocus
          error={refusal !== null}
          helperText={refusal}
          onChange={(event) => type(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            // Else the same press goes on to the blank, and opens it again.
            event.preventDefault();
            done();
          }}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
        />
        <Button
          variant="outlined"
          onClick={() => step(1)}
          disabled={value >= max}
          aria-label={`${label}: one more`}
          sx={{ height: 56 }}
        >
          +
        </Button>
      </Box>
      <Button variant="outlined" onClick={done}>
        Done
      </Button>
    </>
  );
}
