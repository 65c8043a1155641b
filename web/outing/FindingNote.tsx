import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Suspense, lazy, useState } from 'react';
import { Link as RouterLink } from 'react-router';
import type { AttributeId } from '#core/catalog/gear/attributes';
import { answeredBy } from '#core/judgement/answeredBy';
import type { OutingInView } from '#core/documents/references';
import { type Facts, ruleOf, sayFinding } from '#core/judgement/allRules';
import { eachShortfall } from '#core/needs/need';
import { type Finding } from '#core/judgement/finding';
import { sayBasis, sayLift } from '#core/judgement/finding';
import { levelNames } from '#core/vocabulary/levels';
import { sayRepair } from '#core/editing/repair';
import { withAcceptance } from '#core/editing/edit';
import { LevelMark } from '../ui/LevelMark';
import { useOutingWorkspace } from './outingWorkspace';
import { useAnswerForWater } from './useAnswerForWater';

// Loaded when the first finding is answered: the field for it is heavy, and most outings need none.
const Reason = lazy(async () => ({ default: (await import('./Reason')).Reason }));

const AskFigure = lazy(async () => ({ default: (await import('./AskFigure')).AskFigure }));

/** One finding: what, why, what it rests on, and what would settle it. */
export function FindingNote({ finding }: { finding: Finding }) {
  const { edit, repair, looked } = useOutingWorkspace();
  const keepForWater = useAnswerForWater();
  const [answering, setAnswering] = useState(false);
  const { title, text } = sayFinding(finding.facts);
  const accept = (reason: string, forWater: boolean) => {
    if (forWater) void keepForWater(finding, reason);
    else edit((outing) => withAcceptance(outing, finding.key, finding.extent, reason, Date.now()));
    setAnswering(false);
  };
  const place = placeToGo(finding.facts, looked);
  return (
    <Box component="li" sx={{ display: 'flex', gap: 1.25, borderTop: 1, borderColor: 'divider', py: 1.5 }}>
      <Box sx={{ pt: 0.25 }}>
        <LevelMark level={finding.level} />
      </Box>
      <Box sx={{ minWidth: 0, flex: 1 }}>
        <Typography sx={{ fontWeight: 700, lineHeight: 1.3 }}>
          <Box component="span" sx={{ fontWeight: 400, color: `${levelColours[finding.level]}`, mr: 0.75 }}>
            {levelNames[finding.level]}
          </Box>
          {title}
        </Typography>
        <Typography variant="body2">{text}</Typography>
        <Typography variant="caption" color="textSecondary">
          {[sayBasis(finding), finding.accepted === null ? sayLift(finding) : null]
            .filter(Boolean)
            .join('. ')}
        </Typography>
        {finding.accepted !== null && (
          <Typography variant="body2" sx={{ fontStyle: 'italic' }}>
            {finding.acceptedForWater ? `Accepted for ${looked.water?.name ?? 'this water'}` : 'Accepted'}:{' '}
            {finding.accepted}{' '}
            <Button onClick={() => accept('', finding.acceptedForWater)} sx={actionStyle}>
              Take it back
            </Button>
          </Typography>
        )}
        <Box sx={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-start' }}>
          {finding.repairs.map((one) => (
            <Button key={sayRepair(one)} onClick={() => repair(one)} sx={actionStyle}>
              {sayRepair(one)}
            </Button>
          ))}
          {finding.lowers.map((one) => (
            <Box key={sayRepair(one)}>
              <Typography variant="body2" component="span">
                Nothing settles it. This makes a Mind of it:
              </Typography>
              <Button onClick={() => repair(one)} sx={actionStyle}>
                {sayRepair(one)}
              </Button>
            </Box>
          ))}
          {figuresAsked(finding.facts).map(({ itemId, attribute }) => (
            <Suspense key={`${itemId} ${attribute}`}>
              <AskFigure itemId={itemId} attribute={attribute} />
            </Suspense>
          ))}
          {finding.otherwise !== null && (
            <Typography variant="body2" sx={{ py: 0.5 }}>
              {finding.otherwise}
            </Typography>
          )}
          {place && (
            <Link component={RouterLink} to={place.to} sx={{ fontWeight: 700, py: 1.25 }}>
              {place.name}
            </Link>
          )}
          {finding.answerable && finding.accepted === null && !answering && (
            <Button onClick={() => setAnswering(true)} sx={actionStyle}>
              Accept, and say why
            </Button>
          )}
        </Box>
        {answering && (
          <Suspense>
            <Reason
              water={finding.keepable ? (looked.water?.name ?? null) : null}
              onKeep={accept}
              onCancel={() => setAnswering(false)}
            />
          </Suspense>
        )}
      </Box>
    </Box>
  );
}

const levelColours = { stop: 'error.main', mind: 'warning.main', note: 'text.secondary' } as const;
const actionStyle = {
  px: 0,
  minHeight: 44,
  textAlign: 'left',
  justifyContent: 'flex-start',
  textDecoration: 'underline',
  textUnderlineOffset: '3px',
  lineHeight: 1.25,
} as const;

/** Figures of things aboard that keep them from counting: asked where it matters, not before. */
function figuresAsked(facts: Facts): { itemId: string; attribute: AttributeId }[] {
  if (facts.code === 'pole-no-hold' && facts.why === 'unknown')
    return [{ itemId: facts.itemId, attribute: 'lengthM' }];
  if (facts.code !== 'need-unmet') return [];
  return facts.notCounted.flatMap((means) =>
    means.by === 'item' && means.shortfall
      ? eachShortfall(means.shortfall).flatMap((one) =>
          one.code === 'too-little' ? [{ itemId: means.itemId, attribute: one.attribute }] : [],
        )
      : [],
  );
}

/** Where a blank is filled that is no part of the outing itself. */
function placeToGo(
  facts: Facts,
  { craft, water }: Pick<OutingInView, 'craft' | 'water'>,
): { to: string; name: string } | null {
  if (facts.code === 'brief-incomplete' && facts.blanks.includes('angler'))
    return { to: '/first/you', name: 'Write your profile' };
  const { boatPart } = ruleOf(facts.code);
  if (boatPart !== null && craft !== null)
    return { to: `/boats/${craft.id}/${boatPart}`, name: 'To the boat' };
  const owner = answeredBy(facts);
  if (owner === null) return null;
  if (owner.by === 'profile') return { to: '/settings', name: `${owner.what}: in your profile` };
  if (owner.by === 'limits') return { to: '/settings/limits', name: `${owner.what}: in your settings` };
  if (owner.by === 'boat')
    return craft && { to: `/boats/${craft.id}/about`, name: `${owner.what}: with ${craft.name}` };
  return water && { to: `/waters/${water.id}`, name: `${owner.what}: with ${water.name}` };
}
