import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { catalogue } from '#core/needs/catalogue';
import { needIds } from '#core/vocabulary/needs';
import { homeDate, throughMidnight } from '#core/documents/hours';
import { sayOwnHours } from '#core/floatplan/ownHours';
import { clockAt, dateAt, dayInWords } from '#core/units/time';
import { beforeMode } from '#core/stow/say';
import { sayPosition } from '#core/units/position';
import { capital, count, dayWords, plural } from '#core/units/words';
import type { Answer } from '#core/documents/answer';
import type { Change } from '#core/signing/change';
import { sayChanges } from '#core/signing/sayChanges';
import { serif } from '../../../app/theme';
import { useOutingWorkspace } from '../../outingWorkspace';
import type { Signature } from '../../queries';
import { byClock } from '#core/units/clockWords';
import { sayDefect, defectsIn } from '#core/walkround/defects';

/**
 * The single card: signed, when, what was accepted, when to be back; and, after a change, that it no longer
 * holds.
 */
export function SignedCard({
  signature,
  changes,
  onAgain,
}: {
  signature: Signature;
  changes: readonly Change[];
  onAgain: () => void;
}) {
  const { editor, assessment, walk, answers } = useOutingWorkspace();
  const { outing, water, craft, angler } = signature.judged;
  const zone = water?.timeZone ?? 'utc';
  const at = Date.parse(signature.signedAt);
  const stale = changes.length > 0;
  // As signed; what is wrong with each, as it was said since.
  const signed = new Map(
    signature.judged.answers.map((one): [string, Answer] => {
      const last = answers.get(one.stepId);
      return [one.stepId, { ...one, key: '', note: last?.verdict === one.verdict ? last.note : '' }];
    }),
  );
  const defects = defectsIn(assessment.steps, signed);
  const { brief } = outing;
  const area = water?.areas.find(({ id }) => id === brief.areaId);
  const mark = area ? `${area.name}${water?.positioned ? `, ${sayPosition(area)}` : ''}` : 'not said';
  const planned = assessment.exposures.plan?.turnAt ?? null;
  const hours = sayOwnHours(brief, zone, stale ? null : planned);
  const unsaid = stale ? 'reckoned anew when it is signed again' : 'not reckoned';
  const turn = hours.turn === null ? unsaid : `${brief.turnAt === null ? 'by ' : ''}${hours.turn}`;
  const nights = `after ${count(brief.nights)} ${plural(brief.nights, 'night')}`;
  const lines = [
    ['Boat', craft ? `${craft.name}, ${craft.colour}` : 'not said'],
    ['Launch', `${byClock(brief.launchAt)}, ${dayWords(brief.date)}`],
    ['Mark', mark],
    ['Turn back', turn],
    [
      'Call for help',
      `${brief.contact.name || 'nobody named'}${brief.contact.phone ? `, ${brief.contact.phone}` : ''}, at ${hours.call}`,
    ],
  ] as const;
  return (
    <Box
      sx={{
        border: 2,
        borderColor: stale ? 'error.main' : 'text.primary',
        borderRadius: 1,
        p: { xs: 2.5, sm: 4 },
        bgcolor: 'background.paper',
      }}
    >
      <Typography variant="h1" component="h2" color={stale ? 'error' : 'textPrimary'}>
        {stale ? 'Signed, then changed' : 'Signed'}
      </Typography>
      <Typography color="textSecondary">
        {angler?.name ?? 'You'}, {byClock(clockAt(at, zone))} on {dayWords(dateAt(at, zone))}
      </Typography>
      {signature.atWater && (
        <Typography color="textSecondary">
          {signature.waits
            ? 'Signed at the water, by this device’s clock. It is kept here, and sent and judged once more when the server answers.'
            : 'Signed at the water, on a device without signal; judged again when it arrived.'}
        </Typography>
      )}
      {walk.signatureRefused !== null && (
        <Typography color="error" role="alert">
          {`The server does not take this signature: ${walk.signatureRefused} It is kept here. `}
          <Button onClick={walk.signAgain}>Send it again</Button>
        </Typography>
      )}
      {stale && (
        <Box sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 1.5 }}>
          <Typography sx={{ fontWeight: 700 }}>What was signed no longer stands:</Typography>
          <Box component="ul" sx={{ pl: 2.5, my: 1 }}>
            {sayChanges(changes).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Box>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button variant="contained" onClick={onAgain} sx={{ minHeight: 56 }}>
              Walk round again
            </Button>
            {editor.getState().canUndo && (
              <Button variant="outlined" onClick={editor.undo} sx={{ minHeight: 56 }}>
                Undo the last change
              </Button>
            )}
          </Box>
        </Box>
      )}
      <Typography color="textSecondary" sx={{ mt: 3 }}>
        Be back by
      </Typography>
      <Typography component="p" sx={{ fontFamily: serif, fontWeight: 600, fontSize: '4rem', lineHeight: 1 }}>
        {byClock(brief.homeAt)}
      </Typography>
      {homeDate(brief) !== brief.date && (
        <Typography>
          {throughMidnight(brief) ? 'the next morning' : nights}, on {dayInWords(homeDate(brief))}
        </Typography>
      )}
      <Box component="dl" sx={{ mt: 2, mb: 0 }}>
        {lines.map(([name, text]) => (
          <Box key={name} sx={{ display: 'flex', gap: 2, borderTop: 1, borderColor: 'divider', py: 1 }}>
            <Box component="dt" sx={{ color: 'text.secondary', width: 104, flexShrink: 0 }}>
              {name}
            </Box>
            <Box component="dd" sx={{ m: 0, overflowWrap: 'anywhere', minWidth: 0 }}>
              {text}
            </Box>
          </Box>
        ))}
      </Box>
      {assessment.ready.map(({ mode, lines: list }) => (
        <Box key={mode} component="section" aria-label={beforeMode(mode)}>
          <Typography sx={{ fontWeight: 700, mt: 2 }}>{beforeMode(mode)}</Typography>
          <Box component="ul" sx={{ pl: 2.5, my: 0.5 }}>
            {list.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Box>
        </Box>
      ))}
      {defects.length > 0 && (
        <>
          <Typography sx={{ fontWeight: 700, mt: 2 }}>Found on the walk-round</Typography>
          <Box component="ul" sx={{ pl: 2.5, my: 0.5 }}>
            {defects.map((one) => (
              <li key={one.stepId}>{sayDefect(one)}</li>
            ))}
          </Box>
        </>
      )}
      {outing.accepted.length > 0 && (
        <>
          <Typography sx={{ fontWeight: 700, mt: 2 }}>Accepted with your reasons</Typography>
          <Box component="ul" sx={{ pl: 2.5, my: 0.5 }}>
            {outing.accepted.map((one) => (
              <li key={one.key}>
                {nameOf(one.key)}: {one.reason}
              </li>
            ))}
          </Box>
        </>
      )}
      <Typography
        variant="caption"
        color="textSecondary"
        component="p"
        sx={{ mt: 2, overflowWrap: 'anywhere' }}
      >
        A count, not a promise.{' '}
        {signature.hash === '' ? 'It has its seal when it arrives.' : `Seal ${signature.hash.slice(0, 16)}`}
      </Typography>
    </Box>
  );
}

/** An accepted finding by its key, in a few words. */
function nameOf(key: string): string {
  const [code = '', subject = ''] = key.split(':');
  const need = needIds.find((id) => id === subject);
  return need ? catalogue[need].title : capital(code.replaceAll('-', ' '));
}
