import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { sayPurchase, sayShortfall } from '#core/needs/sayNeeds';
import { catalogue } from '#core/needs/catalogue';
import type { NeedId } from '#core/vocabulary/needs';
import type { Missing, Omitted, Proposal } from '#core/provisioning/propose';
import { homeMade } from '#core/needs/homeMade';
import { purchases } from '#core/provisioning/shopping';
import { mass, inWords } from '#core/units/amount';
import { count, figure, howMany, listed, plural } from '#core/units/words';
import { NumberField } from '../../../ui/NumberField';
import { useDeviceState } from '../../../ui/useDeviceState';
import { ProposedLine } from './ProposedLine';

/** What follows a proposal: its tackle, what it left out, and what would have to be bought. */
export function ProposalAfter({
  tackle,
  omitted,
  missing,
  nameOf,
}: Pick<Proposal, 'tackle' | 'omitted'> & {
  missing: readonly Missing[];
  nameOf: (itemId: string) => string;
}) {
  return (
    <>
      <TackleLine tackle={tackle} />
      {omitted.length > 0 && <LeftOut omitted={omitted} nameOf={nameOf} />}
      {missing.length > 0 && <ToBuy missing={missing} />}
    </>
  );
}

/** Tackle with the proposal taken, against the angler's own measure. */
function TackleLine({ tackle: { have, budget } }: { tackle: Proposal['tackle'] }) {
  if (!budget) return null;
  return (
    <Typography variant="caption" color="textSecondary" component="p" sx={{ mt: 1.5 }}>
      Tackle then: {howMany(have.rods, 'rod')}, {howMany(have.boxes, 'box', 'boxes')}, {mass(have.massKg)}.
      Your measure for this outing: {count(budget.rods)}, {count(budget.boxes)}, {mass(budget.massKg)}.
    </Typography>
  );
}

/** Of a long locker the first are told; each is told in the locker picker too. */
const MOST_TOLD = 100;

/** What could serve and stays ashore, and why. */
function LeftOut({ omitted, nameOf }: { omitted: readonly Omitted[]; nameOf: (id: string) => string }) {
  return (
    <Box component="details" sx={{ mt: 1.5 }}>
      <Typography component="summary" variant="body2" sx={{ cursor: 'pointer', py: 1.25 }}>
        {omitted.length} {plural(omitted.length, 'thing')} left ashore, and why
      </Typography>
      <Box
        component="ul"
        sx={{ listStyle: 'none', m: 0, p: 0, maxHeight: 320, overflow: 'auto' }}
        tabIndex={0}
      >
        {omitted.slice(0, MOST_TOLD).map(({ itemId, needId, why }) => (
          <ProposedLine
            key={itemId}
            sign=""
            name={nameOf(itemId)}
            why={`${catalogue[needId].title}: ${sayOmitted(why)}`}
            right=""
            action={null}
          />
        ))}
      </Box>
    </Box>
  );
}

function sayOmitted(why: Omitted['why']): string {
  switch (why.code) {
    case 'met-already':
      return `met by ${why.by}`;
    case 'heavier':
      return `met by ${why.than}, which is lighter`;
    case 'over-budget':
      return 'more than your own measure of tackle';
    default:
      return sayShortfall(why);
  }
}

/** What nothing owned does: in the order in which to buy it, with what can be made or borrowed. */
function ToBuy({ missing }: { missing: readonly Missing[] }) {
  const [budget, setBudget] = useState<number | null>(null);
  const [money, setMoney] = useDeviceState('tally-currency', () => ({ code: '€', perEuro: 1 }));
  const [isRateRefused, setRateRefused] = useState(false);
  const refused = budget !== null && !(budget >= 0);
  const allowed = refused ? null : budget;
  const putRight = (ids: readonly NeedId[]) => {
    const own = missing.filter((one) => ids.includes(one.needId)).flatMap((one) => one.putRight);
    return own.length === 0
      ? []
      : [`or put right what you own: ${listed(own.map(({ name, why }) => `${name}, ${sayShortfall(why)}`))}`];
  };
  const doing = missing.filter((one) => one.would.length === 0);
  const list = purchases(missing, allowed === null ? null : allowed / money.perEuro);
  const all = list.reduce((sum, { euro }) => sum + euro, 0);
  const reached = list.reduce((sum, { euro, within }) => sum + (within ? euro : 0), 0);
  const first = list.reduce((sum, { euro, vital }) => sum + (vital ? euro : 0), 0);
  const isVitalMissed = list.some(({ vital, within }) => vital && !within);
  const say = (euro: number) => `${figure(euro * money.perEuro, 0)} ${money.code}`;
  return (
    <Box sx={{ mt: 2 }}>
      <Typography variant="h3">Nothing in the locker does this</Typography>
      <Typography variant="caption" color="textSecondary" component="p" sx={{ mb: 1 }}>
        What keeps you alive comes first. Prices are a rule of thumb.
      </Typography>
      {missing.length > doing.length && (
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: '1fr 1fr',
            gap: 1.5,
            mt: 1.5,
            '& > :first-of-type': { gridColumn: '1 / -1' },
          }}
        >
          <NumberField
            label="To spend, if limited"
            unit=""
            value={budget}
            onChange={setBudget}
            error={refused ? 'A sum from 0 on, or nothing for no limit.' : undefined}
          />
          <TextField
            label="Currency"
            value={money.code}
            slotProps={{ htmlInput: { maxLength: 8 } }}
            onChange={(event) => setMoney({ ...money, code: event.target.value })}
          />
          <NumberField
            label="For one euro"
            unit=""
            value={money.perEuro}
            error={isRateRefused ? 'More than 0; the last one stands.' : undefined}
            onChange={(perEuro) => {
              const isWorth = perEuro !== null && perEuro > 0;
              setRateRefused(!isWorth);
              if (isWorth) setMoney({ ...money, perEuro });
            }}
          />
        </Box>
      )}
      {list.length > 0 && (
        <Typography sx={{ mt: 1.5 }} role="status">
          All of it about {say(all)}
          {first > 0 && first < all && `; what forbids the day without it about ${say(first)}`}
          {allowed !== null && `; within what you can spend about ${say(reached)}`}.
          {isVitalMissed &&
            ' Something the day hangs on is not within it: borrow it, or go otherwise. The rest does not make up for it.'}
        </Typography>
      )}
      <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }} aria-label="To buy or borrow, in order">
        {list.map(({ needIds, kind, pieces, asked, euro, within }) => (
          <ProposedLine
            key={needIds.join()}
            sign=""
            name={needIds.map((id) => catalogue[id].title).join(', ')}
            why={[
              `buy or borrow: ${sayPurchase({ kind, pieces, asked })}`,
              ...putRight(needIds),
              ...needIds.flatMap((id) => (homeMade[id] ? [`or make: ${inWords(homeMade[id])}`] : [])),
              ...(within ? [] : ['too dear for what you can spend now']),
            ].join('; ')}
            right={`about ${say(euro)}`}
            action={null}
          />
        ))}
        {doing.map(({ needId }) => (
          <ProposedLine
            key={needId}
            sign=""
            name={catalogue[needId].title}
            why="met by what you do, not by a thing"
            right=""
            action={null}
          />
        ))}
      </Box>
    </Box>
  );
}
