import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { Link as RouterLink } from 'react-router';
import { type Range, type Species, handlingFor, heightOf, powerFor, techniquesFor } from '#core/species/species';
import type { Shape } from '#core/species/speciesRows';
import { capital, figure, listed, mass } from '#core/units/words';
import { useWidth } from '../../parts/timeAxis';

const habitatWords = { fresh: 'fresh water', estuary: 'estuaries', coast: 'coasts', open: 'open water' } as const;
const teethWords = {
  none: 'no teeth to speak of',
  fine: 'fine teeth, which do not cut line',
  sharp: 'teeth that cut line',
} as const;
const metres = (m: number) => (m < 1 ? `${figure(m * 100, 0)} cm` : `${figure(m, 2)} m`);
const range = ([low, high]: Range, unit: string) => `${figure(low)} to ${figure(high)} ${unit}`;

/** One fish: its sizes to scale, where it stands, what takes it, and how it is held. */
export function SpeciesPage({ species }: { species: Species }) {
  const kept = handlingFor(species, true);
  const released = handlingFor(species, false);
  const rows: [string, string][] = [
    ['Stands', `${capital(species.stands)}; ${range(species.depthM, 'm')} deep`],
    ['Found', `${species.continents}; ${listed(species.habitats.map((one) => habitatWords[one]))}`],
    ['Eats', `${capital(species.forage)}, ${range(species.forageCm, 'cm')} long`],
    ['Mouth', `${capital(species.mouth)}; ${teethWords[species.teeth]}`],
    ['Fished for', capital(listed(techniquesFor(species)))],
    ['Rod', `${range(species.rodM, 'm')}, of ${powerFor(species)} power; lures ${range(species.lureG, 'g')}`],
    [
      'Line',
      `${range(species.lineKg, 'kg')}; leader ${range(species.leaderKg, 'kg')}${species.teeth === 'sharp' ? ', of something that teeth do not cut' : ''}`,
    ],
    ['Hooks', species.hooks],
    ['Kept in', `a cold store ${metres(species.usual.lengthM)} long inside or more; bled, gutted soon, on ice at once`],
    ['Runs', `${species.runM} m at the longest to reckon with`],
  ];
  return (
    <Box component="article">
      <Link component={RouterLink} to="/reference/species" sx={{ display: { md: 'none' }, py: 1.5, mb: 1 }}>
        ‹ All species
      </Link>
      <Typography variant="h2" sx={{ fontSize: '2rem' }}>
        {capital(species.name)}
      </Typography>
      <Sizes species={species} />
      {species.hazard !== '' && (
        <Typography sx={{ my: 1.5 }}>
          <b>Mind the hand:</b> {species.hazard}.
        </Typography>
      )}
      <Box component="dl" sx={{ m: 0, mb: 3 }}>
        {rows.map(([name, text]) => (
          <Box
            key={name}
            sx={{
              display: 'grid',
              gridTemplateColumns: '110px minmax(0, 1fr)',
              gap: 2,
              borderTop: 1,
              borderColor: 'divider',
              py: 1,
            }}
          >
            <Box component="dt" sx={{ color: 'text.secondary' }}>
              {name}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {text}
            </Box>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 3, mb: 2 }}>
        {(
          [
            ['When it goes back', released],
            ['When it is kept', kept],
          ] as const
        ).map(([name, how]) => (
          <section key={name}>
            <Typography variant="h3">{name}</Typography>
            <Typography>{capital(how.land)}.</Typography>
            <Typography>Unhooked with {how.unhook}.</Typography>
            <Typography>{capital(how.air)}.</Typography>
          </section>
        ))}
      </Box>
      {species.note !== '' && <Typography sx={{ fontStyle: 'italic' }}>{species.note}</Typography>}
      <Typography variant="caption" color="textSecondary" component="p" sx={{ mt: 2 }}>
        Sizes and tackle are usual practice, rounded: no record and no rule. Sizes and seasons of the law are the
        authority’s to tell.
      </Typography>
    </Box>
  );
}

/** The usual and the largest likely fish on one rule, to scale. */
function Sizes({ species }: { species: Species }) {
  const { inks } = useTheme();
  const [ref, width] = useWidth<HTMLDivElement>(600);
  const most = Math.ceil(species.largest.lengthM * 5) / 5;
  const x = (m: number) => 4 + (m / most) * (width - 24);
  const scale = (width - 24) / most;
  const [largest, usual] = [species.largest.lengthM, species.usual.lengthM];
  const tall = (size: Species['usual']) => (tallOf[species.shape](size) * scale) / 2;
  const [tallest, usualTall] = [tall(species.largest), tall(species.usual)];
  const top = tallest + 4;
  const below = top + tallest + usualTall + 12;
  const rule = below + usualTall + 12;
  const apart = most > 1.2 ? 5 : 1;
  const marks = Array.from({ length: Math.round(most * 5) + 1 }, (_, i) => i);
  const words = `Usual to ${metres(usual)} and ${mass(species.usual.massKg)}; largest likely ${metres(largest)} and ${mass(species.largest.massKg)}`;
  return (
    <Box ref={ref} sx={{ my: 1.5 }}>
      <svg width="100%" height={rule + 26} role="img" aria-label={words} fill="none" style={{ display: 'block' }}>
        <g stroke={inks.ink} strokeWidth={1.6} strokeLinejoin="round">
          <path d={outlines[species.shape](x(largest), top, tallest)} />
          <path d={outlines[species.shape](x(usual), below, usualTall)} />
        </g>
        <path d={`M4 ${rule}H${x(most)}`} stroke={inks.slate} />
        {marks.map((i) => (
          <g key={i}>
            <path d={`M${x(i / 5)} ${rule}v${i % 5 === 0 ? 8 : 5}`} stroke={inks.slate} />
            {i % apart === 0 && (
              <text
                x={x(i / 5)}
                y={rule + 22}
                fontSize={11}
                textAnchor={i === 0 ? 'start' : 'middle'}
                fill={inks.slate}
              >
                {i === 0 ? '0' : metres(i / 5)}
              </text>
            )}
          </g>
        ))}
      </svg>
      <Typography>{words}.</Typography>
    </Box>
  );
}

const tallOf: Record<Shape, (size: Species['usual']) => number> = {
  round: heightOf,
  flat: ({ lengthM }) => lengthM * 0.5,
  ray: ({ lengthM }) => lengthM * 0.62,
};

/** Plain outlines from the nose at the left to `end`, half of `tall` to either side of the line `y`. */
const outlines: Record<Shape, (end: number, y: number, tall: number) => string> = {
  round: (end, y, tall) =>
    mirrored(
      y,
      (way) =>
        `C${end * 0.14} ${y + way * tall * 1.25} ${end * 0.52} ${y + way * tall * 1.22} ${end * 0.86} ${y + way * tall * 0.22}L${end} ${y + way * tall * 0.72}L${end - tall * 0.25} ${y}`,
    ),
  flat: (end, y, tall) =>
    mirrored(
      y,
      (way) =>
        `C${end * 0.06} ${y + way * tall * 0.5} ${end * 0.22} ${y + way * tall} ${end * 0.42} ${y + way * tall}S${end * 0.74} ${y + way * tall * 0.3} ${end * 0.84} ${y + way * tall * 0.18}C${end * 0.9} ${y + way * tall * 0.3} ${end * 0.96} ${y + way * tall * 0.4} ${end} ${y + way * tall * 0.36}L${end - tall * 0.08} ${y}`,
    ),
  ray: (end, y, tall) =>
    mirrored(
      y,
      (way) =>
        `C${end * 0.1} ${y + way * tall * 0.25} ${end * 0.2} ${y + way * tall * 0.8} ${end * 0.32} ${y + way * tall}C${end * 0.4} ${y + way * tall * 0.7} ${end * 0.46} ${y + way * tall * 0.3} ${end * 0.5} ${y + way * tall * 0.12}L${end} ${y}`,
    ),
};

function mirrored(y: number, side: (way: 1 | -1) => string): string {
  return `M4 ${y}${side(-1)}M4 ${y}${side(1)}`;
}
