import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { byClock } from '#core/units/clockWords';
import { dateAt, dayInWords } from '#core/units/time';
import { useAlongList } from '../../people/party';
import { useNow } from '../../ui/useNow';

/** What others asked one along to and one has not yet come along to. */
export function AlongList() {
  const { data = [] } = useAlongList();
  const today = dateAt(useNow(), 'local');
  const open = data.filter(({ coming, date }) => coming === 'asked' && date >= today);
  if (open.length === 0) return null;
  return (
    <Box component="section" aria-label="Asked along" sx={{ mb: 4 }}>
      <Typography variant="caption" component="h2" color="textSecondary">
        Asked along
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, borderBottom: 1, borderColor: 'divider' }}>
        {open.map(({ id, by, title, date, launchAt, homeAt, water }) => (
          <Box component="li" key={id} sx={{ borderTop: 1, borderColor: 'divider', py: 1.5 }}>
            <Typography variant="h3" component="h3">
              <Link
                component={RouterLink}
                to={`/along/${id}`}
                color="textPrimary"
                sx={{ overflowWrap: 'anywhere' }}
              >
                {title}
              </Link>
            </Typography>
            <Typography color="textSecondary" variant="body2">
              {[`by ${by}`, dayInWords(date), byClock(`${launchAt} to ${homeAt}`), water]
                .filter(Boolean)
                .join(' · ')}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
