import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Chart, EMPTY_CHART } from '#core/documents/chart';
import { readChart } from '#core/exchange/chartFile';
import { plural } from '#core/units/words';
import { FileButton } from '../../ui/FileButton';
import { saveFile } from '../../ui/saveFile';
import { fileText } from '../../ui/fileText';

/** A water's chart, read from and written to a GeoJSON file. */
export function ChartFile({ chart, onChange }: { chart: Chart; onChange: (chart: Chart) => void }) {
  const [troubles, setTroubles] = useState<readonly string[]>([]);
  const read = async (file: File) => {
    const got = readChart(await fileText(file));
    if (got.taken) onChange(got.value);
    setTroubles(got.taken ? got.troubles : [got.why]);
  };
  return (
    <Box>
      <Typography variant="body2">
        {chart.features.length === 0
          ? 'No chart yet.'
          : `A chart of ${chart.features.length} ${plural(chart.features.length, 'feature')}.`}
      </Typography>
      <FileButton
        name="Read a chart or a shore (GeoJSON)"
        label="Chart file"
        accept=".geojson,.json"
        onFile={(file) => void read(file)}
      />
      {chart.features.length > 0 && (
        <>
          <Button
            onClick={() => saveFile('chart.geojson', 'application/geo+json', JSON.stringify(chart, null, 2))}
          >
            Write it out
          </Button>
          <Button onClick={() => onChange(EMPTY_CHART)}>Take it out</Button>
        </>
      )}
      {troubles.length > 0 && (
        <Alert severity="warning" variant="outlined">
          {troubles.map((one) => (
            <div key={one}>{one}</div>
          ))}
        </Alert>
      )}
    </Box>
  );
}
