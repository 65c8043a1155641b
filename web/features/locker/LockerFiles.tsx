import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { type Mapping, lockerColumns, lockerCsvHeader, readLockerCsv, writeLockerCsv } from '#core/formats/lockerCsv';
import { kinds } from '#core/gear/kinds';
import type { Item } from '#core/outing/item';
import { plural } from '#core/units/words';
import { ApiError } from '../../app/api';
import { FileButton } from '../../parts/FileButton';
import { useSay } from '../../parts/Spoken';
import { saveFile } from '../../parts/saveFile';
import { useDocuments } from '../reference/queries';

const SHOWN = 8;

/** The locker to and from a CSV file. What a file holds is shown before anything is kept. */
export function LockerFiles({ items }: { items: readonly Item[] }) {
  const [read, setRead] = useState<{ name: string; text: string } | null>(null);
  return (
    <>
      <FileButton
        name="Read CSV"
        label="Locker file"
        accept=".csv,text/csv"
        onFile={(file) => void file.text().then((text) => setRead({ name: file.name, text }))}
      />
      {items.length > 0 && (
        <Button onClick={() => saveFile('locker.csv', 'text/csv', writeLockerCsv(items))}>Write CSV</Button>
      )}
      {read && <DryRun key={read.name} {...read} owned={items} onClose={() => setRead(null)} />}
    </>
  );
}

interface DryRunProps {
  name: string;
  text: string;
  owned: readonly Item[];
  onClose: () => void;
}
/** Says which column is what, and what would come of it; nothing is kept before it is looked over. */
function DryRun({ name, text, owned, onClose }: DryRunProps) {
  const head = useMemo(() => lockerCsvHeader(text), [text]);
  const [mapping, setMapping] = useState<Mapping>(head.taken ? head.value.guess : []);
  const result = useMemo(
    () => (head.taken ? readLockerCsv(text, () => crypto.randomUUID(), { mapping, owned }) : head),
    [text, head, mapping, owned],
  );
  const documents = useDocuments('items');
  const say = useSay();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const list: readonly Item[] = result.taken ? (result.value as Item[]) : [];
  const keep = async () => {
    setBusy(true);
    setTrouble(null);
    try {
      const { kept } = await documents.createAll(list);
      say(`${kept} ${plural(kept, 'thing')} put into the locker.`);
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(`Nothing was kept. ${error.message}`);
      setBusy(false);
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="dry-run">
      <DialogTitle id="dry-run">{name}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 1 }}>
          {result.taken
            ? `${list.length} ${plural(list.length, 'thing')} can be taken. Nothing is kept yet.`
            : 'Nothing can be taken.'}
        </Typography>
        {head.taken && <Columns {...head.value} mapping={mapping} onChange={setMapping} />}
        {!result.taken && (
          <Alert severity="warning" variant="outlined">
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
        {list.slice(0, SHOWN).map((item) => (
          <Typography key={item.id} variant="body2">
            {item.name}: {kinds[item.kind].name}, {item.quantity}
          </Typography>
        ))}
        {list.length > SHOWN && <Typography variant="body2">and {list.length - SHOWN} more</Typography>}
        {busy && <LinearProgress aria-label="Keeping" sx={{ mt: 2 }} />}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button variant="outlined" onClick={onClose} disabled={busy}>
          Cancel
        </Button>
        <Button variant="contained" onClick={() => void keep()} disabled={list.length === 0 || busy}>
          Keep them
        </Button>
      </DialogActions>
    </Dialog>
  );
}

interface ColumnsProps {
  header: readonly string[];
  first: readonly (readonly string[])[];
  mapping: Mapping;
  onChange: (mapping: Mapping) => void;
}
/** Each column of the file with an example, and what it is taken for. */
function Columns({ header, first, mapping, onChange }: ColumnsProps) {
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mb: 2 }}>
      <Typography component="legend" variant="h3" sx={{ p: 0, mb: 0.5 }}>
        Which column is what
      </Typography>
      {header.map((cell, i) => (
        <Box
          key={`${cell}-${i}`}
          sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 220px', gap: 2, alignItems: 'center', mb: 0.5 }}
        >
          <Typography variant="body2" sx={{ overflowWrap: 'anywhere' }}>
            {cell || `column ${i + 1}`}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {' '}
              as in “{(first.find((row) => (row[i] ?? '') !== '')?.[i] ?? '').slice(0, 40)}”
            </Box>
          </Typography>
          <TextField
            select
            size="small"
            value={mapping[i] ?? ''}
            onChange={(event) =>
              onChange(mapping.map((old, at) => (at === i ? ((event.target.value || null) as Mapping[number]) : old)))
            }
            slotProps={{ select: { native: true }, htmlInput: { 'aria-label': `${cell || `column ${i + 1}`} is` } }}
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
