import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { type BoatAssumption, type Craft, withConfirmed } from '#core/documents/craft';
import { NumberField } from '../../ui/NumberField';
import { useBoat } from './boatDesk';

interface FigureProps {
  label: string;
  unit: string;
  value: number | null;
  /** The boat with it; null is offered only where the figure may be left out. */
  set: (craft: Craft, value: number) => Craft;
  /** The boat without it. */
  clear?: (craft: Craft) => Craft;
  size?: 'small' | 'medium';
  /** What of the boat this is, where the program may have filled it in. */
  assumption?: BoatAssumption;
}

/** As fine as anybody sets a figure of a hull; what was solved for is kept finer. */
const shown = (value: number) => Number(value.toPrecision(6));

/** One figure of the boat: kept as soon as it fits, and what does not fit is said under it. */
export function Figure({ label, unit, value, set, clear, size = 'small', assumption }: FigureProps) {
  const { craft: boat, change } = useBoat();
  const [trouble, setTrouble] = useState<string | null>(null);
  const isAssumed = assumption !== undefined && boat.assumed.includes(assumption);
  const told = (craft: Craft) => (assumption === undefined ? craft : withConfirmed(craft, assumption));
  const field = (
    <NumberField
      label={label}
      unit={unit}
      value={value === null ? null : shown(value)}
      size={size}
      error={trouble ?? undefined}
      onChange={(next) => {
        if (next === null) setTrouble(clear ? change(clear, label) : 'A figure is wanted here.');
        else setTrouble(change((craft) => told(set(craft, next)), label));
      }}
    />
  );
  if (!isAssumed) return field;
  return (
    <Box>
      {field}
      <Typography variant="caption" color="textSecondary" component="p">
        Usual for such a boat; nobody has said it.
      </Typography>
      <Button size="small" onClick={() => change(told, label)} aria-label={`${label}: it is so`}>
        It is so
      </Button>
    </Box>
  );
}

interface ChoiceProps<Value extends string> {
  label: string;
  value: Value;
  options: readonly Value[];
  say?: (value: Value) => string;
  set: (craft: Craft, value: Value) => Craft;
}
export function Choice<Value extends string>({ label, value, options, say, set }: ChoiceProps<Value>) {
  const { change } = useBoat();
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => change((craft) => set(craft, event.target.value as Value), label)}
    >
      {options.map((one) => (
        <MenuItem key={one} value={one}>
          {say ? say(one) : one}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** A line of text of the boat; emptied where it must not be, it keeps the last good one and says so. */
export function Words({
  label,
  value,
  set,
  lines = 1,
}: {
  label: string;
  value: string;
  set: (craft: Craft, value: string) => Craft;
  lines?: number;
}) {
  const { change } = useBoat();
  const [typed, setTyped] = useState<{ text: string; trouble: string } | null>(null);
  return (
    <TextField
      size="small"
      label={label}
      value={typed?.text ?? value}
      multiline={lines > 1}
      minRows={lines}
      error={typed !== null}
      helperText={typed?.trouble}
      onChange={(event) => {
        const text = event.target.value;
        const trouble = change((craft) => set(craft, text), label);
        setTyped(trouble === null ? null : { text, trouble });
      }}
      onBlur={() => setTyped(null)}
    />
  );
}

export function Fields({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr 1fr', md: 'repeat(auto-fill, minmax(170px, 1fr))' },
        gap: 2,
        alignItems: 'start',
      }}
    >
      {children}
    </Box>
  );
}
export function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={name} sx={{ display: 'grid', gap: 1.5, mb: 3 }}>
      <Typography variant="h3" component="h2">
        {name}
      </Typography>
      {children}
    </Box>
  );
}
