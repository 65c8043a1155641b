import { type Found, found } from '../finding';
import type { Judging } from '../context';
import { LEAST_MARGIN, LEAST_SCOPE, anchorGear, anchorHours, anchorOf, leaveSpans } from '../../holding/anchorSheet';
import { pole } from '../../holding/pole';

/** What lying to an anchor or a pole asks of gear and hour; silent where nobody means to. */
export const holdingJudgements: readonly ((j: Judging) => Found[])[] = [anchors, poles];

function anchoring({ outing }: Judging): boolean {
  return outing.brief.techniques.includes('anchored bait');
}

function anchors(j: Judging): Found[] {
  const { looked, e, outing } = j;
  const { craft } = looked;
  if (!anchoring(j) || !craft) return [];
  const carried = looked.aboard.filter(({ item }) => anchorOf(item) !== null);
  // Of several anchors the one that holds best counts: one is told of, not each.
  const judged = carried
    .map(({ item }) => ({ item, hours: anchorHours(item, e.spot, craft, looked, outing.workings) }))
    .toSorted((a, b) => worst(b.hours) - worst(a.hours))[0];
  if (!judged || judged.hours.length === 0) return [];
  const { item, hours } = judged;
  const list: Found[] = [];
  const name = item.name;
  const shut = hours.filter(({ leave }) => leave.may === 'no');
  const [first] = shut;
  if (first?.leave.may === 'no' && first.leave.why !== 'reach') {
    const peak = shut.reduce((a, b) => (b.hour.streamMps > a.hour.streamMps ? b : a));
    const open = hours.find(({ hour, leave }) => leave.may !== 'no' && hour.at > peak.hour.at);
    list.push(
      found(
        'stop',
        peak.leave.may === 'no' && peak.leave.why === 'school' ? 'school' : 'physics',
        'workings',
        peak.hour.streamMps,
        {
          code: 'anchor-shut',
          anchor: name,
          why: peak.leave.may === 'no' ? peak.leave.why : 'stream',
          spans: leaveSpans(hours)
            .filter(({ may }) => may === 'no')
            .map(({ from, to }) => ({ from, to })),
          streamMps: peak.hour.streamMps,
          openAt: open?.hour.clock ?? null,
        },
      ),
    );
  }
  const lying = hours.filter(({ leave }) => leave.may !== 'no');
  const short = hours.filter(({ sum }) => sum.scope < Math.min(LEAST_SCOPE, sum.scopeTarget) - 1e-9);
  const shortest = short.toSorted((a, b) => a.sum.scope - b.sum.scope)[0];
  if (shortest)
    list.push(
      found('mind', 'physics', 'workings', LEAST_SCOPE - shortest.sum.scope, {
        code: 'anchor-scope',
        anchor: name,
        scope: shortest.sum.scope,
        depthM: shortest.hour.depthM,
        neededM: LEAST_SCOPE * (shortest.hour.depthM + outing.workings.attachHeightM),
        rodeM: anchorOf(item)?.rodeM ?? 0,
      }),
    );
  const weak = lying
    .filter(({ sum }) => sum.margin !== null && sum.scope >= 1 && sum.margin < LEAST_MARGIN)
    .toSorted((a, b) => (a.sum.margin ?? 0) - (b.sum.margin ?? 0))[0];
  if (weak)
    list.push(
      found('mind', 'judgement', 'workings', LEAST_MARGIN - (weak.sum.margin ?? 0), {
        code: 'anchor-drags',
        anchor: name,
        margin: weak.sum.margin ?? 0,
        at: weak.hour.clock,
        loadN: weak.sum.loadN,
        holdingN: weak.sum.holdingN,
        bottom: looked.area?.bottom ?? '',
      }),
    );
  const told = j.needs.some((need) => need.id === 'anchor-release' && !need.met);
  if (!told && !anchorGear(item, looked).released)
    list.push(found('mind', 'judgement', 'workings', 1, { code: 'anchor-no-release', anchor: name }));
  return list;
}

function worst(hours: ReturnType<typeof anchorHours>): number {
  return Math.min(...hours.map(({ sum }) => sum.margin ?? Infinity));
}

function poles(j: Judging): Found[] {
  const { looked, e } = j;
  if (!anchoring(j) || looked.aboard.some(({ item }) => anchorOf(item) !== null) || !looked.area) return [];
  const [carried] = looked.aboard.filter(({ item }) => item.kind === 'stake-pole' || item.kind === 'short-pole');
  const deepest = e.spot.toSorted((a, b) => b.depthM - a.depthM)[0];
  if (!carried || !deepest) return [];
  const streamMps = Math.max(...e.spot.map((hour) => hour.streamMps));
  const poleM = carried.item.attributes.lengthM ?? 0;
  const sum = pole({ poleM, depthM: deepest.depthM, tideRiseM: 0, bottom: looked.area.bottom, streamMps });
  if (sum.allowed) return [];
  const why = !sum.reaches ? 'short' : !sum.bottomHolds ? 'bottom' : 'stream';
  return [
    found('mind', 'judgement', 'workings', 1, {
      code: 'pole-no-hold',
      pole: carried.item.name,
      why,
      poleM,
      neededM: sum.neededM,
      bottom: looked.area.bottom,
      streamMps,
    }),
  ];
}
