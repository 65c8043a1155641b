import Box from '@mui/material/Box';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { styled } from '@mui/material/styles';
import { type ReactNode, useState } from 'react';

// One plain rule: sixteen of them are drawn anew on every frame of a drag.
const Gap = styled('button')(({ theme }) => ({
  font: 'inherit',
  display: 'inline',
  padding: '2px 0',
  margin: 0,
  border: 0,
  textDecoration: `underline 2px ${theme.inks.tide}`,
  textUnderlineOffset: '0.28em',
  background: 'none',
  color: theme.inks.tide,
  textAlign: 'left',
  lineHeight: 1.2,
  overflowWrap: 'anywhere',
  cursor: 'pointer',
  '&[data-open]': { color: theme.inks.clay, textDecoration: `underline dashed 2px ${theme.inks.clay}` },
  // A finger needs 44 px; the lines of the sentence stand so far apart there.
  [theme.breakpoints.down('sm')]: { padding: '10px 0' },
}));

/** No line begins with a comma: it stays with the last word, and is no part of what is underlined. */
const Marked = styled('span')(({ theme }) => ({
  whiteSpace: 'nowrap',
  '& > span': { display: 'inline-block', color: theme.palette.text.primary },
}));
/** A longer word may have to be broken anywhere. */
const LONG_WORD = 20;
function WithMark({ text, mark }: { text: string; mark: string }) {
  const cut = text.lastIndexOf(' ') + 1;
  const last = text.slice(cut);
  if (last.length > LONG_WORD)
    return (
      <>
        {text}
        {mark}
      </>
    );
  return (
    <>
      {text.slice(0, cut)}
      <Marked>
        {last}
        <span>{mark}</span>
      </Marked>
    </>
  );
}

interface Props {
  /** What the blank asks for. */
  asks: string;
  /** What stands in it; empty: nothing yet. */
  text: string;
  /** The mark that follows it, on the same line. */
  mark?: ',' | ':' | '.';
  children: (close: () => void) => ReactNode;
}

/** A blank in the sentence: opened, filled, closed. */
export function Blank({ asks, text, mark, children }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const open = text === '';
  const close = () => setAnchor(null);
  return (
    <>
      <Gap
        type="button"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        aria-label={open ? `${asks}: not said yet` : `${asks}: ${text}`}
        data-open={open || undefined}
      >
        <WithMark text={open ? asks.toLowerCase() : text} mark={mark ?? ''} />
      </Gap>
      {anchor && (
        <Popover
          open
          anchorEl={anchor}
          onClose={close}
          anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
          slotProps={{
            paper: {
              role: 'dialog',
              'aria-label': asks,
              sx: { p: 2, width: 340, maxWidth: 'calc(100vw - 32px)' },
            },
          }}
        >
          <Typography variant="h3" component="h2" sx={{ mb: 1.5 }}>
            {asks}
          </Typography>
          <Box sx={{ display: 'grid', gap: 1.5 }}>{children(close)}</Box>
        </Popover>
      )}
    </>
  );
}
