import Link from '@mui/material/Link';
import { Link as RouterLink } from 'react-router';
import { BackupMind } from '../../documents/BackupMind';
import { useBackups } from '../../documents/backups';

/** Above the outings: a week without a backup, or the last one in vain. */
export function BackupNotice() {
  const { data } = useBackups();
  if (!data || (!data.minded && data.trouble === '')) return null;
  return (
    <BackupMind state={data}>
      <Link component={RouterLink} to="/settings/data">
        Settings
      </Link>
    </BackupMind>
  );
}
