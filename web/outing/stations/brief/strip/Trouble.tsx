import { useTheme } from '@mui/material/styles';
import { HOUR_MS } from '#core/units/time';
import { type TimeAxis, xOf } from '../../../../ui/timeAxis';
import { useOutingWorkspace } from '../../../outingWorkspace';

/** Where the way is shut, in words, over its hours. */
export function Trouble({
  axis,
  top,
  bottom,
  named,
}: {
  axis: TimeAxis;
  top: number;
  bottom: number;
  /** The height at which its words stand. */
  named: number;
}) {
  const { assessment } = useOutingWorkspace();
  const { inks } = useTheme();
  const shut = assessment.exposures.plan?.legs.find(
    (leg) => leg.why === 'cannot hold track' || leg.why === 'no headway',
  );
  if (!shut || shut.startsAt === null) return null;
  const from = Math.max(axis.left, xOf(axis, shut.startsAt));
  const to = Math.min(axis.right, xOf(axis, shut.startsAt + HOUR_MS));
  return (
    <g>
      <rect
        x={from}
        y={top}
        width={Math.max(4, to - from)}
        height={bottom - top}
        fill={inks.clay}
        opacity={0.16}
      />
      <text
        x={Math.min(from + 6, axis.right - 130)}
        y={named}
        fontSize={12}
        fontWeight={700}
        fill={inks.clay}
        paintOrder="stroke"
        stroke={inks.paper}
        strokeWidth={4}
      >
        {shut.way === 'out' ? 'the way out is shut' : 'the way home is shut'}
      </text>
    </g>
  );
}
