import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { Link as RouterLink } from 'react-router';
import { type Range, type Species, handlingFor, techniquesFor } from '#core/species/species';
import { capital, figure, listed, mass } from '#core/units/words';
import { useWidth } from '../../parts/timeAxis';

const metres = (m: number) => (m < 1 ? `${figure(m * 100, 0)} cm` : `${figure(m, 2)} m`);
const range = ([low, high]: Range, unit: string) => `${figure(low)} to ${figure(high)} ${unit}`;

/** One fish: its sizes to scale, where it stands, what takes it, and how it is held. */
export function SpeciesPage({ species }: { species: Species }) {
  const kept = handlingFor(species, true);
  const released = handlingFor(species, false);
  const rows: [string, string][] = [
    ['Stands', `${capital(species.stands)}; ${range(species.depthM, 'm')} deep`],
    [
      'Found',
      `${species.continents}; ${listed(species.habitats)}${species.habitats.length === 1 && species.habitats[0] === 'fresh' ? ' water' : ''}`,
    ],
    ['Eats', `${capital(species.forage)}, ${range(species.forageCm, 'cm')} long`],
    ['Fished for', capital(listed(techniquesFor(species)))],
    ['Rod', `${range(species.rodM, 'm')}, lures ${range(species.lureG, 'g')}`],
    [
      'Line',
      `${range(species.lineKg, 'kg')}; leader ${range(species.leaderKg, 'kg')}${species.teeth === 'sharp' ? ', of something that teeth do not cut' : ''}`,
    ],
    ['Hooks', species.hooks],
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
  const x = (m: number) => (m / most) * (width - 24) + 4;
  const body = (length: number, y: number, key: string) => {
    const end = x(length);
    const tall = Math.max(7, (end - 4) * 0.1);
    return (
      <path
        key={key}
        d={`M4 ${y}C${end * 0.2} ${y - tall * 1.3} ${end * 0.6} ${y - tall} ${end * 0.86} ${y - tall * 0.25}L${end} ${y - tall * 0.8}L${end - tall * 0.3} ${y}L${end} ${y + tall * 0.8}L${end * 0.86} ${y + tall * 0.25}C${end * 0.6} ${y + tall} ${end * 0.2} ${y + tall * 1.3} 4 ${y}Z`}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.6}
        strokeLinejoin="round"
      />
    );
  };
  const marks = Array.from({ length: Math.round(most * 5) + 1 }, (_, i) => i / 5);
  const words = `Usual to ${metres(species.usual.lengthM)} and ${mass(species.usual.massKg)}; largest likely ${metres(species.largest.lengthM)} and ${mass(species.largest.massKg)}`;
  return (
    <Box ref={ref} sx={{ my: 1.5 }}>
      <svg width="100%" height={230} role="img" aria-label={words} style={{ display: 'block' }}>
        {body(species.largest.lengthM, 96, 'largest')}
        {body(species.usual.lengthM, 170, 'usual')}
        <path d={`M4 206H${x(most)}`} stroke={inks.slate} />
        {marks.map((m) => (
          <g key={m}>
            <path d={`M${x(m)} 206v${Number.isInteger(m) ? 8 : 5}`} stroke={inks.slate} />
            {(m * 5) % (most > 1.2 ? 5 : 1) === 0 && (
              <text x={x(m)} y={226} fontSize={11} textAnchor={m === 0 ? 'start' : 'middle'} fill={inks.slate}>
                {m === 0 ? '0' : metres(m)}
              </text>
            )}
          </g>
        ))}
      </svg>
      <Typography>{words}.</Typography>
    </Box>
  );
}
