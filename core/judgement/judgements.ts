import { LOAD_MIND, LOAD_NOTE, LOAD_STOP, STERN_MIND, STERN_STOP, carriedKg, sternLoad } from '../boat/load';
import { SHAKEDOWN_OUTINGS } from '../vocabulary/trips';
import { openBlanks } from '../documents/references';
import type { JudgedNeed } from '../needs/match';
import { HOUR_MS, minutesBetween } from '../units/time';
import { FORECAST_HOURS, forecastSeenAt } from './gate';
import { hullParts } from '../walkround/hullParts';
import { type Found, found } from './finding';
import { dayJudgements } from './judgeDay';
import type { Judging } from './context';
import { holdingJudgements } from './rules/holding';
import { powerJudgements } from './rules/power';
import { tackleJudgements } from './rules/tackle';
import { kitJudgements } from './judgeKit';
import { rules } from './judgeRules';
import { needLevel } from './needLevel';

/** Thunder chance from which nobody launches, %. */
const THUNDER_STOP_PCT = 30;
const THUNDER_MIND_PCT = 10;

/** Every judgement, in the order of the chain. Each is silent where there is nothing to say. */
export const judgements: readonly ((j: Judging) => Found[])[] = [
  briefComplete,
  hoursInOrder,
  rules,
  weather,
  surfAtLaunch,
  ...dayJudgements,
  craftSound,
  load,
  behindTheSeat,
  unmetNeeds,
  ...kitJudgements,
  ...holdingJudgements,
  ...tackleJudgements,
  ...powerJudgements,
  worthKnowing,
];

function briefComplete({ outing, looked }: Judging): Found[] {
  const blanks = openBlanks(outing.brief, looked);
  return blanks.length > 0
    ? [found('stop', 'physics', 'brief', blanks.length, { code: 'brief-incomplete', blanks })]
    : [];
}

function hoursInOrder({ outing, looked, e, now }: Judging): Found[] {
  const { brief } = outing;
  if (!looked.water) return [];
  if (e.launchAt === null || e.homeAt === null)
    return [
      found('stop', 'physics', 'brief', 1, { code: 'hours-reversed', launchAt: brief.launchAt, homeAt: brief.homeAt }),
    ];
  return e.homeAt < now && outing.log === null
    ? [found('stop', 'physics', 'brief', 1, { code: 'hours-gone', launchAt: brief.launchAt, date: brief.date })]
    : [];
}

function weather({ outing, looked, e, now, answers }: Judging): Found[] {
  const { angler } = looked;
  if (e.launchAt === null || e.homeAt === null) return [];
  const list: Found[] = [];
  const missing = missingFigures(e, looked.launch?.surf === true);
  const wantedHours = Math.ceil(minutesBetween(e.launchAt, e.homeAt) / 60);
  if (missing.figures.length > 0)
    list.push(
      found('mind', 'judgement', 'brief', missing.figures.length, {
        code: 'conditions-missing',
        figures: missing.figures,
        hours: wantedHours,
      }),
    );
  const seen = forecastSeenAt(outing, answers);
  const hoursOld = seen === null ? null : (now - seen) / HOUR_MS;
  // Of an outing that is over nothing is to be looked at again.
  if (outing.log === null && hoursOld !== null && hoursOld > FORECAST_HOURS && missing.figures.length === 0)
    list.push(found('note', 'judgement', 'brief', hoursOld, { code: 'conditions-stale', hoursOld }));
  if (e.thunder && e.thunder.value >= THUNDER_MIND_PCT) {
    const level = e.thunder.value >= THUNDER_STOP_PCT ? 'stop' : 'mind';
    list.push(
      found(level, 'physics', 'brief', e.thunder.value, {
        code: 'thunder',
        percent: e.thunder.value,
        at: e.thunder.at,
      }),
    );
  }
  if (!angler) return list;
  const { windMps, gustMps } = angler.limits;
  // Wind and the gusts in it are one cause: told once, by the steady wind where that already passes the limit.
  if (e.wind && e.wind.value > windMps)
    list.push(
      found('mind', 'judgement', 'brief', e.wind.value, {
        code: 'wind-over-limit',
        mps: e.wind.value,
        at: e.wind.at,
        limitMps: windMps,
      }),
    );
  else if (e.gust && e.gust.value > gustMps)
    list.push(
      found('mind', 'judgement', 'brief', e.gust.value, {
        code: 'gust-over-limit',
        mps: e.gust.value,
        at: e.gust.at,
        limitMps: gustMps,
      }),
    );
  return list;
}

