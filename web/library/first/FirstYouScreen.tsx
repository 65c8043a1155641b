import { zodResolver } from '@hookform/resolvers/zod';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useForm, useWatch } from 'react-hook-form';
import { useState } from 'react';
import { Navigate, Link as RouterLink } from 'react-router';
import { type Angler, anglerSchema } from '#core/documents/angler';
import { freshProfile } from '#core/editing/freshProfile';
import { Page } from '../../ui/Page';
import { FormChoice, FormNumber, FormSpeech, FormSwitch, FormText, asOptions } from '../../ui/fields';
import { OnceRead } from './OnceRead';
import { useFirstDocument } from './useFirstDocument';

/** What was left half filled, in the form that is written today. */
function begun(left: Angler | null): Angler {
  const fresh = freshProfile(crypto.randomUUID());
  return { ...fresh, ...left, format: fresh.format };
}

/**
 * Settled here: whose body and skill is judged, and who waits ashore. What would annoy: being asked for
 * limits before one has any.
 */
export function FirstYouScreen() {
  return <OnceRead>{({ angler }) => <YouForm known={angler !== null} />}</OnceRead>;
}

function YouForm({ known }: { known: boolean }) {
  // Whoever is told already is changed in the settings; not while being kept here.
  const [isTold] = useState(known);
  const { keep, trouble, draft } = useFirstDocument<Angler>('anglers', 'profile');
  const { control, handleSubmit, subscribe, formState } = useForm<Angler>({
    defaultValues: begun(draft.read()),
    resolver: zodResolver(anglerSchema),
    mode: 'onTouched',
  });
  draft.useKeeping({ subscribe });
  // The figures above are shown in other units once they are chosen.
  useWatch({ control, name: 'units' });
  const grid = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 };
  if (isTold) return <Navigate to="/settings" replace />;
  return (
    <Page title="You" lead="What every outing is judged by. It stays on this server.">
      <Box
        component="form"
        noValidate
        onSubmit={(event) => void handleSubmit((doc) => keep(doc))(event)}
        sx={{ display: 'grid', gap: 2.5, maxWidth: 640 }}
      >
        {trouble && (
          <Alert severity="warning" variant="outlined">
            {trouble}
          </Alert>
        )}
        <Box sx={grid}>
          <FormText control={control} name="name" label="Name" />
          <FormChoice
            control={control}
            name="experience"
            label="Experience on the water"
            options={asOptions(['new', 'some', 'experienced'])}
          />
          <FormNumber control={control} name="massKg" label="Mass, dressed" unit="kg" />
          <FormNumber control={control} name="heightM" label="Height" unit="m" />
          <FormChoice
            control={control}
            name="swims"
            label="Swims"
            options={asOptions(['well', 'a little', 'not'])}
          />
          <FormSwitch control={control} name="reentryPractised" label="I have practised getting back in" />
          <FormSpeech control={control} />
        </Box>
        <Typography variant="h3" component="h2">
          Who waits ashore
        </Typography>
        <Box sx={grid}>
          <FormText control={control} name="contact.name" label="Their name" />
          <FormText control={control} name="contact.phone" label="Their number" type="tel" />
        </Box>
        <Typography variant="body2" color="textSecondary">
          Limits for wind and waves begin where they do for the new; you set your own, and what you hold of
          practice, under{' '}
          <Link component={RouterLink} to="/settings/limits">
            Settings
          </Link>
          .
        </Typography>
        <Button
          variant="contained"
          type="submit"
          disabled={formState.isSubmitting}
          sx={{ justifySelf: 'start' }}
        >
          Keep
        </Button>
      </Box>
    </Page>
  );
}
