import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import { callCardOf, fromPlace } from '#core/floatplan/callCard';
import { sayWayOut } from '#core/exposures/sayWaysOut';
import { waysOut } from '#core/exposures/waysOut';
import { type Position, sayPosition } from '#core/units/position';
import { listed } from '#core/units/words';
import { UseWhereIAm } from '../ui/UseWhereIAm';
import { useOutingWorkspace } from './outingWorkspace';
import { Procedures } from './stations/walkround/Procedures';

/**
 * Settled here: what to say, in which order, when it goes wrong. What would annoy: searching, small letters, a
 * word that is not needed.
 */
export function CallCard({ onClose }: { onClose: () => void }) {
  const { doc, looked } = useOutingWorkspace();
  const card = callCardOf(doc, looked);
  const { whom, ashore } = card;
  return (
    <Dialog open fullScreen onClose={onClose} aria-labelledby="call-card">
      <Box sx={{ maxWidth: 620, width: '100%', mx: 'auto', p: 2, fontSize: '1.25rem', lineHeight: 1.45 }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between', gap: 1 }}>
          <Typography variant="h1" id="call-card">
            Call for help
          </Typography>
          <Button variant="outlined" sx={{ minHeight: 56 }} onClick={onClose} autoFocus>
            Close
          </Button>
        </Box>
        <Part name="Call">
          <Line>
            {whom.name === ''
              ? 'Nobody is written with this water: 112, or the number of the place.'
              : whom.name}
            {whom.radio !== '' && `, ${whom.radio}`}
          </Line>
          <Dial phone={whom.phone} />
          <Line>
            {card.with.length === 0
              ? 'Nothing aboard calls.'
              : `With ${listed(card.with, 'or')}. Flare, light and whistle after it, where somebody can see or hear.`}
          </Line>
        </Part>
        <Part name="Say, in this order">
          <Box component="ol" sx={{ m: 0, pl: 3.5, '& li': { py: 0.75 } }}>
            <li>
              <b>{card.opening}</b>
            </li>
            <li>
              My position is:
              <Here landing={looked.landing} />
              <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
                {card.places.map(({ name, position, from }, i) => (
                  <li key={i}>
                    {name}: {[position, from].filter(Boolean).join(', ')}
                  </li>
                ))}
              </Box>
            </li>
            {card.rest.map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </Box>
        </Part>
        <Nearest />
        {card.others.length > 0 && (
          <Part name="With you">
            <Line>{card.others.join('; ')}</Line>
          </Part>
        )}
        {ashore.name !== '' && (
          <Part name="Waiting ashore">
            <Line>{ashore.name}</Line>
            <Dial phone={ashore.phone} />
          </Part>
        )}
        <Procedures />
        <Typography color="textSecondary" variant="body2">
          Filled from this outing as it stands on this device; it opens without a network. Whoever answers
          leads: do what they say.
        </Typography>
      </Box>
    </Dialog>
  );
}

/** Where one gets out soonest from where the plan has one now; nothing while one is not under way. */
function Nearest() {
  const { doc, looked, assessment, now } = useOutingWorkspace();
  const { plan } = assessment.exposures;
  const { angler } = looked;
  if (!plan || !angler) return null;
  const list = waysOut(plan, looked, doc.conditions, angler.limits.breakerM);
  const one = list.findLast(({ at }) => at <= now);
  if (!one || now > (plan.homeAt ?? plan.deadline)) return null;
  return (
    <Part name="Soonest ashore">
      <Line>By the plan you are here: {one.where}.</Line>
      {one.ways.slice(0, MOST_WAYS).map((way) => (
        <Line key={way.launch.id}>{sayWayOut(way)}</Line>
      ))}
    </Part>
  );
}
const MOST_WAYS = 4;

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={name} sx={{ borderTop: 2, borderColor: 'text.primary', py: 1.5 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {name}
      </Typography>
      {children}
    </Box>
  );
}
const Line = ({ children }: { children: ReactNode }) => <Box sx={{ py: 0.5 }}>{children}</Box>;

function Dial({ phone }: { phone: string }) {
  if (phone.trim() === '') return null;
  return (
    <Link
      href={`tel:${phone.replaceAll(/[^+\d]/g, '')}`}
      sx={{ fontSize: '1.6rem', py: 1, display: 'inline-block' }}
    >
      {phone}
    </Link>
  );
}

/** Where the device says one is, asked for in one press; without it the places of the way stand below. */
function Here({ landing }: { landing: (Position & { name: string }) | null }) {
  const [here, setHere] = useState<Position | null>(null);
  const from = here && landing && fromPlace(landing, here);
  return here ? (
    <Box role="status" sx={{ fontSize: '1.5rem', fontWeight: 700 }}>
      {[sayPosition(here), from].filter(Boolean).join(', ')}
    </Box>
  ) : (
    <UseWhereIAm
      large
      name="Where I am now"
      else="Say the nearest of these, and how far from it."
      onHere={setHere}
    />
  );
}
