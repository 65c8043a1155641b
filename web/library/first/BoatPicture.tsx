import { useTheme } from '@mui/material/styles';
import { type BoatFormId, boatForms } from '#core/boat/boatForms';

const W = 132;
const H = 46;

/** A boat from the side, as one knows it across a car park: its hull, how one sits, what drives it. */
export function BoatPicture({ id }: { id: BoatFormId }) {
  const { inks } = useTheme();
  const { hull, deck, drive } = boatForms[id];
  const soft = hull === 'inflatable';
  const closed = deck === 'sit-inside';
  const side = soft
    ? 'M6 27Q8 20 22 20H112Q124 20 127 26Q124 34 112 34H20Q8 34 6 27Z'
    : closed
      ? 'M3 24Q20 22 44 20Q66 17 88 20Q112 22 129 23Q112 33 66 34Q20 33 3 24Z'
      : 'M4 22Q16 25 30 25H100Q116 25 128 19Q122 34 104 35H26Q10 34 4 22Z';
  return (
    <svg viewBox={`0 0 ${W} ${H}`} width={W} height={H} aria-hidden style={{ display: 'block' }}>
      <path d={`M0 ${H - 9}H${W}`} stroke={inks.rule} />
      <path d={side} fill={inks.faint} stroke={inks.ink} strokeWidth={1.5} strokeLinejoin="round" />
      {soft && <path d="M10 27H124" stroke={inks.ink} strokeWidth={0.8} />}
      {/* The one who sits in it. */}
      <circle cx={60} cy={closed ? 5 : 7} r={3.6} fill="none" stroke={inks.ink} strokeWidth={1.5} />
      <path
        d={closed ? 'M60 9L58 20' : 'M60 11L57 24L74 24L82 20'}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.5}
        strokeLinecap="round"
      />
      {drive === 'paddle' && (
        <path
          d="M40 25L84 6M36 27L42 24M82 7L88 4"
          stroke={inks.tide}
          strokeWidth={2}
          strokeLinecap="round"
        />
      )}
      {drive === 'pedal' && (
        <path
          d="M84 22V42M78 40Q84 44 90 40M80 18L88 22"
          fill="none"
          stroke={inks.tide}
          strokeWidth={2}
          strokeLinecap="round"
        />
      )}
      {drive === 'motor' && (
        <path
          d="M7 16V40M3 37L11 43M11 37L3 43M7 16H15"
          fill="none"
          stroke={inks.tide}
          strokeWidth={2}
          strokeLinecap="round"
        />
      )}
    </svg>
  );
}
