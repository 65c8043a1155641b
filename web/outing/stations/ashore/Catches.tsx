import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Log, logSchema } from '#core/documents/log';
import { allSpecies, speciesOf } from '#core/catalog/species/speciesOf';
import { amount, rangeInWords } from '#core/units/amount';
import { capital } from '#core/units/words';
import { NumberField } from '../../../ui/NumberField';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Written } from './Written';

const lengthSchema = logSchema.shape.catches.element.shape.lengthM;

/** Each fish, with its length where it was measured. */
export function Catches({ log, onChange }: { log: Log; onChange: (log: Log) => void }) {
  const { looked } = useOutingWorkspace();
  const [speciesId, setSpecies] = useState('');
  const [lengthCm, setLength] = useState<number | null>(null);
  const [kept, setKept] = useState(false);
  const checked = lengthSchema.safeParse(lengthCm === null ? null : lengthCm / 100);
  const name = (id: string) => capital(speciesOf(id, looked.species)?.name ?? id);
  const known = looked.targets.length > 0 ? looked.targets : allSpecies(looked.species);
  const chosen = speciesId || (known[0]?.id ?? '');
  const add = () => {
    if (!checked.success) return;
    const caught = { key: crypto.randomUUID(), speciesId: chosen, lengthM: checked.data, kept };
    onChange({ ...log, catches: [...log.catches, caught] });
    setLength(null);
  };
  return (
    <Box component="section" aria-label="Fish caught">
      <Typography variant="h2">Fish caught</Typography>
      <Written
        list={log.catches}
        name={(one) => name(one.speciesId)}
        text={(one) =>
          `${name(one.speciesId)}, ${one.lengthM === null ? 'not measured' : amount(one.lengthM * 100, 'cm')}, ${one.kept ? 'kept' : 'released'}`
        }
        onChange={(catches) => onChange({ ...log, catches })}
      />
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-start', mt: 1 }}>
        <TextField
          select
          size="small"
          label="Fish"
          value={chosen}
          onChange={(event) => setSpecies(event.target.value)}
          sx={{ minWidth: 160 }}
        >
          {known.map((one) => (
            <MenuItem key={one.id} value={one.id}>
              {capital(one.name)}
            </MenuItem>
          ))}
        </TextField>
        <Box sx={{ width: 210 }}>
          <NumberField
            label="Length, if measured"
            unit="cm"
            size="small"
            value={lengthCm}
            onChange={setLength}
            error={checked.success ? undefined : `A number from ${rangeInWords(1, 600, 'cm')}.`}
          />
        </Box>
        <FormControlLabel
          control={<Checkbox checked={kept} onChange={(event) => setKept(event.target.checked)} />}
          label="kept"
        />
        <Button variant="outlined" disabled={chosen === ''} onClick={add}>
          Add the fish
        </Button>
      </Box>
    </Box>
  );
}
