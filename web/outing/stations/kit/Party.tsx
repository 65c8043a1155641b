import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { catalogue } from '#core/needs/catalogue';
import { personalNeeds, sharedAboard } from '#core/needs/company';
import { withCompanion, withoutCompanion, withRide } from '#core/editing/company';
import type { Companion } from '#core/documents/outing';
import { TallyStrokes } from '../../../ui/TallyStrokes';
import { useDesk } from '../../desk';

/** The others: what each has said they carry for themselves, and in whose boat each shared thing rides. */
export function Party() {
  const { doc, edit, assessment, looked } = useDesk();
  const [adding, setAdding] = useState('');
  const personal = personalNeeds(assessment.needs);
  const sharedItems = sharedAboard(looked.aboard, assessment.needs);
  if (doc.brief.party < 2 && doc.company.length === 0) return null;
  const add = () => {
    const name = adding.trim();
    if (name === '') return;
    edit((outing) => withCompanion(outing, { id: crypto.randomUUID(), name: name.slice(0, 80), boat: '', says: [] }));
    setAdding('');
  };
  return (
    <Box component="section" aria-labelledby="party" sx={{ mb: 3 }}>
      <Typography variant="h2" id="party">
        The party
      </Typography>
      <Typography variant="caption" color="textSecondary" component="p">
        Buoyancy, warmth and signals are counted for each person; what is shared, once.
      </Typography>
      {doc.company.map((one) => (
        <Person key={one.id} one={one} needs={personal.map((need) => need.id)} />
      ))}
      {doc.company.length < doc.brief.party - 1 && (
        <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
          <TextField
            label="Someone who comes along"
            size="small"
            value={adding}
            onChange={(event) => setAdding(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && add()}
            sx={{ flex: 1 }}
          />
          <Button variant="outlined" onClick={add} disabled={adding.trim() === ''}>
            Add
          </Button>
        </Box>
      )}
      {doc.company.length > 0 && sharedItems.length > 0 && (
        <Box sx={{ mt: 2 }}>
          <Typography variant="h3">Shared, each in one boat</Typography>
          {sharedItems.map(({ item, entry }) => (
            <TextField
              key={item.id}
              select
              fullWidth
              size="small"
              margin="dense"
              label={item.name}
              slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
              value={entry.carriedBy ?? ''}
              onChange={(event) => edit((outing) => withRide(outing, item.id, event.target.value || null))}
            >
              <MenuItem value="">{looked.craft ? `${looked.craft.name}, mine` : 'My own boat'}</MenuItem>
              {doc.company.map((one) => (
                <MenuItem key={one.id} value={one.id}>
                  {one.boat === '' ? `${one.name}’s boat` : `${one.boat}, ${one.name}`}
                </MenuItem>
              ))}
            </TextField>
          ))}
        </Box>
      )}
    </Box>
  );
}

function Person({ one, needs }: { one: Companion; needs: readonly Companion['says'][number][] }) {
  const { edit } = useDesk();
  const said = needs.filter((id) => one.says.includes(id)).length;
  const set = (change: Partial<Companion>) => edit((outing) => withCompanion(outing, { ...one, ...change }));
  return (
    <Box component="details" sx={{ borderBottom: 1, borderColor: 'divider', py: 0.5 }}>
      <Box component="summary" sx={{ cursor: 'pointer', py: 1, display: 'list-item' }}>
        <Box component="span" sx={{ display: 'inline-flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
          {one.name}
          <TallyStrokes counted={said} of={needs.length} size={12} />
        </Box>
      </Box>
      <TextField
        label={`${one.name}: boat`}
        size="small"
        fullWidth
        margin="dense"
        value={one.boat}
        onChange={(event) => set({ boat: event.target.value.slice(0, 200) })}
      />
      {needs.map((id) => (
        <FormControlLabel
          key={id}
          sx={{ display: 'flex' }}
          control={
            <Checkbox
              checked={one.says.includes(id)}
              onChange={(_, on) => set({ says: on ? [...one.says, id] : one.says.filter((other) => other !== id) })}
            />
          }
          label={catalogue[id].title}
        />
      ))}
      <Button onClick={() => edit((outing) => withoutCompanion(outing, one.id))}>{one.name} does not come</Button>
    </Box>
  );
}
