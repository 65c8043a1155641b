import { useTheme } from '@mui/material/styles';
import type { TimeAxis } from '../../../../ui/timeAxis';

/** A band's name and its unit, at its left. */
export function Name({ y, text, unit, colour }: { y: number; text: string; unit: string; colour: string }) {
  const { inks } = useTheme();
  return (
    <text x={0} y={y} fontSize={12.5} fill={colour}>
      {text}
      <tspan x={0} dy={14} fontSize={11} fill={inks.slate}>
        {unit}
      </tspan>
    </text>
  );
}

interface LimitProps {
  axis: TimeAxis;
  y: number;
  text: string;
  named: boolean;
  /** At which end its name stands. */
  end?: 'left' | 'right';
}
/** The angler's own limit. Its name is drawn over every line, so that none runs through it. */
export function Limit({ axis, y, text, named, end = 'right' }: LimitProps) {
  const { inks } = useTheme();
  if (!named)
    return (
      <line x1={axis.left} x2={axis.right} y1={y} y2={y} stroke={inks.ochre} strokeDasharray="6 4" strokeWidth={1.2} />
    );
  return (
    <text
      x={end === 'right' ? axis.right : axis.left + 4}
      y={y - 4}
      fontSize={12}
      textAnchor={end === 'right' ? 'end' : 'start'}
      fill={inks.ochre}
      paintOrder="stroke"
      stroke={inks.paper}
      strokeWidth={4}
    >
      {text}
    </text>
  );
}
