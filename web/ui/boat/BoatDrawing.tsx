import { useTheme } from '@mui/material/styles';
import { type ReactNode, memo } from 'react';
import { figuresOf, fittingsOf } from '#core/boat/build';
import { figureOf, floatLines, linesOf, reachArcs, waterlineOf } from '#core/boat/drawing';
import { zonesOf } from '#core/boat/zones';
import type { Zone } from '#core/documents/boatParts';
import type { Craft } from '#core/documents/craft';
import type { Stance } from '#core/vocabulary/boat';
import { amount } from '#core/units/amount';
import { figure } from '#core/units/words';
import { useWidth } from '../timeAxis';
import type { Lies, ZoneHandling } from './handling';
import { type Scale, pathThrough, scaleFor } from './scale';
import { washOf } from '../gear/washOf';
import { FromAstern } from './FromAstern';
import { ZoneShape } from './ZoneShape';

/** Trim is drawn this many times as steep. */
const TRIM_DRAWN = 4;
interface Props {
  craft: Craft;
  /** How it lies on the water; null: it is not known, and no water is drawn. */
  lies?: Lies | null;
  /** The one who is in it; null: nobody is drawn. */
  angler?: { heightM: number } | null;
  stance?: Stance;
  /** Draws hand and twist about the shoulders. */
  reach?: boolean;
  views?: readonly ('above' | 'side' | 'astern')[];
  /** Places can be chosen, moved and stretched. */
  handling?: ZoneHandling;
  /** A share of its length from the stern at which to look. */
  here?: number | null;
  /** Without the marks of single places: a picture of the boat. */
  plain?: boolean;
  /** Its places without numbers; what is drawn over them is the caller's. */
  quiet?: boolean;
  /** Drawn so wide, px, whatever room there is: for paper; null: as wide as there is room. */
  fixed?: number | null;
  /** Room for names over and under it from above, px each. */
  namesPx?: number;
  /** Drawn over it, from above and from the side, in the units of the drawing. */
  above?: (scale: Scale) => ReactNode;
  beside?: (scale: Scale) => ReactNode;
}

/**
 * The boat to its own shape, bow to the right: from above, and from the side at its waterline. What is seen
 * is said in words too.
 */
export const BoatDrawing = memo(function BoatDrawing({
  craft,
  lies = null,
  angler = null,
  stance = 'seated low',
  reach = false,
  views = ['above', 'side'],
  handling,
  here = null,
  plain = false,
  quiet = false,
  fixed = null,
  namesPx = 0,
  above,
  beside,
}: Props) {
  const [ref, room] = useWidth<HTMLDivElement>(340);
  const width = fixed ?? room;
  const shows = quiet ? 'things' : angler !== null || !plain ? 'body' : 'hull';
  const scale = scaleFor(craft, width, shows, namesPx);
  return (
    <div ref={ref} style={{ minWidth: 0 }}>
      {views.includes('above') && (
        <FromAbove {...{ craft, lies, angler, stance, reach, handling, here, plain, scale, quiet, above }} />
      )}
      {views.includes('side') && (
        <FromSide
          {...{ craft, lies, angler: quiet ? null : angler, stance, scale, plain, handling, beside }}
        />
      )}
      {views.includes('astern') && lies && <FromAstern {...{ craft, lies, angler, stance, scale }} />}
    </div>
  );
});

