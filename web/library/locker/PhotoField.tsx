import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { ApiError, request } from '../../documents/api';
import { FileButton } from '../../ui/FileButton';

const LONGEST_PX = 360;
/** About 60 kB of picture. */
const MOST_CHARS = 80_000;

/**
 * A small picture of the file: drawn down here in the browser, lower in quality until it can be kept; null:
 * it is no picture.
 */
async function shrunk(file: File): Promise<string | null> {
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) return null;
  const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  for (const quality of [0.8, 0.6, 0.4, 0.2]) {
    const data = canvas.toDataURL('image/jpeg', quality);
    if (data.length <= MOST_CHARS) return data;
  }
  return null;
}

interface Props {
  name: string;
  value: string | null;
  onChange: (value: string | null) => void;
}

/** A picture of an item, for finding it on the shelf. It stays on this machine. */
export function PhotoField({ name, value, onChange }: Props) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const read = async (file: File) => {
    const dataUrl = await shrunk(file);
    setTrouble(dataUrl === null ? `${file.name} is no picture that can be read here.` : null);
    if (dataUrl === null) return;
    try {
      onChange((await request<{ id: string }>('POST', '/api/pictures', { dataUrl })).id);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(error.message);
    }
  };
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
      {value && (
        <Box
          component="img"
          src={`/api/pictures/${value}`}
          alt={`Picture of ${name}`}
          sx={{ maxHeight: 96, maxWidth: 160, border: 1, borderColor: 'divider' }}
        />
      )}
      <FileButton
        name={value ? 'Another picture' : 'A picture, if you like'}
        label="Picture file"
        accept="image/*"
        onFile={(file) => void read(file)}
      />
      {value && <Button onClick={() => onChange(null)}>No picture</Button>}
      {trouble && (
        <Typography role="alert" color="error" variant="body2">
          {trouble}
        </Typography>
      )}
    </Box>
  );
}
