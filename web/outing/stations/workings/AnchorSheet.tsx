import { onWater } from '#core/boat/drag';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { shutWhy } from '#core/holding/anchorSheet';
import { HOLDING, scopeShare, surge } from '#core/holding/anchor';
import {
  type AnchorHour,
  LEAST_MARGIN,
  LEAST_SCOPE,
  anchorGear,
  anchorHours,
  anchorOf,
} from '#core/holding/anchorSheet';
import { pole } from '#core/holding/pole';
import { bottoms, alignments } from '#core/vocabulary/holding';
import { densityOf } from '#core/environment/density';
import { AIR_DENSITY, G, STEEL } from '#core/units/constants';
import { amount, mass, headed, amountOnly, inWords } from '#core/units/amount';
import { figure } from '#core/units/words';
import type { Craft } from '#core/documents/craft';
import type { Item } from '#core/documents/item';
import type { Water } from '#core/documents/water';
import { WaterChart } from '../../../ui/chart/WaterChart';
import { AnchorDrawing } from './AnchorDrawing';
import { Answer, Figures, HourMarks, InPlace, Nothing, Pick, Sheet, Sum } from './parts';
import { swingCircle } from './swing';
import { useTrial } from './trialContext';
import { screenOnly } from '../../../ui/screenOnly';
import type { Instant } from '#core/units/time';
import { Term } from '../../../ui/Term';

type Ground = NonNullable<ReturnType<typeof anchorOf>>;
type FishingArea = Water['areas'][number];
type Bottom = FishingArea['bottom'];

const may = { yes: 'yes', 'with care': 'care', no: 'no' } as const;

/** Whether to anchor, on what, and at which hours. */
export function AnchorSheet() {
  const { looked, e, outing, references, attempt } = useTrial();
  const { craft, area, water } = looked;
  const owned = references.items.filter((item) => anchorOf(item) !== null && item.condition === 'good');
  const aboard = looked.aboard.find(({ item }) => anchorOf(item) !== null)?.item;
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [chosenAt, setChosenAt] = useState<string | null>(null);
  const item = owned.find((one) => one.id === chosenId) ?? aboard ?? owned[0];
  if (!craft || !area || !water || e.spot.length === 0)
    return (
      <Nothing>
        Say in the brief which boat, which place and which hours. The anchor is worked out from there.
      </Nothing>
    );
  if (!item)
    return <Nothing>No anchor is owned. A pole or a drogue is another way to hold or slow the boat.</Nothing>;
  const { workings } = outing;
  const hours = anchorHours(item, e.spot, craft, looked, workings);
  const hardest = hours.reduce((a, b) => (b.sum.loadN > a.sum.loadN ? b : a));
  const at = hours.find(({ hour }) => `${hour.at}` === chosenAt) ?? hardest;
  const ground = anchorOf(item);
  if (!ground) return null;
  const { sum, hour } = at;
  const density = densityOf(water);
  const gear = anchorGear(item, looked);
  const level =
    at.leave.may === 'no' ? 'stop' : sum.margin !== null && sum.margin < LEAST_MARGIN ? 'mind' : null;
  const compared = owned.map((one) => ({
    one,
    at: sameHour(anchorHours(one, e.spot, craft, looked, workings), hour.at),
  }));
  return (
    <Sheet
      title={`Anchor at ${area.name}`}
      facts={
        <>
          at{' '}
          <Pick
            label="Hour"
            value={`${hour.at}`}
            options={hours.map((one) => ({ value: `${one.hour.at}`, name: one.hour.clock }))}
            onPick={setChosenAt}
          />
          {' · on '}
          <Pick
            label="Bottom"
            value={area.bottom}
            options={bottoms.map((value) => ({ value, name: value }))}
            onPick={(value) => attempt({ on: 'area', field: 'bottom', value })}
          />
          {' · '}
          <Pick
            label="Anchor"
            value={item.id}
            options={owned.map((one) => ({ value: one.id, name: one.name }))}
            onPick={setChosenId}
          />
          {' · led to the '}
          <Pick
            label="Led to"
            value={workings.alignment}
            options={alignments.map((value) => ({ value, name: value }))}
            onPick={(value) => attempt({ on: 'workings', field: 'alignment', value })}
          />
        </>
      }
    >
      <AnchorDrawing
        craft={craft}
        at={at}
        anchor={item.name}
        rodeM={ground.rodeM}
        attachM={workings.attachHeightM}
        buoyed={gear.buoyed}
      />
      <HoldingSums item={item} ground={ground} at={at} craft={craft} area={area} density={density} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 4, mt: 2, mb: 2 }}>
        <Answer
          of="holds, over the load"
          value={sum.margin === null ? 'no load' : `${figure(sum.margin)} ×`}
          limit={
            at.leave.may === 'no'
              ? `Not at ${hour.clock}, in ${amount(hour.streamMps, 'm/s', 2)}. ${inWords(shutWhy[at.leave.why])}`
              : `wanted: at least ${LEAST_MARGIN}, scope ${LEAST_SCOPE}`
          }
          level={level}
        />
        <HourMarks
          label="by the half hour"
          hours={hours.map((one) => ({ at: one.hour.at, clock: one.hour.clock, state: may[one.leave.may] }))}
        />
      </Box>
      <PullDown at={at} craft={craft} density={density} />
      <Box {...screenOnly} sx={{ mt: 2 }}>
        <WaterChart
          water={water}
          height={220}
          label={`The swing round the anchor, ${amount(sum.swingRadiusM, 'm')}`}
          around={{ place: area, radiusM: Math.max(60, sum.swingRadiusM * 2.5) }}
          lines={[{ points: swingCircle(area, sum.swingRadiusM), dashed: false, bare: true, name: 'swing' }]}
        />
      </Box>
      <Figures
        name="Every anchor owned, at this hour"
        open
        heads={['Anchor', headed('Rode', 'm'), 'Scope', headed('Holds', 'N'), 'Over the load', 'Mass']}
        rows={compared.map(({ one, at: then }) => [
          one.name,
          amountOnly(anchorOf(one)?.rodeM ?? 0, 'm'),
          figure(then.sum.scope),
          amountOnly(then.sum.holdingN, 'N', 0),
          then.sum.margin === null ? 'no load' : `${figure(then.sum.margin)} ×`,
          mass(one.massKg),
        ])}
      />
      <Figures
        name="The half hours"
        heads={[
          'Time',
          headed('Depth', 'm'),
          headed('Stream', 'm/s'),
          headed('Gusts', 'wind'),
          headed('Load', 'N'),
          'Over the load',
          'May',
        ]}
        rows={hours.map((one) => [
          one.hour.clock,
          amountOnly(one.hour.depthM, 'm'),
          amountOnly(one.hour.streamMps, 'm/s', 2),
          amountOnly(one.hour.gustMps, 'wind'),
          amountOnly(one.sum.loadN, 'N'),
          one.sum.margin === null ? 'no load' : figure(one.sum.margin),
          one.leave.may,
        ])}
      />
      <PolesInstead hour={hour} bottom={area.bottom} />
    </Sheet>
  );
}