function FromAbove({
  craft,
  lies,
  angler,
  stance,
  reach,
  handling,
  here,
  plain,
  scale,
  quiet,
  above,
}: Required<Pick<Props, 'craft' | 'lies' | 'angler' | 'stance' | 'reach' | 'here' | 'plain' | 'quiet'>> & {
  handling: ZoneHandling | undefined;
  scale: Scale;
  above: Props['above'];
}) {
  const { inks } = useTheme();
  const { x, y, px, width, heightAbove } = scale;
  const { deck } = linesOf(craft);
  const round = (line: readonly { xM: number; halfM: number }[], outM = 0) =>
    pathThrough(
      [
        ...line.map(({ xM, halfM }) => [x(xM), y(outM + halfM)] as const),
        ...line.toReversed().map(({ xM, halfM }) => [x(xM), y(outM - halfM)] as const),
      ],
      true,
    );
  const floats = floatLines(craft);
  const zones = plain ? zonesOf(craft).filter(isLarge) : zonesOf(craft);
  const water = lies ? waterlineOf(craft, lies.draftM, lies.trimDeg) : [];
  const arcs = reach && angler ? reachArcs(craft, angler, stance) : null;
  const body = angler ? figureOf(craft, angler, stance) : null;
  return (
    <svg
      width="100%"
      height={heightAbove}
      viewBox={`0 0 ${width} ${heightAbove}`}
      role={handling || above ? 'group' : 'img'}
      aria-label={
        handling
          ? `${craft.name} from above: its places can be moved`
          : above
            ? `${craft.name} from above, with what lies where; bow to the right`
            : sayAbove(craft, zones, here)
      }
      fill="none"
      style={{ display: 'block' }}
    >
      {floats &&
        [floats.outM, -floats.outM].map((outM) => (
          <g key={outM}>
            {[0.3, 0.7].map((share) => {
              const at = x((floats.deck[0]?.xM ?? 0) + share * craftFloat(craft));
              return (
                <path
                  key={share}
                  d={`M${at} ${y(Math.sign(outM) * 0.15)}V${y(outM)}`}
                  stroke={inks.slate}
                  strokeWidth={3}
                />
              );
            })}
            <path d={round(floats.deck, outM)} fill={inks.paper} stroke={inks.ink} strokeWidth={1.3} />
          </g>
        ))}
      <path d={round(deck)} fill={inks.raised} stroke={inks.ink} strokeWidth={1.8} strokeLinejoin="round" />
      {water.length > 1 && <path d={round(water)} stroke={inks.tide} strokeWidth={1} strokeDasharray="5 4" />}
      {arcs && (
        <g stroke={inks.kelp} strokeWidth={1} strokeDasharray="2 5">
          <circle cx={x(arcs.xM)} cy={y(0)} r={px(arcs.turnM)} />
          <circle cx={x(arcs.xM)} cy={y(0)} r={px(arcs.handM)} strokeDasharray="7 4" />
        </g>
      )}
      {fittingsOf(craft).map((one) => (
        <rect
          key={one.id}
          x={x(one.xM - one.lengthM / 2)}
          y={y(one.yM) - px(one.widthM / 2)}
          width={px(one.lengthM)}
          height={px(one.widthM)}
          fill={inks.faint}
          fillOpacity={0.45}
          stroke={inks.slate}
        >
          <title>{one.name}</title>
        </rect>
      ))}
      {zones.map((zone, i) => (
        <ZoneShape key={zone.id} {...{ zone, scale, handling }} number={plain || quiet ? null : i + 1} />
      ))}
      {body && (
        <g stroke={inks.slate} strokeWidth={1.4} pointerEvents="none">
          {stance !== 'standing' &&
            [0.12, -0.12].map((side) => (
              <Leg key={side} {...{ side, scale }} alongM={body.body.slice(2).map(({ xM }) => xM)} />
            ))}
          <ellipse
            cx={x(body.head.xM)}
            cy={y(0)}
            rx={px(0.13)}
            ry={px(body.shoulderHalfM)}
            fill={washOf(inks.clay, inks.raised)}
          />
          <circle cx={x(body.head.xM)} cy={y(0)} r={px(body.head.radiusM)} fill={inks.raised} />
        </g>
      )}
      <text x={x(craft.lengthM) - 4} y={14} textAnchor="end" fontSize={12} fill={inks.slate}>
        bow
      </text>
      {above?.(scale)}
      {here !== null && <Here {...{ craft, here, scale }} />}
    </svg>
  );
}

