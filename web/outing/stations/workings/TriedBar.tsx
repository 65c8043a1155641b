import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { assess } from '#core/judgement/assess';
import { differenceOf } from '#core/judgement/difference';
import { levelNames } from '#core/vocabulary/levels';
import { sayFinding } from '#core/judgement/allRules';
import { attributes } from '#core/catalog/gear/attributes';
import { type Attempt, changeKey, changedCraft, changedItem, changedWater, tryChange } from '#core/editing/trial';
import { amount } from '#core/units/amount';
import { ApiError } from '../../../documents/api';
import { useToast } from '../../../ui/Toast';
import { LevelMark } from '../../../ui/LevelMark';
import { useDesk } from '../../desk';
import { useTrial } from './trialContext';
import { useDocuments, useKept } from '../../../documents/queries';
import { screenOnly } from '../../../ui/screenOnly';

const workingsWords = {
  alignment: ['where the anchor is led to', ''],
  attachHeightM: ['height of the rode', 'm'],
  targetDriftMps: ['drift wanted', 'm/s'],
  jigAngleDeg: ['angle of the line', '°'],
  holderHalfSpanM: ['half span of the holders', 'm'],
  outAngleDeg: ['rods out', '°'],
  elevationDeg: ['rods up', '°'],
  sparesConfidence: ['how sure of the spares', ''],
  powerReserve: ['charge kept back', ''],
  effort: ['effort', ''],
  litresPerHour: ['water an hour', 'L'],
  litresPerDegree: ['more an hour for each degree (°C) over 20', 'L'],
  waterInHand: ['water multiplied by, to have some in hand', ''],
  kjPerHour: ['energy an hour costs', 'kJ'],
  shareEaten: ['share of it eaten', ''],
  kjPerCampDay: ['food for a day in camp', 'kJ'],
  storeUaWK: ['heat let in by a usual store', 'W/K'],
  drogueCd: ['drag coefficient of a drogue', ''],
  jigCd: ['drag coefficient of the jig', ''],
  lineCd: ['drag coefficient of the line', ''],
  surgeHsM: ['wave that doubles the pull', 'm'],
  targetC: ['fish kept at', '°C'],
  iceStartC: ['ice starts at', '°C'],
} as const;
const craftWords = {
  cruiseMps: ['pace', 'm/s'],
  powerW: ['power', 'W'],
  windageM2: ['windage', 'm²'],
  lateralAirM2: ['side to the wind', 'm²'],
  lateralWaterM2: ['side to the water', 'm²'],
} as const;