function missingFigures(e: Judging['e'], surf: boolean): { figures: string[] } {
  const known: [string, boolean][] = [
    ['wind', e.wind !== null],
    ['gusts', e.gust !== null],
    ['air', e.airMinC !== null],
    ['water temperature', e.waterC !== null],
    ['swell and its period', !surf || e.breakerM !== null],
  ];
  return { figures: known.flatMap(([name, is]) => (is ? [] : [name])) };
}

function surfAtLaunch({ looked, e }: Judging): Found[] {
  const limitM = looked.angler?.limits.breakerM;
  if (limitM === undefined || e.breakerM === null || e.breakerM <= limitM || !looked.launch) return [];
  return [
    found('stop', 'judgement', 'brief', e.breakerM, {
      code: 'surf-over-limit',
      breakerM: e.breakerM,
      limitM,
      launch: looked.launch.name,
    }),
  ];
}

function craftSound({ looked: { craft }, craftFaults }: Judging): Found[] {
  if (!craft) return [];
  const list = craftFaults.map(({ part, missing }) => {
    const [level, basis] = hullParts[part].critical ? (['stop', 'physics'] as const) : (['mind', 'judgement'] as const);
    return found(level, basis, 'walk-round', 1, { code: 'craft-fault', craft: craft.name, part, missing }, part);
  });
  if (craft.condition === 'under repair')
    list.unshift(found('stop', 'physics', 'brief', 1, { code: 'craft-under-repair', craft: craft.name }));
  return list;
}

function load({ looked, e }: Judging): Found[] {
  const massKg = carriedKg(looked, e);
  if (massKg === null || !looked.craft) return [];
  const ratedKg = looked.craft.ratedLoadKg;
  const share = massKg / ratedKg;
  if (share <= LOAD_NOTE) return [];
  const level = share > LOAD_STOP ? 'stop' : share > LOAD_MIND ? 'mind' : 'note';
  return [found(level, 'physics', 'kit', massKg, { code: 'overload', massKg, ratedKg, craft: looked.craft.name })];
}

function behindTheSeat({ looked, e }: Judging): Found[] {
  const ratedKg = looked.craft?.wellKg ?? null;
  if (!looked.craft || ratedKg === null) return [];
  const { massKg, items } = sternLoad(looked, e);
  if (massKg <= ratedKg * STERN_MIND) return [];
  const level = massKg > ratedKg * STERN_STOP ? 'stop' : 'mind';
  const heaviest = items
    .map(({ item, entry }) => ({ id: item.id, name: item.name, massKg: item.massKg * entry.quantity }))
    .toSorted((a, b) => b.massKg - a.massKg)
    .slice(0, 3);
  return [
    found(level, 'physics', 'kit', massKg, { code: 'stern-load', massKg, ratedKg, craft: looked.craft.name, heaviest }),
  ];
}

function unmetNeeds({ needs }: Judging): Found[] {
  return needs.filter((need) => !need.met).map(unmet);
}

function unmet(need: JudgedNeed): Found {
  const { level, basis } = needLevel(need);
  return found(
    level,
    basis,
    'kit',
    need.want - need.counted,
    {
      code: 'need-unmet',
      needId: need.id,
      need: need.level,
      want: need.want,
      have: need.counted,
      reasons: need.reasons,
      notCounted: need.means.filter((means) => means.shortfall !== null),
    },
    need.id,
  );
}

function worthKnowing({ outing, looked, e, needs }: Judging): Found[] {
  const list: Found[] = [];
  const met = (id: string) => needs.some((need) => need.id === id && need.met);
  if (e.darkMinutes >= 1)
    list.push(
      found('note', 'physics', 'brief', e.darkMinutes, {
        code: 'darkness',
        minutes: e.darkMinutes,
        spans: e.darkSpans,
        lit: met('be-seen-night'),
      }),
    );
  if (e.immersion && e.waterC !== null && e.immersion.class !== 'warm' && e.immersion.class !== 'cool')
    list.push(
      found('note', 'physics', 'brief', 40 - e.waterC, {
        code: 'cold-water',
        waterC: e.waterC,
        class: e.immersion.class,
        exhaustionMin: e.immersion.exhaustionMin,
        minutesToLanding: e.minutesToLanding,
        dressed: met('immersion-clothing'),
      }),
    );
  if (looked.craft && looked.craft.outingsLogged < SHAKEDOWN_OUTINGS && outing.brief.trip !== 'shakedown') {
    const level = looked.angler?.experience === 'new' ? 'mind' : 'note';
    list.push(
      found(level, 'school', 'brief', 1, {
        code: 'first-outings',
        craft: looked.craft.name,
        logged: looked.craft.outingsLogged,
      }),
    );
  }
  if (e.party > outing.company.length + 1)
    list.push(found('note', 'judgement', 'kit', e.party, { code: 'party', people: e.party }));
  return list;
}
