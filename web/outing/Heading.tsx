import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { clockAt, dayInWords } from '#core/units/time';
import { memo } from 'react';
import type { Saving } from '../documents/editor';
import { useDesk } from './desk';
import { screenOnly } from '../ui/screenOnly';

/** The outing's name, where it goes, and how far its newest change has come. */
export const Heading = memo(function Heading() {
  const { doc, edit, editor, state, looked } = useDesk();
  const { saving } = state;
  const where = [dayInWords(doc.brief.date), looked.water?.name].filter(Boolean).join(' · ');
  return (
    <Box
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 1.5, px: { xs: 2, sm: 3 }, pt: 1.25 }}
    >
      <Typography variant="h1" component="h1" sx={{ display: 'flex', minWidth: 0, maxWidth: '100%' }}>
        <InputBase
          value={doc.title}
          onChange={(event) => edit((outing) => ({ ...outing, title: event.target.value }), 'title')}
          slotProps={{
            input: { 'aria-label': 'Name of the outing', maxLength: 80, size: Math.max(10, doc.title.length) },
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
      <Box {...screenOnly} sx={{ ml: 'auto', display: 'flex', alignItems: 'baseline' }}>
        <Typography
          variant="caption"
          role="status"
          sx={{
            color: saving.is === 'refused' || saving.is === 'waiting' ? 'error.main' : 'text.secondary',
            maxWidth: 340,
          }}
        >
          {saysSaving(saving)}
        </Typography>
        <Button size="small" onClick={editor.undo} disabled={!state.canUndo} sx={{ minWidth: 0, minHeight: 36, py: 0 }}>
          Undo
        </Button>
        <Button size="small" onClick={editor.redo} disabled={!state.canRedo} sx={{ minWidth: 0, minHeight: 36, py: 0 }}>
          Redo
        </Button>
      </Box>
    </Box>
  );
});

function saysSaving(saving: Saving): string {
  switch (saving.is) {
    case 'kept':
      return `kept at ${clockAt(saving.at, 'local')}`;
    case 'pending':
      return 'keeping';
    case 'waiting':
      return `Not kept yet. ${saving.why} It is held on this device and tried again.`;
    case 'refused':
      return `Not kept: ${saving.why}`;
    case 'conflict':
      return 'changed in two windows';
  }
}
