import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { TallyStrokes } from '../../ui/TallyStrokes';
import type { SummaryPage } from './queries';

interface Props {
  house: SummaryPage['house'];
  outings: number;
  onOuting: () => void;
  busy: boolean;
}

/** Things owned from which a kit can be proposed at all. */
const ENOUGH_THINGS = 12;

/** The five things an outing is judged from, each on one page, in any order; it stays until all are there. */
export function FirstEvening({ house, outings, onOuting, busy }: Props) {
  const cards = [
    {
      done: house.profile !== null,
      name: 'You',
      text: 'What you weigh, how you swim, who waits ashore.',
      to: '/first/you',
    },
    { done: house.boats > 0, name: 'Your boat', text: 'By its picture and five numbers.', to: '/first/boat' },
    {
      done: house.waters > 0,
      name: 'Your water',
      text: 'Where you launch and where you go.',
      to: '/first/water',
    },
    {
      done: house.things >= ENOUGH_THINGS,
      name: 'What you own',
      text:
        house.things > 0
          ? `${house.things} things so far.`
          : 'Ticked from a list; figures come by themselves.',
      to: '/locker/own',
    },
    {
      done: outings > 0,
      name: 'The outing',
      text: 'Day, hours, fish: it is judged as you say it.',
      to: null,
    },
  ];
  const counted = cards.filter(({ done }) => done).length;
  if (counted === cards.length) return null;
  return (
    <Box component="section" aria-label="The first evening" sx={{ mb: 4 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1 }}>
        <Typography variant="h2">The first evening</Typography>
        <TallyStrokes counted={counted} of={cards.length} />
      </Box>
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          m: 0,
          p: 0,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'repeat(auto-fit, minmax(190px, 1fr))' },
          gap: 1.5,
        }}
      >
        {cards.map(({ done, name, text, to }) => (
          <Box
            key={name}
            component="li"
            sx={{
              borderTop: 3,
              borderColor: done ? 'divider' : 'text.primary',
              pt: 1,
              color: done ? 'text.secondary' : 'text.primary',
            }}
          >
            {to !== null ? (
              <Link
                component={RouterLink}
                to={to}
                sx={{ typography: 'h3', display: 'block', py: 0.75, color: 'inherit' }}
              >
                {name}
              </Link>
            ) : (
              <Button variant="outlined" onClick={onOuting} disabled={busy} sx={{ mb: 0.5 }}>
                {name}
              </Button>
            )}
            <Typography variant="body2" color="textSecondary">
              {done ? 'Done. ' : ''}
              {text}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
