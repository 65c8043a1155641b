import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { sayBytes } from '#core/units/amount';
import { capital, count as inWords, plural } from '#core/units/words';
import { ApiError } from '../documents/api';
import { Loaded } from '../documents/Loaded';
import { useToast } from '../ui/Toast';
import { BackupMind } from '../documents/BackupMind';
import { type BackupState, useBackups } from '../documents/backups';
import { dayAndHour } from './dayAndHour';

/**
 * Settled here: whether all of this would be there again tomorrow. What would annoy: a light that says so
 * when it is not.
 */
export function Backups() {
  const { data, error, make } = useBackups();
  const [busy, setBusy] = useState(false);
  const say = useToast();
  const now = async () => {
    setBusy(true);
    try {
      await make();
      say('Backed up: it was written, and read back.');
    } catch (failure) {
      say(failure instanceof ApiError ? failure.message : 'No backup could be made.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box
      component="section"
      aria-labelledby="backups-heading"
      sx={{ display: 'grid', gap: 1, maxWidth: 700 }}
    >
      <Typography variant="h2" id="backups-heading">
        Backups
      </Typography>
      <Loaded data={data} error={error}>
        {(state) => (
          <>
            <BackupMind state={state} />
            <Typography role="status">{sayBackups(state)}</Typography>
            {state.on && (
              <Button
                variant="outlined"
                onClick={() => void now()}
                disabled={busy}
                sx={{ justifySelf: 'start' }}
              >
                Back up now
              </Button>
            )}
            <Typography variant="body2" color="textSecondary">
              They lie on the machine that serves this. A copy somewhere else outlives that machine; how one
              is put back stands in docs/running.md.
            </Typography>
          </>
        )}
      </Loaded>
    </Box>
  );
}

function sayBackups({ on, last, count }: BackupState): string {
  if (!on) return 'Nothing is backed up. TALLY_BACKUPS says into which folder it is to be.';
  if (!last) return 'The first backup is made within a few minutes, and then one each day.';
  return `The last: ${dayAndHour(last.at)}, ${sayBytes(last.bytes)}. ${capital(inWords(count))} ${plural(count, 'is', 'are')} kept, and one is made each day.`;
}
