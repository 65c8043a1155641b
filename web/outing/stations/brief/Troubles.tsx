import Alert from '@mui/material/Alert';

/** What of a file could not be taken, line by line. */
export function Troubles({ lines, onClose }: { lines: readonly string[]; onClose?: () => void }) {
  return (
    <Alert severity="warning" variant="outlined" {...(onClose && { onClose })} sx={{ width: '100%' }}>
      {lines.map((line) => (
        <div key={line}>{line}</div>
      ))}
    </Alert>
  );
}
