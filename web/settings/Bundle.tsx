import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormGroup from '@mui/material/FormGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type BundlePart, bundlePartNames, bundleParts } from '#core/documents/bundle';
import { ApiError } from '../documents/api';
import { FileButton } from '../ui/FileButton';
import { useToast } from '../ui/Toast';
import { ImportBundle } from './ImportBundle';
import { type ChosenBundle, bundleAddress, lookAtBundle } from './queries';
import { Trouble } from '../ui/Trouble';

/**
 * Settled here: what goes along to another installation, and what of another is taken over. What would annoy: something
 * of mine replaced unasked.
 */
export function Bundle() {
  const [parts, setParts] = useState<readonly BundlePart[]>(bundlePartNames);
  const [chosen, setChosen] = useState<ChosenBundle | null>(null);
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const say = useToast();
  const open = async (file: File) => {
    setTrouble('');
    setBusy(true);
    try {
      const text = await inBase64(file);
      setChosen({ name: file.name, file: text, look: await lookAtBundle(text) });
    } catch (failure) {
      setTrouble(failure instanceof ApiError ? failure.message : 'The file could not be read.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box
      component="section"
      aria-labelledby="bundle-heading"
      sx={{ display: 'grid', gap: 1.5, maxWidth: 700 }}
    >
      <Typography variant="h2" id="bundle-heading">
        Export and import
      </Typography>
      <Typography>
        One file with what you choose, to keep, or for another installation of this program. It also holds the
        things as a table and the ways as GPX, for other programs.
      </Typography>
      <FormGroup aria-label="What goes along">
        {bundlePartNames.map((part) => (
          <FormControlLabel
            key={part}
            label={bundleParts[part].word}
            control={
              <Checkbox
                checked={parts.includes(part)}
                onChange={(_, on) =>
                  setParts(bundlePartNames.filter((one) => (one === part ? on : parts.includes(one))))
                }
              />
            }
          />
        ))}
      </FormGroup>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          variant="outlined"
          href={parts.length === 0 ? '' : bundleAddress(parts)}
          download
          disabled={parts.length === 0}
          onClick={() => say('The file is being made, and comes as a download.')}
        >
          Export
        </Button>
        <FileButton
          name={busy ? 'Being read' : 'Import: look at a file'}
          label="A bundle to look at"
          accept=".zip,application/zip"
          variant="outlined"
          onFile={(file) => void open(file)}
        />
      </Box>
      <Trouble text={trouble} />
      <Typography variant="body2" color="textSecondary">
        A file that is looked at changes nothing until you say so, and an import can be taken back.
      </Typography>
      {chosen && <ImportBundle chosen={chosen} onClose={() => setChosen(null)} />}
    </Box>
  );
}

/** Bytes as text that JSON can hold. */
function inBase64(file: File): Promise<string> {
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result).replace(/^data:[^,]*,/, ''));
    reader.onerror = () => fail(new Error('unreadable'));
    reader.readAsDataURL(file);
  });
}
