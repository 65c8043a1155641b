import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Pass } from '../people/queries';

/**
 * An address that lets somebody in once, as text and as a picture that a telephone reads. The secret stands
 * behind the #: no server logs it.
 */
export function OneTimeAddress({ path, pass, says }: { path: string; pass: Pass; says: string }) {
  const address = `${window.location.origin}${path}#${pass.token}`;
  const [picture, setPicture] = useState('');
  useEffect(() => {
    let there = true;
    void import('qrcode').then(async ({ default: qr }) => {
      const svg = await qr.toString(address, { type: 'svg', errorCorrectionLevel: 'M', margin: 2 });
      if (there) setPicture(`data:image/svg+xml;utf8,${encodeURIComponent(svg)}`);
    });
    return () => {
      there = false;
    };
  }, [address]);
  return (
    <Box role="status" sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
      {picture !== '' && (
        <Box component="img" src={picture} alt="The address as a code" sx={{ width: 168, height: 168 }} />
      )}
      <Box sx={{ flex: 1, minWidth: 220 }}>
        <Typography>{says}</Typography>
        <Typography variant="body2" sx={{ overflowWrap: 'anywhere', userSelect: 'all', mt: 1 }}>
          {address}
        </Typography>
      </Box>
    </Box>
  );
}