interface Held {
  at: AnchorHour;
  craft: Craft;
  density: number;
}
/** Depth, load, scope and holding, each as its sum. */
function HoldingSums({
  item,
  ground,
  at: { sum, hour },
  craft,
  area,
  density,
}: Held & { item: Item; ground: Ground; area: FishingArea }) {
  const { outing, looked } = useTrial();
  const { workings } = outing;
  const beam = workings.alignment === 'beam';
  const boat = onWater(craft, looked.loaded);
  const k = boat.powerW / boat.cruiseMps ** 3;
  const factor = ground.holdK ?? HOLDING[ground.type][area.bottom];
  return (
    <>
      <Sum name="depth" result={amount(hour.depthM, 'm')}>
        <InPlace
          label="Depth at chart datum"
          value={area.depthM}
          unit="m"
          change={(value) => ({ on: 'area', field: 'depthM', value })}
        />{' '}
        + tide {amount(hour.tideM, 'm')}
      </Sum>
      <Sum name="load" result={amount(sum.loadN, 'N')} thumb>
        {beam
          ? `(½ × ${density} × ${figure(boat.lateralWaterM2, 2)} × ${figure(hour.streamMps, 2)}² + ½ × ${AIR_DENSITY} × ${figure(boat.lateralAirM2, 2)} × ${figure(hour.gustMps)}²)`
          : `(${figure(k)} × ${figure(hour.streamMps, 2)}² + ½ × ${AIR_DENSITY} × ${figure(boat.windageM2, 2)} × ${figure(hour.gustMps)}²)`}{' '}
        × <Term id="surge" /> {figure(surge(hour.hsM, workings.surgeHsM), 2)} (1 + {amount(hour.hsM, 'm', 2)}{' '}
        ÷{' '}
        <InPlace
          label="Wave that doubles the pull"
          value={workings.surgeHsM}
          unit="m"
          change={(value) => ({ on: 'workings', field: 'surgeHsM', value })}
        />
        , at most 2.5)
      </Sum>
      <Sum name={<Term id="scope" />} result={figure(sum.scope)}>
        <InPlace
          label="Rode"
          value={ground.rodeM}
          unit="m"
          change={(value) => ({ on: 'item', itemId: item.id, field: 'rodeM', value })}
        />{' '}
        ÷ ({amountOnly(hour.depthM, 'm')} +{' '}
        <InPlace
          label="Height of the rode above the water"
          value={workings.attachHeightM}
          unit="m"
          change={(value) => ({ on: 'workings', field: 'attachHeightM', value })}
        />
        ), at most {sum.scopeTarget}
      </Sum>
      <Sum name="holding" result={amount(sum.holdingN, 'N', 0)} thumb>
        <InPlace
          label="Mass of the anchor alone"
          value={ground.massKg}
          unit="kg"
          change={(value) => ({ on: 'item', itemId: item.id, field: 'groundKg', value })}
        />{' '}
        × {figure((1 - density / STEEL) * G, 2)} N/kg ×{' '}
        <InPlace
          label="Holding factor"
          value={factor}
          unit=""
          change={(value) => ({ on: 'item', itemId: item.id, field: 'holdK', value })}
        />{' '}
        (<Term id="holdingFactor" />) for a {ground.type} on {area.bottom} ×{' '}
        {figure(scopeShare(sum.scope), 2)} at that scope
      </Sum>
    </>
  );
}

