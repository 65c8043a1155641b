import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { newItem } from '#core/editing/newItem';
import { planDiffers, withPartyPlan } from '#core/editing/party';
import { withItem } from '#core/editing/edit';
import { catalogue } from '#core/needs/catalogue';
import type { Party } from '#core/needs/party';
import { sayCounted } from '#core/needs/sayNeeds';
import { listed } from '#core/units/words';
import { ApiError } from '../../../documents/api';
import { useDocuments } from '../../../documents/queries';
import { useToast } from '../../../ui/Toast';
import { useOutingWorkspace } from '../../outingWorkspace';

/**
 * What is one for all of the party: its plan, what it still lacks, and what of somebody else's rides in this
 * boat.
 */
export function Together({ party }: { party: Party }) {
  const { gaps, members, leads } = party;
  if (leads && !members.some(({ coming }) => coming === 'along')) return null;
  return (
    <Box sx={{ display: 'grid', gap: 1, my: 1.5 }}>
      {!leads && <Plan party={party} />}
      {gaps.length > 0 && (
        <Box>
          <Typography variant="h3">All of you still lack</Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {gaps.map(({ needId, want, have }) => (
              <li key={needId}>
                {catalogue[needId].title}
                {(want > 1 || catalogue[needId].amount) && `: ${sayCounted(needId, have, want)}`}
              </li>
            ))}
          </Box>
          <Typography variant="caption" color="textSecondary" component="p">
            One in any boat does for all. Whoever has it adds it to their own kit.
          </Typography>
        </Box>
      )}
      <Rides party={party} />
    </Box>
  );
}

function Plan({ party }: { party: Party }) {
  const { doc, edit } = useOutingWorkspace();
  const other = planDiffers(doc, party.plan);
  return (
    <Box>
      <Typography>{party.lead} leads; where and when you go is theirs to say.</Typography>
      {other.length > 0 && (
        <Box role="status" sx={{ borderLeft: 3, borderColor: 'warning.main', pl: 1.5, my: 0.5 }}>
          <Typography>
            Otherwise in {party.lead}’s plan: {listed(other)}.
          </Typography>
          <Button variant="outlined" onClick={() => edit((outing) => withPartyPlan(outing, party.plan))}>
            Go by it
          </Button>
        </Box>
      )}
    </Box>
  );
}

/**
 * What the lead put into this boat: it can be taken into one's own locker and plan, so that its weight and
 * place count.
 */
function Rides({ party }: { party: Party }) {
  const { doc, edit, references } = useOutingWorkspace();
  const items = useDocuments('items');
  const say = useToast();
  if (party.rides.length === 0) return null;
  const take = async ({ item, quantity }: Party['rides'][number]) => {
    try {
      if (!references.items.some(({ id }) => id === item.id))
        await items.create(
          newItem(item.id, item.kind, {
            ...item,
            ...{ name: `${item.name}, ${party.lead}’s`.slice(0, 80), containerId: null, poweredById: null },
            ...{ always: false, cost: null, boughtOn: null, note: '' },
          }),
        );
      edit((outing) => withItem(outing, item.id, quantity));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      say(error.message);
    }
  };
  return (
    <Box>
      <Typography variant="h3">{party.lead}’s, in your boat</Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {party.rides.map((one) => {
          const aboard = doc.loadout.some(({ itemId }) => itemId === one.item.id);
          return (
            <Box
              component="li"
              key={one.item.id}
              sx={{ display: 'flex', gap: 1, alignItems: 'center', justifyContent: 'space-between', py: 0.5 }}
            >
              <span>{one.quantity > 1 ? `${one.item.name} × ${one.quantity}` : one.item.name}</span>
              {aboard ? (
                <Typography variant="caption">aboard</Typography>
              ) : (
                <Button onClick={() => void take(one)} aria-label={`Take ${one.item.name} aboard`}>
                  Take it aboard
                </Button>
              )}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
