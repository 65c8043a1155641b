import { forms } from '../documents/forms';
import type { Chart } from '../documents/chart';
import { FETCH_BEARINGS, type StreamHour, type TideTurn, type Water } from '../documents/water';
import { distanceBetween, toPlane } from '../environment/geo';
import { OPEN_SEA_M, fetchFromChart } from '../environment/fetch';
import { mainBearing, noStreamTable } from '../environment/waterTide';
import { noRescue } from '../documents/word';
import { type Position, toSixPlaces } from '../units/position';

/** What a marked point of a water is. */
export const markUses = ['place to fish', 'another launch', 'hazard', 'left out'] as const;
export type MarkUse = (typeof markUses)[number];
export interface Mark {
  name: string;
  use: MarkUse;
  at: Position;
}

/** What is asked about a water of one's own. */
export interface WaterAnswers {
  name: string;
  type: Water['type'];
  setting: Water['setting'];
  timeZone: string;
  launch: { name: string; at: Position; surf: boolean };
  /** Left out: the position is known. */
  positioned?: boolean;
  marks: readonly Mark[];
  chart: Chart;
  /** Of sixteen points, those from which the open sea comes in; for who has drawn no shore. */
  openFrom: readonly number[];
  /** How far it is across, m, a lake at its longest; without a drawn shore. null: not told. */
  acrossM: number | null;
  /** How far across at its widest, m, and along which bearing its length lies, °; null: not told. */
  widthM?: number | null;
  liesAlongDeg?: number | null;
  /** Where one can get out, how far a telephone reaches, and how deep it is where one fishes, m. */
  getOut?: Water['getOut'] | null;
  coverage?: Water['coverage'];
  depthM?: number | null;
  rapids?: number;
  turns: readonly TideTurn[];
  streamHours: readonly StreamHour[];
  /** How a river runs, and where; null: not told. */
  steady: { mps: number; towardDeg: number } | null;
}

/** Open water where a side is not open to the sea, and where nothing is told at all, m. */
const SHELTERED_M = 1500;
const USUAL_ACROSS: Readonly<Record<Water['setting'], number>> = {
  still: 500,
  river: 300,
  estuary: 2000,
  flats: 5000,
  coast: SHELTERED_M,
  open: OPEN_SEA_M,
};
const DEPTHS: Readonly<Record<Water['setting'], number>> = {
  still: 5,
  river: 2,
  estuary: 5,
  flats: 1.5,
  coast: 10,
  open: 20,
};
const MOST_OUT_M = 40_000;
/** A position is kept to about a decimetre: so much more is not the next ten metres. */
const WITHIN_M = 0.5;

/** Whether water of a kind is at sea: it may have a tide, and its wind may come over open water. */
export function isSea(setting: Water['setting']): boolean {
  return setting === 'estuary' || setting === 'coast' || setting === 'open' || setting === 'flats';
}

/** Where one gets out of such a water, where nobody said. */
export function usualGetOut(setting: Water['setting']): Water['getOut'] {
  return isSea(setting) ? 'by the chart' : 'anywhere along the banks';
}

/**
 * Open water upwind for each of sixteen points: from the drawn shore, else by what was told, else as is usual
 * for such a water.
 */
export function fetchFor(
  answers: Pick<WaterAnswers, 'setting' | 'openFrom' | 'acrossM' | 'widthM' | 'liesAlongDeg' | 'chart'>,
  from: Position,
): number[] {
  const { setting, openFrom, chart } = answers;
  const drawn = fetchFromChart(from, chart);
  // Where a lake's shore was left open, its water still ends: no farther than what is drawn is across.
  const most = isSea(setting) ? Infinity : extentM(from, chart);
  if (drawn) return drawn.map((metres) => Math.min(metres, Math.round(most)));
  const longM = answers.acrossM ?? USUAL_ACROSS[setting];
  const wideM = Math.min(longM, answers.widthM ?? longM);
  return Array.from({ length: FETCH_BEARINGS }, (_, i) =>
    openFrom.includes(i)
      ? OPEN_SEA_M
      : Math.round(chordM(longM, wideM, (i * 360) / FETCH_BEARINGS - (answers.liesAlongDeg ?? 0))),
  );
}
/** The diagonal of all the land that a chart shows, with a place of the water, m. */
function extentM(from: Position, { features }: Chart): number {
  const points = features
    .filter(({ properties }) => properties.shows === 'land')
    .flatMap(({ geometry }) =>
      geometry.type === 'Polygon' ? geometry.coordinates.flat() : geometry.coordinates,
    )
    .map(([lonDeg, latDeg]) => toPlane(from, { latDeg, lonDeg }));
  const span = (of: (point: { x: number; y: number }) => number) =>
    Math.max(0, ...points.map(of)) - Math.min(0, ...points.map(of));
  return Math.hypot(
    span(({ x }) => x),
    span(({ y }) => y),
  );
}
/**
 * Across an ellipse of this length and width through its middle, m: the most open water there is at that
 * angle to its length. Without a told direction the length counts as lying north and south.
 */
