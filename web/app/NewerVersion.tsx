import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { screenOnly } from '../ui/screenOnly';
import { loadNewest, useNewerServed } from '../offline/build';

/**
 * Says that the server has a newer version of the program since this page was opened. It is offered, and
 * never forced.
 */
export function NewerVersion() {
  if (!useNewerServed()) return null;
  return (
    <Box
      role="status"
      {...screenOnly}
      sx={{
        display: 'flex',
        alignItems: 'center',
        flexWrap: 'wrap',
        gap: 1,
        px: { xs: 2, sm: 3 },
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
        fontSize: '0.9rem',
      }}
    >
      A newer version of the program is here. What you wrote is kept.
      <Button size="small" onClick={() => void loadNewest()}>
        Load it
      </Button>
    </Box>
  );
}
