import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import { useState } from 'react';
import type { Water } from '#core/documents/water';
import type { Place } from '#core/environment/geo';
import { ChartGround } from './ChartGround';
import { ChartCross, type ChartLine, ChartLines, ChartMarks, ChartScale } from './ChartMarks';
import { ZOOM, useChartView } from './useChartView';

interface Props {
  water: Water;
  lines?: readonly ChartLine[];
  height: number;
  /** Pressing the chart (or Enter at the cross) gives a place; left out: it only shows. */
  onPlace?: (place: Place) => void;
  label: string;
  /** Begins with a look at a place, so many metres each way; left out: the whole water. */
  around?: { place: Place; radiusM: number };
}

/**
 * A small chart of our own: shore, depths, hazards, launches, places and routes. Dragged, wheeled, or moved
 * by keys.
 */
export function WaterChart({ water, lines = [], height, onPlace, label, around }: Props) {
  const { inks } = useTheme();
  const [cross, setCross] = useState(false);
  const { holder, frame, view, at, move, handlers } = useChartView({ water, lines, height, onPlace, around });
  const { unit, centre, width, viewHeight } = view;
  return (
    <Box
      ref={holder}
      sx={{
        position: 'relative',
        border: 1,
        borderColor: 'text.primary',
        borderRadius: 1,
        overflow: 'hidden',
        bgcolor: 'background.paper',
      }}
    >
      <svg
        ref={frame}
        role="application"
        aria-label={`${label}. Arrow keys move it, plus and minus change its size, 0 shows all${onPlace ? ', Enter sets a point at the cross' : ''}.`}
        tabIndex={0}
        width="100%"
        height={height}
        viewBox={`${centre.x - width / 2} ${centre.y - viewHeight / 2} ${width} ${viewHeight}`}
        preserveAspectRatio="xMidYMid slice"
        style={{
          display: 'block',
          touchAction: 'none',
          cursor: onPlace ? 'crosshair' : 'grab',
          background: `color-mix(in srgb, ${inks.tide} 10%, ${inks.paper})`,
        }}
        onFocus={(event) => setCross(event.currentTarget.matches(':focus-visible'))}
        onBlur={() => setCross(false)}
        {...handlers}
      >
        <ChartGround water={water} at={at} unit={unit} />
        <ChartLines lines={lines} at={at} unit={unit} />
        <ChartMarks water={water} at={at} unit={unit} />
        {cross && onPlace && <ChartCross centre={centre} unit={unit} />}
        <ChartScale {...view} />
      </svg>
      <Box
        sx={{ position: 'absolute', right: 4, top: 4, display: 'flex', flexDirection: 'column', gap: 0.5 }}
      >
        {(
          [
            ['+', 'Nearer', 1 / ZOOM],
            ['−', 'Farther', ZOOM],
          ] as const
        ).map(([sign, name, by]) => (
          <Button
            key={name}
            size="small"
            variant="outlined"
            aria-label={name}
            onClick={() => move(0, 0, by)}
            sx={{ minWidth: 36, minHeight: 36, p: 0, bgcolor: 'background.paper' }}
          >
            {sign}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
