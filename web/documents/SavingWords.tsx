import Typography from '@mui/material/Typography';
import { clockAt } from '#core/units/time';
import type { Saving } from './DocumentEditor';
import { byClock } from '#core/units/clockWords';

/** How far the newest change has come, in words, by the clock of the water it is for, else of this device. */
export function SavingWords({
  saving,
  unfit = null,
  zone = 'local',
}: {
  saving: Saving;
  unfit?: string | null;
  zone?: string;
}) {
  const trouble = unfit !== null || saving.is === 'refused' || saving.is === 'waiting';
  return (
    <Typography
      variant="caption"
      role="status"
      data-usual={byClock('kept at 00:00')}
      sx={{
        color: trouble ? 'error.main' : 'text.secondary',
        maxWidth: 340,
        // As wide as what it says most, so that nothing beside it is set anew, or pushed down, with each
        // change.
        '&::after': {
          content: 'attr(data-usual)',
          display: 'block',
          height: 0,
          overflow: 'hidden',
          visibility: 'hidden',
        },
      }}
    >
      {unfit === null ? saysSaving(saving, zone) : `Not kept: ${unfit}`}
    </Typography>
  );
}

function saysSaving(saving: Saving, zone: string): string {
  switch (saving.is) {
    case 'kept':
      return byClock(`kept at ${clockAt(saving.at, zone)}`);
    case 'pending':
      return 'keeping';
    case 'waiting':
      return `Not kept yet. ${saving.why} It is held on this device and tried again.`;
    case 'refused':
      return `Not kept: ${saving.why}`;
    case 'conflict':
      return 'changed in two windows';
  }
}
