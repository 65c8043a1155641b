import { useTheme } from '@mui/material/styles';
import { type FindingLevel } from '#core/vocabulary/levels';

/** A barred gate, a half-filled disc, a small ring: the shape says the level before the colour does. */
export function LevelMark({ level, size = 18 }: { level: FindingLevel; size?: number }) {
  const { inks } = useTheme();
  const box = {
    width: size,
    height: size,
    viewBox: '0 0 18 18',
    'aria-hidden': true,
    fill: 'none',
    style: { flexShrink: 0 },
  } as const;
  if (level === 'stop')
    return (
      <svg {...box} stroke={inks.clay} strokeWidth={2.2}>
        <path d="M2.500 2v14M15.500 2v14M2.500 6.500h13M2.500 11.500h13" />
      </svg>
    );
  if (level === 'mind')
    return (
      <svg {...box}>
        <circle cx={9} cy={9} r={7} stroke={inks.ochre} strokeWidth={1.8} />
        <path d="M9 2a7 7 0 0 0 0 14z" fill={inks.ochre} />
      </svg>
    );
  return (
    <svg {...box}>
      <circle cx={9} cy={9} r={4} stroke={inks.slate} strokeWidth={1.8} />
    </svg>
  );
}
