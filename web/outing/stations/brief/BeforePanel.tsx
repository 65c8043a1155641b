import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { beforeLaunch } from '#core/floatplan/before';
import { byClock } from '#core/units/clockWords';
import { clockAt, dateAt, dayInWords } from '#core/units/time';
import { useOutingWorkspace } from '../../outingWorkspace';

/** Settled here: when the alarm is set, and what is done the day before. What would annoy: sums at night. */
export function BeforePanel({ onClose }: { onClose: () => void }) {
  const { doc, looked } = useOutingWorkspace();
  const list = beforeLaunch(doc, looked);
  const zone = looked.water?.timeZone ?? 'local';
  const untold = looked.angler?.times.driveMin === null;
  return (
    <Box
      component="section"
      aria-label="Before the launch"
      sx={{ border: 1, borderColor: 'text.primary', borderRadius: 1, p: 1.5 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
        <Typography role="status" sx={{ flex: 1, minWidth: 200 }}>
          {list === null ? 'Water, launch and hours are wanted first.' : 'Backwards from the launch:'}
          {untold && (
            <>
              {' '}
              <Link component={RouterLink} to="/settings/limits">
                Say how long you drive
              </Link>
              , and the alarm is worked out too.
            </>
          )}
        </Typography>
        <Button size="small" onClick={onClose}>
          Close
        </Button>
      </Box>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {(list ?? []).map(({ at, what, why }) => {
          const date = dateAt(at, zone);
          return (
            <Box
              component="li"
              key={what}
              sx={{
                display: 'grid',
                gridTemplateColumns: {
                  xs: '68px minmax(0, 1fr)',
                  sm: '68px minmax(0, 1fr) minmax(0, 1.4fr)',
                },
                columnGap: 1.5,
                borderTop: 1,
                borderColor: 'divider',
                py: 0.5,
                fontSize: '0.92rem',
              }}
            >
              <b>{byClock(clockAt(at, zone))}</b>
              <b>
                {what}
                {date !== doc.brief.date && `, ${dayInWords(date)}`}
              </b>
              <Box sx={{ color: 'text.secondary', gridColumn: { xs: 2, sm: 3 } }}>{why}</Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
