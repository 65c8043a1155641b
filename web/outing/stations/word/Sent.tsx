import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { sayMoment } from '#core/floatplan/status';
import { ApiError } from '../../../documents/api';
import { useToast } from '../../../ui/Toast';
import { screenOnly } from '../../../ui/screenOnly';
import { useOutingWorkspace } from '../../outingWorkspace';
import type { Word } from './useWord';

const LOOPBACK: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]']);
/** The page that can be watched, and the messages that were written. */
export function Sent({ word }: { word: Word }) {
  const { edit, looked, now } = useOutingWorkspace();
  const say = useToast();
  if (!word.left) return null;
  const zone = looked.water?.timeZone ?? 'utc';
  const watched = (on: boolean) => {
    word.watched(on).then(
      () =>
        edit((outing) =>
          outing.word.left === null
            ? outing
            : { ...outing, word: { ...outing.word, left: { ...outing.word.left, watched: on } } },
        ),
      (error: unknown) => {
        if (!(error instanceof ApiError)) throw error;
        say(error.message);
      },
    );
  };
  return (
    <Box {...screenOnly} component="section" aria-label="What they have" sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h3" component="h2">
          A page they can watch
        </Typography>
        {word.page === null ? (
          <Typography>
            Off. Whoever had its address sees nothing any more.{' '}
            <Button onClick={() => watched(true)}>Switch it on at a new address</Button>
          </Typography>
        ) : (
          <>
            <Typography sx={{ overflowWrap: 'anywhere' }}>
              <Link href={word.page} target="_blank" rel="noreferrer">
                {word.page}
              </Link>
            </Typography>
            <Typography color="textSecondary">
              {LOOPBACK.has(window.location.hostname) &&
                'This server answers on this machine alone, so nobody elsewhere can open it: give them the paper or the text, or open the server to a network. '}
              Whoever has this address sees the plan, how it stands, and what to do; nothing else. They need
              no account, and a network from which this server can be reached. It ends a day after you are
              home.
            </Typography>
            <Button
              onClick={() =>
                void navigator.clipboard.writeText(word.page ?? '').then(
                  () => say('Copied.'),
                  () => say('It could not be copied here. Mark the address and copy it.'),
                )
              }
            >
              Copy the address
            </Button>
            <Button onClick={() => watched(false)}>Switch it off</Button>
          </>
        )}
      </Box>
      <Box>
        <Typography variant="h3" component="h2">
          Messages
        </Typography>
        <Typography color="textSecondary">
          {word.mails
            ? 'Sent by mail to the address of whoever waits. That one was sent is no word that it was read.'
            : 'A simulated outbox: there is no mail server here, so nothing is sent. Here stands what would be sent.'}
        </Typography>
        {word.messages.map((one) => (
          <Box
            key={`${one.kind} ${one.madeAt}`}
            component="details"
            sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}
          >
            <summary style={{ cursor: 'pointer', minHeight: 32 }}>
              {`${sayMoment(Date.parse(one.madeAt), zone, now)} · ${one.subject}`}
              <Typography
                component="span"
                variant="caption"
                color={one.trouble === '' ? 'textSecondary' : 'error'}
              >
                {` · to ${one.toAddress || `${one.toName}, who has no address for mail`} · ${one.sentAt === null ? (one.trouble === '' ? 'not sent' : `not sent: ${one.trouble}`) : 'sent'}`}
              </Typography>
            </summary>
            <Box
              component="pre"
              sx={{ font: 'inherit', whiteSpace: 'pre-wrap', overflowWrap: 'anywhere', m: 0, mt: 1 }}
            >
              {one.body}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
