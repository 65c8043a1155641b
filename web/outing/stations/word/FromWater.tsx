import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { CheckInKind } from '#core/documents/checkIn';
import { sayMoment, sayStatus, whatToDo } from '#core/floatplan/status';
import { HOUR_MS } from '#core/units/time';
import { plural } from '#core/units/words';
import { useOutingWorkspace } from '../../outingWorkspace';
import type { Word } from './useWord';

/** Hours that one may stay longer by one press. */
const LONGER_H = [1, 2, 3] as const;
/** So far from the launch that was planned it is asked whether one is afloat, h. */
const FAR_OFF_H = 6;

/** How the plan stands, and what is said from the water: one press each, with or without a network. */
export function FromWater({ word }: { word: Word }) {
  const { now } = useOutingWorkspace();
  const [longer, setLonger] = useState(false);
  const [sure, setSure] = useState(false);
  const { left, status } = word;
  if (!left || !status) return null;
  const { plan } = left;
  const { title, text } = sayStatus(plan, status, now);
  const loud = status.state === 'overdue' || status.state === 'late';
  const press = (what: CheckInKind, homeBy: number | null = null) => {
    word.checkIn(what, homeBy);
    setLonger(false);
    setSure(false);
  };
  const launchAt = Date.parse(plan.times.launchAt);
  // Pressed by mistake days ahead, whoever waits would take it for true.
  const isFarOff = Math.abs(now - launchAt) > FAR_OFF_H * HOUR_MS;
  const big = { minHeight: 56, flex: { xs: '1 1 100%', sm: '0 1 auto' } } as const;
  return (
    <Box
      component="section"
      aria-label="From the water"
      sx={{
        border: loud ? 3 : 1,
        borderColor: loud ? 'error.main' : 'divider',
        borderRadius: 1,
        p: 2,
        display: 'grid',
        gap: 1,
      }}
    >
      <Box role="status">
        <Typography variant="h3" component="h2" color={loud ? 'error' : 'textPrimary'}>
          {title}
        </Typography>
        <Typography>{text}</Typography>
      </Box>
      {loud && (
        <Box component="ol" sx={{ m: 0, pl: 3 }}>
          {whatToDo(plan, status, now).map((one) => (
            <li key={one}>{one}</li>
          ))}
        </Box>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {status.heard === null && (
          <Button variant="contained" sx={big} onClick={() => (isFarOff ? setSure(true) : press('afloat'))}>
            Afloat now
          </Button>
        )}
        {status.state !== 'home' && (
          <>
            <Button
              variant={status.heard === null ? 'outlined' : 'contained'}
              sx={big}
              aria-expanded={longer}
              onClick={() => setLonger(!longer)}
            >
              Still well, home by …
            </Button>
            <Button variant="outlined" sx={big} onClick={() => press('home')}>
              Home
            </Button>
          </>
        )}
        {status.heard !== null && (
          <Button sx={big} onClick={() => press('taken back')}>
            Take the last one back
          </Button>
        )}
      </Box>
      {sure && (
        <Box role="group" aria-label="Afloat now?" sx={{ display: 'grid', gap: 1 }}>
          <Typography>{`By the plan the launch is at ${sayMoment(launchAt, plan.zone, now)}. Are you afloat now?`}</Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            <Button variant="outlined" sx={big} onClick={() => press('afloat')}>
              Yes, afloat now
            </Button>
            <Button sx={big} onClick={() => setSure(false)}>
              No
            </Button>
          </Box>
        </Box>
      )}
      {longer && (
        <Box role="group" aria-label="Home by" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button variant="outlined" sx={big} onClick={() => press('well')}>
            {`As before, ${sayMoment(status.homeAt, plan.zone, now)}`}
          </Button>
          {LONGER_H.map((hours) => {
            const at = Math.max(status.homeAt, now) + hours * HOUR_MS;
            return (
              <Button key={hours} variant="outlined" sx={big} onClick={() => press('well', at)}>
                {`${sayMoment(at, plan.zone, now)}, ${hours} h later`}
              </Button>
            );
          })}
        </Box>
      )}
      {word.waiting > 0 && (
        <Typography variant="caption" color={word.refused === null ? 'textSecondary' : 'error'} role="status">
          {`${word.waiting} ${plural(word.waiting, 'word')} kept on this device, not yet on the server${word.refused === null ? '; whoever waits has not read it' : `. ${word.refused}`}.`}{' '}
          {word.refused !== null && <Button onClick={word.sendAgain}>Send again</Button>}
        </Typography>
      )}
    </Box>
  );
}
