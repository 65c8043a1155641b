import type { Repair } from '../editing/repair';
import type { Blank } from '../documents/references';
import type { NeedId } from '../vocabulary/needs';
import type { Level, Reason } from '../needs/need';
import type { Means } from '../needs/match';
import type { TackleCount } from '../tackle/tackleBudget';
import type { HullPart } from '../walkround/hullParts';

export const findingLevels = ['stop', 'mind', 'note'] as const;
export type FindingLevel = (typeof findingLevels)[number];
/** What a finding rests on. Law and physics cannot be overridden. */
export type Basis = 'law' | 'physics' | 'judgement' | 'school';
export type Station = 'brief' | 'kit' | 'workings' | 'walk-round' | 'ashore';

/** What was found, as facts. findings/phrase turns them into sentences. */
export type Facts =
  | { code: 'brief-incomplete'; blanks: readonly Blank[] }
  | { code: 'hours-reversed'; launchAt: string; homeAt: string }
  | { code: 'hours-gone'; launchAt: string; date: string }
  | {
      code: 'need-unmet';
      needId: NeedId;
      need: Level;
      want: number;
      have: number;
      reasons: readonly Reason[];
      notCounted: readonly Means[];
    }
  | { code: 'no-rule-pack'; water: string }
  | { code: 'rule-pack-stale'; pack: string; authority: string; days: number }
  | {
      code: 'rods-over-rule';
      rods: number;
      most: number;
      withPermission: number | null;
      authority: string;
      citation: string;
    }
  | { code: 'keep-over-rule'; species: string; keep: number; most: number; authority: string; citation: string }
  | { code: 'closed-season'; species: string; from: string; to: string; authority: string; citation: string }
  | { code: 'anchor-forbidden'; area: string; authority: string; citation: string }
  | {
      code: 'size-limit';
      species: string;
      leastM: number;
      mostM: number | null;
      authority: string;
      citation: string;
    }
  | { code: 'foam-favoured'; item: string; why: 'swim' | 'cold' | 'surf' }
  | { code: 'paddle-size'; item: string; haveM: number; wantM: number }
  | { code: 'baits-react'; item: string; beside: string; itemId: string }
  | { code: 'tackle-over'; have: TackleCount; budget: TackleCount }
  | { code: 'companion-silent'; name: string; titles: readonly string[] }
  | { code: 'overload'; massKg: number; ratedKg: number; craft: string }
  | {
      code: 'stern-load';
      massKg: number;
      ratedKg: number;
      craft: string;
      heaviest: readonly { id: string; name: string; massKg: number }[];
    }
  | { code: 'craft-under-repair'; craft: string }
  | { code: 'craft-fault'; craft: string; part: HullPart; missing: boolean }
  | { code: 'conditions-missing'; figures: readonly string[]; hours: number }
  | { code: 'conditions-stale'; hoursOld: number }
  | { code: 'thunder'; percent: number; at: string }
  | { code: 'wind-over-limit'; mps: number; at: string; limitMps: number }
  | { code: 'gust-over-limit'; mps: number; at: string; limitMps: number }
  | { code: 'surf-over-limit'; breakerM: number; limitM: number; launch: string }
  | { code: 'automatic-jacket'; item: string; where: 'surf' | 'rapids' }
  | { code: 'gaff-aboard'; item: string; why: 'inflatable' | 'released' }
  | { code: 'out-of-date-aboard'; items: readonly { name: string; on: string }[] }
  | { code: 'first-outings'; craft: string; logged: number }
  | { code: 'darkness'; minutes: number; spans: readonly { from: string; to: string }[]; lit: boolean }
  | {
      code: 'cold-water';
      waterC: number;
      class: string;
      exhaustionMin: readonly [number, number];
      minutesToLanding: number | null;
      dressed: boolean;
    }
  | { code: 'party'; people: number }
  | {
      code: 'cannot-hold';
      leg: string;
      way: 'out' | 'home';
      why: 'cannot hold track' | 'no headway';
      at: string;
      race: string | null;
    }
  | { code: 'turn-passed'; spotAt: string; deadline: string }
  | {
      code: 'home-late';
      turnAt: string;
      homeAt: string;
      deadline: string;
      latestTurn: string | null;
      afterAlarm: boolean;
    }
  | { code: 'home-after-dark'; homeAt: string; sunset: string }
  | { code: 'wind-against-stream'; at: string; hsM: number; factor: number | null; streamMps: number }
  | { code: 'fog'; visibilityM: number; at: string }
  | { code: 'bar-low'; place: string; depthM: number; at: string; when: 'launch' | 'landing' }
  | {
      code: 'anchor-shut';
      anchor: string;
      why: 'stream' | 'school' | 'beam' | 'gear' | 'reach';
      spans: readonly { from: string; to: string }[];
      streamMps: number;
      openAt: string | null;
    }
  | { code: 'anchor-scope'; anchor: string; scope: number; depthM: number; neededM: number; rodeM: number }
  | {
      code: 'anchor-drags';
      anchor: string;
      margin: number;
      at: string;
      loadN: number;
      holdingN: number;
      bottom: string;
    }
  | { code: 'anchor-no-release'; anchor: string }
  | {
      code: 'pole-no-hold';
      pole: string;
      why: 'short' | 'bottom' | 'stream';
      poleM: number;
      neededM: number;
      bottom: string;
      streamMps: number;
    }
  | {
      code: 'rig-weak';
      rig: string;
      rigId: string;
      role: 'main' | 'leader' | 'clip';
      part: string;
      strengthKg: number;
      leaderKg: number;
    }
  | { code: 'rig-over-rod'; rig: string; rigId: string; rod: string; mainKg: number; rodKg: number }
  | { code: 'rig-window'; rig: string; rigId: string; lureG: number; fromG: number; toG: number }
  | { code: 'rig-guides'; rig: string; rigId: string; clip: string; leaderM: number; rodM: number }
  | { code: 'rig-knot'; rig: string; rigId: string; rodM: number; knot: string }
  | { code: 'rig-spool'; rig: string; rigId: string; spoolM: number; runM: number }
  | { code: 'rig-bites'; rig: string; rigId: string; leader: string }
  | { code: 'spares-few' | 'spares-many'; item: string; have: number; carry: number; expected: number; hours: number }
  | {
      code: 'jig-light';
      massG: number;
      haveG: number;
      at: string;
      depthM: number;
      driftMps: number;
      angleDeg: number;
    }
  | { code: 'spread-wide'; spreadM: number; mostM: number }
  | {
      code: 'battery-short';
      battery: string;
      itemId: string;
      neededWh: number;
      usableWh: number;
      tempC: number;
      emptyAfterH: number | null;
      reserve: number;
    }
  | { code: 'second-too-slow'; homeAt: string | null; deadline: string }
  | { code: 'way-over-land'; legs: readonly string[] };
export type FindingCode = Facts['code'];

export interface Finding {
  /** Identity across edits: code and subject. */
  key: string;
  level: FindingLevel;
  basis: Basis;
  station: Station;
  facts: Facts;
  /** Grows as it gets worse; an acceptance holds only up to the extent it was given at. */
  extent: number;
  /** Repairs, each judged before it is offered: it settles this and opens nothing else. */
  repairs: readonly Repair[];
  /** The reason it was accepted with; null: it stands open. */
  accepted: string | null;
  /** Whether a typed reason may answer it. */
  answerable: boolean;
}

/** A finding before acceptance and repairs are worked out. */
export type Found = Pick<Finding, 'key' | 'level' | 'basis' | 'station' | 'facts' | 'extent'>;

/** Subjects that distinguish two findings of one code. */
export function found(
  level: FindingLevel,
  basis: Basis,
  station: Station,
  extent: number,
  facts: Facts,
  subject = '',
): Found {
  return { key: subject ? `${facts.code}:${subject}` : facts.code, level, basis, station, facts, extent };
}
