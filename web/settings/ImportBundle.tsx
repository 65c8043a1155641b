import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Standing, choiceOf, isTakeable, isTakenByItself } from '#core/documents/bundle';
import { documentKinds } from '#core/documents/registry';
import { byClock } from '#core/units/clockWords';
import { clockAt, dateAt, dayInWords } from '#core/units/time';
import { capital, count, plural } from '#core/units/words';
import { ApiError } from '../documents/api';
import { useToast } from '../ui/Toast';
import { type BundleLook, type BundledOne, type ChosenBundle, useImportBundle } from './queries';
import { Trouble } from '../ui/Trouble';

const groups: readonly { is: Standing; title: string; says: string }[] = [
  { is: 'new', title: 'New here', says: '' },
  { is: 'changed', title: 'Changed there since', says: 'What is imported takes the place of yours.' },
  {
    is: 'clash',
    title: 'Changed here',
    says: 'Yours stays, unless you tick it: then theirs takes its place.',
  },
  { is: 'newer', title: 'Of a newer program', says: 'It is left: bring this program up to date first.' },
  { is: 'unreadable', title: 'Not readable', says: 'It is left.' },
];
const MOST_LISTED = 200;

/** What of a bundle comes in: nothing is changed until it is said. */
export function ImportBundle({ chosen, onClose }: { chosen: ChosenBundle; onClose: () => void }) {
  const { name, file, look } = chosen;
  const [ticked, setTicked] = useState<ReadonlySet<string>>(
    () => new Set(look.documents.filter(isTakenByItself).map(choiceOf)),
  );
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');
  const { importBundle, takeBack } = useImportBundle();
  const say = useToast();
  const take = look.documents.filter((one) => isTakeable(one) && ticked.has(choiceOf(one)));
  const same = look.documents.filter(({ is }) => is === 'same').length;
  const tick = (list: readonly BundledOne[], on: boolean) => {
    const next = new Set(ticked);
    for (const one of list)
      if (on) next.add(choiceOf(one));
      else next.delete(choiceOf(one));
    setTicked(next);
  };
  const back = async (key: string) => {
    try {
      const { left } = await takeBack(key);
      say(
        left.length === 0
          ? 'Taken back: it is as it was.'
          : `Taken back, but for ${count(left.length)} that you changed since.`,
      );
    } catch (failure) {
      say(failure instanceof ApiError ? failure.message : 'That did not work.');
    }
  };
  const goOn = async () => {
    setBusy(true);
    setTrouble('');
    const key = crypto.randomUUID();
    try {
      const { written } = await importBundle(
        file,
        key,
        take.map((one) => ({ choice: choiceOf(one), here: one.here })),
      );
      say(`Imported: ${plural(written, 'one document', `${written} documents`)}.`, {
        name: 'Take it back',
        run: () => void back(key),
      });
      onClose();
    } catch (failure) {
      setTrouble(failure instanceof ApiError ? failure.message : 'It could not be imported.');
      setBusy(false);
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="bring-in">
      <DialogTitle id="bring-in">What to import</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <Typography>
          {name}, made {madeOn(look)}. {records(look)}
        </Typography>
        <Signatures look={look} />
        {same > 0 && (
          <Typography color="textSecondary">{`${capital(count(same))} ${plural(same, 'is', 'are')} the same here already.`}</Typography>
        )}
        {groups.map(({ is, title, says }) => {
          const list = look.documents.filter((one) => one.is === is);
          return list.length === 0 ? null : (
            <Group key={is} title={title} says={says} list={list} ticked={ticked} onTick={tick} />
          );
        })}
        <Trouble text={trouble} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          onClick={() => void goOn()}
          disabled={busy || nothingIn(look, take.length)}
        >
          {take.length === 0
            ? 'Import the records'
            : `Import ${plural(take.length, 'one', String(take.length))}`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const nothingIn = ({ answers, plans, checkIns, signatures }: BundleLook, taken: number) =>
  taken + answers + plans + checkIns + signatures.length === 0;

interface GroupProps {
  title: string;
  says: string;
  list: readonly BundledOne[];
  ticked: ReadonlySet<string>;
  onTick: (list: readonly BundledOne[], on: boolean) => void;
}
/** Documents that stand alike; many are ticked at once by their heading. */
function Group({ title, says, list, ticked, onTick }: GroupProps) {
  const takeable = list.filter(isTakeable);
  const on = takeable.filter((one) => ticked.has(choiceOf(one))).length;
  return (
    <Box component="section" aria-label={title}>
      {takeable.length > 0 ? (
        <FormControlLabel
          label={
            <b>
              {title}: {list.length}
            </b>
          }
          control={
            <Checkbox
              checked={on === takeable.length}
              indeterminate={on > 0 && on < takeable.length}
              onChange={(_, all) => onTick(takeable, all)}
            />
          }
        />
      ) : (
        <Typography sx={{ fontWeight: 600 }}>
          {title}: {list.length}
        </Typography>
      )}
      {says !== '' && (
        <Typography variant="body2" color="textSecondary">
          {says}
        </Typography>
      )}
      <Box component="details" open={list.length <= 12}>
        <Box component="summary" sx={{ cursor: 'pointer', py: 0.5 }}>
          One by one
        </Box>
        <Box component="ul" sx={{ listStyle: 'none', m: 0, pl: 2 }}>
          {list.slice(0, MOST_LISTED).map((one, i) => (
            <li key={`${choiceOf(one)} ${i}`}>
              {isTakeable(one) ? (
                <FormControlLabel
                  label={`${one.name}, ${documentKinds[one.kind].word}`}
                  control={
                    <Checkbox
                      size="small"
                      checked={ticked.has(choiceOf(one))}
                      onChange={(_, on) => onTick([one], on)}
                    />
                  }
                />
              ) : (
                `${one.name}, ${documentKinds[one.kind].word}. ${one.why}`
              )}
            </li>
          ))}
          {list.length > MOST_LISTED && <li>And {list.length - MOST_LISTED} more.</li>}
        </Box>
      </Box>
    </Box>
  );
}

/** Each signature was held against its hash again. */
function Signatures({ look }: { look: BundleLook }) {
  const { signatures } = look;
  if (signatures.length === 0) return null;
  const bad = signatures.filter(({ good }) => !good).length;
  return (
    <Typography role={bad > 0 ? 'alert' : undefined} color={bad > 0 ? 'error' : undefined}>
      {bad === 0
        ? `${capital(count(signatures.length))} ${plural(signatures.length, 'signature', 'signatures, each')} verified again: what was signed is as it was.`
        : `${capital(count(bad))} of ${count(signatures.length)} ${plural(signatures.length, 'signature')} ${plural(bad, 'is', 'are')} not over what stands beside ${plural(bad, 'it', 'them')}, and ${plural(bad, 'is', 'are')} left.`}
    </Typography>
  );
}

function madeOn({ madeAt }: BundleLook): string {
  const at = Date.parse(madeAt);
  return byClock(`${dayInWords(dateAt(at, 'local'))}, ${clockAt(at, 'local')}`);
}
function records({ answers, plans, checkIns, pictures, unreadable }: BundleLook): string {
  const parts = [
    [answers, 'answer'],
    [plans, 'plan left ashore', 'plans left ashore'],
    [checkIns, 'word from the water', 'words from the water'],
    [pictures, 'picture'],
  ] as const;
  const said = parts.flatMap(([n, one, many]) => (n === 0 ? [] : [`${n} ${plural(n, one, many)}`]));
  const comes =
    said.length === 0 ? '' : `With it come ${said.join(', ')}; what is here already is not doubled.`;
  const left =
    unreadable === 0
      ? ''
      : `${unreadable} ${plural(unreadable, 'record or picture', 'records or pictures')} cannot be read and ${unreadable === 1 ? 'is' : 'are'} left.`;
  return [comes, left].filter(Boolean).join(' ');
}
