import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { dayInWords } from '#core/units/time';
import { memo, useState } from 'react';
import { SavingWords } from '../documents/SavingWords';
import { CallButton } from './CallButton';
import { CarriedWords } from './CarriedWords';
import { useOutingWorkspace } from './outingWorkspace';
import { screenOnly } from '../ui/screenOnly';

/** The outing's name, where it goes, and how far its newest change has come. */
export const Heading = memo(function Heading() {
  const { doc, edit, editor, state, looked } = useOutingWorkspace();
  const where = [dayInWords(doc.brief.date), looked.water?.name].filter(Boolean).join(' · ');
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'baseline',
        columnGap: 1.5,
        px: { xs: 2, sm: 3 },
        pt: 1.25,
      }}
    >
      <Typography variant="h1" component="h1" sx={{ display: 'flex', minWidth: 0, maxWidth: '100%' }}>
        <Name title={doc.title} onName={(title) => edit((outing) => ({ ...outing, title }), 'title')} />
      </Typography>
      <Typography color="textSecondary" sx={{ minWidth: 0 }}>
        {where}
        {looked.craft && (
          <>
            {' · '}
            <i>{looked.craft.name}</i>
          </>
        )}
      </Typography>
      <Box
        {...screenOnly}
        sx={{ ml: 'auto', display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 1.5 }}
      >
        <CarriedWords />
        <SavingWords saving={state.saving} zone={looked.water?.timeZone ?? 'local'} />
        <CallButton />
        <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
          <Button
            size="small"
            onClick={editor.undo}
            disabled={!state.canUndo}
            sx={{ minWidth: 0, minHeight: 36, py: 0 }}
          >
            Undo
          </Button>
          <Button
            size="small"
            onClick={editor.redo}
            disabled={!state.canRedo}
            sx={{ minWidth: 0, minHeight: 36, py: 0 }}
          >
            Redo
          </Button>
        </Box>
      </Box>
    </Box>
  );
});

/** A name is kept with every letter; one that is emptied is not, and the last that was one comes back. */
function Name({ title, onName }: { title: string; onName: (title: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? title;
  return (
    <InputBase
      value={shown}
      onChange={(event) => {
        const { value } = event.target;
        setTyped(value.trim() === '' ? value : null);
        if (value.trim() !== '') onName(value);
      }}
      onBlur={() => setTyped(null)}
      error={typed !== null}
      slotProps={{
        input: {
          'aria-label': 'Name of the outing',
          'aria-invalid': typed !== null,
          placeholder: 'Give it a name',
          maxLength: 80,
          size: Math.max(10, shown.length),
        },
      }}
      sx={{
        font: 'inherit',
        '& input': {
          p: 0,
          height: 'auto',
          textOverflow: 'ellipsis',
          fieldSizing: 'content',
          maxWidth: { xs: '88vw', md: '46vw' },
        },
      }}
    />
  );
}
