import Link from '@mui/material/Link';
import { Link as RouterLink } from 'react-router';

export function Empty({ to, text }: { to: string; text: string }) {
  return (
    <Link component={RouterLink} to={to} sx={{ py: 1 }}>
      {text}
    </Link>
  );
}
