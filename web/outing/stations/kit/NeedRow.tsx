import ExpandMoreOutlined from '@mui/icons-material/ExpandMoreOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { sayMeans, sayShortfall, wantedWords, whyNeed } from '#core/needs/sayNeeds';
import { catalogue } from '#core/needs/catalogue';
import { choicesFor } from '#core/provisioning/choose';
import { withItem } from '#core/editing/edit';
import type { JudgedNeed, Means } from '#core/needs/match';
import { homeDate } from '#core/documents/hours';
import { kinds } from '#core/catalog/gear/kinds';
import { newItem } from '#core/editing/newItem';
import { type PurchaseOption, purchaseOptions } from '#core/needs/purchaseOptions';
import { mass } from '#core/units/amount';
import { listed } from '#core/units/words';
import { takenByAnswers } from '#core/walkround/answers';
import { TallyStrokes } from '../../../ui/TallyStrokes';
import { VisuallyHidden } from '../../../ui/VisuallyHidden';
import { useToast } from '../../../ui/Toast';
import { ApiError } from '../../../documents/api';
import { useOutingWorkspace } from '../../outingWorkspace';
import { useItemBatch } from '../../../documents/queries';

/** One need with what meets it; opened, it tells why it is there and what else is owned for it. */
export function NeedRow({ need }: { need: JudgedNeed }) {
  const [open, setOpen] = useState(false);
  const { title, amount } = catalogue[need.id];
  const [counted, of] = amount ? [need.met ? 1 : 0, 1] : [Math.min(need.counted, need.want), need.want];
  const wanted = wantedWords(need);
  const counting = need.means.filter((means) => means.shortfall === null);
  const idle = need.means.filter((means) => means.shortfall !== null);
  // What only a Note asks for is no alarm.
  const isLoud =
    !need.met && (need.level === 'law' || need.findingLevel === 'mind' || need.findingLevel === 'stop');
  const lackColor = isLoud ? 'error.main' : 'text.secondary';
  return (
    <Box component="li" sx={{ borderBottom: 1, borderColor: 'divider' }}>
      <ButtonBase
        onClick={() => setOpen(!open)}
        aria-expanded={open}
        sx={{
          display: 'grid',
          width: '100%',
          gridTemplateColumns: { xs: 'minmax(0, 1fr) auto 24px', sm: '210px 76px minmax(0, 1fr) 24px' },
          columnGap: 1,
          alignItems: 'start',
          textAlign: 'left',
          minHeight: 44,
          py: 1,
          font: 'inherit',
        }}
      >
        <Typography component="span" sx={{ fontWeight: need.met ? 400 : 700 }}>
          {title}{' '}
          {wanted !== '' && (
            <Box component="span" sx={{ typography: 'caption', color: 'text.secondary' }}>
              {wanted}
            </Box>
          )}
        </Typography>
        <Box component="span" sx={{ pt: 0.5 }}>
          <TallyStrokes counted={counted} of={Math.min(of, 20)} bare />
          <VisuallyHidden>{need.met ? 'counted' : 'not yet counted'}</VisuallyHidden>
        </Box>
        <Box component="span" sx={{ gridColumn: { xs: '1 / 3', sm: 'auto' }, typography: 'body2' }}>
          {counting.length > 0 && counting.map((means) => sayMeans(means)).join(' · ')}
          {idle.map((means) => (
            <Box
              component="span"
              key={means.by === 'item' ? means.itemId : means.part}
              sx={{ display: 'block', color: lackColor }}
            >
              {idleWords(means)}
            </Box>
          ))}
          {need.means.length > 0 && need.lacking.length > 0 && (
            <Box component="span" sx={{ display: 'block', color: lackColor }}>
              Still wanted: {listed(need.lacking)}
            </Box>
          )}
          {need.means.length === 0 && (
            <Box component="span" sx={{ color: lackColor }}>
              Nothing aboard
            </Box>
          )}
        </Box>
        <ExpandMoreOutlined
          fontSize="small"
          aria-hidden
          sx={{
            gridRow: { xs: 1, sm: 'auto' },
            gridColumn: { xs: 3, sm: 'auto' },
            color: 'text.secondary',
            transform: open ? 'rotate(180deg)' : 'none',
          }}
        />
      </ButtonBase>
      {open && <Opened need={need} />}
    </Box>
  );
}

