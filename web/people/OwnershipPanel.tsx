import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useSWRConfig } from 'swr';
import type { Versioned } from '#core/documents/kept';
import { type KindName, documentKinds } from '#core/documents/registry';
import { ApiError, request } from '../documents/api';
import { REFERENCES } from '../documents/ReferenceStore';
import { useToast } from '../ui/Toast';
import { useMe } from './queries';

/**
 * Settled here: who reads and who writes this. What would annoy: that everyone sees the place I fish, and I
 * did not know.
 */
export function OwnershipPanel({ kind, kept }: { kind: KindName; kept: Versioned<{ id: string }> }) {
  const me = useMe().data;
  const { mutate } = useSWRConfig();
  const say = useToast();
  const [over, setOver] = useState<number | null>(null);
  const [busy, setBusy] = useState(false);
  if (!me?.accounts || !me.person || kept.club === undefined) return null;
  const { path, word } = documentKinds[kind];
  const act = kept.club ? 'keep' : 'give';
  const hand = async () => {
    setBusy(true);
    try {
      await request('POST', `/api/${path}/${kept.doc.id}/${act}`, { over });
      await mutate(REFERENCES);
      setOver(null);
      say(kept.club ? `It is yours alone now.` : `It is the club’s now: everyone here reads it.`);
    } catch (failure) {
      if (!(failure instanceof ApiError)) throw failure;
      const there = failure.current as Versioned<unknown> | null;
      if (failure.status === 409 && there) setOver(there.version);
      else say(failure.message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, alignItems: 'center', mb: 2 }}>
      <Typography variant="body2" color="textSecondary">
        {kept.club
          ? 'The club’s: everyone here reads it, and keepers change it.'
          : `Yours: nobody else sees this ${word}.`}
      </Typography>
      {me.person.keeper && (
        <Button disabled={busy} onClick={() => void hand()}>
          {over !== null
            ? `Put it in the place of the ${kept.club ? 'one of yours' : 'club’s'} that is there`
            : kept.club
              ? 'Keep it to yourself'
              : 'Give it to the club'}
        </Button>
      )}
    </Box>
  );
}