function chordM(longM: number, wideM: number, fromLengthDeg: number): number {
  const angle = (fromLengthDeg * Math.PI) / 180;
  return (longM * wideM) / Math.hypot(wideM * Math.cos(angle), longM * Math.sin(angle));
}

/**
 * No place of a lake or a river lies farther from ground than half way across, whatever way it is to a
 * landing. null: the chart says, or nothing does.
 */
function fromBanks({ setting, acrossM, widthM, chart }: WaterAnswers, distanceM: number): number | null {
  const across = widthM ?? acrossM ?? (setting === 'river' ? USUAL_ACROSS.river : null);
  const isBetweenBanks = (setting === 'river' || setting === 'still') && chart.features.length === 0;
  return isBetweenBanks && across !== null ? Math.min(distanceM, across / 2) : null;
}

function streamFrom({ streamHours, steady }: WaterAnswers): Water['stream'] {
  const none = { ...noStreamTable, constituents: [] };
  if (streamHours.length > 0)
    return { ...none, towardDeg: mainBearing(streamHours), steadyMps: 0, hours: [...streamHours] };
  return steady && { ...none, towardDeg: steady.towardDeg, steadyMps: steady.mps };
}

/**
 * A water from a handful of answers; all else as is usual for its kind. A launch alone is a place to fish
 * too, close in.
 */
export function waterFrom(answers: WaterAnswers, newId: () => string): Water {
  const { launch, marks, setting, type } = answers;
  const sea = isSea(setting);
  const launches: Water['launches'] = [launch, ...of(marks, 'another launch')].map((one) => ({
    id: newId(),
    name: one.name,
    ...toSixPlaces(one.at),
    surf: 'surf' in one ? one.surf : false,
    barM: null,
    carryM: 50,
    surface: 'firm',
  }));
  const out = (at: Position) =>
    Math.min(
      MOST_OUT_M,
      Math.ceil((Math.min(...launches.map((one) => distanceBetween(at, one))) - WITHIN_M) / 10) * 10,
    );
  const areas = of(marks, 'place to fish').map((mark) => ({
    name: mark.name,
    at: mark.at,
    distanceM: out(mark.at),
  }));
  const places = areas.length > 0 ? areas : [{ name: `off ${launch.name}`, at: launch.at, distanceM: 300 }];
  return {
    format: forms.waters,
    id: newId(),
    name: answers.name,
    type,
    setting,
    timeZone: answers.timeZone,
    ...toSixPlaces(launch.at),
    positioned: answers.positioned ?? true,
    assumed: answers.depthM == null ? ['depth', 'bottom', 'carry'] : ['bottom', 'carry'],
    launches,
    areas: places.map(({ name, at, distanceM }) => ({
      id: newId(),
      name,
      ...toSixPlaces(at),
      distanceM,
      shoreM: fromBanks(answers, distanceM),
      depthM: answers.depthM ?? DEPTHS[setting],
      bottom: sea ? 'sand' : 'mud',
    })),
    hazards: of(marks, 'hazard').map((mark) => ({
      id: newId(),
      name: mark.name,
      kind: 'rocks',
      ...toSixPlaces(mark.at),
      radiusM: 100,
      streamFactor: 1,
    })),
    getOut: answers.getOut ?? usualGetOut(setting),
    traffic: 'some',
    coverage: answers.coverage ?? 'not known',
    fetchM: fetchFor(answers, launch.at),
    tide: answers.turns.length > 0 ? { meanM: 0, constituents: [], turns: [...answers.turns] } : null,
    stream: streamFrom(answers),
    chart: answers.chart,
    answered: [],
    rapids: setting === 'river' ? (answers.rapids ?? 0) : 0,
    branches: false,
    rescue: noRescue,
    rulePackId: null,
    note: '',
    noteOn: null,
    invented: false,
    authorityNote: '',
  };
}

function of(marks: readonly Mark[], use: MarkUse): readonly Mark[] {
  return marks.filter((mark) => mark.use === use);
}
/**
 * The same water under another name: its own to change. What was answered once for all outings there is left
 * behind.
 */
export function copyWater(water: Water, newId: () => string): Water {
  return {
    ...water,
    id: newId(),
    name: `${water.name}, copy`.slice(0, 80),
    invented: water.invented,
    answered: [],
  };
}
