import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControl from '@mui/material/FormControl';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormLabel from '@mui/material/FormLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import {
  type Mapping,
  lockerCsvAsks,
  lockerCsvHeader,
  lockerTemplate,
  readLockerCsv,
  writeLockerCsv,
} from '#core/exchange/lockerCsv';
import type { AnswersGiven } from '#core/exchange/imported';
import { lockerColumns } from '#core/exchange/lockerColumns';
import { matchOwned } from '#core/exchange/lockerMatch';
import { kinds } from '#core/catalog/gear/kinds';
import type { Item } from '#core/documents/item';
import { listed, plural } from '#core/units/words';
import type { Versioned } from '#core/documents/kept';
import { ApiError } from '../../documents/api';
import { FileButton } from '../../ui/FileButton';
import { useToast } from '../../ui/Toast';
import { saveFile } from '../../ui/saveFile';
import { useItemBatch } from '../../documents/queries';
import { fileText } from '../../ui/fileText';
import { Questions } from '../../ui/Questions';

const SHOWN = 8;

/** The locker to and from a CSV file. What a file holds is shown before anything is kept. */
export function LockerFiles({ kept }: { kept: readonly Versioned<Item>[] }) {
  const items = kept.map(({ doc }) => doc);
  const [read, setRead] = useState<{ name: string; text: string } | null>(null);
  return (
    <>
      <FileButton
        name="Read CSV"
        label="Locker file"
        accept=".csv,text/csv"
        onFile={(file) => void fileText(file).then((text) => setRead({ name: file.name, text }))}
      />
      <Button
        disabled={items.length === 0}
        onClick={() => saveFile('locker.csv', 'text/csv', writeLockerCsv(items))}
      >
        Write CSV
      </Button>
      <Button onClick={() => saveFile('locker-template.csv', 'text/csv', lockerTemplate())}>
        Write a template
      </Button>
      {read && <DryRun key={read.name} {...read} kept={kept} onClose={() => setRead(null)} />}
    </>
  );
}

interface DryRunProps {
  name: string;
  text: string;
  kept: readonly Versioned<Item>[];
  onClose: () => void;
}
type WithOwned = 'change' | 'leave' | 'again';
const withOwnedWords: Record<WithOwned, string> = {
  change: 'Change them to what the file says',
  leave: 'Leave them as they are',
  again: 'Take every line as one more thing',
};