/** What the rode does to the boat: how it is pulled down, and how far it swings. */
function PullDown({ at: { sum, hour }, craft, density }: Held) {
  const { workings } = useTrial().outing;
  return (
    <>
      <Sum
        name="pull down at the boat"
        result={sum.downPullN === null ? 'straight down' : amount(sum.downPullN, 'N')}
      >
        {amount(sum.loadN, 'N')} × tan {figure(sum.rodeAngleDeg, 0)}°
      </Sum>
      <Sum
        name="the bow goes down by about"
        result={sinkWords(sum.downPullN, craft.lengthM, craft.beamM, density)}
        thumb
      >
        {sum.downPullN === null
          ? 'the rode hangs straight down'
          : `${amount(sum.downPullN, 'N')} ÷ (${density} × 9.81 × ${figure(craft.lengthM)} × ${figure(craft.beamM, 2)} × 0.2)`}
      </Sum>
      <Sum name={<Term id="swing" />} result={amount(sum.swingRadiusM, 'm')}>
        √(({figure(sum.scope)} × {amountOnly(hour.depthM + workings.attachHeightM, 'm')})² −{' '}
        {amountOnly(hour.depthM + workings.attachHeightM, 'm')}²)
      </Sum>
    </>
  );
}

/** Whether a pole that is owned would do instead. */
function PolesInstead({ hour, bottom }: { hour: AnchorHour['hour']; bottom: Bottom }) {
  const { references } = useTrial();
  const poles = references.items.filter((one) => one.kind === 'stake-pole' || one.kind === 'short-pole');
  if (poles.length === 0) return null;
  return (
    <Figures
      name="Poles instead"
      heads={['Pole', headed('Length', 'm'), headed('Wanted', 'm'), 'Bottom', 'Stream', 'May']}
      rows={poles.map((one) => {
        const then = pole({
          poleM: one.attributes.lengthM ?? 0,
          depthM: hour.depthM,
          tideRiseM: 0,
          bottom,
          streamMps: hour.streamMps,
        });
        return [
          one.name,
          amountOnly(one.attributes.lengthM ?? 0, 'm'),
          amountOnly(then.neededM, 'm'),
          then.bottomHolds ? 'holds' : 'does not hold',
          then.streamAllows ? `under ${amount(0.5, 'm/s')}` : 'too hard',
          then.allowed ? 'yes' : 'no',
        ];
      })}
    />
  );
}

function sameHour(hours: readonly AnchorHour[], at: Instant): AnchorHour {
  const found = hours.find(({ hour }) => hour.at === at) ?? hours[0];
  if (!found) throw new Error('An anchor has the hours of the place.');
  return found;
}

/**
 * A pull at the end sinks the end by several times what it sinks the whole: a fifth of the deck's area
 * carries it.
 */
function sinkWords(downN: number | null, lengthM: number, beamM: number, density: number): string {
  if (downN === null) return 'not to be said';
  return amount((downN / (density * G * lengthM * beamM * 0.2)) * 100, 'cm');
}
