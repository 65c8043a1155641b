import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { NavLink, useParams } from 'react-router';
import { speciesIds, speciesTable } from '#core/species/species';
import { capital } from '#core/units/words';
import { SpeciesPage } from './SpeciesPage';

const habitats = {
  all: 'Everywhere',
  fresh: 'Fresh water',
  estuary: 'Estuaries',
  coast: 'Coasts',
  open: 'Open water',
} as const;
type Where = keyof typeof habitats;

/** Settled here: what a fish is like and what it asks for. What would annoy: a table of forty columns. */
export function SpeciesScreen() {
  const { speciesId } = useParams();
  const [where, setWhere] = useState<Where>('all');
  const [words, setWords] = useState('');
  const wanted = words.trim().toLowerCase();
  const shown = speciesIds.filter((id) => {
    const one = speciesTable[id];
    if (where !== 'all' && !one.habitats.includes(where)) return false;
    return `${one.name} ${one.continents}`.toLowerCase().includes(wanted);
  });
  const chosen = speciesIds.find((id) => id === speciesId);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '250px minmax(0, 1fr)' },
        gap: 4,
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: { xs: chosen ? 'none' : 'block', md: 'block' } }}>
        <TextField
          label="Find a fish or a continent"
          size="small"
          fullWidth
          value={words}
          onChange={(event) => setWords(event.target.value)}
          sx={{ mb: 1.5 }}
        />
        <TextField
          label="Where"
          size="small"
          select
          fullWidth
          value={where}
          onChange={(event) => setWhere(event.target.value as Where)}
        >
          {Object.entries(habitats).map(([id, name]) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <Typography variant="caption" color="textSecondary" component="p" role="status" sx={{ mt: 1 }}>
          {shown.length === 0 ? 'None fits these words. Shorten them.' : `${shown.length} of ${speciesIds.length}`}
        </Typography>
        <Box
          component="ul"
          sx={{ listStyle: 'none', m: 0, p: 0, maxHeight: { md: '64vh' }, overflowY: 'auto' }}
          tabIndex={-1}
        >
          {shown.map((id) => (
            <Box component="li" key={id} sx={{ borderTop: 1, borderColor: 'divider' }}>
              <Box
                component={NavLink}
                to={`/reference/species/${id}`}
                sx={{
                  display: 'block',
                  py: 1.25,
                  color: 'primary.main',
                  '&.active': { color: 'text.primary', fontWeight: 700 },
                }}
              >
                {capital(speciesTable[id].name)}
              </Box>
            </Box>
          ))}
        </Box>
      </Box>
      {chosen ? (
        <SpeciesPage species={speciesTable[chosen]} />
      ) : (
        <Typography color="textSecondary" sx={{ display: { xs: 'none', md: 'block' } }}>
          Choose a fish on the left.
        </Typography>
      )}
    </Box>
  );
}
