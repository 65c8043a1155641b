import { useTheme } from '@mui/material/styles';
import { floatLines, figureOf, linesOf } from '#core/boat/drawing';
import type { Craft } from '#core/documents/craft';
import { figure } from '#core/units/words';
import type { Stance } from '#core/vocabulary/boat';
import type { Lies } from './handling';
import { type Scale, pathThrough } from './scale';

/** Heel is drawn so many times as far over. */
const HEEL_DRAWN = 2;

/** The section where it is widest, looked at from astern, on the water as it heels. */
export function FromAstern({
  craft,
  lies,
  angler,
  stance,
  scale: { px, width, z, heightSide },
}: {
  craft: Craft;
  lies: Lies;
  angler: { heightM: number } | null;
  stance: Stance;
  scale: Scale;
}) {
  const { inks } = useTheme();
  const { section } = linesOf(craft);
  const floats = floatLines(craft);
  const body = angler ? figureOf(craft, angler, stance) : null;
  const over = lies.heelDeg === null ? 90 : Math.min(90, Math.abs(lies.heelDeg) * HEEL_DRAWN);
  const middle = width / 2;
  const at = (yM: number, zM: number) => [middle + px(yM), z(zM)] as const;
  const [turnX, turnY] = at(0, lies.draftM);
  const outboard = stance === 'leaning' ? 0.1 : stance === 'reaching astern' ? 0.14 : 0;
  return (
    <svg
      width="100%"
      height={heightSide}
      viewBox={`0 0 ${width} ${heightSide}`}
      role="img"
      aria-label={
        lies.heelDeg === null
          ? `${craft.name} from astern: it goes over.`
          : `${craft.name} from astern, heeled ${figure(Math.abs(lies.heelDeg))}°.`
      }
      fill="none"
      style={{ display: 'block' }}
    >
      <g transform={`rotate(${over.toFixed(2)} ${turnX} ${turnY})`}>
        {floats &&
          [floats.outM, -floats.outM].map((outM) => (
            <g key={outM} stroke={inks.ink}>
              <path
                d={pathThrough([at(0, 0.3), at(outM, floats.topM)], false)}
                stroke={inks.slate}
                strokeWidth={3}
              />
              <ellipse
                cx={at(outM, 0)[0]}
                cy={at(0, (floats.lowM + floats.topM) / 2)[1]}
                rx={px(Math.max(...floats.deck.map(({ halfM }) => halfM)))}
                ry={px((floats.topM - floats.lowM) / 2)}
                fill={inks.paper}
              />
            </g>
          ))}
        <path
          d={pathThrough(
            [
              ...section.map(({ yM, zM }) => at(yM, zM)),
              ...section.toReversed().map(({ yM, zM }) => at(-yM, zM)),
            ],
            true,
          )}
          fill={inks.raised}
          stroke={inks.ink}
          strokeWidth={1.8}
          strokeLinejoin="round"
        />
        {body && (
          <g stroke={inks.ink} strokeWidth={1.6} strokeLinecap="round">
            <circle cx={at(outboard * 1.6, 0)[0]} cy={z(body.head.zM)} r={px(body.head.radiusM)} />
            <path
              d={pathThrough(
                [at(outboard * 1.5, body.body[0]?.zM ?? 0), at(outboard * 0.5, body.body[2]?.zM ?? 0)],
                false,
              )}
            />
            <path
              d={pathThrough(
                [
                  at(outboard * 1.4 - body.shoulderHalfM, body.body[1]?.zM ?? 0),
                  at(outboard * 1.4 + body.shoulderHalfM, body.body[1]?.zM ?? 0),
                ],
                false,
              )}
            />
          </g>
        )}
      </g>
      <path d={`M0 ${turnY}H${width}`} stroke={inks.tide} strokeWidth={2} />
      <rect
        x={0}
        y={turnY}
        width={width}
        height={Math.max(0, heightSide - turnY)}
        fill={inks.tide}
        fillOpacity={0.12}
      />
      <text x={width - 6} y={heightSide - 6} fontSize={12} fill={inks.slate} textAnchor="end">
        {lies.heelDeg === null
          ? 'nothing holds it: it goes over'
          : Math.abs(lies.heelDeg) < 0.05
            ? 'upright'
            : `from astern; ${figure(Math.abs(lies.heelDeg))}° of heel drawn ${HEEL_DRAWN} times as far`}
      </text>
    </svg>
  );
}
