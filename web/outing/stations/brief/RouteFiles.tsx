import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { writeGeoJson } from '#core/exchange/geojson';
import { writeGpx } from '#core/exchange/gpx';
import { MOST_BYTES } from '#core/exchange/imported';
import { FileButton } from '../../../ui/FileButton';
import { useToast } from '../../../ui/Toast';
import { fileNameOf, saveFile } from '../../../ui/saveFile';
import { useWorker } from '../../../workers/useWorker';
import type { ReadRouteWork } from '../../../workers/readRoute.worker';
import { useDesk } from '../../desk';

/** Reads a route from GPX or GeoJSON in a worker, and writes it out as either. */
export function RouteFiles() {
  const { doc, edit, editor, looked } = useDesk();
  const say = useToast();
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [reading, setReading] = useState<string | null>(null);
  const [troubles, setTroubles] = useState<readonly string[]>([]);
  const worker = useWorker<ReadRouteWork>(
    () => new Worker(new URL('../../../workers/readRoute.worker.ts', import.meta.url), { type: 'module' }),
  );
  const { launch, area, landing } = looked;

  const read = async (file: File) => {
    setTroubles([]);
    if (file.size > MOST_BYTES) {
      setTroubles([`${file.name} is larger than ${MOST_BYTES / 1024 / 1024} MB. Export a shorter track.`]);
      return;
    }
    setReading(file.name);
    try {
      const place = (one: typeof launch | typeof area) => one && { latDeg: one.latDeg, lonDeg: one.lonDeg };
      const result = await worker
        .call()
        .readRoute(await file.text(), { launch: place(launch), area: place(area), landing: place(landing) });
      if (!result.taken) {
        setTroubles([result.why]);
        return;
      }
      const { out, home } = result.value;
      edit((outing) => ({ ...outing, brief: { ...outing.brief, route: { out, home } } }));
      setTroubles(result.troubles);
      say(`Read ${file.name}: ${out.length} points out, ${home.length} home.`, { name: 'Undo', run: editor.undo });
    } finally {
      setReading(null);
    }
  };
  const write = (kind: 'gpx' | 'geojson') => {
    setMenu(null);
    if (!launch || !area || !landing) return;
    const [out, home] = [
      [launch, ...doc.brief.route.out, area],
      [area, ...doc.brief.route.home, landing],
    ];
    const name = fileNameOf(doc.title, 'route');
    if (kind === 'gpx') saveFile(`${name}.gpx`, 'application/gpx+xml', writeGpx(doc.title, out, home));
    else saveFile(`${name}.geojson`, 'application/geo+json', writeGeoJson(doc.title, out, home));
  };
  return (
    <>
      {reading === null ? (
        <FileButton
          name="Read a route"
          label="Route file"
          accept=".gpx,.geojson,.json,application/gpx+xml,application/geo+json"
          onFile={(file) => void read(file)}
        />
      ) : (
        <Button
          startIcon={<CircularProgress size={16} aria-label={`Reading ${reading}`} />}
          onClick={() => {
            worker.stop();
            setReading(null);
          }}
        >
          Stop reading
        </Button>
      )}
      <Button onClick={(event) => setMenu(event.currentTarget)} aria-haspopup="menu">
        Write it out
      </Button>
      <Menu anchorEl={menu} open={menu !== null} onClose={() => setMenu(null)}>
        <MenuItem onClick={() => write('gpx')}>As GPX</MenuItem>
        <MenuItem onClick={() => write('geojson')}>As GeoJSON</MenuItem>
      </Menu>
      {troubles.length > 0 && <Troubles lines={troubles} onClose={() => setTroubles([])} />}
    </>
  );
}

/** What of a file could not be taken, line by line. */
export function Troubles({ lines, onClose }: { lines: readonly string[]; onClose: () => void }) {
  return (
    <Alert severity="warning" variant="outlined" onClose={onClose} sx={{ width: '100%' }}>
      {lines.map((line) => (
        <div key={line}>{line}</div>
      ))}
    </Alert>
  );
}
