import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Chart, EMPTY_CHART, chartSchema } from '#core/documents/chart';
import { plural } from '#core/units/words';
import { FileButton } from '../../ui/FileButton';
import { saveFile } from '../../ui/saveFile';

const MOST_BYTES = 1_500_000;

/** A water's chart, read from and written to a GeoJSON file. */
export function ChartFile({ chart, onChange }: { chart: Chart; onChange: (chart: Chart) => void }) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const read = async (file: File) => {
    setTrouble(null);
    if (file.size > MOST_BYTES) {
      setTrouble(`${file.name} is larger than 1.5 MB.`);
      return;
    }
    try {
      const result = chartSchema.safeParse(JSON.parse(await file.text()));
      const issue = result.success ? null : result.error.issues[0];
      if (result.success) onChange(result.data);
      else
        setTrouble(
          `${issue?.path.join('.') ?? ''}: ${issue?.message ?? 'not a chart'}. Features need a property "shows": land, shallow, weed, reef or depth line.`,
        );
    } catch {
      setTrouble(`${file.name} is no JSON.`);
    }
  };
  return (
    <Box>
      <Typography variant="body2">
        {chart.features.length === 0
          ? 'No chart yet.'
          : `A chart of ${chart.features.length} ${plural(chart.features.length, 'feature')}.`}
      </Typography>
      <FileButton
        name="Read a chart (GeoJSON)"
        label="Chart file"
        accept=".geojson,.json"
        onFile={(file) => void read(file)}
      />
      {chart.features.length > 0 && (
        <>
          <Button onClick={() => saveFile('chart.geojson', 'application/geo+json', JSON.stringify(chart, null, 2))}>
            Write it out
          </Button>
          <Button onClick={() => onChange(EMPTY_CHART)}>Take it out</Button>
        </>
      )}
      {trouble && (
        <Alert severity="warning" variant="outlined">
          {trouble}
        </Alert>
      )}
    </Box>
  );
}
