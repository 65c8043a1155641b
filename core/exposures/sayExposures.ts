import type { Exposures } from './exposures';
import { SHAKEDOWN_OUTINGS } from '../vocabulary/trips';
import { amount, distance, mass, amountOnly } from '../units/amount';
import { capital, count, duration, figure, listed, plural } from '../units/words';
import { byClock } from '../units/clockWords';

/**
 * What one is exposed to, each as a title and the figures it came from. Silent where there is nothing to say.
 */
export function sayExposures(e: Exposures): { id: string; title: string; text: string }[] {
  const list: { id: string; title: string; text: string }[] = [];
  const say = (id: string, title: string, text: string) =>
    list.push({ id, title: byClock(title), text: byClock(text) });
  if (e.hoursAfloat !== null)
    say(
      'hours',
      `${duration(e.hoursAfloat * 60)} ${e.nights > 0 ? 'from launch to landing' : 'afloat'}`,
      e.nights > 0
        ? `${capital(count(e.nights))} ${plural(e.nights, 'night')} ashore between.`
        : darkWords(e),
    );
  const { maxDistanceFromLandingM: landingM, maxDistanceFromShoreM: shoreM } = e;
  if (shoreM !== null && landingM !== null && shoreM < landingM * 0.9)
    say(
      'shore',
      `${distance(shoreM)} from ground to get out on`,
      `At the farthest${e.minutesToShore === null ? '' : `; ${duration(e.minutesToShore)} at your own pace in still water, an estimate`}. No vehicle need be there.`,
    );
  if (landingM !== null && e.minutesToLanding !== null)
    say(
      'distance',
      `${distance(landingM)} from a landing at the farthest`,
      `${duration(e.minutesToLanding)} to the nearest landing ${e.plan ? 'at the hour you turn' : 'in still water'}${e.minutesToLandingSpare === null ? '' : `, ${duration(e.minutesToLandingSpare)} with the second propulsion`}. An estimate.`,
    );
  say(
    'party',
    e.solo ? 'Alone' : `${capital(count(e.party))} together`,
    e.solo
      ? 'Whatever happens, you are the first to help and perhaps the only one.'
      : 'Stay within a call of each other.',
  );
  if (e.immersion && e.waterC !== null)
    say(
      'water',
      `Water ${amount(e.waterC, '°C')}, ${e.immersion.class}`,
      `Published range to exhaustion: ${duration(e.immersion.exhaustionMin[0])} to ${duration(e.immersion.exhaustionMin[1])}. A range, not a promise.`,
    );
  if (e.wind)
    say(
      'wind',
      `Wind to ${amount(e.wind.value, 'wind')}`,
      `At ${e.wind.at}${e.gust ? `, gusts to ${amount(e.gust.value, 'wind')} at ${e.gust.at}` : ''}.`,
    );
  if (e.offshore && e.offshore.value >= 1)
    say(
      'offshore',
      `Off the shore at ${e.offshore.at}, ${amount(e.offshore.value, 'wind')}`,
      'It is calm at the launch and rougher with every stroke out, and the way home is against it.',
    );
  if (e.hs && e.hs.value >= 0.05)
    say(
      'sea',
      `Sea to ${amount(e.hs.value, 'm')}`,
      `At ${e.hs.at}; ${e.waveM === null ? '' : `wind's own waves to ${amount(e.waveM, 'm')}${e.swellM ? `, swell to ${amount(e.swellM, 'm')}` : ''}. `}An estimate from wind, fetch and stream.`,
    );
  if (e.stream && e.stream.value > 0.05)
    say(
      'stream',
      `Stream to ${amount(e.stream.value, 'm/s', 2)}`,
      `At ${e.stream.at}, outside any race. Predicted from what is written of the water.`,
    );
  if (e.breakerM !== null)
    say(
      'surf',
      `Breakers of about ${amount(e.breakerM, 'm')}`,
      'At launch or landing, the higher. Estimated from swell height and period.',
    );
  for (const [id, bar, when] of [
    ['bar-launch', e.barAtLaunch, 'launch'],
    ['bar-landing', e.barAtLanding, 'land'],
  ] as const)
    if (bar)
      say(
        id,
        `${amount(bar.depthM, 'm')} of water where you ${when}`,
        `At ${bar.at}, by the predicted tide.`,
      );
  if (e.airMinC !== null && e.airMaxC !== null)
    say(
      'air',
      e.airMinC === e.airMaxC
        ? `Air ${amount(e.airMinC, '°C')}`
        : `Air ${amountOnly(e.airMinC, '°C')} to ${amount(e.airMaxC, '°C')}`,
      feelsWords(e),
    );
  if (e.visibility && e.visibility.value < 5000)
    say('visibility', `Visibility down to ${distance(e.visibility.value)}`, `At ${e.visibility.at}.`);
  const worst = steepest(e);
  if (worst)
    say(
      'against-stream',
      worst.factor === null
        ? 'Waves stopped by the stream'
        : `Waves ${figure(worst.factor, 2)} times higher on the stream`,
      `${amount(worst.heightM, 'm')} of wind's own waves against ${amount(worst.streamMps, 'm/s', 2)} at ${worst.at}. An estimate.`,
    );
  if (e.thunder && e.thunder.value > 0)
    say('thunder', `Thunder ${figure(e.thunder.value, 0)} %`, `At its likeliest, ${e.thunder.at}.`);
  if (e.rapids > 0)
    say(
      'rapids',
      `${capital(count(e.rapids))} ${plural(e.rapids, 'rapid')}`,
      'Moving water: rods flat, one hand free.',
    );
  if (e.remote) say('coverage', 'A phone may not reach anyone', 'Coverage there is patchy or none.');
  if (e.traffic === 'some') say('traffic', 'Other boats pass', 'Now and then; they do not expect you.');
  if (e.traffic === 'busy') say('traffic', 'Boats pass close', 'You are low, and they are quick.');
  if (e.largest) {
    const { name, teeth, hazard } = e.largest.species;
    const minds = [teeth === 'sharp' ? 'sharp teeth' : '', hazard === 'teeth' ? '' : hazard].filter(
      (part) => part !== '',
    );
    say(
      'fish',
      `${capital(name)} to ${amount(e.largest.lengthM * 100, 'cm', 0)}`,
      `Largest likely, ${mass(e.largest.massKg)}, usual practice.${minds.length > 0 ? ` Mind the ${listed(minds)}.` : ''}`,
    );
  }
  if (e.keep > 0 && e.largest)
    say(
      'keeps',
      `${capital(count(e.keep))} kept`,
      `About ${mass(e.keepKg)} at the usual size, to be killed quickly and kept cold.`,
    );
  if (e.drive)
    say(
      'drive',
      driveTitles[e.drive],
      e.inflatable ? 'An inflatable hull: nothing sharp bare, valves looked at.' : driveTexts[e.drive],
    );
  if (e.electricsW > 0 && e.hoursAfloat !== null)
    say(
      'electrics',
      `${figure(e.electricsW)} W aboard`,
      `${figure(e.electricsW * Math.min(e.hoursAfloat, 24), 0)} Wh for the hours afloat, if all of it runs.`,
    );
  if (e.rods > 1) say('rods', `${capital(count(e.rods))} rods`, 'Each needs its leash and its place.');
  if (e.standing) say('standing', 'Standing', 'Higher, and easier to upset; nothing underfoot.');
  if (e.competition)
    say('competition', 'A competition', 'Board, identifier and phone are each a single point of failure.');
  if (e.outingsLogged !== null && e.outingsLogged < SHAKEDOWN_OUTINGS)
    say(
      'new',
      `${capital(count(e.outingsLogged))} ${plural(e.outingsLogged, 'outing')} with this boat so far`,
      'What it does in a capsize is not known yet.',
    );
  return list;
}

