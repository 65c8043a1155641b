import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSWRConfig } from 'swr';
import { ApiError, request } from '../../documents/api';
import { REFERENCES } from '../../documents/ReferenceStore';
import { useToast } from '../../ui/Toast';
import { SAMPLE, isSummaries, useSample } from './queries';

type Taken = Record<string, string[]>;

/** Says that what is here is the sample, and takes it away in one press, which can be taken back. */
export function SampleNotice() {
  const { data } = useSample();
  const { mutate } = useSWRConfig();
  const say = useToast();
  if (!data || data.documents === 0) return null;
  const then = async (work: Promise<unknown>) => {
    await work;
    await mutate((key) => key === SAMPLE || key === REFERENCES || isSummaries(key));
  };
  const tell = (failure: unknown) =>
    say(failure instanceof ApiError ? failure.message : 'That did not work.');
  const clear = async () => {
    const { taken } = await request<{ taken: Taken }>('POST', `${SAMPLE}/clear`, {});
    await then(Promise.resolve());
    say('The sample is cleared away.', {
      name: 'Undo',
      run: () => void then(request('POST', `${SAMPLE}/restore`, { taken })).catch(tell),
    });
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1.5, mb: 2 }}>
      <Typography variant="body2" color="textSecondary">
        A sample is here to look at and to copy from: invented people, places and boats.
      </Typography>
      <Button onClick={() => void clear().catch(tell)}>Clear it away</Button>
    </Box>
  );
}
