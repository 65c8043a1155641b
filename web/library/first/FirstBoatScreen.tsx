import { zodResolver } from '@hookform/resolvers/zod';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { useForm, useWatch } from 'react-hook-form';
import { useLocation } from 'react-router';
import { type BoatFormId, boatFormIds, boatForms, boatFrom } from '#core/boat/boatForms';
import { boatShapeSchema } from '#core/documents/boatParts';
import { craftSchema } from '#core/documents/craft';
import { Page } from '../../ui/Page';
import { FormNumber, FormText } from '../../ui/fields';
import { BoatPicture } from './BoatPicture';
import { OnceRead } from './OnceRead';
import { useFirstDocument } from './useFirstDocument';
import { z } from 'zod';

const shape = craftSchema.shape;
const fieldsSchema = z.object({
  form: z.enum(boatFormIds as [BoatFormId, ...BoatFormId[]]),
  name: shape.name,
  lengthM: shape.lengthM,
  beamM: shape.beamM,
  massKg: shape.massKg,
  ratedLoadKg: shape.ratedLoadKg,
  depthM: boatShapeSchema.shape.depthM,
});
type Fields = z.infer<typeof fieldsSchema>;

const usual = (form: BoatFormId): Omit<Fields, 'name' | 'form'> => {
  const { lengthM, beamM, depthM, massKg, ratedLoadKg } = boatForms[form];
  return { lengthM, beamM, depthM, massKg, ratedLoadKg };
};

/**
 * Settled here: which boat it is, near enough to judge by. What would annoy: figures that are on no label and
 * in no memory.
 */
export function FirstBoatScreen() {
  return <OnceRead>{() => <BoatForm />}</OnceRead>;
}

function BoatForm() {
  const { keep, trouble, draft } = useFirstDocument<Fields>('craft', 'boat');
  const { control, handleSubmit, setValue, subscribe, formState } = useForm<Fields>({
    defaultValues: { form: 'open-paddled', name: '', ...usual('open-paddled'), ...draft.read() },
    resolver: zodResolver(fieldsSchema),
    mode: 'onTouched',
  });
  draft.useKeeping({ subscribe });
  const form = useWatch({ control, name: 'form' });
  // From the boats one goes on to the boat itself; on the first evening, back to the cards.
  const afterwards = useLocation().pathname === '/boats/new';
  const choose = (id: BoatFormId) => {
    setValue('form', id);
    for (const [key, value] of Object.entries(usual(id)))
      setValue(key as keyof Fields, value, { shouldValidate: false });
  };
  return (
    <Page
      title="Your boat"
      lead="By its picture and five numbers. They are the usual ones: correct what you know."
    >
      <Box
        component="form"
        noValidate
        onSubmit={(event) =>
          void handleSubmit(({ form: chosen, name, ...numbers }) => {
            const isUsualLoad = numbers.ratedLoadKg === usual(chosen).ratedLoadKg;
            const boat = boatFrom(crypto.randomUUID(), chosen, numbers, {
              name,
              assumed: ['hatches', 'drainPlugs', ...(isUsualLoad ? (['ratedLoadKg'] as const) : [])],
            });
            return keep(boat, afterwards ? `/boats/${boat.id}` : '/outings');
          })(event)
        }
        sx={{ display: 'grid', gap: 2.5, maxWidth: 860 }}
      >
        {trouble && (
          <Alert severity="warning" variant="outlined">
            {trouble}
          </Alert>
        )}
        <RadioGroup
          aria-label="What it is like"
          value={form}
          onChange={(_, value) => choose(value as BoatFormId)}
          sx={{
            display: 'grid',
            gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 250px), 1fr))',
            gap: 1,
          }}
        >
          {boatFormIds.map((id) => (
            <FormControlLabel
              key={id}
              value={id}
              control={<Radio />}
              sx={{
                m: 0,
                border: 1,
                borderColor: id === form ? 'text.primary' : 'divider',
                borderRadius: 1,
                p: 1,
              }}
              label={
                <Box>
                  <BoatPicture id={id} />
                  <Typography variant="body2">{boatForms[id].name}</Typography>
                </Box>
              }
            />
          ))}
        </RadioGroup>
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', md: '1fr 1fr 1fr' },
            gap: 2,
          }}
        >
          <FormText control={control} name="name" label="What you call it" />
          <FormNumber control={control} name="lengthM" label="Length" unit="m" />
          <FormNumber control={control} name="beamM" label="Beam, at its widest" unit="m" />
          <FormNumber control={control} name="depthM" label="Depth amidships, keel to rim" unit="m" />
          <FormNumber control={control} name="massKg" label="Mass, empty" unit="kg" />
          <FormNumber control={control} name="ratedLoadKg" label="Maker’s greatest load" unit="kg" />
        </Box>
        <Typography variant="body2" color="textSecondary">
          Its shape is drawn from these, and from its shape how deep it lies, how steady it is, how fast it
          goes and how it takes the wind: estimates. Under Boats you can stretch it, place by place, and put
          in what you have measured.
        </Typography>
        <Button
          variant="contained"
          type="submit"
          disabled={formState.isSubmitting}
          sx={{ justifySelf: 'start' }}
        >
          Keep this boat
        </Button>
      </Box>
    </Page>
  );
}
