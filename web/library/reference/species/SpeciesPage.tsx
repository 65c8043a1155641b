import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { handlingFor } from '#core/catalog/species/handling';
import { type Range, type Species, powerFor, techniquesFor } from '#core/catalog/species/species';
import { sayTackle } from '#core/catalog/species/sayTackle';
import { capital, listed } from '#core/units/words';
import { FishDrawing, metres } from './FishDrawing';
import { amount, amountOnly, inWords } from '#core/units/amount';

const habitatWords = {
  fresh: 'fresh water',
  estuary: 'estuaries',
  coast: 'coasts',
  open: 'open water',
} as const;
const teethWords = {
  none: 'no teeth to speak of',
  fine: 'fine teeth, which do not cut line',
  sharp: 'teeth that cut line',
} as const;
const range = ([low, high]: Range, unit: string) => `${amountOnly(low, unit)} to ${amount(high, unit)}`;

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
    [
      'Kept in',
      `a cold store ${metres(species.usual.lengthM)} long inside or more; bled, gutted soon, on ice at once`,
    ],
    ['Runs', `${amount(species.runM, 'm', 0)} at the longest to reckon with`],
  ];
  const ways = techniquesFor(species).map((technique): [string, string] => [
    capital(technique),
    sayTackle(species, technique),
  ]);
  return (
    <Box component="article">
      <Link component={RouterLink} to="/reference/species" sx={{ display: { md: 'none' }, py: 1.5, mb: 1 }}>
        ‹ All species
      </Link>
      <Typography variant="h2" sx={{ fontSize: '2rem' }}>
        {capital(species.name)}
      </Typography>
      <FishDrawing species={species} />
      {species.hazard !== '' && (
        <Typography sx={{ my: 1.5 }}>
          <b>Mind the hand:</b> {species.hazard}.
        </Typography>
      )}
      <Box component="dl" sx={{ m: 0, mb: 3 }}>
        {[...rows, ...ways].map(([name, text]) => (
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
      {species.note !== '' && <Typography sx={{ fontStyle: 'italic' }}>{inWords(species.note)}</Typography>}
      <Typography variant="caption" color="textSecondary" component="p" sx={{ mt: 2 }}>
        Sizes and tackle are usual practice, rounded: no record and no rule. Sizes and seasons of the law are
        the authority’s to tell.
      </Typography>
    </Box>
  );
}
