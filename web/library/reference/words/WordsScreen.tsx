import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { termIds, terms } from '#core/vocabulary/terms';
import { capital } from '#core/units/words';

const inOrder = termIds.toSorted((a, b) => terms[a].name.localeCompare(terms[b].name, 'en'));

/**
 * Settled here: what a word means. What would annoy: having to leave the sum for it, so each explains itself
 * there too.
 */
export function WordsScreen() {
  return (
    <Box sx={{ maxWidth: 820 }}>
      <Typography sx={{ mb: 2 }}>
        Words that the screens use. Where they stand dotted, they explain themselves.
      </Typography>
      <Box component="dl" sx={{ m: 0 }}>
        {inOrder.map((id) => (
          <Box key={id} sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}>
            <Box component="dt" sx={{ fontWeight: 700 }}>
              {capital(terms[id].name)}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {terms[id].means}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
