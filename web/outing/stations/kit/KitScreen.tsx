import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { purposeIds, purposes, needsByPurpose } from '#core/vocabulary/needs';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Aboard } from './Aboard';
import { NeedRow } from './NeedRow';
import { Party } from './Party';
import { Proposal } from './Proposal';

/**
 * Settled here: what meets each need, and what is carried for nothing. What would annoy: a packing list that
 * hides why.
 */
export function KitScreen() {
  const { assessment, looked } = useOutingWorkspace();
  if (!looked.water)
    return (
      <Typography>
        Say in the brief where you launch. What this outing needs is counted from there.
      </Typography>
    );
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 268px' },
        gridTemplateRows: { lg: 'auto 1fr' },
        columnGap: 3.5,
        rowGap: { xs: 3, lg: 0 },
      }}
    >
      {/* First on a phone, where it would else lie under sixty needs. */}
      <Box sx={{ minWidth: 0, gridColumn: { lg: 2 } }}>
        <Proposal />
      </Box>
      <Box sx={{ minWidth: 0, gridColumn: { lg: 1 }, gridRow: { lg: '1 / span 2' } }}>
        {purposeIds.map((purpose) => {
          const ids: readonly string[] = needsByPurpose[purpose];
          const needs = assessment.needs.filter((need) => ids.includes(need.id));
          if (needs.length === 0) return null;
          const met = needs.filter((need) => need.met).length;
          return (
            <Box component="section" key={purpose} sx={{ mb: 3 }} aria-labelledby={`purpose-${purpose}`}>
              <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mb: 0.5 }}>
                <Typography variant="h2" id={`purpose-${purpose}`}>
                  {purposes[purpose]}
                </Typography>
                <Typography variant="caption" color="textSecondary">
                  {met} of {needs.length} counted
                </Typography>
              </Box>
              <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
                {needs.map((need) => (
                  <NeedRow key={need.id} need={need} />
                ))}
              </Box>
            </Box>
          );
        })}
      </Box>
      <Box sx={{ minWidth: 0, gridColumn: { lg: 2 } }}>
        <Party />
        <Aboard />
      </Box>
    </Box>
  );
}
