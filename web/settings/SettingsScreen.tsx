import { zodResolver } from '@hookform/resolvers/zod';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Control, useForm, useWatch } from 'react-hook-form';
import { Link as RouterLink } from 'react-router';
import { practice, schoolIds } from '#core/needs/practice';
import { freshProfile } from '#core/editing/freshProfile';
import { type Angler, anglerSchema } from '#core/documents/angler';
import type { Versioned } from '#core/documents/kept';
import { VERSION } from '#core/vocabulary/version';
import { ApiError } from '../documents/api';
import { type ThemeName, themeNames } from '../app/palettes';
import { useThemeChoice } from '../app/themeChoice';
import { Loaded } from '../documents/Loaded';
import { Page } from '../ui/Page';
import { useToast } from '../ui/Toast';
import { FormChoice, FormNumber, FormSpeech, FormSwitch, FormText, asOptions } from '../ui/fields';
import { ConflictDialog } from '../documents/ConflictDialog';
import { SavingWords } from '../documents/SavingWords';
import { useUndoKeys } from '../documents/useDocumentEditor';
import { useDocumentForm } from '../documents/useDocumentForm';
import { useDocuments, useKept } from '../documents/queries';
import { Backups } from './Backups';
import { Bundle } from './Bundle';
import { People } from './People';

const themeWords: Record<ThemeName, string> = {
  paper: 'Paper, for the table',
  dark: 'Dark, for the evening',
  'half-light': 'Half-light, red on black, to spare night eyes',
};

/**
 * Settled here: who goes, with what limits, and how the screen looks. What would annoy: limits set by
 * somebody else.
 */
export function SettingsScreen() {
  const { data, error } = useKept();
  const { name, choose } = useThemeChoice();
  return (
    <Page
      title="Settings"
      lead={`You, your limits, the light you read in, and where all of it is kept. Version ${VERSION}.`}
    >
      <Typography variant="h2" id="theme-heading" sx={{ mb: 1 }}>
        Light
      </Typography>
      <RadioGroup
        aria-labelledby="theme-heading"
        value={name}
        onChange={(_, value) => choose(value as ThemeName)}
        sx={{ mb: 3 }}
      >
        {themeNames.map((theme) => (
          <FormControlLabel key={theme} value={theme} control={<Radio />} label={themeWords[theme]} />
        ))}
      </RadioGroup>
      <Typography variant="h2" sx={{ mb: 2 }}>
        You
      </Typography>
      <Loaded data={data} error={error}>
        {({ anglers }) => <Profile kept={anglers[0] ?? null} />}
      </Loaded>
      {(data ?? error) && (
        <Box sx={{ display: 'grid', gap: 4, mt: 5 }}>
          <People />
          <Bundle />
          <Backups />
        </Box>
      )}
    </Page>
  );
}

/** The profile: a kept one saves itself; the first is kept when it is whole. */
function Profile({ kept }: { kept: Versioned<Angler> | null }) {
  return kept ? <KeptProfile kept={kept} /> : <FirstProfile />;
}

function KeptProfile({ kept }: { kept: Versioned<Angler> }) {
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
        <Typography variant="caption" color="textSecondary">
          Every outing is judged by it.
        </Typography>
      </Box>
      <ProfileFields control={form.control as unknown as Control<Angler>} />
      <ConflictDialog kind="anglers" saving={state.saving} settle={editor.settle} />
    </Box>
  );
}

function FirstProfile() {
  const say = useToast();
  const documents = useDocuments('anglers');
  const [trouble, setTrouble] = useState<string | null>(null);
  const { control, handleSubmit, formState } = useForm<Angler>({
    defaultValues: freshProfile(crypto.randomUUID()),
    resolver: zodResolver(anglerSchema),
    mode: 'onTouched',
  });
  const save = async (doc: Angler) => {
    setTrouble(null);
    try {
      await documents.create(doc);
      say('Your profile is kept. Every outing is judged by it from now on.');
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(error.message);
    }
  };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => void handleSubmit(save)(event)}
      sx={{ display: 'grid', gap: 3 }}
    >
      <Typography>No profile yet. Nothing can be judged without one.</Typography>
      {trouble && (
        <Alert severity="warning" variant="outlined">
          {trouble}
        </Alert>
      )}
      <ProfileFields control={control} />
      <Button
        variant="contained"
        type="submit"
        disabled={formState.isSubmitting}
        sx={{ justifySelf: 'start' }}
      >
        Keep
      </Button>
    </Box>
  );
}

