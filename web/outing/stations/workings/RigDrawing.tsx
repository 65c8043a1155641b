import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import type { BuiltRig } from '#core/tackle/builtRig';
import { amount, mass } from '#core/units/amount';
import { useWidth } from '../../../ui/timeAxis';

/** A rig as one line from the rod to the lure; each part with what it holds, the weak one marked. */
export function RigDrawing({ built: { rod, parts, weakest, lure, lureG } }: { built: BuiltRig }) {
  const { inks } = useTheme();
  const [holder, width] = useWidth<HTMLDivElement>(640);
  const [from, to] = width < 520 ? [40, width - 56] : [70, width - 70];
  const step = parts.length > 0 ? (to - from) / parts.length : 0;
  const words = `${rod?.name ?? 'no rod'}, ${parts.map((part) => `${part.name} ${amount(part.strengthKg, 'kg')}`).join(', ')}, ${lure?.name ?? 'no lure'}. ${weakest ? `Weakest: ${weakest.name}.` : ''}`;
  return (
    <Box ref={holder} sx={{ my: 1 }}>
      <svg width="100%" height={116} role="img" aria-label={words} fill="none" style={{ display: 'block' }}>
        <path d={`M6 84L${from} 44`} stroke={inks.ink} strokeWidth={4} strokeLinecap="round" />
        <circle cx={20} cy={84} r={8} stroke={inks.ink} strokeWidth={2} fill={inks.paper} />
        {parts.map((part, i) => {
          const x = from + i * step;
          const weak = part === weakest;
          const colour = weak ? inks.clay : inks.ink;
          return (
            <g key={`${part.role}${i}`}>
              {part.role === 'clip' ? (
                <rect
                  x={x + step / 2 - 14}
                  y={36}
                  width={28}
                  height={16}
                  rx={8}
                  stroke={colour}
                  strokeWidth={2}
                  fill={inks.paper}
                />
              ) : null}
              <path
                d={
                  part.role === 'clip'
                    ? `M${x} 44H${x + step / 2 - 14}M${x + step / 2 + 14} 44H${x + step}`
                    : `M${x} 44H${x + step}`
                }
                stroke={colour}
                strokeWidth={part.role === 'main' ? 1.6 : 2.6}
                strokeDasharray={weak ? '7 4' : ''}
              />
              {part.knot !== '' && <circle cx={x + step} cy={44} r={4.5} fill={colour} />}
              <text
                x={x + step / 2}
                y={26}
                fontSize={12}
                fontWeight={weak ? 700 : 400}
                fill={colour}
                textAnchor="middle"
              >
                {clipped(part.name, step)}
              </text>
              <text x={x + step / 2} y={68} fontSize={13} fontWeight={700} fill={colour} textAnchor="middle">
                {amount(part.strengthKg, 'kg')}
              </text>
              <text
                x={x + step / 2}
                y={84}
                fontSize={11}
                fill={weak ? inks.clay : inks.slate}
                textAnchor="middle"
              >
                {weak ? 'breaks first' : clipped(part.knot, step)}
              </text>
            </g>
          );
        })}
        <path
          d={`M${to} 44q22 -12 34 0q-12 12 -34 0M${to + 34} 44l10 -7v14z`}
          stroke={inks.ink}
          strokeWidth={1.8}
        />
        <text x={to + 22} y={72} fontSize={12} fill={inks.ink} textAnchor="middle">
          {lureG === null ? '' : mass(lureG / 1000)}
        </text>
      </svg>
    </Box>
  );
}

function clipped(text: string, px: number): string {
  const most = Math.max(6, Math.floor(px / 6.6));
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}
