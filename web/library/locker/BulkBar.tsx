import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Item } from '#core/documents/item';
import { dateAt } from '#core/units/time';
import { plural } from '#core/units/words';
import type { Versioned } from '#core/documents/kept';
import { ApiError } from '../../documents/api';
import { useToast } from '../../ui/Toast';
import { useNow } from '../../ui/useNow';
import { containersAmong } from './containers';
import { useItemBatch } from '../../documents/queries';

interface Props {
  chosen: readonly Versioned<Item>[];
  items: readonly Item[];
  onDone: () => void;
}

/**
 * Changes all that is ticked at once: state, place, habit; or takes it out of the locker. Each can be undone.
 */
export function BulkBar({ chosen, items, onDone }: Props) {
  const batch = useItemBatch();
  const say = useToast();
  const today = dateAt(useNow(), 'utc');
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const ids = new Set(chosen.map(({ doc }) => doc.id));

  /** All that is ticked, or none of it. */
  const all = async (work: Parameters<typeof batch>[0], before: readonly Item[], said: string) => {
    setTrouble(null);
    setBusy(true);
    try {
      const undo = await batch(work, before);
      onDone();
      say(`${chosen.length} ${plural(chosen.length, 'thing')}: ${said}.`, { name: 'Undo', run: undo });
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(`Nothing was changed. ${error.message}`);
    }
    setBusy(false);
  };
  const change = (fields: Partial<Item>, said: string) =>
    void all(
      { change: chosen.map(({ doc, version }) => ({ doc: { ...doc, ...fields }, version })) },
      chosen.map(({ doc }) => doc),
      said,
    );
  const remove = () =>
    void all(
      { remove: chosen.map(({ doc, version }) => ({ id: doc.id, version })) },
      [],
      'taken out of the locker',
    );
  return (
    <Box
      role="group"
      aria-label="What is ticked"
      sx={{ border: 1, borderColor: 'text.primary', borderRadius: 1, p: 1.5, mb: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <Typography sx={{ mr: 1 }}>
          {chosen.length} {plural(chosen.length, 'thing')} ticked
        </Typography>
        <Choice
          label="Condition"
          options={['good', 'failed inspection', 'under repair'].map((value) => ({ value, name: value }))}
          onChoose={(value) => change({ condition: value as Item['condition'] }, value)}
        />
        <Choice
          label="Lives in"
          options={[
            { value: '-', name: 'Nothing' },
            ...containersAmong(items, [...ids], null).map((item) => ({ value: item.id, name: item.name })),
          ]}
          onChoose={(value) => change({ containerId: value === '-' ? null : value }, 'moved')}
        />
        <Button onClick={() => change({ servicedOn: today }, 'looked over today')} disabled={busy}>
          Looked over today
        </Button>
        <Button onClick={() => change({ always: true }, 'goes on every outing')} disabled={busy}>
          Always goes
        </Button>
        <Button onClick={() => change({ always: false }, 'goes when chosen')} disabled={busy}>
          Goes when chosen
        </Button>
        <Button color="error" sx={{ color: 'error.main' }} onClick={remove} disabled={busy}>
          Take out
        </Button>
      </Box>
      {busy && <LinearProgress aria-label="Changing" sx={{ mt: 1 }} />}
      {trouble && (
        <Alert severity="warning" variant="outlined" sx={{ mt: 1 }}>
          {trouble}
        </Alert>
      )}
    </Box>
  );
}

interface ChoiceProps {
  label: string;
  options: readonly { value: string; name: string }[];
  onChoose: (value: string) => void;
}
function Choice({ label, options, onChoose }: ChoiceProps) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value=""
      onChange={(event) => onChoose(event.target.value)}
      sx={{ width: 160 }}
    >
      {options.map((one) => (
        <MenuItem key={one.value} value={one.value}>
          {one.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
