import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Standing } from '#core/boat/stability';
import { sayVanishing } from '#core/boat/steadiness';
import type { Craft } from '#core/documents/craft';
import type { Stance } from '#core/vocabulary/boat';
import { amount, mass } from '#core/units/amount';
import { figure } from '#core/units/words';

interface Props {
  craft: Craft;
  stance: Stance;
  gearKg: number;
  anglerKg: number;
  now: Standing | 'sinks' | null;
}

/** How the boat lies and stands as it is laden now, in one line; beside each, what it is held to. */
export function FigureRow({ craft, stance, gearKg, anglerKg, now }: Props) {
  const loadKg = gearKg + anglerKg;
  const afloat = now && now !== 'sinks' ? now : null;
  const list = [
    { name: 'Load', value: mass(loadKg), more: `of ${mass(craft.ratedLoadKg)} rated` },
    ...(afloat
      ? [
          {
            name: 'Trim',
            value: `${figure(Math.abs(afloat.trimDeg))}°`,
            more:
              Math.abs(afloat.trimDeg) < 0.05
                ? 'level'
                : `bow ${afloat.trimDeg > 0 ? 'up' : 'down'}, within 2°`,
          },
          {
            name: 'Heel',
            value: afloat.heelDeg === null ? 'goes over' : `${figure(Math.abs(afloat.heelDeg))}°`,
            more: 'within 1.5°',
          },
          { name: 'Freeboard', value: amount(afloat.freeboardM, 'm', 2), more: `at its least, ${stance}` },
          {
            name: 'GM',
            value: amount(afloat.gmM, 'm', 2),
            more: `comes back from ${sayVanishing(afloat)}`,
          },
        ]
      : [
          {
            name: 'Afloat',
            value: now === 'sinks' ? 'it sinks' : 'not known',
            more: now === 'sinks' ? 'more than the hull carries' : 'the boat has no shape yet',
          },
        ]),
  ];
  return (
    <Box
      component="dl"
      aria-label="How it floats"
      sx={{
        ...{ display: 'flex', flexWrap: 'wrap', columnGap: 2, rowGap: 0.25, alignItems: 'baseline' },
        ...{ borderTop: 1, borderColor: 'text.primary', pt: 0.5, m: 0 },
      }}
    >
      {list.map(({ name, value, more }) => (
        <Box key={name} sx={{ display: 'flex', gap: 0.5, alignItems: 'baseline', minWidth: 0 }}>
          <Typography component="dt" variant="caption" color="textSecondary">
            {name}
          </Typography>
          <Typography component="dd" sx={{ m: 0, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}>
            {value}
          </Typography>
          <Typography component="dd" variant="caption" color="textSecondary" sx={{ m: 0 }}>
            {more}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
