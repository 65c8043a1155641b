import AddOutlined from '@mui/icons-material/AddOutlined';
import RemoveCircleOutlineOutlined from '@mui/icons-material/RemoveCircleOutlineOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type FormEvent, memo, useDeferredValue, useMemo, useRef, useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { families, firstKit, usualCount } from '#core/catalog/gear/families';
import { findKinds } from '#core/catalog/gear/findKinds';
import { type KindId, kinds } from '#core/catalog/gear/kinds';
import { mass } from '#core/units/amount';
import { count as inWords, plural } from '#core/units/words';
import { Loaded } from '../../documents/Loaded';
import { Page } from '../../ui/Page';
import { TallyStrokes } from '../../ui/TallyStrokes';
import { useOwned } from './useOwned';

const MOST_FOUND = 12;

/**
 * Settled here: what one has, by its usual figures, in a few minutes. What would annoy: typing what
 * everybody's is like.
 */
export function OwnScreen() {
  const { data, error, count, own, saving, things } = useOwned();
  const field = useRef<HTMLInputElement>(null);
  const [words, setWords] = useState('');
  const [told, setTold] = useState('');
  const sought = useDeferredValue(words);
  const found = useMemo(
    () => (sought.trim() === '' ? null : findKinds(sought).slice(0, MOST_FOUND)),
    [sought],
  );
  const more = (kind: KindId, by: number) => {
    const next = Math.max(0, count(kind) + by);
    own(new Map([[kind, next]]));
    setTold(`${kinds[kind].name}: ${next === 0 ? 'not owned' : inWords(next)}.`);
  };
  const addFirst = (event: FormEvent) => {
    event.preventDefault();
    const [first] = findKinds(words);
    if (words.trim() === '') return;
    if (first === undefined) setTold('Nothing is called that here. Another word for it, or a shorter one.');
    else more(first, 1);
    // What is typed next takes its place: find, Enter, find, Enter.
    field.current?.select();
  };
  const missing = firstKit.filter((kind) => count(kind) === 0);
  return (
    <Page
      title="What you own"
      lead="Press what you have; press again for another. Usual figures are filled in: correct them when something asks."
      action={
        <Link component={RouterLink} to="/locker" sx={{ py: 1.5 }}>
          The locker, with all figures
        </Link>
      }
    >
      <Loaded data={data} error={error}>
        {() => (
          <>
            <Box
              component="form"
              onSubmit={addFirst}
              sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', mb: 1 }}
            >
              <TextField
                label="Find, and press Enter"
                placeholder="life vest, torch, fish finder …"
                value={words}
                inputRef={field}
                autoFocus
                autoComplete="off"
                onChange={(event) => setWords(event.target.value)}
                sx={{ width: 320 }}
              />
              {missing.length > 0 && (
                <Button
                  variant="outlined"
                  onClick={() => {
                    own(new Map(missing.map((kind) => [kind, usualCount(kind)])));
                    // The button is gone with it: one goes on typing.
                    field.current?.focus();
                  }}
                >
                  A common first kit: {missing.length} {plural(missing.length, 'thing')}
                </Button>
              )}
              <Typography color="textSecondary" role="status" sx={{ minWidth: 220 }}>
                {told !== '' ? told : `${things} ${plural(things, 'thing')} owned`}
                {saving ? ' Keeping …' : ''}
              </Typography>
            </Box>
            {found !== null && (
              <Family
                name={found.length === 0 ? 'Nothing is called that here' : 'Found'}
                list={found}
                count={count}
                onMore={more}
              />
            )}
            {found === null &&
              families.map((family) => (
                <Family
                  key={family.name}
                  name={family.name}
                  list={family.kinds}
                  count={count}
                  onMore={more}
                />
              ))}
          </>
        )}
      </Loaded>
    </Page>
  );
}

interface FamilyProps {
  name: string;
  list: readonly KindId[];
  count: (kind: KindId) => number;
  onMore: (kind: KindId, by: number) => void;
}
function Family({ name, list, count, onMore }: FamilyProps) {
  const owned = list.filter((kind) => count(kind) > 0).length;
  return (
    <Box component="section" aria-label={name} sx={{ mb: 3 }}>
      <Typography variant="h3" component="h2" sx={{ mt: 1 }}>
        {name}
        <Typography component="span" variant="caption" color="textSecondary" sx={{ ml: 1 }}>
          {owned > 0 && `${owned} of ${list.length}`}
        </Typography>
      </Typography>
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          m: 0,
          p: 0,
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 270px), 1fr))',
          columnGap: 2,
        }}
      >
        {list.map((kind) => (
          <Row key={kind} kind={kind} many={count(kind)} onMore={onMore} />
        ))}
      </Box>
    </Box>
  );
}

const MOST_STROKES = 10;
const Row = memo(function Row({
  kind,
  many,
  onMore,
}: {
  kind: KindId;
  many: number;
  onMore: FamilyProps['onMore'];
}) {
  const { name, massKg } = kinds[kind];
  return (
    <Box
      component="li"
      sx={{ display: 'flex', alignItems: 'stretch', borderBottom: 1, borderColor: 'divider' }}
    >
      <ButtonBase
        onClick={() => onMore(kind, 1)}
        aria-label={`${name}: ${many === 0 ? 'not owned, add one' : `${inWords(many)} owned, add another`}`}
        sx={{
          flex: 1,
          minHeight: 46,
          minWidth: 0,
          px: 0.5,
          justifyContent: 'space-between',
          gap: 1,
          textAlign: 'left',
          color: many > 0 ? 'text.primary' : 'text.secondary',
          '&:hover': { bgcolor: 'action.hover' },
        }}
      >
        <Box
          component="span"
          sx={{ fontWeight: many > 0 ? 700 : 400, minWidth: 0, overflowWrap: 'anywhere' }}
        >
          {name}
          <Typography
            component="span"
            variant="caption"
            color="textSecondary"
            sx={{ ml: 0.75, whiteSpace: 'nowrap' }}
          >
            {mass(massKg)}
          </Typography>
        </Box>
        {many === 0 ? (
          <AddOutlined fontSize="small" sx={{ opacity: 0.5 }} />
        ) : many > MOST_STROKES ? (
          <span>{many}</span>
        ) : (
          <TallyStrokes counted={many} of={many} size={15} bare />
        )}
      </ButtonBase>
      {many > 0 && (
        <IconButton onClick={() => onMore(kind, -1)} aria-label={`One ${name} fewer`} sx={{ width: 44 }}>
          <RemoveCircleOutlineOutlined fontSize="small" sx={{ opacity: 0.6 }} />
        </IconButton>
      )}
    </Box>
  );
});
