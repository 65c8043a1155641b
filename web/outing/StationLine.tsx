import Box from '@mui/material/Box';
import { memo } from 'react';
import { NavLink } from 'react-router';
import { TallyStrokes } from '../ui/TallyStrokes';
import { stationIds, stations } from '#core/vocabulary/stations';
import { useOutingWorkspace } from './outingWorkspace';
import { screenOnly } from '../ui/screenOnly';

/** So many strokes are drawn smaller, or the line is longer than the page. */
const MANY = 25;

/** The stations in the order people work, each with its strokes. Any can be opened at any time. */
export const StationLine = memo(function StationLine() {
  const { doc, assessment } = useOutingWorkspace();
  const list = stationIds.map((id) => ({ to: id, name: stations[id].name, tally: assessment.tallies[id] }));
  return (
    <Box
      component="nav"
      aria-label="Stations"
      {...screenOnly}
      sx={{
        display: 'flex',
        gap: { xs: 0.5, sm: 2, lg: 2.5 },
        px: { xs: 2, sm: 3 },
        mt: 0.5,
      }}
    >
      {list.map(({ to, name, tally }) => (
        <Box
          key={to}
          component={NavLink}
          to={`/outings/${doc.id}/${to}`}
          sx={{
            // On a phone seven stand side by side, the longer names in two lines.
            display: 'flex',
            flexDirection: 'column',
            justifyContent: 'space-between',
            flex: { xs: 1, sm: 'none' },
            minHeight: 52,
            pt: 0.5,
            fontSize: { xs: '0.8rem', sm: '1rem' },
            whiteSpace: { xs: 'normal', sm: 'nowrap' },
            lineHeight: { xs: 1.15, sm: 1.5 },
            color: 'text.secondary',
            textDecoration: 'none',
            borderBottom: '3px solid transparent',
            '&.active': { color: 'text.primary', fontWeight: 700, borderColor: 'text.primary' },
          }}
        >
          {name}
          <Box sx={{ display: { xs: 'none', lg: 'block' }, fontWeight: 400 }}>
            <TallyStrokes counted={tally.counted} of={tally.of} size={tally.of > MANY ? 6.5 : 10} />
          </Box>
          <Box sx={{ display: { xs: 'block', lg: 'none' }, typography: 'caption', fontWeight: 400 }}>
            {tally.counted}
            <Box
              component="span"
              // Read as "of" everywhere; on a phone there is room for a stroke alone.
              sx={{
                fontSize: { xs: 0, sm: 'inherit' },
                '&::before': { content: { xs: '"/"', sm: '""' }, fontSize: '0.8rem' },
              }}
            >
              {' of '}
            </Box>
            {tally.of}
          </Box>
        </Box>
      ))}
    </Box>
  );
});
