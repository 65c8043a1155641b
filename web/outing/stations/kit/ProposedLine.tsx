import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';

interface ProposedLineProps {
  sign: '+' | '−' | '';
  name: string;
  why: string;
  right: string;
  action: { name: string; label: string; run: () => void } | null;
}
/** One line of a proposal: what, why, how much, and the button that does it. */
export function ProposedLine({ sign, name, why, right, action }: ProposedLineProps) {
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        borderBottom: 1,
        borderColor: 'divider',
        minHeight: 48,
        gap: 1,
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0, py: 0.5 }}>
        <Typography variant="body2" sx={{ overflowWrap: 'anywhere' }}>
          {sign} {name}
        </Typography>
        <Typography variant="caption" color="textSecondary" component="p" sx={{ lineHeight: 1.25 }}>
          {why}
        </Typography>
      </Box>
      <Typography variant="caption" color="textSecondary" sx={{ whiteSpace: 'nowrap' }}>
        {right}
      </Typography>
      {action && (
        <Button size="small" onClick={action.run} aria-label={action.label} sx={{ minWidth: 0, px: 0.5 }}>
          {action.name}
        </Button>
      )}
    </Box>
  );
}