/** Half as broad as a thigh and as a shin, m. */
const LEG_M = [0.075, 0.06, 0.045] as const;
/** One leg from above, from hip over knee to foot. */
function Leg({ side, alongM, scale: { x, y } }: { side: number; alongM: readonly number[]; scale: Scale }) {
  const { inks } = useTheme();
  const middle = [side * 0.8, side * 1.2, side];
  const edge = (way: 1 | -1) =>
    alongM.map((xM, i) => [x(xM), y((middle[i] ?? side) + way * (LEG_M[i] ?? 0.05))] as const);
  return (
    <path
      d={pathThrough([...edge(1), ...edge(-1).toReversed()], true)}
      fill={washOf(inks.slate, inks.raised)}
    />
  );
}

function Here({ craft, here, scale: { x, y } }: { craft: Craft; here: number; scale: Scale }) {
  const { inks } = useTheme();
  const at = x(here * craft.lengthM);
  const left = here > 0.8;
  return (
    <>
      <circle cx={at} cy={y(0)} r={14} stroke={inks.ink} strokeWidth={3} />
      <circle cx={at} cy={y(0)} r={4} fill={inks.ink} />
      <text
        x={left ? at - 22 : at + 20}
        y={y(0) - 12}
        textAnchor={left ? 'end' : 'start'}
        fontSize={13}
        fill={inks.ink}
        stroke={inks.paper}
        strokeWidth={3}
        paintOrder="stroke"
      >
        here
      </text>
    </>
  );
}

function FromSide({
  craft,
  lies,
  angler,
  stance,
  scale,
  plain,
  handling,
  beside,
}: Required<Pick<Props, 'craft' | 'lies' | 'angler' | 'stance' | 'plain'>> & {
  scale: Scale;
  handling: ZoneHandling | undefined;
  beside: Props['beside'];
}) {
  const { inks } = useTheme();
  const { x, px, width, heightSide, z } = scale;
  const { keel, sheer } = linesOf(craft);
  const line = (points: readonly { xM: number; zM: number }[]) =>
    points.map(({ xM, zM }) => [x(xM), z(zM)] as const);
  const body = angler ? figureOf(craft, angler, stance) : null;
  const floats = floatLines(craft);
  const slope = lies ? Math.tan((lies.trimDeg * TRIM_DRAWN * Math.PI) / 180) : 0;
  const level = (xM: number) => z((lies?.draftM ?? 0) - (xM - craft.lengthM / 2) * slope);
  const tilted = lies !== null && Math.abs(lies.trimDeg) >= 0.05;
  // The water reaches from edge to edge.
  const ends = [-x(0) / px(1), (width - x(0)) / px(1)] as const;
  return (
    <svg
      width="100%"
      height={heightSide}
      viewBox={`0 0 ${width} ${heightSide}`}
      role="img"
      aria-label={saySide(craft, lies)}
      fill="none"
      style={{ display: 'block' }}
    >
      {floats && (
        <path
          d={`M${x(floats.deck[0]?.xM ?? 0)} ${z(floats.topM)}H${x(floats.deck[14]?.xM ?? 0)}Q${x((floats.deck[14]?.xM ?? 0) - 0.1)} ${z(floats.lowM)} ${x((floats.deck[12]?.xM ?? 0) - 0.1)} ${z(floats.lowM)}H${x((floats.deck[2]?.xM ?? 0) + 0.1)}Q${x((floats.deck[0]?.xM ?? 0) + 0.1)} ${z(floats.lowM)} ${x(floats.deck[0]?.xM ?? 0)} ${z(floats.topM)}Z`}
          stroke={inks.slate}
          strokeDasharray="4 3"
        />
      )}
      <path
        d={pathThrough([...line(keel), ...line(sheer).toReversed()], true)}
        fill={inks.raised}
        stroke={inks.ink}
        strokeWidth={1.8}
        strokeLinejoin="round"
      />
      {fittingsOf(craft).map((one) => (
        <rect
          key={one.id}
          x={x(one.xM - one.lengthM / 2)}
          y={z(one.zM + one.heightM / 2)}
          width={px(one.lengthM)}
          height={px(one.heightM)}
          fill={inks.faint}
          fillOpacity={0.45}
          stroke={inks.slate}
        />
      ))}
      {!plain &&
        zonesOf(craft)
          .filter(isLarge)
          .map((zone) => (
            <rect
              key={zone.id}
              x={x(zone.xM - zone.lengthM / 2)}
              y={z(zone.floorM + zone.heightM)}
              width={px(zone.lengthM)}
              height={px(zone.heightM)}
              stroke={handling?.chosen === zone.id ? inks.clay : inks.slate}
              strokeWidth={handling?.chosen === zone.id ? 2.4 : 0.8}
              strokeDasharray={zone.dryness === 'open' ? '3 3' : undefined}
            />
          ))}
      {beside?.(scale)}
      {lies && (
        <>
          <path
            d={`M${x(ends[0])} ${level(ends[0])}L${x(ends[1])} ${level(ends[1])}`}
            stroke={inks.tide}
            strokeWidth={2}
          />
          <path
            d={`M${x(ends[0])} ${level(ends[0])}L${x(ends[1])} ${level(ends[1])}V${heightSide}H${x(ends[0])}Z`}
            fill={inks.tide}
            fillOpacity={0.12}
          />
        </>
      )}
      {body && (
        <g stroke={inks.ink} strokeWidth={1.6} strokeLinecap="round" strokeLinejoin="round">
          <circle cx={x(body.head.xM)} cy={z(body.head.zM)} r={px(body.head.radiusM)} />
          <path d={pathThrough(line(body.body), false)} />
        </g>
      )}
      {lies && (
        <text x={width - 6} y={heightSide - 6} fontSize={12} fill={inks.slate} textAnchor="end">
          {tilted ? `trim drawn ${TRIM_DRAWN} times as steep` : 'on even keel'}
        </text>
      )}
      {!plain && <Measure {...{ craft, scale }} />}
    </svg>
  );
}

