import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { sayChanges } from '#core/signing/sayChanges';
import { LevelMark } from '../ui/LevelMark';
import { useOutingWorkspace } from './outingWorkspace';

/**
 * On every station: that what was signed no longer stands, what changed first, and the way to the card that
 * says all of it.
 */
export function StaleLine() {
  const { doc, changes } = useOutingWorkspace();
  const [first] = sayChanges(changes ?? []);
  if (first === undefined) return null;
  return (
    <Box
      role="status"
      sx={{
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        px: { xs: 2, sm: 3 },
        py: 1,
        borderTop: 1,
        borderColor: 'divider',
      }}
    >
      <LevelMark level="mind" />
      <Typography variant="body2">
        <strong>No longer as signed.</strong> {first}{' '}
        <Link component={RouterLink} to={`/outings/${doc.id}/walk-round`}>
          What changed, and signing again
        </Link>
      </Typography>
    </Box>
  );
}
