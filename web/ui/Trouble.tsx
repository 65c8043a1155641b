import Typography from '@mui/material/Typography';

/** What stood in the way of what was asked for, said at once; nothing: nothing did. */
export function Trouble({ text }: { text: string | null }) {
  if (text === null || text === '') return null;
  return (
    <Typography role="alert" color="error">
      {text}
    </Typography>
  );
}
