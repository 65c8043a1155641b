import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { kindsForAll, personalNeeds, sharedAboard } from '#core/needs/company';
import { withCompanion, withRide } from '#core/editing/company';
import { useParty } from '../../../people/party';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Person } from './Person';
import { Together } from './Together';

/**
 * The others: what each has said they carry for themselves and bring for all, and in whose boat each shared
 * thing rides.
 */
export function Party() {
  const { doc, edit, state, assessment, looked } = useOutingWorkspace();
  const [adding, setAdding] = useState('');
  const { party, ask, askNoMore } = useParty(doc.id, state.version);
  const personal = personalNeeds(assessment.needs).map(({ id }) => id);
  const forAll = kindsForAll(assessment.needs);
  const sharedItems = sharedAboard(looked.aboard, assessment.needs);
  if (doc.brief.party < 2 && doc.company.length === 0) return null;
  const add = () => {
    const name = adding.trim();
    if (name === '') return;
    const one = { id: crypto.randomUUID(), name: name.slice(0, 80), boat: '', says: [], brings: [] };
    edit((outing) => withCompanion(outing, one));
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
      {party && <Together party={party} />}
      {doc.company.map((one) => (
        <Person
          key={one.id}
          one={one}
          needs={personal}
          forAll={forAll}
          member={party?.members.find(({ companionId }) => companionId === one.id) ?? null}
          asking={party?.leads === true ? { ask, askNoMore } : null}
        />
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
