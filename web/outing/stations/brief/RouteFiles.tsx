import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { type AnswersGiven, MOST_BYTES, type Question } from '#core/exchange/imported';
import { FileButton } from '../../../ui/FileButton';
import { useToast } from '../../../ui/Toast';
import { fileNameOf, saveFile } from '../../../ui/saveFile';
import { useWorker } from '../../../workers/useWorker';
import type { ReadRouteWork } from '../../../workers/readRoute.worker';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Questions } from '../../../ui/Questions';
import { Troubles } from './Troubles';
import { fileText } from '../../../ui/fileText';

/** A file that can be read in more than one way, with what was answered so far. */
interface OpenFile {
  name: string;
  text: string;
  asks: readonly Question[];
  answers: AnswersGiven;
}

/** Reads a route from GPX, KML or GeoJSON in a worker, and writes it out as any of them. */
export function RouteFiles() {
  const { doc, edit, editor, looked } = useOutingWorkspace();
  const say = useToast();
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [reading, setReading] = useState<string | null>(null);
  const [troubles, setTroubles] = useState<readonly string[]>([]);
  const [asked, setAsked] = useState<OpenFile | null>(null);
  const worker = useWorker<ReadRouteWork>(
    () => new Worker(new URL('../../../workers/readRoute.worker.ts', import.meta.url), { type: 'module' }),
  );
  const { launch, area, landing, water } = looked;

  const read = async (file: File) => {
    setTroubles([]);
    if (file.size > MOST_BYTES) {
      setTroubles([`${file.name} is larger than ${MOST_BYTES / 1024 / 1024} MB. Export a shorter track.`]);
      return;
    }
    await take(file.name, await fileText(file), {});
  };
  const take = async (name: string, text: string, answers: AnswersGiven) => {
    setReading(name);
    try {
      const place = (one: typeof launch | typeof area) => one && { latDeg: one.latDeg, lonDeg: one.lonDeg };
      const ends = { launch: place(launch), area: place(area), landing: place(landing) };
      const result = await worker.call().readRoute(text, ends, answers);
      setAsked(!result.taken && result.asks ? { name, text, asks: result.asks, answers } : null);
      if (!result.taken) {
        setTroubles(result.asks ? [] : [result.why]);
        return;
      }
      const { out, home } = result.value;
      edit((outing) => ({ ...outing, brief: { ...outing.brief, route: { out, home } } }));
      setTroubles(result.troubles);
      say(`Read ${name}: ${out.length} points out, ${home.length} home.`, { name: 'Undo', run: editor.undo });
    } finally {
      setReading(null);
    }
  };
  const write = async (kind: 'gpx' | 'kml' | 'geojson') => {
    setMenu(null);
    if (!launch || !area || !landing) return;
    const [out, home] = [
      [launch, ...doc.brief.route.out, area],
      [area, ...doc.brief.route.home, landing],
    ];
    const name = fileNameOf(doc.title, 'route');
    const places = water ? [...water.launches, ...water.areas, ...water.hazards] : [];
    if (kind === 'gpx') {
      const { writeGpx } = await import('#core/exchange/gpx');
      saveFile(`${name}.gpx`, 'application/gpx+xml', writeGpx(doc.title, out, home, places));
    } else if (kind === 'kml') {
      const { writeKml } = await import('#core/exchange/kml');
      saveFile(`${name}.kml`, 'application/xml', writeKml(doc.title, out, home, places));
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
          accept=".gpx,.kml,.geojson,.json,application/gpx+xml,application/geo+json"
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
        <MenuItem onClick={() => void write('kml')}>As KML</MenuItem>
        <MenuItem onClick={() => void write('geojson')}>As GeoJSON</MenuItem>
      </Menu>
      {asked && (
        <Dialog open onClose={() => setAsked(null)} aria-labelledby="route-asked">
          <DialogTitle id="route-asked">{asked.name} can be read in more than one way</DialogTitle>
          <DialogContent>
            <Questions
              list={asked.asks}
              answers={asked.answers}
              onAnswer={(id, choice) => setAsked({ ...asked, answers: { ...asked.answers, [id]: choice } })}
            />
          </DialogContent>
          <DialogActions sx={{ p: 2 }}>
            <Button variant="outlined" onClick={() => setAsked(null)}>
              Cancel
            </Button>
            <Button
              variant="contained"
              disabled={asked.asks.some(({ id }) => asked.answers[id] === undefined)}
              onClick={() => void take(asked.name, asked.text, asked.answers)}
            >
              Take it
            </Button>
          </DialogActions>
        </Dialog>
      )}
      {troubles.length > 0 && <Troubles lines={troubles} onClose={() => setTroubles([])} />}
    </>
  );
}
