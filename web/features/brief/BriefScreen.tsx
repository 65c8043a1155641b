import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { sayExposures } from '#core/findings/phraseExposures';
import { useDesk } from '../outing/desk';
import { ConditionsTable } from './ConditionsTable';
import { Sentence } from './Sentence';

/** Settled here: for what, where, when, with whom, and what that exposes one to. What would annoy: a form of twenty fields. */
export function BriefScreen() {
  const { assessment } = useDesk();
  const exposed = sayExposures(assessment.exposures);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 3, maxWidth: 900 }}>
      <Sentence />
      <ConditionsTable />
      <Box component="section" aria-labelledby="exposed">
        <Typography variant="h2" id="exposed" sx={{ mb: 1 }}>
          What that means
        </Typography>
        {exposed.length === 0 && (
          <Typography color="textSecondary">Fill the sentence: what follows from it appears here.</Typography>
        )}
        <Box
          component="dl"
          sx={{ m: 0, display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, columnGap: 4 }}
        >
          {exposed.map(({ id, title, text }) => (
            <Box key={id} sx={{ borderTop: 1, borderColor: 'divider', py: 1.25 }}>
              <Box component="dt" sx={{ fontWeight: 700 }}>
                {title}
              </Box>
              <Box component="dd" sx={{ m: 0, typography: 'body2' }}>
                {text}
              </Box>
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
}
