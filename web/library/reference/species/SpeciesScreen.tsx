import { forms } from '#core/documents/forms';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import { type Species, speciesTable } from '#core/catalog/species/species';
import { type OwnSpecies } from '#core/documents/ownSpecies';
import { allSpecies } from '#core/catalog/species/speciesOf';
import { capital } from '#core/units/words';
import type { Versioned } from '#core/documents/kept';
import { DocumentDialog } from '../../../documents/DocumentDialog';
import { useKept } from '../../../documents/queries';
import { SpeciesFields } from './SpeciesFields';
import { OwnershipPanel } from '../../../people/OwnershipPanel';
import { useMayChange } from '../../../people/queries';
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
  const navigate = useNavigate();
  const [where, setWhere] = useState<Where>('all');
  const [words, setWords] = useState('');
  const wanted = words.trim().toLowerCase();
  const { data } = useKept();
  const own = data?.species ?? [];
  const mayChange = useMayChange();
  const [editing, setEditing] = useState<Versioned<OwnSpecies> | OwnSpecies | null>(null);
  const all = allSpecies(own.map(({ doc }) => doc));
  const shown = all.filter((one) => {
    if (where !== 'all' && !one.habitats.includes(where)) return false;
    return `${one.name} ${one.continents}`.toLowerCase().includes(wanted);
  });
  const chosen = all.find(({ id }) => id === speciesId);
  const ownChosen = own.find(({ doc }) => doc.id === speciesId);
  // Beside the list there is always a page to read; on a phone the list comes alone.
  const read = chosen ?? shown[0];
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
          {shown.length === 0 ? 'None fits these words. Shorten them.' : `${shown.length} of ${all.length}`}
        </Typography>
        <Button onClick={() => setEditing(asOwn(chosen ?? speciesTable.perch, chosen !== undefined))}>
          {chosen ? `A fish of your own, like ${chosen.name}` : 'A fish of your own'}
        </Button>
        <Box
          component="ul"
          sx={{ listStyle: 'none', m: 0, p: 0, maxHeight: { md: '64vh' }, overflowY: 'auto' }}
          tabIndex={-1}
        >
          {shown.map(({ id, name }) => (
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
                {capital(name)}
              </Box>
            </Box>
          ))}
        </Box>
      </Box>
      {read && (
        <Box sx={{ display: { xs: chosen ? 'block' : 'none', md: 'block' } }}>
          <SpeciesPage species={read} />
          {ownChosen && (
            <Box sx={{ mt: 2 }}>
              <OwnershipPanel kind="species" kept={ownChosen} />
              {mayChange(ownChosen) && (
                <Button variant="outlined" onClick={() => setEditing(ownChosen)}>
                  Edit this fish
                </Button>
              )}
            </Box>
          )}
        </Box>
      )}
      {editing && (
        <DocumentDialog
          kind="species"
          what="fish of your own"
          kept={'doc' in editing ? editing : null}
          initial={'doc' in editing ? editing.doc : editing}
          onClose={() => setEditing(null)}
          onKept={({ id }) => void navigate(`/reference/species/${id}`)}
        >
          {(form) => <SpeciesFields form={form} />}
        </DocumentDialog>
      )}
    </Box>
  );
}

/** A fish of one's own that begins as another: its figures are nearer than blanks. */
function asOwn(like: Species, copied: boolean): OwnSpecies {
  const { depthM, forageCm, rodM, lineKg, leaderKg, lureG } = like;
  return {
    ...like,
    format: forms.species,
    id: crypto.randomUUID(),
    name: copied ? `${like.name}, mine` : '',
    habitats: [...like.habitats],
    usual: { ...like.usual },
    largest: { ...like.largest },
    depthM: [...depthM],
    forageCm: [...forageCm],
    rodM: [...rodM],
    lineKg: [...lineKg],
    leaderKg: [...leaderKg],
    lureG: [...lureG],
    note: copied ? like.note : '',
  };
}
