import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Checkbox from '@mui/material/Checkbox';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableSortLabel from '@mui/material/TableSortLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Fragment, memo, useMemo, useState } from 'react';
import { type Placed, spotAt } from '#core/stow/plan';
import { isPlain, saySpot } from '#core/stow/say';
import { mass } from '#core/units/amount';
import { capital, count, plural } from '#core/units/words';
import { reaches } from '#core/vocabulary/boat';
import { VisuallyHidden } from '../../../ui/VisuallyHidden';
import { Pick } from './Pick';
import { keyOf, refusal, targetList, targetOf } from './targets';
import { spotAtTarget, useStow } from './useStow';

type Sorting = 'place' | 'mass' | 'reach' | 'name';
const reachWords = { hand: 'hand', turn: 'turn', move: 'leave the seat', ashore: 'not afloat' } as const;

/**
 * Settled here: where everything is, read and changed without a drawing. What would annoy: one by one.
 * @param narrow as a column beside the boat: the place under the name
 */
export const ThingTable = memo(function ThingTable({ narrow = false }: { narrow?: boolean }) {
  const { plan, names, chosen, choose, boarded, put } = useStow();
  const [sorting, setSorting] = useState<Sorting>('place');
  const [words, setWords] = useState('');
  const [marked, setMarked] = useState<ReadonlySet<string>>(new Set());
  const list = useMemo(() => {
    const sought = words.trim().toLowerCase();
    const along = (placed: Placed) =>
      // What has no place yet is first, then from bow to stern, what is on the body, and the vehicle.
      placed.lies.in === 'nowhere'
        ? Infinity
        : placed.lies.in === 'zone'
          ? spotAt(placed, plan.craft).xM
          : placed.lies.in === 'body'
            ? -1
            : -2;
    const by: Record<Sorting, (a: Placed, b: Placed) => number> = {
      place: (a, b) =>
        (along(b) === along(a) ? 0 : along(b) - along(a)) || a.lies.place.localeCompare(b.lies.place),
      mass: (a, b) => b.one.item.massKg * b.one.entry.quantity - a.one.item.massKg * a.one.entry.quantity,
      reach: (a, b) => reaches.indexOf(b.lies.reach) - reaches.indexOf(a.lies.reach),
      name: (a, b) => a.one.item.name.localeCompare(b.one.item.name),
    };
    return plan.things
      .filter((placed) => !isPlain(placed) && placed.one.entry.carriedBy === null)
      .filter(
        ({ one, spot }) =>
          sought === '' ||
          `${one.item.name} ${saySpot(spot, one.item.kind, names)}`.toLowerCase().includes(sought),
      )
      .toSorted((a, b) => by[sorting](a, b));
  }, [plan, names, sorting, words]);
  const picked = list.filter(({ one }) => marked.has(one.item.id));
  const [first] = picked;
  const head = (id: Sorting, name: string, align?: 'right') => (
    <TableCell align={align ?? 'left'} sortDirection={sorting === id ? 'asc' : false}>
      <TableSortLabel active={sorting === id} onClick={() => setSorting(id)}>
        {name}
      </TableSortLabel>
    </TableCell>
  );
  return (
    <Box component="section" aria-label="Everything by its place" sx={{ mt: narrow ? 0 : 2 }}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mb: 0.5 }}>
        <TextField
          size="small"
          label="Find a thing or a place"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          fullWidth={narrow}
          sx={{ width: narrow ? undefined : 240 }}
        />
        {first ? (
          <Box sx={{ flex: 1, minWidth: 240, display: 'flex', gap: 1, alignItems: 'center' }}>
            <Pick
              label={`Put ${picked.length === 1 ? first.one.item.name : `these ${count(picked.length)}`} …`}
              value=""
              options={targetList(first, plan).map(({ target, name }) => {
                const stuck = picked.filter((placed) => refusal(placed, target, plan) !== null);
                return {
                  value: keyOf(target),
                  name:
                    stuck.length > 0
                      ? `${name}: not ${stuck
                          .map(({ one }) => one.item.name)
                          .slice(0, 2)
                          .join(', ')}`
                      : name,
                  disabled: stuck.length > 0,
                };
              })}
              onPick={(value) => {
                const target = targetOf(value);
                if (target) put(picked, (placed) => spotAtTarget(placed, target, boarded));
                setMarked(new Set());
              }}
            />
            <Button onClick={() => setMarked(new Set())}>Let go</Button>
          </Box>
        ) : (
          <Typography variant="body2" color="textSecondary">
            {narrow
              ? ''
              : `${list.length} ${plural(list.length, 'thing')}; what is worn as clothing is left out.`}
          </Typography>
        )}
      </Box>
      <Table
        size="small"
        aria-label="Things and their places"
        sx={{ '& td, & th': narrow ? { px: 0.5, py: 0.25 } : { px: { xs: 0.5, sm: 1 } } }}
      >
        <TableHead>
          <TableRow>
            <TableCell padding={narrow ? 'none' : 'checkbox'}>
              <VisuallyHidden>Marked</VisuallyHidden>
            </TableCell>
            {narrow ? (
              <TableCell
                sx={{
                  whiteSpace: 'nowrap',
                  '& .MuiTableSortLabel-root': { mr: 1 },
                  '& .MuiTableSortLabel-icon': { display: 'none' },
                }}
              >
                {sortLabel('name', 'Thing', sorting, setSorting)}{' '}
                {sortLabel('place', 'Where', sorting, setSorting)}{' '}
                {sortLabel('reach', 'Reach', sorting, setSorting)}
              </TableCell>
            ) : (
              <>
                {head('name', 'Thing')}
                {head('place', 'Where')}
                <TableCell sx={{ display: { xs: 'none', sm: 'table-cell' } }}>
                  {sortLabel('reach', 'Reach', sorting, setSorting)}
                </TableCell>
              </>
            )}
            {head('mass', 'Mass', 'right')}
          </TableRow>
        </TableHead>
        <TableBody>
          {list.map((placed, i) => {
            const { id, name, massKg, kind } = placed.one.item;
            const { lies, spot } = placed;
            const trouble = lies.in === 'nowhere' || !lies.held;
            const where = `${saySpot(spot, kind, names)}${lies.in === 'zone' && !lies.held ? ', loose' : ''}`;
            const how =
              narrow && sorting === 'place'
                ? where.slice(where.indexOf(lies.place) + lies.place.length).replace(/^, /, '')
                : where;
            const reach = lies.in === 'zone' ? reachWords[lies.reach] : '';
            const whereSx = {
              color: trouble ? 'warning.main' : placed.by === 'kind' ? 'text.secondary' : 'text.primary',
              fontStyle: placed.by === 'kind' ? 'italic' : 'normal',
            };
            const begins = narrow && sorting === 'place' && lies.place !== list[i - 1]?.lies.place;
            return (
              <Fragment key={id}>
                {begins && (
                  <PlaceRow
                    place={lies.place}
                    many={list.filter((one) => one.lies.place === lies.place).length}
                  />
                )}
                <TableRow hover selected={chosen === id}>
                  <TableCell padding={narrow ? 'none' : 'checkbox'}>
                    <Checkbox
                      size="small"
                      checked={marked.has(id)}
                      slotProps={{ input: { 'aria-label': `Mark ${name}` } }}
                      onChange={(_, on) =>
                        setMarked(new Set(on ? [...marked, id] : [...marked].filter((one) => one !== id)))
                      }
                    />
                  </TableCell>
                  <TableCell>
                    <ButtonBase
                      onClick={(event) => choose(id, narrow ? event.currentTarget : undefined)}
                      sx={{
                        minHeight: narrow ? 28 : 44,
                        textAlign: 'left',
                        fontWeight: chosen === id ? 700 : 500,
                        fontSize: 'inherit',
                        width: '100%',
                        justifyContent: 'flex-start',
                      }}
                    >
                      {name}
                      {placed.one.entry.quantity > 1 ? ` × ${placed.one.entry.quantity}` : ''}
                    </ButtonBase>
                    {narrow && (
                      <Box sx={{ ...whereSx, fontSize: '0.82rem', lineHeight: 1.25 }}>
                        {[how, reach].filter((words) => words !== '').join(' · ')}
                      </Box>
                    )}
                  </TableCell>
                  {!narrow && (
                    <>
                      <TableCell sx={whereSx}>{where}</TableCell>
                      <TableCell sx={{ display: { xs: 'none', sm: 'table-cell' } }}>{reach}</TableCell>
                    </>
                  )}
                  <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
                    {mass(massKg * placed.one.entry.quantity)}
                  </TableCell>
                </TableRow>
              </Fragment>
            );
          })}
        </TableBody>
      </Table>
      <Typography variant="caption" color="textSecondary">
        In italics: where its kind usually lies; nobody has said yet.
      </Typography>
    </Box>
  );
});

/** Heads the things of one place. */
function PlaceRow({ place, many }: { place: string; many: number }) {
  return (
    <TableRow>
      <TableCell colSpan={3} sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
        {capital(place)} · {many}
      </TableCell>
    </TableRow>
  );
}

function sortLabel(id: Sorting, name: string, sorting: Sorting, set: (id: Sorting) => void) {
  return (
    <TableSortLabel active={sorting === id} hideSortIcon onClick={() => set(id)}>
      {name}
    </TableSortLabel>
  );
}
