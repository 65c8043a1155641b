import BackpackOutlined from '@mui/icons-material/BackpackOutlined';
import DirectionsBoatOutlined from '@mui/icons-material/DirectionsBoatOutlined';
import FormatListBulletedOutlined from '@mui/icons-material/FormatListBulletedOutlined';
import MenuBookOutlined from '@mui/icons-material/MenuBookOutlined';
import TuneOutlined from '@mui/icons-material/TuneOutlined';
import WavesOutlined from '@mui/icons-material/WavesOutlined';
import Box from '@mui/material/Box';
import { NavLink, Outlet, useMatch } from 'react-router';
import { NewerVersion } from './NewerVersion';
import { TallyStrokes } from '../ui/TallyStrokes';
import { screenOnly } from '../ui/screenOnly';

const places = [
  { to: '/outings', name: 'Outings', Icon: FormatListBulletedOutlined },
  { to: '/locker', name: 'Locker', Icon: BackpackOutlined },
  { to: '/boats', name: 'Boats', Icon: DirectionsBoatOutlined },
  { to: '/waters', name: 'Waters', Icon: WavesOutlined },
  { to: '/reference', name: 'Reference', Icon: MenuBookOutlined },
  { to: '/settings', name: 'Settings', Icon: TuneOutlined },
] as const;

/** The slim rail at the left (at the foot on a phone) and the place it leads to. */
export function Shell() {
  const walking = useMatch('/outings/:id/walk-round') !== null;
  return (
    <Box sx={{ display: 'flex', flexDirection: { xs: 'column', sm: 'row' }, minHeight: '100dvh' }}>
      <Box
        component="a"
        href="#content"
        sx={{
          position: 'absolute',
          left: -9999,
          p: 1,
          bgcolor: 'background.paper',
          zIndex: 20,
          '&:focus': { left: 8, top: 8 },
        }}
      >
        To the content
      </Box>
      <Box
        component="nav"
        aria-label="Places"
        {...screenOnly}
        sx={{
          display: { xs: walking ? 'none' : 'flex', sm: 'flex' },
          flexDirection: { xs: 'row', sm: 'column' },
          order: { xs: 2, sm: 0 },
          position: 'sticky',
          bottom: { xs: 0, sm: 'auto' },
          top: { sm: 0 },
          height: { sm: '100dvh' },
          width: { sm: 76 },
          flexShrink: 0,
          justifyContent: { xs: 'space-around', sm: 'flex-start' },
          bgcolor: 'background.default',
          borderRight: { sm: 1 },
          borderTop: { xs: 1, sm: 0 },
          borderColor: { xs: 'divider', sm: 'divider' },
          zIndex: 10,
        }}
      >
        <Box
          sx={{ display: { xs: 'none', sm: 'flex' }, justifyContent: 'center', pt: 2, pb: 1.5 }}
          aria-hidden
        >
          <TallyStrokes counted={5} of={5} size={24} bare />
        </Box>
        {places.map(({ to, name, Icon }) => (
          <Box
            key={to}
            component={NavLink}
            to={to}
            sx={{
              display: 'flex',
              flexDirection: 'column',
              alignItems: 'center',
              justifyContent: 'center',
              gap: 0.5,
              minHeight: 60,
              minWidth: { xs: 52, sm: 60 },
              fontSize: { xs: '0.74rem', sm: '0.8rem' },
              textDecoration: 'none',
              color: 'text.secondary',
              mt: { sm: name === 'Settings' ? 'auto' : 0 },
              mb: { sm: name === 'Settings' ? 2 : 0 },
              '&.active': { color: 'text.primary', fontWeight: 700 },
            }}
          >
            <Icon sx={{ fontSize: 22 }} aria-hidden />
            {name}
          </Box>
        ))}
      </Box>
      <Box
        id="content"
        tabIndex={-1}
        sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', outline: 'none' }}
      >
        <NewerVersion />
        <Outlet />
      </Box>
    </Box>
  );
}
