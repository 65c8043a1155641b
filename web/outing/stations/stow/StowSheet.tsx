import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { type Placed, planOf, spotAt } from '#core/stow/plan';
import { beforeMode, isPlain, saySpot } from '#core/stow/say';
import { dayWords } from '#core/units/words';
import { useOutingWorkspace } from '../../outingWorkspace';
import { StowDrawing } from './StowDrawing';
import { useStow } from './useStow';

/**
 * The plan on one page, for paper alone: both views, what lies where, and what is made ready before the other
 * modes.
 */
export const StowSheet = memo(function StowSheet() {
  const { doc, looked, assessment } = useOutingWorkspace();
  const { plan, boarded, names } = useStow();
  const fishing = planOf(
    { aboard: boarded.aboard, craft: boarded.craft, angler: boarded.angler, stow: doc.stow },
    'fish',
  );
  const places = new Map<string, string[]>();
  const along = (placed: Placed) =>
    placed.lies.in === 'zone' ? spotAt(placed, plan.craft).xM : placed.lies.in === 'body' ? -1 : -2;
  for (const placed of fishing.things.toSorted((a, b) => along(b) - along(a))) {
    if (isPlain(placed) || placed.one.entry.carriedBy !== null) continue;
    const { item, entry } = placed.one;
    const said = saySpot(placed.spot, item.kind, names).split(', ');
    const where =
      placed.lies.in === 'zone' && placed.spot.in === 'zone' ? placed.lies.place : (said[0] ?? '');
    const how = saySpot(placed.spot, item.kind, names).replace(where, '').replace(/^, /, '');
    const line = `${item.name}${entry.quantity > 1 ? ` × ${entry.quantity}` : ''}${how === '' ? '' : ` (${how})`}`;
    places.set(where, [...(places.get(where) ?? []), line]);
  }
  return (
    <Box sx={{ display: 'none', '@media print': { display: 'block', fontSize: '9pt' } }} data-stow-sheet>
      <Typography variant="h2">Stow: {doc.title}</Typography>
      <Typography>
        {dayWords(doc.brief.date)} · {looked.water?.name} · {plan.craft.name}
      </Typography>
      <StowDrawing lies={null} carrying={null} still={680} />
      <Box sx={{ columns: 2, columnGap: 3, mt: 1 }}>
        {[...places].map(([place, lines]) => (
          <Box key={place} sx={{ breakInside: 'avoid', mb: 0.75 }}>
            <strong>{place.charAt(0).toUpperCase() + place.slice(1)}</strong>
            <br />
            {lines.join('; ')}
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', columnGap: 3, mt: 1 }}>
        {assessment.ready.map(({ mode, lines }) => (
          <Box key={mode} sx={{ breakInside: 'avoid' }}>
            <strong>{beforeMode(mode)}</strong>
            <ul style={{ margin: 0, paddingLeft: 0, listStyle: 'none' }}>
              {lines.map((line) => (
                <li key={line}>☐ {line}</li>
              ))}
            </ul>
          </Box>
        ))}
      </Box>
    </Box>
  );
});
