import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ComponentType } from 'react';
import type { Control } from 'react-hook-form';
import { Link as RouterLink } from 'react-router';
import type { Angler } from '#core/documents/angler';
import type { Versioned } from '#core/documents/kept';
import { ConflictDialog } from '../documents/ConflictDialog';
import { Loaded } from '../documents/Loaded';
import { SavingWords } from '../documents/SavingWords';
import { useKept } from '../documents/queries';
import { useUndoKeys } from '../documents/useDocumentEditor';
import { useDocumentForm } from '../documents/useDocumentForm';

/** Some fields of the profile. */
export type ProfileFields = ComponentType<{ control: Control<Angler> }>;

/** A part of the profile, which saves itself; the first profile is written on a page of its own. */
export function Profile({ fields: Fields }: { fields: ProfileFields }) {
  const { data, error } = useKept();
  return (
    <Loaded data={data} error={error}>
      {({ anglers: [kept] }) => (kept ? <KeptProfile kept={kept} Fields={Fields} /> : <NoProfile />)}
    </Loaded>
  );
}

function KeptProfile({ kept, Fields }: { kept: Versioned<Angler>; Fields: ProfileFields }) {
  const { form, editor, state, unfit } = useDocumentForm('anglers', kept);
  useUndoKeys(editor.undo, editor.redo);
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => event.preventDefault()}
      sx={{ display: 'grid', gap: 3 }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button onClick={editor.undo} disabled={!state.canUndo}>
          Undo
        </Button>
        <Button onClick={editor.redo} disabled={!state.canRedo}>
          Redo
        </Button>
        <SavingWords saving={state.saving} unfit={unfit} />
      </Box>
      <Fields control={form.control as unknown as Control<Angler>} />
      <ConflictDialog kind="anglers" saving={state.saving} settle={editor.settle} />
    </Box>
  );
}

function NoProfile() {
  return (
    <Box sx={{ display: 'grid', gap: 2, justifyItems: 'start' }}>
      <Typography>No profile yet. Nothing can be judged without one.</Typography>
      <Button component={RouterLink} to="/first/you" variant="contained">
        Write your profile
      </Button>
    </Box>
  );
}