/** The hour in which the stream stands the wind's waves up most; null: nowhere by a tenth or more. */
function steepest(
  e: Exposures,
): { factor: number | null; heightM: number; streamMps: number; at: string } | null {
  let worst: Exposures['seas'][number] | null = null;
  const rank = (factor: number | null) => factor ?? Infinity;
  for (const hour of e.seas)
    if (hour.sea.windSeaM >= 0.1 && (worst === null || rank(hour.sea.factor) > rank(worst.sea.factor)))
      worst = hour;
  if (!worst || rank(worst.sea.factor) < 1.1) return null;
  return {
    factor: worst.sea.factor,
    heightM: worst.sea.windSeaM,
    streamMps: worst.streamMps,
    at: worst.clock,
  };
}

function feelsWords({ airMinC, airMaxC, feelsMinC, feelsMaxC }: Exposures): string {
  const cold =
    feelsMinC !== null && airMinC !== null && feelsMinC < airMinC - 1
      ? `Wind chill to ${amount(feelsMinC, '°C', 0)}. `
      : '';
  const hot =
    feelsMaxC !== null && airMaxC !== null && feelsMaxC > airMaxC + 1
      ? `Heat index to ${amount(feelsMaxC, '°C', 0)}. `
      : '';
  return `${cold}${hot}As forecast, in the shade.`;
}

const driveTitles = { paddle: 'Under paddle', pedal: 'Under pedals', motor: 'Under motor' } as const;
const driveTexts = {
  paddle: 'Both hands are needed to move.',
  pedal: 'Hands are free; the drive can jam in weed or fail.',
  motor: 'It goes as far as its battery does.',
} as const;

function darkWords(e: Exposures): string {
  if (e.darkMinutes < 1)
    return e.daylightLeftMin === null
      ? 'All of it between sunrise and sunset.'
      : `All of it between sunrise and sunset; ${duration(e.daylightLeftMin)} of daylight left at the end.`;
  return `${duration(e.darkMinutes)} of it dark, ${listed(e.darkSpans.map(({ from, to }) => `${from} to ${to}`))}.`;
}
