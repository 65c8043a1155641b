import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { memo } from 'react';

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

/**
 * One stroke for each thing counted, every fifth crossing the four before it; what is not counted yet is
 * faint.
 */
export const TallyStrokes = memo(function TallyStrokes({ counted, of, size = 14, bare = false }: Props) {
  const marks = (
    <Box
      component="span"
      aria-hidden
      sx={{ display: 'inline-flex', flexWrap: 'wrap', columnGap: `${size * 0.5}px`, rowGap: 0.5 }}
    >
      {Array.from({ length: Math.ceil(of / GROUP) }, (_, i) => (
        <Group
          key={i}
          counted={counted - i * GROUP}
          of={Math.min(GROUP, of - i * GROUP)}
          size={size}
          seed={i}
        />
      ))}
    </Box>
  );
  if (bare) return marks;
  return (
    <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 1 }}>
      {marks}
      <Box component="span" sx={{ typography: 'caption', color: 'text.secondary', whiteSpace: 'nowrap' }}>
        {counted} of {of}
      </Box>
    </Box>
  );
});

function Group({ counted, of, size, seed }: { counted: number; of: number; size: number; seed: number }) {
  const { inks } = useTheme();
  const gap = size * 0.34;
  const strokes = Array.from({ length: of }, (_, i) => {
    const lean = (leans[(seed * GROUP + i) % leans.length] ?? 0) * (size / 14);
    const x = i * gap + 2;
    return (
      <path
        key={i}
        d={
          i === GROUP - 1
            ? `M0 ${size * 0.72}L${gap * 3 + size * 0.36} ${size * 0.3}`
            : `M${x + 1} ${1 + ((seed + i) % 3) * 0.4}L${x + lean - 0.6} ${size - 1}`
        }
        stroke={i < counted ? inks.ink : inks.faint}
        strokeWidth={size / 8.5}
        strokeLinecap="round"
      />
    );
  });
  const drawn = Math.max(0, Math.min(counted, of));
  return (
    <svg
      width={Math.ceil(gap * Math.min(3, of - 1) + 4)}
      height={size}
      style={{ overflow: 'visible', flexShrink: 0 }}
      fill="none"
    >
      {/* Counted strokes over faint ones, so that a crossing stroke is not cut. */}
      {strokes.slice(drawn)}
      {strokes.slice(0, drawn)}
    </svg>
  );
}
