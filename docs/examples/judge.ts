/**
 * Judges an hour on a pond, tries the first way out of each finding, and says what is left: `npx tsx
 * docs/examples/judge.ts`.
 */
import {
  applyRepair,
  assess,
  boatFrom,
  freshProfile,
  newItem,
  newOuting,
  noAnswers,
  sayFinding,
  sayRepair,
  waterFrom,
  withItem,
  type Outing,
  type References,
} from '../../core/index';

let made = 0;
const newId = () => `id-${(made += 1)}`;

const pond = waterFrom(
  {
    name: 'Alder Pond',
    type: 'fresh',
    setting: 'still',
    timeZone: 'utc',
    launch: { name: 'the meadow', at: { latDeg: 52, lonDeg: 5 }, surf: false },
    marks: [],
    chart: { type: 'FeatureCollection', features: [] },
    openFrom: [],
    acrossM: 300,
    turns: [],
    streamHours: [],
    steady: null,
  },
  newId,
);
const boat = boatFrom('boat', 'open-paddled', {
  lengthM: 3.6,
  beamM: 0.8,
  massKg: 28,
  ratedLoadKg: 180,
  depthM: 0.34,
});
const references: References = {
  angler: freshProfile('angler'),
  craft: [boat],
  items: [newItem('jacket', 'foam-jacket'), newItem('paddle', 'paddle'), newItem('whistle', 'whistle')],
  waters: [pond],
  rulePacks: [],
  species: [],
};
const now = Date.UTC(2026, 5, 1, 20);

let outing: Outing = withItem(newOuting('outing', '2026-06-02', references), 'paddle', 1);
for (const round of ['as it is', 'after the first way out of each']) {
  const { findings } = assess(outing, references, noAnswers, now);
  console.log(`${round}:`);
  for (const { level, facts, repairs } of findings) {
    console.log(`  ${level}: ${sayFinding(facts).title}`);
    const [repair] = repairs;
    if (repair) {
      console.log(`    ${sayRepair(repair)}`);
      outing = applyRepair(outing, repair, now);
    }
  }
}