/** Says which column is what, and what would come of it; nothing is kept before it is looked over. */
function DryRun({ name, text, kept, onClose }: DryRunProps) {
  const owned = useMemo(() => kept.map(({ doc }) => doc), [kept]);
  const head = useMemo(() => lockerCsvHeader(text), [text]);
  const [mapping, setMapping] = useState<Mapping>(head.taken ? head.value.guess : []);
  const [answers, setAnswers] = useState<AnswersGiven>({});
  const [withOwned, setWithOwned] = useState<WithOwned>('change');
  const result = useMemo(
    () => (head.taken ? readLockerCsv(text, () => crypto.randomUUID(), { mapping, owned, answers }) : head),
    [text, head, mapping, owned, answers],
  );
  const asks = useMemo(
    () => (head.taken ? lockerCsvAsks(text, mapping, answers) : []),
    [text, head, mapping, answers],
  );
  const isOpen = asks.some(({ id }) => answers[id] === undefined);
  const batch = useItemBatch();
  const say = useToast();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const list = useMemo<readonly Item[]>(() => (result.taken ? (result.value as Item[]) : []), [result]);
  const matched = useMemo(() => matchOwned(list, owned, mapping), [list, owned, mapping]);
  const known = matched.changed.length + matched.same;
  const create = withOwned === 'again' ? list : matched.fresh;
  const change = withOwned === 'change' ? matched.changed : [];
  const keep = async () => {
    setBusy(true);
    setTrouble(null);
    const before = new Map(kept.map((one) => [one.doc.id, one]));
    try {
      const undo = await batch(
        { create, change: change.map((doc) => ({ doc, version: before.get(doc.id)?.version ?? 0 })) },
        change.flatMap(({ id }) => before.get(id)?.doc ?? []),
      );
      say(`${tally(create.length, change.length)}.`, { name: 'Undo', run: undo });
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(`Nothing was kept. ${error.message}`);
      setBusy(false);
    }
  };
  const shown = [...change, ...create];
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="dry-run">
      <DialogTitle id="dry-run">{name}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 1 }}>
          {result.taken
            ? `${list.length} ${plural(list.length, 'thing')} can be taken. Nothing is kept yet.`
            : isOpen
              ? 'First say this of it. Nothing is kept yet.'
              : 'Nothing can be taken.'}
        </Typography>
        {known > 0 && (
          <FormControl sx={{ mb: 1 }}>
            <FormLabel id="with-owned">
              {known} of them {known === 1 ? 'is' : 'are'} in the locker already, by kind and name;{' '}
              {matched.same} {matched.same === 1 ? 'is' : 'are'} the same
            </FormLabel>
            <RadioGroup
              aria-labelledby="with-owned"
              value={withOwned}
              onChange={(event) => setWithOwned(event.target.value as WithOwned)}
            >
              {Object.entries(withOwnedWords).map(([id, words]) => (
                <FormControlLabel key={id} value={id} control={<Radio />} label={words} />
              ))}
            </RadioGroup>
          </FormControl>
        )}
        <Questions
          list={asks}
          answers={answers}
          onAnswer={(id, choice) => setAnswers({ ...answers, [id]: choice })}
        />
        {!result.taken && !isOpen && (
          <Alert severity="warning" variant="outlined" sx={{ mb: 1 }}>
            {result.why}
          </Alert>
        )}
        {result.taken && result.troubles.length > 0 && (
          <Alert severity="warning" variant="outlined" sx={{ mb: 1 }}>
            {result.troubles.map((line) => (
              <div key={line}>{line}</div>
            ))}
          </Alert>
        )}
        {trouble && (
          <Alert severity="error" variant="outlined">
            {trouble}
          </Alert>
        )}
        {result.taken && (
          <Typography sx={{ fontWeight: 700 }}>
            {shown.length === 0 ? 'Nothing would be new.' : `${tally(create.length, change.length)}:`}
          </Typography>
        )}
        {shown.slice(0, SHOWN).map((item) => (
          <Typography key={item.id} variant="body2">
            {item.name}: {kinds[item.kind].name}, {item.quantity}
          </Typography>
        ))}
        {shown.length > SHOWN && <Typography variant="body2">and {shown.length - SHOWN} more</Typography>}
        {head.taken && <Columns {...head.value} mapping={mapping} onChange={setMapping} />}
        {busy && <LinearProgress aria-label="Keeping" sx={{ mt: 2 }} />}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button variant="outlined" onClick={onClose} disabled={busy}>
          Cancel
        </Button>
        <Button variant="contained" onClick={() => void keep()} disabled={shown.length === 0 || busy}>
          Keep them
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function tally(created: number, changed: number): string {
  return listed([
    ...(created > 0 ? [`${created} ${plural(created, 'thing')} put into the locker`] : []),
    ...(changed > 0 ? [`${changed} changed`] : []),
  ]);
}

interface ColumnsProps {
  header: readonly string[];
  samples: readonly string[];
  mapping: Mapping;
  onChange: (mapping: Mapping) => void;
}
/** Each column of the file with an example, and what it is taken for. */
function Columns({ header, samples, mapping, onChange }: ColumnsProps) {
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mt: 2 }}>
      <Typography component="legend" variant="h3" sx={{ p: 0, mb: 0.5 }}>
        Which column is what
      </Typography>
      {header.map((cell, i) => (
        <Box
          key={`${cell}-${i}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: 'minmax(0, 1fr) 220px',
            gap: 2,
            alignItems: 'center',
            mb: 0.5,
          }}
        >
          <Typography variant="body2" sx={{ overflowWrap: 'anywhere' }}>
            {cell || `column ${i + 1}`}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {' '}
              {(samples[i] ?? '') === '' ? 'is empty' : `as in “${(samples[i] ?? '').slice(0, 40)}”`}
            </Box>
          </Typography>
          <TextField
            select
            size="small"
            value={mapping[i] ?? ''}
            onChange={(event) =>
              onChange(
                mapping.map((old, at) =>
                  at === i ? ((event.target.value || null) as Mapping[number]) : old,
                ),
              )
            }
            slotProps={{
              select: { native: true },
              htmlInput: { 'aria-label': `${cell || `column ${i + 1}`} is` },
            }}
          >
            <option value="">left alone</option>
            {lockerColumns
              .filter(({ id }) => id === mapping[i] || !mapping.includes(id))
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
          </TextField>
        </Box>
      ))}
    </Box>
  );
}
