import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

/** Recovery codes, shown once. */
export function Codes({ codes }: { codes: readonly string[] }) {
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography>
        Write these down, and keep them where your other papers are. Each makes a new password once, should
        yours be lost. They are not shown again.
      </Typography>
      <Box
        component="ul"
        aria-label="Recovery codes"
        sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}
      >
        {codes.map((code) => (
          <Box component="li" key={code} sx={{ fontSize: '1.15rem', fontVariantNumeric: 'tabular-nums' }}>
            {code}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
