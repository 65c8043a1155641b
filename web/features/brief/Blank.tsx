import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';

interface Props {
  /** What the blank asks for. */
  asks: string;
  /** What stands in it; empty: nothing yet. */
  text: string;
  children: (close: () => void) => ReactNode;
}

/** A blank in the sentence: opened, filled, closed. */
export function Blank({ asks, text, children }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const open = text === '';
  const close = () => setAnchor(null);
  return (
    <>
      <ButtonBase
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        aria-label={open ? `${asks}: not said yet` : `${asks}: ${text}`}
        sx={{
          font: 'inherit',
          display: 'inline',
          verticalAlign: 'baseline',
          textAlign: 'left',
          color: open ? 'error.main' : 'primary.main',
          borderBottom: 2,
          borderBottomStyle: open ? 'dashed' : 'solid',
          borderColor: 'currentColor',
          borderRadius: 0,
          py: 0.25,
          lineHeight: 1.2,
          overflowWrap: 'anywhere',
        }}
      >
        {open ? asks.toLowerCase() : text}
      </ButtonBase>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={close}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{
          paper: { role: 'dialog', 'aria-label': asks, sx: { p: 2, width: 340, maxWidth: 'calc(100vw - 32px)' } },
        }}
      >
        <Typography variant="h3" component="h2" sx={{ mb: 1.5 }}>
          {asks}
        </Typography>
        <Box sx={{ display: 'grid', gap: 1.5 }}>{children(close)}</Box>
      </Popover>
    </>
  );
}
