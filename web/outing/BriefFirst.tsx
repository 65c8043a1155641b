import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { useOutingWorkspace } from './outingWorkspace';

/** What a station is made from is not written yet, and where it is. */
export function BriefFirst({ why }: { why: string }) {
  const { doc } = useOutingWorkspace();
  return (
    <Typography>
      {why} Fill the{' '}
      <Link component={RouterLink} to={`/outings/${doc.id}/brief`}>
        brief
      </Link>{' '}
      first.
    </Typography>
  );
}