function idleWords(means: Means): string {
  if (means.by !== 'item' || means.shortfall === null) return sayMeans(means);
  return `${means.name}: ${sayShortfall(means.shortfall)}`;
}

const MOST_KINDS = 6;
/** What is owned and not yet written down: into the locker with usual figures, and aboard, in one step. */
function OwnedAfterAll({ would }: { would: readonly PurchaseOption[] }) {
  const { edit, editor } = useOutingWorkspace();
  const batch = useItemBatch();
  const say = useToast();
  const own = async ({ kind, pieces }: PurchaseOption) => {
    const item = newItem(crypto.randomUUID(), kind, { quantity: pieces });
    try {
      const takeOut = await batch({ create: [item] });
      edit((outing) => withItem(outing, item.id, pieces));
      say(`${item.name}: in the locker with usual figures, and aboard. Put its own figures there.`, {
        name: 'Undo',
        run: () => {
          editor.undo();
          takeOut();
        },
      });
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      say(error.message);
    }
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, alignItems: 'center' }}>
      <Typography variant="body2">Owned, and not in the locker yet:</Typography>
      {would.map((one) => (
        <Button key={one.kind} onClick={() => void own(one)} aria-label={`I own: ${kinds[one.kind].name}`}>
          {kinds[one.kind].name}
          {one.pieces > 1 && ` × ${one.pieces}`}
        </Button>
      ))}
    </Box>
  );
}

/** The lightest that count come first; the rest are found in the locker picker. */
const MOST_CHOICES = 12;

function Opened({ need }: { need: JudgedNeed }) {
  const { doc, edit, references, looked, assessment, answers } = useOutingWorkspace();
  const lastDay = homeDate(doc.brief);
  const context = {
    exposures: assessment.exposures,
    brief: doc.brief,
    places: looked,
    aboard: looked.aboard,
    firstPaddleId: null,
  };
  const choices = choicesFor(need.id, references.items, context, lastDay, takenByAnswers(answers));
  const would = purchaseOptions(need.id, context, Math.max(1, need.want - need.counted), new Set());
  const wouldDo = would.map(({ kind }) => kinds[kind].name.toLowerCase());
  const lacking = !need.met && choices.every(({ shortfall }) => shortfall !== null);
  const ownMeans = catalogue[need.id].others !== undefined;
  return (
    <Box sx={{ pb: 1.5, pl: { sm: 1.5 }, borderLeft: { sm: 2 }, borderColor: { sm: 'divider' }, mb: 1 }}>
      <Typography variant="body2" sx={{ maxWidth: 560 }}>
        {whyNeed(need)}
      </Typography>
      {wouldDo.length > 0 && (
        <Typography variant="body2" color="textSecondary">
          Would do: {listed(wouldDo.slice(0, 6))}
          {wouldDo.length > 6 ? ' and more' : ''}.
        </Typography>
      )}
      {choices.length === 0 && (
        <Typography variant="body2" color="textSecondary" sx={{ mt: 1 }}>
          {ownMeans && need.means.some((means) => means.by !== 'item')
            ? 'This is met by what you do, not by a thing from the locker.'
            : 'Nothing more in the locker does this.'}
        </Typography>
      )}
      {choices.length > 0 && (
        <Box
          component="ul"
          sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}
          aria-label={`Owned, for: ${catalogue[need.id].title}`}
        >
          {choices.slice(0, MOST_CHOICES).map(({ item, shortfall }) => (
            <Box
              component="li"
              key={item.id}
              sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 44 }}
            >
              <Typography variant="body2" sx={{ flex: 1, minWidth: 0 }}>
                {item.name}, {mass(item.massKg)}
                {shortfall && (
                  <Box component="span" sx={{ color: 'text.secondary' }}>
                    {' '}
                    would not count: {sayShortfall(shortfall)}
                  </Box>
                )}
              </Typography>
              <Button
                onClick={() => edit((outing) => withItem(outing, item.id, 1))}
                aria-label={`Put aboard: ${item.name}`}
              >
                Put aboard
              </Button>
            </Box>
          ))}
          {choices.length > MOST_CHOICES && (
            <Typography component="li" variant="body2" color="textSecondary">
              and {choices.length - MOST_CHOICES} more, under Choose from the locker
            </Typography>
          )}
        </Box>
      )}
      {lacking && would.length > 0 && <OwnedAfterAll would={would.slice(0, MOST_KINDS)} />}
    </Box>
  );
}
