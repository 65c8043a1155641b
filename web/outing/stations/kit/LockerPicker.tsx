import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { kinds } from '#core/catalog/gear/kinds';
import { catalogue } from '#core/needs/catalogue';
import { withItem } from '#core/editing/edit';
import { mass } from '#core/units/amount';
import { itemState } from '#core/ashore/itemState';
import { useOutingWorkspace } from '../../outingWorkspace';

/** More than this at once is a search, not a list. */
const MOST_SHOWN = 100;

/** The locker beside the boat: tick what comes along. Each tick is kept at once. */
export function LockerPicker({ onClose }: { onClose: () => void }) {
  const { doc, edit, references, assessment } = useOutingWorkspace();
  const narrow = useMediaQuery('(max-width: 600px)');
  const [words, setWords] = useState('');
  const aboard = new Set(doc.loadout.map((entry) => entry.itemId));
  const open = new Set<string>(assessment.needs.filter((need) => !need.met).map((need) => need.id));
  const wanted = words.trim().toLowerCase();
  const shown = references.items.filter((item) => {
    const means = kinds[item.kind].means.map((id) => catalogue[id].title).join(' ');
    return `${item.name} ${kinds[item.kind].name} ${means}`.toLowerCase().includes(wanted);
  });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" fullScreen={narrow} aria-labelledby="picker-title">
      <DialogTitle id="picker-title">From the locker</DialogTitle>
      <DialogContent>
        <TextField
          label="Find by name, kind or need"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          fullWidth
          autoFocus
          sx={{ mt: 1, mb: 1 }}
        />
        {references.items.length === 0 && (
          <Link component={RouterLink} to="/locker">
            The locker is empty. Put in what you own.
          </Link>
        )}
        {references.items.length > 0 && shown.length === 0 && (
          <Typography>Nothing fits these words.</Typography>
        )}
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {shown.slice(0, MOST_SHOWN).map((item) => {
            const state = itemState(item, doc.brief.date);
            const asked = kinds[item.kind].means
              .filter((id) => open.has(id))
              .map((id) => catalogue[id].title);
            return (
              <Box component="li" key={item.id} sx={{ borderBottom: 1, borderColor: 'divider' }}>
                <FormControlLabel
                  sx={{ width: '100%', mr: 0 }}
                  control={
                    <Checkbox
                      checked={aboard.has(item.id)}
                      onChange={(_, on) => edit((outing) => withItem(outing, item.id, on ? 1 : 0))}
                    />
                  }
                  label={
                    <>
                      {item.name}
                      <Box component="span" sx={{ typography: 'caption', color: 'text.secondary' }}>
                        {' '}
                        {mass(item.massKg)}
                        {asked.length > 0 && ` · open: ${asked.join(', ')}`}
                      </Box>
                      {!state.sound && (
                        <Box component="span" sx={{ typography: 'caption', color: 'error.main' }}>
                          {' '}
                          · {state.words}
                        </Box>
                      )}
                    </>
                  }
                />
              </Box>
            );
          })}
        </Box>
        {shown.length > MOST_SHOWN && (
          <Typography variant="body2" color="textSecondary" sx={{ mt: 1 }}>
            and {shown.length - MOST_SHOWN} more. Write a word to find them.
          </Typography>
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Typography variant="caption" color="textSecondary" sx={{ mr: 'auto' }}>
          {doc.loadout.length} things aboard, {mass(assessment.gearKg)}
        </Typography>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}
