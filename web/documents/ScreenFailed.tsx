import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { loadNewest, useNewerServed } from '../offline/build';
import { useReach } from '../offline/reach';

/** In the place of a screen that did not come or failed; what is around it stays. */
export function ScreenFailed() {
  const newer = useNewerServed();
  const reached = useReach() && navigator.onLine;
  const navigate = useNavigate();
  const { title, text } = words(newer, reached);
  return (
    <Box sx={{ p: { xs: 0, sm: 1 }, maxWidth: 560 }}>
      <Typography variant="h2" component="h1" sx={{ mb: 2 }}>
        {title}
      </Typography>
      <Typography sx={{ mb: 2 }}>{text}</Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        {/* Without a network a page that is loaded anew may not open at all. */}
        {reached && (
          <Button variant="contained" onClick={() => void loadNewest()}>
            {newer ? 'Load the newer version' : 'Load again'}
          </Button>
        )}
        <Button variant={reached ? 'text' : 'contained'} onClick={() => void navigate(-1)}>
          Back
        </Button>
      </Box>
    </Box>
  );
}

function words(newer: boolean, reached: boolean): { title: string; text: string } {
  if (!reached)
    return {
      title: 'This screen is not on this device',
      text: 'It opens when there is a network. What you wrote is kept, and the other screens of this page go on.',
    };
  if (newer)
    return {
      title: 'A newer version of the program is here',
      text: 'This screen comes with it. What you wrote is kept.',
    };
  return {
    title: 'This screen failed',
    text: 'What you wrote is kept. Load the screen again; if it fails again, start the server anew.',
  };
}
