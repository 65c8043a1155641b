import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { kinds, kindsFor } from '#core/catalog/gear/kinds';
import { catalogue } from '#core/needs/catalogue';
import { type NeedId, needsByPurpose, purposeIds, purposes } from '#core/vocabulary/needs';
import { homeMade } from '#core/needs/homeMade';
import type { Item } from '#core/documents/item';
import { dateAt } from '#core/units/time';
import { mass, inWords } from '#core/units/amount';
import { capital, listed, plural } from '#core/units/words';
import { useNow } from '../../../ui/useNow';
import { itemState } from '#core/ashore/itemState';
import { useReferences } from '../../../documents/queries';

/**
 * Settled here: what a need is for and what would meet it, before an outing asks. What would annoy: a list
 * without reasons.
 */
export function NeedsScreen() {
  const { references } = useReferences();
  const [words, setWords] = useState('');
  const today = dateAt(useNow(), 'utc');
  const wanted = words.trim().toLowerCase();
  const fits = (id: NeedId) =>
    [catalogue[id].title, ...kindsFor(id).map((kind) => kinds[kind].name)].some((text) =>
      text.toLowerCase().includes(wanted),
    );
  const shown = purposeIds.map((purpose) => ({ purpose, ids: needsByPurpose[purpose].filter(fits) }));
  const count = shown.reduce((sum, { ids }) => sum + ids.length, 0);
  return (
    <Box sx={{ maxWidth: 820 }}>
      <Typography sx={{ mb: 2 }}>
        All that an outing can ask for. Which of them it asks for, how many and why, stands under its Kit.
      </Typography>
      <TextField
        label="Find a need or a thing"
        size="small"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        sx={{ width: 280 }}
      />
      <Typography variant="caption" color="textSecondary" component="p" role="status" sx={{ my: 1 }}>
        {count === 0 ? 'None fits these words. Shorten them.' : `${count} ${plural(count, 'need')}`}
      </Typography>
      {shown.map(
        ({ purpose, ids }) =>
          ids.length > 0 && (
            <Box component="section" key={purpose} aria-label={purposes[purpose]} sx={{ mb: 3 }}>
              <Typography variant="h2">{purposes[purpose]}</Typography>
              {ids.map((id) => (
                <OneNeed key={id} id={id} items={references?.items ?? []} today={today} />
              ))}
            </Box>
          ),
      )}
    </Box>
  );
}

function OneNeed({ id, items, today }: { id: NeedId; items: readonly Item[]; today: string }) {
  const { title, without, fits } = catalogue[id];
  const means = kindsFor(id);
  const owned = items.filter((item) => kinds[item.kind].means.includes(id));
  const made = homeMade[id] && inWords(homeMade[id]);
  return (
    <Box component="details" sx={{ borderTop: 1, borderColor: 'divider' }}>
      <Box component="summary" sx={{ cursor: 'pointer', py: 1.25 }}>
        <b>{title}</b>
        <Box component="span" sx={{ color: 'text.secondary', typography: 'body2' }}>
          {' '}
          ·{' '}
          {means.length === 0
            ? 'by what you do'
            : owned.length === 0
              ? 'nothing owned'
              : `${owned.length} ${plural(owned.length, 'thing')} owned`}
        </Box>
      </Box>
      <Box sx={{ pl: 2.5, pb: 1.5 }}>
        <Typography>Without it: {without}</Typography>
        {fits !== undefined && <Typography variant="body2">What counts: {inWords(fits)}.</Typography>}
        {means.length === 0 ? (
          <Typography variant="body2">Met by what you do or by the boat, not by a thing.</Typography>
        ) : (
          <Box component="ul" sx={{ m: 0, my: 1, pl: 2.5, typography: 'body2' }}>
            {means.map((kind) => (
              <li key={kind}>
                {kinds[kind].name}, about {mass(kinds[kind].massKg)} and {kinds[kind].usualEuro} €.{' '}
                {inWords(kinds[kind].look.how)} Bad: {kinds[kind].look.bad.toLowerCase()}
              </li>
            ))}
          </Box>
        )}
        {made !== undefined && <Typography variant="body2">{capital(`home-made: ${made}.`)}</Typography>}
        {owned.length > 0 && (
          <Typography variant="body2" color="textSecondary">
            In the locker:{' '}
            {listed(
              owned.map((item) => {
                const { sound, words } = itemState(item, today);
                return sound ? item.name : `${item.name} (${words})`;
              }),
            )}
            .
          </Typography>
        )}
      </Box>
    </Box>
  );
}