/** What is being tried and not kept: each can be kept where it belongs, or put back. */
export function TriedBar({
  changes,
  onDone,
}: {
  changes: readonly Attempt[];
  onDone: (rest: readonly Attempt[]) => void;
}) {
  const { doc, edit, references, looked } = useDesk();
  const { data } = useKept();
  const items = useDocuments('items');
  const craft = useDocuments('craft');
  const waters = useDocuments('waters');
  const say = useToast();
  const [trouble, setTrouble] = useState<string | null>(null);
  if (changes.length === 0) return null;
  const nameOf = (id: string) => references.items.find((item) => item.id === id)?.name ?? 'an item';
  const words = (change: Attempt): { what: string; where: string } => {
    const worded = ([name, unit]: readonly [string, string]) =>
      `${name}: ${typeof change.value === 'number' ? amount(change.value, unit, 3) : change.value}`;
    switch (change.on) {
      case 'workings':
        return { what: worded(workingsWords[change.field]), where: 'for this outing' };
      case 'device':
        return { what: `${nameOf(change.itemId)} runs ${amount(change.value, 'h', 3)}`, where: 'for this outing' };
      case 'item': {
        const { name, unit } = change.field === 'massKg' ? { name: 'mass', unit: 'kg' } : attributes[change.field];
        return { what: `${nameOf(change.itemId)}, ${worded([name, unit])}`, where: 'on the item' };
      }
      case 'craft':
        return {
          what: `${looked.craft?.name ?? 'the boat'}, ${worded(craftWords[change.field])}`,
          where: 'on the boat',
        };
      case 'area':
        return {
          what: `${looked.area?.name ?? 'the place'}, ${worded(change.field === 'depthM' ? ['depth', 'm'] : ['bottom', ''])}`,
          where: 'on the water',
        };
    }
  };
  const keepOne = async (change: Attempt): Promise<void> => {
    switch (change.on) {
      case 'workings':
      case 'device':
        edit((outing) => {
          const result = tryChange({ outing, references }, change);
          return result.taken ? result.tried.outing : outing;
        });
        return;
      case 'item': {
        const kept = data?.items.find((one) => one.doc.id === change.itemId);
        if (kept) await items.put(changedItem(kept.doc, change), kept.version);
        return;
      }
      case 'craft': {
        const kept = data?.craft.find((one) => one.doc.id === doc.brief.craftId);
        if (kept) await craft.put(changedCraft(kept.doc, change), kept.version);
        return;
      }
      case 'area': {
        const kept = data?.waters.find((one) => one.doc.id === doc.brief.waterId);
        if (kept) await waters.put(changedWater(kept.doc, doc.brief.areaId, change), kept.version);
      }
    }
  };
  const keep = async (change: Attempt) => {
    setTrouble(null);
    try {
      await keepOne(change);
      say(`Kept ${words(change).where}: ${words(change).what}.`);
      onDone(changes.filter((one) => changeKey(one) !== changeKey(change)));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(error.message);
    }
  };
  return (
    <Box
      component="section"
      aria-label="Tried, not kept"
      {...screenOnly}
      sx={{
        border: 1,
        borderColor: 'text.primary',
        borderRadius: 1,
        p: 1.5,
        mb: 2,
      }}
    >
      <Typography variant="body2" sx={{ fontWeight: 700 }}>
        Tried, not kept
      </Typography>
      {changes.map((change) => {
        const { what, where } = words(change);
        return (
          <Box key={changeKey(change)} sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1 }}>
            <Typography variant="body2" sx={{ flex: '1 1 200px' }}>
              {what}
            </Typography>
            <Button onClick={() => void keep(change)}>Keep {where}</Button>
            <Button onClick={() => onDone(changes.filter((one) => changeKey(one) !== changeKey(change)))}>
              Put back
            </Button>
          </Box>
        );
      })}
      <Felt />
      {trouble && (
        <Alert severity="warning" variant="outlined" sx={{ mt: 1 }}>
          {trouble}
        </Alert>
      )}
    </Box>
  );
}

/** What the judgement would say with it: what comes, goes, or reads otherwise. */
function Felt() {
  const { outing, references } = useTrial();
  const { assessment, answers, now } = useDesk();
  const difference = useMemo(
    () => differenceOf(assessment.findings, assess(outing, references, answers, now, { withRepairs: false }).findings),
    [assessment, outing, references, answers, now],
  );
  const lines = (['come', 'turned', 'gone'] as const).flatMap((way) =>
    difference[way].map((finding) => ({ way, finding })),
  );
  return (
    <Box component="ul" aria-label="What the judgement would say" sx={{ listStyle: 'none', m: 0, mt: 0.5, p: 0 }}>
      {lines.length === 0 && (
        <Typography component="li" variant="body2" color="textSecondary">
          Kept, no Stop or Mind would come or go.
        </Typography>
      )}
      {lines.map(({ way, finding }) => (
        <Box
          component="li"
          key={finding.key}
          sx={{ display: 'flex', gap: 1, alignItems: 'center', typography: 'body2', py: 0.25 }}
        >
          <LevelMark level={finding.level} size={15} />
          <span>
            {feltWords[way]} {levelNames[finding.level]} <b>{sayFinding(finding.facts).title}</b>
          </span>
        </Box>
      ))}
    </Box>
  );
}
const feltWords = { come: 'would come:', turned: 'would read:', gone: 'would be settled:' } as const;
