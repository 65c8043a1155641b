import Box from '@mui/material/Box';
import { NavLink } from 'react-router';

/** Links to the parts of a place, each an address of its own; they wrap where there is no room. */
export function PartLinks({
  label,
  parts,
}: {
  label: string;
  parts: readonly { to: string; name: string }[];
}) {
  return (
    <Box
      component="nav"
      aria-label={label}
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
          end
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
  );
}
