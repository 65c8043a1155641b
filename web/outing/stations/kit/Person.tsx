import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type KindId, kinds } from '#core/catalog/gear/kinds';
import type { Companion } from '#core/documents/outing';
import { withCompanion, withoutCompanion } from '#core/editing/company';
import { catalogue } from '#core/needs/catalogue';
import { type Member, reportDiffers } from '#core/needs/party';
import { listed } from '#core/units/words';
import { ApiError } from '../../../documents/api';
import { useOthers } from '../../../people/party';
import { TallyStrokes } from '../../../ui/TallyStrokes';
import { useToast } from '../../../ui/Toast';
import { useOutingWorkspace } from '../../outingWorkspace';

interface Asking {
  ask: (companionId: string, personId: string) => Promise<void>;
  askNoMore: (companionId: string) => Promise<void>;
}
interface Props {
  one: Companion;
  /** What each carries for themselves here. */
  needs: readonly Companion['says'][number][];
  /** Kinds of things of which one does for all. */
  forAll: readonly KindId[];
  /** What they say themselves, where they are of the house; null: they are not, or nobody asked. */
  member: Member | null;
  /** null: others cannot be asked here. */
  asking: Asking | null;
}

/**
 * One of the others. Settled here: what of ours is with them. What would annoy: typing what they typed
 * already.
 */
export function Person({ one, needs, forAll, member, asking }: Props) {
  const { edit } = useOutingWorkspace();
  const said = needs.filter((id) => one.says.includes(id)).length;
  const set = (change: Partial<Companion>) => edit((outing) => withCompanion(outing, { ...one, ...change }));
  return (
    <Box component="details" sx={{ borderBottom: 1, borderColor: 'divider', py: 0.5 }}>
      <Box
        component="summary"
        sx={{ cursor: 'pointer', py: 1, display: 'list-item', listStylePosition: 'outside', ml: 2.5 }}
      >
        <Box
          component="span"
          sx={{ display: 'inline-flex', columnGap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}
        >
          {one.name}
          <TallyStrokes counted={said} of={needs.length} size={12} />
          {member && standing(member) !== '' && (
            <Typography component="span" variant="caption" color="textSecondary">
              {standing(member)}
            </Typography>
          )}
        </Box>
      </Box>
      {member && <Themselves one={one} member={member} />}
      {asking && <AskAlong one={one} member={member} asking={asking} />}
      <TextField
        label={`${one.name}: boat`}
        size="small"
        fullWidth
        margin="dense"
        value={one.boat}
        onChange={(event) => set({ boat: event.target.value.slice(0, 200) })}
      />
      {needs.map((id) => (
        <FormControlLabel
          key={id}
          sx={{ display: 'flex' }}
          control={
            <Checkbox
              checked={one.says.includes(id)}
              onChange={(_, on) =>
                set({ says: on ? [...one.says, id] : one.says.filter((other) => other !== id) })
              }
            />
          }
          label={catalogue[id].title}
        />
      ))}
      <Brings one={one} forAll={forAll} set={set} />
      <Button onClick={() => edit((outing) => withoutCompanion(outing, one.id))}>
        {one.name} does not come
      </Button>
    </Box>
  );
}

/** Where they stand, in few words. */
function standing({ coming, signed }: Member): string {
  if (coming === 'asked') return 'asked along';
  if (coming === 'not coming') return 'does not come';
  if (coming === 'not asked') return '';
  return signed === null ? 'along, not signed yet' : signed.stale ? 'signed, then changed' : 'along, signed';
}

/** What their own outing says of them, beside what is written of them here. */
function Themselves({ one, member }: { one: Companion; member: Member }) {
  const { edit } = useOutingWorkspace();
  if (member.coming !== 'along') return null;
  const { boat, says, brings, lacks } = member;
  return (
    <Box sx={{ pb: 1 }}>
      {lacks.length > 0 && (
        <Typography>
          {one.name} does not have yet: {listed(lacks.map((id) => catalogue[id].title.toLowerCase()))}.
        </Typography>
      )}
      {reportDiffers(one, member) && (
        <Box role="status" sx={{ borderLeft: 3, borderColor: 'warning.main', pl: 1.5, my: 0.5 }}>
          <Typography>
            In {one.name}’s own outing:{' '}
            {[
              boat,
              brings.length > 0
                ? `brings for all ${brings.map(({ name }) => name).join(', ')}`
                : 'brings nothing for all',
            ]
              .filter(Boolean)
              .join('; ')}
            ; carries {says.length} of {says.length + lacks.length} for themselves.
          </Typography>
          <Button
            variant="outlined"
            onClick={() => edit((outing) => withCompanion(outing, { ...one, boat, says, brings }))}
          >
            Write it here
          </Button>
        </Box>
      )}
    </Box>
  );
}

/** Which of the house they are: who is asked along brings an outing of their own. */
function AskAlong({ one, member, asking }: { one: Companion; member: Member | null; asking: Asking }) {
  const { data: others = [] } = useOthers();
  const say = useToast();
  if (others.length === 0 && member?.personId == null) return null;
  const tell = (work: Promise<void>) =>
    work.catch((error: unknown) => say(error instanceof ApiError ? error.message : 'That did not work.'));
  const change = (personId: string) =>
    void tell(personId === '' ? asking.askNoMore(one.id) : asking.ask(one.id, personId));
  return (
    <TextField
      select
      fullWidth
      size="small"
      margin="dense"
      label={`Account of ${one.name}`}
      helperText="Whoever is asked along sees the plan and brings a boat, things and a signature of their own."
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      value={member?.personId ?? ''}
      onChange={(event) => change(event.target.value)}
    >
      <MenuItem value="">nobody, or not asked</MenuItem>
      {others.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** What they bring of which one does for all: counted by the usual figures of its kind. */
function Brings({
  one,
  forAll,
  set,
}: Pick<Props, 'one' | 'forAll'> & { set: (change: Partial<Companion>) => void }) {
  const add = (kind: KindId | null) => {
    if (kind === null) return;
    const thing = { id: crypto.randomUUID(), kind, name: kinds[kind].name, quantity: 1 };
    set({ brings: [...one.brings, thing].slice(0, 60) });
  };
  if (forAll.length === 0 && one.brings.length === 0) return null;
  return (
    <Box sx={{ my: 1 }}>
      {one.brings.length > 0 && (
        <Box component="ul" aria-label={`${one.name} brings for all`} sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {one.brings.map(({ id, name, quantity }) => (
            <Box
              component="li"
              key={id}
              sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between' }}
            >
              <span>
                brings {quantity > 1 ? `${quantity} × ` : ''}
                {name}
              </span>
              <Button
                aria-label={`${one.name} does not bring ${name}`}
                onClick={() => set({ brings: one.brings.filter((other) => other.id !== id) })}
              >
                Not
              </Button>
            </Box>
          ))}
        </Box>
      )}
      <Autocomplete
        size="small"
        options={forAll}
        value={null}
        blurOnSelect
        getOptionLabel={(kind) => kinds[kind].name}
        onChange={(_, kind) => add(kind)}
        renderInput={(params) => (
          <TextField {...params} margin="dense" label={`What ${one.name} brings for all`} />
        )}
      />
    </Box>
  );
}
