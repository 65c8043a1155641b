import type { Outing } from '../documents/outing';
import { type References, lookUp } from '../documents/references';
import type { Repair } from '../editing/repair';
import { withHours } from '../editing/hours';
import { type Instant, shiftClock } from '../units/time';
import type { Station } from '../vocabulary/stations';
import type { Answers } from '../walkround/answers';
import type { Facts } from './allRules';
import { assess } from './assess';
import { type FindingLevel, findingLevels } from '../vocabulary/levels';

/** One thing, one companion or an hour on which something of the outing hangs alone. */
export interface SinglePoint {
  /** What goes: a thing of the locker, one of the party, or an hour of the day. */
  goes: { what: 'thing'; itemId: string; name: string } | { what: 'companion' } | { what: 'hour' };
  /** What would be said then that is not said now, the gravest first. */
  fails: readonly { level: FindingLevel; facts: Facts }[];
  /** The first repair for the gravest of them; null: nothing that is owned repairs it. */
  second: Repair | null;
}

/**
 * The single points of failure of an outing: each thing aboard is taken away in turn, then a companion, then an
 * hour of the day, and the outing is judged again. Listed is what leads to a Stop or a Mind that was not said.
 */
export function singlePoints(
  outing: Outing,
  references: References,
  answers: Answers,
  now: Instant,
): SinglePoint[] {
  const known = new Map(
    assess(outing, references, answers, now, { withRepairs: false }).findings.map(({ key, level }) => [
      key,
      level,
    ]),
  );
  const isNew = ({ key, level }: { key: string; level: FindingLevel }) => {
    const was = known.get(key);
    return (
      level !== 'note' && (was === undefined || findingLevels.indexOf(level) < findingLevels.indexOf(was))
    );
  };
  const without = (goes: SinglePoint['goes'], next: Outing, nextReferences = references): SinglePoint[] => {
    const { findings } = assess(next, nextReferences, answers, now);
    const fails = findings.filter((one) => !NOT_COUNTED.has(one.station) && isNew(one));
    const [gravest] = fails;
    if (!gravest) return [];
    return [
      {
        goes,
        fails: fails.map(({ level, facts }) => ({ level, facts })),
        second: gravest.repairs[0] ?? null,
      },
    ];
  };
  const { aboard } = lookUp(outing, references);
  const { brief } = outing;
  const points = [
    ...aboard.flatMap(({ item, entry }) => {
      if (entry.carriedBy !== null) return [];
      const goes = { what: 'thing' as const, itemId: item.id, name: item.name };
      // Of several of a kind one goes; the last of a kind is not in the locker either.
      return entry.quantity > 1
        ? without(goes, {
            ...outing,
            loadout: outing.loadout.map((one) =>
              one.itemId === item.id ? { ...one, quantity: one.quantity - 1 } : one,
            ),
          })
        : without(goes, outing, {
            ...references,
            items: references.items.filter(({ id }) => id !== item.id),
          });
    }),
    ...(brief.party > 1
      ? without({ what: 'companion' }, { ...outing, brief: { ...brief, party: brief.party - 1 } })
      : []),
    ...without(
      { what: 'hour' },
      { ...outing, brief: withHours(brief, brief.launchAt, shiftClock(brief.homeAt, 60)) },
    ),
  ];
  const severity = ({ fails }: SinglePoint) =>
    fails.reduce((sum, { level }) => sum + (level === 'stop' ? STOP_COUNTS : 1), 0);
  return points.toSorted((a, b) => severity(b) - severity(a));
}
/** Where other things lie without it, and that the plan left ashore is an older one, is no failure. */
const NOT_COUNTED: ReadonlySet<Station> = new Set<Station>(['stow', 'leave-word']);
/** In the order of the list a Stop goes before any number of Minds. */
const STOP_COUNTS = 100;
