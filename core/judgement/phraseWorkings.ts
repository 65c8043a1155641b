import { count, duration, figure, listed, mass } from '../units/words';
import type { Sentences } from './phrase';

/** Why no anchor may be set, by what forbids it. */
export const shutWhy = {
  stream: 'From one metre a second an anchor pulls a small boat under.',
  school: 'Your own rule is stricter than the limit.',
  beam: 'Lying across it, the boat fills and rolls.',
  gear: 'From half a metre a second it wants a quick release, a float and a trolley to bow or stern, all three.',
  reach: 'The rode does not reach the bottom.',
} as const;
const roleWords = { main: 'the main line', leader: 'the leader', clip: 'the snap or swivel' } as const;

/** Sentences of the sums: holding, rods, tackle, power. */
export const workingsSentences: Sentences<
  | 'anchor-shut'
  | 'anchor-scope'
  | 'anchor-drags'
  | 'anchor-no-release'
  | 'pole-no-hold'
  | 'rig-weak'
  | 'rig-over-rod'
  | 'rig-window'
  | 'rig-guides'
  | 'rig-knot'
  | 'rig-spool'
  | 'rig-bites'
  | 'spares-few'
  | 'spares-many'
  | 'jig-light'
  | 'spread-wide'
  | 'battery-short'
> = {
  'anchor-shut': ({ anchor, why, spans, streamMps, openAt }) => ({
    title: `No anchor ${listed(spans.map(({ from, to }) => (from === to ? `at ${from}` : `from ${from} to ${to}`)))}`,
    text: `${anchor}: the stream there runs to ${figure(streamMps, 2)} m/s. ${shutWhy[why]}${openAt === null ? '' : ` It may be set from ${openAt}.`}`,
  }),
  'anchor-scope': ({ anchor, scope, depthM, neededM, rodeM }) => ({
    title: `${anchor}: the rode is short`,
    text: `${figure(rodeM)} m of rode in ${figure(depthM)} m of water is a scope of ${figure(scope)}; three to one takes ${figure(neededM)} m.`,
  }),
  'anchor-drags': ({ anchor, margin, at, loadN, holdingN, bottom }) => ({
    title: `${anchor} may drag at ${at}`,
    text: `It holds about ${figure(holdingN, 0)} N on ${bottom} against ${figure(loadN, 0)} N: ${figure(margin)} times, and two are wanted. A rule of thumb.`,
  }),
  'anchor-no-release': ({ anchor }) => ({
    title: `${anchor} has no release to hand`,
    text: 'Fouled, or in a wash, it has to be left behind at once.',
  }),
  'pole-no-hold': ({ pole, why, poleM, neededM, bottom, streamMps }) => ({
    title: `${pole} does not hold there`,
    text:
      why === 'short'
        ? `It is ${figure(poleM)} m; ${figure(neededM)} m reach the bottom, half a metre of it, and a hand above.`
        : why === 'bottom'
          ? `A pole holds in mud or sand; there it is ${bottom}.`
          : `The stream runs to ${figure(streamMps, 2)} m/s; a pole is for less than half a metre a second.`,
  }),
  'rig-weak': ({ rig, role, part, strengthKg, leaderKg }) => ({
    title: `${rig}: ${part} breaks first`,
    text: `It holds ${figure(strengthKg)} kg, the leader ${figure(leaderKg)} kg after its knot. When ${roleWords[role]} goes, the fish keeps ${role === 'main' ? 'all the line behind it' : 'the lure'}. The leader should be the part that breaks.`,
  }),
  'rig-over-rod': ({ rig, rod, mainKg, rodKg }) => ({
    title: `${rig}: line above the rod`,
    text: `The main line holds ${figure(mainKg)} kg, ${rod} is made for ${figure(rodKg)} kg. Snagged, the rod goes before the line.`,
  }),
  'rig-window': ({ rig, lureG, fromG, toG }) => ({
    title: `${rig}: ${figure(lureG, 0)} g on a rod for ${figure(fromG, 0)} to ${figure(toG, 0)} g`,
    text: lureG > toG ? 'Too heavy: it may break at the cast.' : 'Too light: it does not load the rod.',
  }),
  'rig-guides': ({ rig, clip, leaderM, rodM }) => ({
    title: `${rig}: ${clip} runs into the guides`,
    text: `The leader is ${figure(leaderM)} m on a rod of ${figure(rodM)} m. A fish cannot be brought close; wound in, the top guide breaks.`,
  }),
  'rig-knot': ({ rig, knot }) => ({
    title: `${rig}: the ${knot} runs through the guides`,
    text: 'On a leader nearly as long as the rod, a slimmer knot runs easier.',
  }),
  'rig-spool': ({ rig, spoolM, runM }) => ({
    title: `${rig}: ${figure(spoolM, 0)} m on the spool`,
    text: `The longest run to reckon with is ${figure(runM, 0)} m; half as much again is wanted behind it.`,
  }),
  'rig-bites': ({ rig, leader }) => ({
    title: `${rig}: this fish bites through it`,
    text: `${leader} does not stand teeth. The fish would keep the hook.`,
  }),
  'spares-few': ({ item, have, carry, expected, hours }) => ({
    title: `${item}: ${count(have)}, and ${count(carry)} are wanted`,
    text: `In ${duration(hours * 60)} about ${figure(expected)} are lost, by the rate on its sheet: a rule of thumb until it is your own.`,
  }),
  'spares-many': ({ item, have, carry }) => ({
    title: `${item}: ${count(have)}, where ${count(carry)} would do`,
    text: 'Searching and untangling is fishing time lost.',
  }),
  'jig-light': ({ massG, haveG, at, depthM, driftMps, angleDeg }) => ({
    title: `At ${at} the jig wants ${mass(massG / 1000)}`,
    text: `In ${figure(depthM, 0)} m at ${figure(driftMps, 2)} m/s of drift, to keep the line within ${figure(angleDeg, 0)}° of straight down. The heaviest aboard is ${mass(haveG / 1000)}. A drogue slows the drift.`,
  }),
  'spread-wide': ({ spreadM, mostM }) => ({
    title: `Rods ${figure(spreadM)} m apart in a crowd`,
    text: `Others pass close. Over ${figure(mostM)} m, one rod across the bow instead.`,
  }),
  'battery-short': ({ battery, neededWh, usableWh, tempC, emptyAfterH, reserve }) => ({
    title: `${battery} does not last the day`,
    text: `${figure(neededWh, 0)} Wh are drawn; at ${figure(tempC)} °C it gives about ${figure(usableWh, 0)} Wh, and ${figure(reserve * 100, 0)} % are kept back. ${emptyAfterH === null ? 'It would end in its reserve.' : `Empty after about ${duration(emptyAfterH * 60)}.`} An estimate by rules of thumb.`,
  }),
};
