import { useTheme } from '@mui/material/styles';
import { ROW, type PlacedWords } from './layout';

/** Sun and turns of the tide, named under the axis. @param y of the first row, px */
export function Events({ placed, y }: { placed: readonly PlacedWords[]; y: number }) {
  const { inks } = useTheme();
  return placed.map(({ text, start, row }) => (
    <text key={`${text} ${start}`} x={start} y={y + row * ROW} fontSize={12} fill={inks.slate}>
      {text}
    </text>
  ));
}
