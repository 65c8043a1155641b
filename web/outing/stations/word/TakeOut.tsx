import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { FloatPlan } from '#core/floatplan/floatPlan';
import { messagesOf, plainText } from '#core/floatplan/plainText';
import { count, plural } from '#core/units/words';
import { ApiError, requestFile } from '../../../documents/api';
import { useToast } from '../../../ui/Toast';
import { fileNameOf, saveBlob, saveFile } from '../../../ui/saveFile';
import { screenOnly } from '../../../ui/screenOnly';
import { useOutingWorkspace } from '../../outingWorkspace';
import type { Word } from './useWord';

/** The plan in the forms that others can open. */
export function TakeOut({ plan, word }: { plan: FloatPlan; word: Word }) {
  const { doc, looked } = useOutingWorkspace();
  const say = useToast();
  const [asText, setAsText] = useState(false);
  const name = fileNameOf(plan.title, 'plan');
  const pdf = async (paper: 'A4' | 'LETTER') => {
    try {
      const blob = await requestFile('/api/plan-pages', { plan, paper, page: word.page ?? '' });
      saveBlob(`${name}.pdf`, blob);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      say(`No page was made. ${error.message} Printing works without it.`);
    }
  };
  const calendar = async () => {
    const { planCalendar } = await import('#core/floatplan/calendar');
    const { beforeLaunch } = await import('#core/floatplan/before');
    // The launch itself stands in the plan.
    const before = (beforeLaunch(doc, looked) ?? []).slice(0, -1);
    const homeAt = word.status?.homeAt ?? Date.parse(plan.times.homeAt);
    const callAt = word.status?.callAt ?? Date.parse(plan.times.callAt);
    saveFile(
      `${name}.ics`,
      'text/calendar',
      planCalendar(plan, { id: doc.id, homeAt, callAt, now: Date.now(), before }),
    );
  };
  const gpx = async () => {
    const { wayGpx } = await import('#core/exchange/wayGpx');
    saveFile(`${name}.gpx`, 'application/gpx+xml', wayGpx(plan));
  };
  return (
    <Box
      {...screenOnly}
      role="group"
      aria-label="Take the plan out"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}
    >
      <Button variant="outlined" onClick={() => window.print()}>
        Print
      </Button>
      <Button variant="outlined" onClick={() => void pdf('A4')}>
        PDF, A4
      </Button>
      <Button variant="outlined" onClick={() => void pdf('LETTER')}>
        PDF, Letter
      </Button>
      <Button variant="outlined" onClick={() => void calendar()}>
        Calendar
      </Button>
      <Button variant="outlined" onClick={() => void gpx()} disabled={plan.way.length < 2}>
        GPX of the way
      </Button>
      <Button variant="outlined" onClick={() => setAsText(true)}>
        As text
      </Button>
      {asText && <AsText text={plainText(plan, word.page ?? '')} onClose={() => setAsText(false)} />}
    </Box>
  );
}

/** The text that goes into a few messages, to be copied or read off with a telephone. */
function AsText({ text, onClose }: { text: string; onClose: () => void }) {
  const say = useToast();
  const [code, setCode] = useState('');
  useEffect(() => {
    let there = true;
    void import('qrcode').then(async ({ default: qr }) => {
      const svg = await qr.toString(text, { type: 'svg', errorCorrectionLevel: 'L', margin: 2 });
      if (there) setCode(svg);
    });
    return () => {
      there = false;
    };
  }, [text]);
  const many = messagesOf(text);
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="as-text-title">
      <DialogTitle id="as-text-title">The plan as text</DialogTitle>
      <DialogContent>
        <Typography color="textSecondary">
          {`${count(many).replace(/^./, (letter) => letter.toUpperCase())} text ${plural(many, 'message')}. What did not fit was left out from the end.`}
        </Typography>
        <Box
          component="pre"
          sx={{
            font: 'inherit',
            whiteSpace: 'pre-wrap',
            overflowWrap: 'anywhere',
            border: 1,
            borderColor: 'divider',
            p: 1.5,
          }}
        >
          {text}
        </Box>
        {code !== '' && (
          <Box
            role="img"
            aria-label="The same text, for the camera of a telephone"
            sx={{ width: 220, mx: 'auto', '& svg': { display: 'block', width: '100%' } }}
            dangerouslySetInnerHTML={{ __html: code }}
          />
        )}
      </DialogContent>
      <DialogActions>
        <Button
          onClick={() =>
            void navigator.clipboard.writeText(text).then(
              () => say('Copied.'),
              () => say('It could not be copied here. Mark the text and copy it.'),
            )
          }
        >
          Copy
        </Button>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}
