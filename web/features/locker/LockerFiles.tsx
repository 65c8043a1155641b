import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import type { Imported } from '#core/formats/imported';
import { readLockerCsv, writeLockerCsv } from '#core/formats/lockerCsv';
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
  const [read, setRead] = useState<{ name: string; result: Imported<Item[]> } | null>(null);
  return (
    <>
      <FileButton
        name="Read CSV"
        label="Locker file"
        accept=".csv,text/csv"
        onFile={(file) =>
          void file
            .text()
            .then((text) => setRead({ name: file.name, result: readLockerCsv(text, () => crypto.randomUUID()) }))
        }
      />
      {items.length > 0 && (
        <Button onClick={() => saveFile('locker.csv', 'text/csv', writeLockerCsv(items))}>Write CSV</Button>
      )}
      {read && <DryRun name={read.name} result={read.result} onClose={() => setRead(null)} />}
    </>
  );
}

function DryRun({ name, result, onClose }: { name: string; result: Imported<Item[]>; onClose: () => void }) {
  const documents = useDocuments('items');
  const say = useSay();
  const [done, setDone] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const stopped = useRef(false);
  const list = result.taken ? result.value : [];
  const keep = async () => {
    let kept = 0;
    setDone(0);
    try {
      for (const item of list) {
        if (stopped.current) break;
        await documents.create(item);
        kept += 1;
        setDone(kept);
      }
      say(`${kept} ${plural(kept, 'thing')} put into the locker.`);
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(`${kept} of ${list.length} are kept. Then: ${error.message}`);
      setDone(null);
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
        {done !== null && (
          <LinearProgress
            variant="determinate"
            value={(done / Math.max(1, list.length)) * 100}
            aria-label="Keeping"
            sx={{ mt: 2 }}
          />
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button
          variant="outlined"
          onClick={() => {
            stopped.current = true;
            onClose();
          }}
        >
          {done === null ? 'Cancel' : 'Stop'}
        </Button>
        <Button
          variant="contained"
          onClick={() => void keep()}
          disabled={list.length === 0 || done !== null || trouble !== null}
        >
          Keep them
        </Button>
      </DialogActions>
    </Dialog>
  );
}