function ProfileFields({ control }: { control: Control<Angler> }) {
  // The fields below show other figures once other units are chosen.
  useWatch({ control, name: 'units' });
  const grid = {
    display: 'grid',
    gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', md: '1fr 1fr 1fr' },
    gap: 2,
    maxWidth: 900,
  };
  return (
    <>
      <Box sx={grid}>
        <FormText control={control} name="name" label="Name" />
        <FormNumber control={control} name="massKg" label="Mass, dressed" unit="kg" />
        <FormNumber control={control} name="heightM" label="Height" unit="m" />
        <FormChoice
          control={control}
          name="hand"
          label="Stronger hand"
          options={asOptions(['right', 'left'])}
        />
        <FormChoice
          control={control}
          name="clearSide"
          label="Side kept clear"
          options={asOptions(['right', 'left'])}
        />
        <FormChoice
          control={control}
          name="swims"
          label="Swims"
          options={asOptions(['well', 'a little', 'not'])}
        />
        <FormChoice
          control={control}
          name="experience"
          label="Experience"
          options={asOptions(['new', 'some', 'experienced'])}
        />
        <FormSwitch control={control} name="reentryPractised" label="I have practised getting back in" />
      </Box>
      <Typography variant="h3">Units</Typography>
      <Typography variant="body2" color="textSecondary">
        What you read and type in. Nothing is kept or judged in it, so it may be changed at any time.
      </Typography>
      <Box sx={grid}>
        <FormSpeech control={control} each />
      </Box>
      <Typography variant="h3">Your own limits</Typography>
      <Typography variant="body2" color="textSecondary">
        They may be stricter than the ceilings by skill, never laxer.{' '}
        <Link component={RouterLink} to="/reference/limits">
          Where those stand
        </Link>
      </Typography>
      <Box sx={grid}>
        <FormNumber control={control} name="limits.windMps" label="Wind" unit="wind" />
        <FormNumber control={control} name="limits.gustMps" label="Gusts" unit="wind" />
        <FormNumber control={control} name="limits.breakerM" label="Breakers at the launch" unit="m" />
        <FormNumber control={control} name="limits.waveM" label="Waves, if you set a limit" unit="m" />
      </Box>
      <Typography variant="h3">Your school, where practice differs</Typography>
      <Typography variant="body2" color="textSecondary">
        Both sides of each are sound. What you choose here is proposed first; it never lowers what must be
        aboard.{' '}
        <Link component={RouterLink} to="/reference/practice">
          What each side says
        </Link>
      </Typography>
      <Box sx={grid}>
        {schoolIds.map((id) => (
          <FormChoice
            key={id}
            control={control}
            name={`schools.${id}`}
            label={practice[id].question}
            options={asOptions(anglerSchema.shape.schools.shape[id].options)}
          />
        ))}
      </Box>
      <Typography variant="h3">Person ashore</Typography>
      <Box sx={grid}>
        <FormText control={control} name="contact.name" label="Their name" />
        <FormText control={control} name="contact.phone" label="Their number" type="tel" />
        <FormText control={control} name="contact.email" label="Their address for mail" />
      </Box>
      <Typography variant="h3">What they are told of you</Typography>
      <Typography variant="body2" color="textSecondary">
        It stands on the plans you leave, and nowhere else. What is empty is left out.
      </Typography>
      <Box sx={grid}>
        <FormText control={control} name="about.phone" label="Your telephone" type="tel" />
        <FormNumber control={control} name="about.ageYears" label="Age" unit="" />
        <FormText control={control} name="about.wears" label="What you wear, with its colours" />
        <FormText control={control} name="about.vehicle" label="Vehicle: make, colour, plate" />
        <FormText control={control} name="about.callSign" label="Call sign of your radio" />
        <FormText control={control} name="about.medical" label="Medical notes, if you wish" />
      </Box>
    </>
  );
}
