import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';

interface Props {
  counted: number;
  of: number;
  /** Height of a stroke in px. */
  size?: number;
  /** Strokes alone, for where the number stands in other words. */
  bare?: boolean;
}

// A hand does not draw one stroke like another: leans and lengths repeat after seven.
const leans = [-1.3, -0.4, 0.5, -0.8, 0.2, -1, 0.6];
const GROUP = 5;

/** One stroke for each thing counted, every fifth crossing the four before it; what is not counted yet is faint. */
export function TallyStrokes({ counted, of, size = 14, bare = false }: Props) {
  const { inks } = useTheme();
  const gap = size * 0.36;
  const groupWidth = gap * 4 + size * 0.28;
  const groups = Math.ceil(of / GROUP);
  const width =
    Math.max(0, groups - 1) * groupWidth + (of === 0 ? 0 : gap * Math.min(4, of - (groups - 1) * GROUP) + 2);
  const strokes = Array.from({ length: of }, (_, i) => {
    const left = Math.floor(i / GROUP) * groupWidth;
    const within = i % GROUP;
    const lean = (leans[i % leans.length] ?? 0) * (size / 14);
    const x = left + within * gap + 2;
    const crossing = within === GROUP - 1;
    return (
      <path
        key={i}
        d={
          crossing
            ? `M${left - 0.5} ${size * 0.74}L${left + gap * 3 + 4.5} ${size * 0.3}`
            : `M${x + 1} ${1 + (i % 3) * 0.4}L${x + lean - 0.6} ${size - 1}`
        }
        stroke={i < counted ? inks.ink : inks.faint}
        strokeWidth={size / 8}
        strokeLinecap="round"
      />
    );
  });
  const marks = (
    <svg
      width={Math.ceil(width + 4)}
      height={size}
      style={{ overflow: 'visible', flexShrink: 0 }}
      aria-hidden
      fill="none"
    >
      {/* Counted strokes over faint ones, so that a crossing stroke is not cut. */}
      {strokes.slice(counted)}
      {strokes.slice(0, counted)}
    </svg>
  );
  if (bare) return marks;
  return (
    <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 1, whiteSpace: 'nowrap' }}>
      {marks}
      <Box component="span" sx={{ typography: 'caption', color: 'text.secondary' }}>
        {counted} of {of}
      </Box>
    </Box>
  );
}
