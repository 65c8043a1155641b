import CloseOutlined from '@mui/icons-material/CloseOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { withItem } from '#core/editing/edit';
import type { Aboard as Line } from '#core/documents/references';
import { mass } from '#core/units/amount';
import { useToast } from '../../../ui/Toast';
import { useOutingWorkspace } from '../../outingWorkspace';
import { LockerPicker } from './LockerPicker';

/** What is aboard, all told: what it weighs, how many of each, and what is carried for nothing. */
export function Aboard() {
  const { looked, assessment } = useOutingWorkspace();
  const [choosing, setChoosing] = useState(false);
  const unneeded = new Set(assessment.unneeded);
  const working = looked.aboard.filter(({ item }) => !unneeded.has(item.id));
  const idle = looked.aboard.filter(({ item }) => unneeded.has(item.id));
  const { carriedKg, gearKg } = assessment;
  return (
    <Box component="section" aria-labelledby="aboard">
      <Typography variant="h2" id="aboard">
        Aboard
      </Typography>
      <Typography variant="caption" color="textSecondary" component="p">
        {mass(gearKg)} of gear
        {carriedKg !== null &&
          looked.craft &&
          `; with you and the catch ${mass(carriedKg)} of ${mass(looked.craft.ratedLoadKg)} rated`}
      </Typography>
      <Button variant="contained" onClick={() => setChoosing(true)} sx={{ my: 1.5 }} fullWidth>
        Choose from the locker
      </Button>
      {looked.aboard.length === 0 && <Typography color="textSecondary">Nothing yet.</Typography>}
      <Lines lines={working} grey={false} />
      {idle.length > 0 && (
        <>
          <Typography variant="h3" sx={{ mt: 3 }}>
            Passengers
          </Typography>
          <Typography variant="caption" color="textSecondary">
            aboard, meeting no need of this outing
          </Typography>
          <Lines lines={idle} grey />
        </>
      )}
      {choosing && <LockerPicker onClose={() => setChoosing(false)} />}
    </Box>
  );
}

function Lines({ lines, grey }: { lines: readonly Line[]; grey: boolean }) {
  const { edit, editor } = useOutingWorkspace();
  const say = useToast();
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {lines.map(({ item, entry }) => {
        const set = (quantity: number) => edit((outing) => withItem(outing, item.id, quantity));
        return (
          <Box
            component="li"
            key={item.id}
            sx={{
              display: 'flex',
              alignItems: 'center',
              borderBottom: 1,
              borderColor: 'divider',
              color: grey ? 'text.secondary' : 'text.primary',
            }}
          >
            <Typography variant="body2" sx={{ flex: 1, minWidth: 0, py: 0.5 }}>
              {item.name}
            </Typography>
            {item.quantity > 1 && (
              <>
                <IconButton
                  size="small"
                  onClick={() => set(entry.quantity - 1)}
                  disabled={entry.quantity <= 1}
                  aria-label={`One fewer: ${item.name}`}
                  sx={step}
                >
                  −
                </IconButton>
                <Typography
                  variant="body2"
                  component="span"
                  aria-label={`${entry.quantity} of ${item.quantity} owned`}
                >
                  {entry.quantity}
                </Typography>
                <IconButton
                  size="small"
                  onClick={() => set(entry.quantity + 1)}
                  disabled={entry.quantity >= item.quantity}
                  aria-label={`One more: ${item.name}`}
                  sx={step}
                >
                  +
                </IconButton>
              </>
            )}
            <Typography variant="body2" color="textSecondary" sx={{ width: 56, textAlign: 'right' }}>
              {mass(item.massKg * entry.quantity)}
            </Typography>
            <IconButton
              onClick={() => {
                set(0);
                say(`Left ashore: ${item.name}.`, { name: 'Undo', run: editor.undo });
              }}
              aria-label={`Leave ashore: ${item.name}`}
            >
              <CloseOutlined sx={{ fontSize: 16 }} />
            </IconButton>
          </Box>
        );
      })}
    </Box>
  );
}

const step = { minWidth: 28, width: 28, fontSize: '1rem' } as const;
