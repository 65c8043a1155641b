import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ListSubheader from '@mui/material/ListSubheader';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { kindIds, kinds } from '#core/catalog/gear/kinds';
import { otherWords } from '#core/catalog/gear/otherWords';
import { newItem } from '#core/editing/newItem';
import { catalogue } from '#core/needs/catalogue';
import type { Item } from '#core/documents/item';
import { DUE_DAYS, type LockerView, dueBy, inView, lockerViews } from '#core/ashore/upkeep';
import { type NeedId, needsByPurpose, purposeIds, purposes } from '#core/vocabulary/needs';
import { addDays, dateAt } from '#core/units/time';
import { mass } from '#core/units/amount';
import { dayWords } from '#core/units/words';
import type { Versioned } from '#core/documents/kept';
import { Loaded } from '../../documents/Loaded';
import { Page } from '../../ui/Page';
import { useNow } from '../../ui/useNow';
import { DocumentDialog } from '../../documents/DocumentDialog';
import { type Column, DocumentTable } from '../../documents/DocumentTable';
import { useKept } from '../../documents/queries';
import { useUseOfThings } from '../../documents/useUseOfThings';
import { BulkBar } from './BulkBar';
import { ItemFields } from './ItemFields';
import { LockerFiles } from './LockerFiles';
import { itemState } from '#core/ashore/itemState';

const kindOrder = new Map(kindIds.map((id, i) => [id, i]));

/**
 * Settled here: what is owned, and in what state. What would annoy: hunting for the one thing that is out of
 * date.
 */
