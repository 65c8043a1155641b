import Box from '@mui/material/Box';
import { NavLink, Outlet } from 'react-router';
import { Page } from '../../ui/Page';

const parts = [
  { to: '/reference/species', name: 'Species' },
  { to: '/reference/needs', name: 'Needs' },
  { to: '/reference/rules', name: 'Rules' },
  { to: '/reference/limits', name: 'Limits' },
  { to: '/reference/procedures', name: 'Procedures' },
  { to: '/reference/practice', name: 'Practice' },
  { to: '/reference/words', name: 'Words' },
] as const;

/**
 * What is looked up: the fish, what outings ask for, the law as far as it is held here, and where practice
 * differs.
 */
export function ReferenceScreen() {
  return (
    <Page
      title="Reference"
      lead="Usual practice, rounded. The law of the place and those who know it come first."
    >
      <Box
        component="nav"
        aria-label="Parts of the reference"
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          columnGap: { xs: 2, sm: 3 },
          borderBottom: 1,
          borderColor: 'text.primary',
          mb: 2.5,
        }}
      >
        {parts.map(({ to, name }) => (
          <Box
            key={to}
            component={NavLink}
            to={to}
            sx={{
              color: 'text.secondary',
              textDecoration: 'none',
              py: 1.25,
              borderBottom: '3px solid transparent',
              '&.active': { color: 'text.primary', fontWeight: 700, borderColor: 'text.primary' },
            }}
          >
            {name}
          </Box>
        ))}
      </Box>
      <Outlet />
    </Page>
  );
}
