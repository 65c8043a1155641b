import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { MOST_BYTES } from '#core/exchange/imported';
import { FileButton } from '../../../ui/FileButton';
import { useToast } from '../../../ui/Toast';
import { fileNameOf, saveFile } from '../../../ui/saveFile';
import { useWorker } from '../../../workers/useWorker';
import type { ReadRouteWork } from '../../../workers/readRoute.worker';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Troubles } from './Troubles';
import { fileText } from '../../../ui/fileText';

/** Reads a route from GPX or GeoJSON in a worker, and writes it out as either. */
export function RouteFiles() {
  const { doc, edit, editor, looked } = useOutingWorkspace();
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
        .readRoute(await fileText(file), { launch: place(launch), area: place(area), landing: place(landing) });
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
  const write = async (kind: 'gpx' | 'geojson') => {
    setMenu(null);
    if (!launch || !area || !landing) return;
    const [out, home] = [
      [launch, ...doc.brief.route.out, area],
      [area, ...doc.brief.route.home, landing],
    ];
    const name = fileNameOf(doc.title, 'route');
    if (kind === 'gpx') {
      const { writeGpx } = await import('#core/exchange/gpx');
      saveFile(`${name}.gpx`, 'application/gpx+xml', writeGpx(doc.title, out, home));
    } else {
      const { writeGeoJson } = await import('#core/exchange/geojson');
      saveFile(`${name}.geojson`, 'application/geo+json', writeGeoJson(doc.title, out, home));
    }
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
        <MenuItem onClick={() => void write('gpx')}>As GPX</MenuItem>
        <MenuItem onClick={() => void write('geojson')}>As GeoJSON</MenuItem>
      </Menu>
      {troubles.length > 0 && <Troubles lines={troubles} onClose={() => setTroubles([])} />}
    </>
  );
}