export function LockerScreen() {
  const { data, error } = useKept();
  const today = dateAt(useNow(), 'utc');
  const [words, setWords] = useState('');
  const [view, setView] = useState<LockerView>('all');
  const [needId, setNeedId] = useState<NeedId | ''>('');
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const { data: use } = useUseOfThings();
  const used = useMemo(() => new Set(use?.usedIds ?? []), [use]);
  const [open, setOpen] = useState<Versioned<Item> | 'new' | null>(null);
  const sorted = useMemo(
    () =>
      (data?.items ?? [])
        .map((kept) => ({
          kept,
          text: [kept.doc.name, kinds[kept.doc.kind].name, ...otherWords[kept.doc.kind]]
            .join(' ')
            .toLowerCase(),
        }))
        .sort((a, b) => (kindOrder.get(a.kept.doc.kind) ?? 0) - (kindOrder.get(b.kept.doc.kind) ?? 0)),
    [data],
  );
  const holding = useMemo(
    () => new Set((data?.items ?? []).flatMap(({ doc }) => doc.containerId ?? [])),
    [data],
  );
  // The field follows the fingers; a long table follows a moment later.
  const sought = useDeferredValue(words);
  const rows = useMemo(() => {
    const wanted = sought.trim().toLowerCase();
    return sorted.flatMap(({ kept, text }) => {
      const { doc } = kept;
      if (!text.includes(wanted) || !inView(doc, view, today, used, holding)) return [];
      return needId !== '' && !kinds[doc.kind].means.includes(needId) ? [] : [kept];
    });
  }, [sorted, holding, sought, view, needId, used, today]);
  const chosen = useMemo(() => rows.filter(({ doc }) => ticked.has(doc.id)), [rows, ticked]);
  const tickable = useMemo(() => ({ ids: ticked, set: setTicked }), [ticked]);
  const nameById = useMemo(() => new Map((data?.items ?? []).map(({ doc }) => [doc.id, doc.name])), [data]);
  const columns = useMemo<Column<Versioned<Item>>[]>(
    () => [
      {
        name: 'Kind',
        cell: ({ doc }) => <Kind item={doc} inside={nameById.get(doc.containerId ?? '')} />,
        by: ({ doc }) => kinds[doc.kind].name,
        wideOnly: true,
      },
      {
        name: 'Owned',
        number: true,
        wideOnly: true,
        cell: ({ doc }) => doc.quantity,
        by: ({ doc }) => doc.quantity,
      },
      {
        name: 'Mass, each',
        number: true,
        wideOnly: true,
        cell: ({ doc }) => mass(doc.massKg),
        by: ({ doc }) => doc.massKg,
      },
      {
        name: 'Meets',
        wideOnly: true,
        cell: ({ doc }) =>
          kinds[doc.kind].means.map((id) => catalogue[id].title).join(' · ') || 'nothing that is counted',
      },
      {
        name: 'State',
        cell: ({ doc }) => <State item={doc} today={today} />,
        by: ({ doc }) => soonest(doc, today),
      },
    ],
    [today, nameById],
  );
  return (
    <Page
      title="Locker"
      lead="Everything owned. What is out of date, broken or under repair is kept here and does not count."
      action={
        <>
          <LockerFiles kept={data?.items ?? []} />
          <Button component={RouterLink} to="/locker/own" variant="outlined">
            Tick what you own
          </Button>
          <Button variant="contained" onClick={() => setOpen('new')}>
            Add an item
          </Button>
        </>
      }
    >
      <Loaded data={data} error={error}>
        {(kept) => (
          <>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mb: 1 }}>
              <TextField
                label="Find"
                value={words}
                size="small"
                onChange={(event) => setWords(event.target.value)}
                sx={{ width: 260 }}
              />
              <TextField
                label="Show"
                select
                size="small"
                value={view}
                onChange={(event) => setView(event.target.value as LockerView)}
                sx={{ width: 260 }}
              >
                {Object.entries(lockerViews).map(([id, name]) => (
                  <MenuItem key={id} value={id}>
                    {name}
                  </MenuItem>
                ))}
              </TextField>
              <TextField
                label="Would meet"
                select
                size="small"
                value={needId}
                onChange={(event) => setNeedId(event.target.value as NeedId | '')}
                sx={{ width: 220 }}
              >
                <MenuItem value="">Any need</MenuItem>
                {purposeIds.flatMap((purpose) => [
                  <ListSubheader key={purpose}>{purposes[purpose]}</ListSubheader>,
                  ...needsByPurpose[purpose].map((id) => (
                    <MenuItem key={id} value={id}>
                      {catalogue[id].title}
                    </MenuItem>
                  )),
                ])}
              </TextField>
              <Typography color="textSecondary" sx={{ alignSelf: 'center' }} role="status">
                {rows.length} of {kept.items.length}
              </Typography>
            </Box>
            {chosen.length > 0 && (
              <BulkBar
                chosen={chosen}
                items={kept.items.map(({ doc }) => doc)}
                onDone={() => setTicked(new Set())}
              />
            )}
            {kept.items.length === 0 && (
              <Typography sx={{ mt: 3 }}>
                Nothing is owned yet. Tick what you have; the usual figures come by themselves.
              </Typography>
            )}
            {kept.items.length > 0 && rows.length === 0 && (
              <Typography sx={{ mt: 3 }}>Nothing fits these words. Shorten them.</Typography>
            )}
            {rows.length > 0 && (
              <LockerTable
                label="The locker"
                rows={rows}
                keyOf={idOf}
                nameOf={nameOf}
                columns={columns}
                onOpen={setOpen}
                ticked={tickable}
              />
            )}
            {open && (
              <DocumentDialog
                kind="items"
                what="item"
                kept={open === 'new' ? null : open}
                initial={newItem(crypto.randomUUID(), 'foam-jacket')}
                onClose={() => setOpen(null)}
              >
                {(form) => (
                  <ItemFields form={form} items={kept.items.map(({ doc }) => doc)} isNew={open === 'new'} />
                )}
              </DocumentDialog>
            )}
          </>
        )}
      </Loaded>
    </Page>
  );
}

const idOf = ({ doc }: Versioned<Item>) => doc.id;
const nameOf = ({ doc }: Versioned<Item>) => doc.name;
// Drawn anew only when what it shows is another: typing in the field draws the field alone.
const LockerTable = memo(DocumentTable<Versioned<Item>>);

function Kind({ item, inside }: { item: Item; inside: string | undefined }) {
  return (
    <>
      {kinds[item.kind].name}
      {inside !== undefined && (
        <Box component="span" sx={{ color: 'text.secondary' }}>
          , in {inside}
        </Box>
      )}
    </>
  );
}

/** What wants attention first: what does not count, then by the day on which something falls due. */
function soonest(item: Item, today: string): string | null {
  return itemState(item, today).sound ? (dueBy(item, '9999-12-31')?.on ?? null) : '';
}

function State({ item, today }: { item: Item; today: string }) {
  const state = itemState(item, today);
  const due = state.sound ? dueBy(item, addDays(today, DUE_DAYS)) : null;
  return (
    <Box component="span" sx={{ color: state.sound ? 'text.secondary' : 'error.main' }}>
      {state.words}
      {state.sound && item.expiresOn !== null && `, until ${dayWords(item.expiresOn)}`}
      {due?.what === 'service' &&
        `, to be looked over ${due.on <= today ? 'since' : 'by'} ${dayWords(due.on)}`}
    </Box>
  );
}