/** One metre, or three feet where those are read, under the boat. */
function Measure({ craft, scale: { x, heightSide } }: { craft: Craft; scale: Scale }) {
  const { inks } = useTheme();
  return (
    <g stroke={inks.slate}>
      <path d={`M${x(0)} ${heightSide - 14}v8H${x(1)}v-8`} strokeWidth={1} />
      <text x={x(1) + 6} y={heightSide - 6} fontSize={12} fill={inks.slate} stroke="none">
        {amount(1, 'm')} of {amount(craft.lengthM, 'm', 2)}
      </text>
    </g>
  );
}

const craftFloat = ({ floats }: Craft) => floats?.lengthM ?? 0;
const isLarge = ({ lengthM, widthM }: Zone) => lengthM >= 0.25 && widthM >= 0.2;

function sayAbove(craft: Craft, zones: readonly Zone[], here: number | null): string {
  const what = `${craft.name} from above, ${amount(craft.lengthM, 'm', 2)} by ${amount(craft.beamM, 'm', 2)}, bow to the right`;
  if (here !== null)
    return `${what}, with the place to look at, ${figure(here * 100, 0)} % of the way from stern to bow`;
  return `${what}. From bow to stern: ${zones
    .toSorted((a, b) => b.xM - a.xM)
    .map(({ name }) => name)
    .join(', ')}.`;
}
function saySide(craft: Craft, lies: Lies | null): string {
  const { depthM } = figuresOf(craft);
  const what = `${craft.name} from the side, ${amount(depthM, 'm', 2)} deep amidships`;
  if (!lies) return `${what}.`;
  const trim =
    Math.abs(lies.trimDeg) < 0.05
      ? 'on even keel'
      : `${figure(Math.abs(lies.trimDeg))}° ${lies.trimDeg > 0 ? 'bow up' : 'bow down'}`;
  return `${what}, floating ${amount(lies.draftM, 'm', 2)} deep, ${trim}.`;
}
