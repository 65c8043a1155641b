import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { figuresOf, seatOf, shapeOf } from '#core/boat/build';
import { stationsOf } from '#core/boat/hull/shape';
import { bottoms, surveyed } from '#core/boat/hull/survey';
import { withHull, withPreset, withShape } from '#core/editing/boats';
import { readOffsets, writeOffsets } from '#core/exchange/offsets';
import { amount } from '#core/units/amount';
import { plural } from '#core/units/words';
import { type HullPreset, hullPresets } from '#core/vocabulary/boat';
import { FileButton } from '../../ui/FileButton';
import { NumberField } from '../../ui/NumberField';
import { saveFile } from '../../ui/saveFile';
import { Fields, Figure, Part } from './Figures';
import { PresetPicture } from './PresetPicture';
import { useBoat } from './boatDesk';
import { fileText } from '../../ui/fileText';

/**
 * Settled here: what the hull is like, near enough to float it. What would annoy: to be asked what no tape
 * can measure.
 */
export function ShapePart() {
  const { craft, change } = useBoat();
  const figures = figuresOf(craft);
  const seat = seatOf(craft);
  const drawn = figures.stations === null;
  return (
    <>
      <Part name="Its bottom, by picture">
        <RadioGroup
          aria-label="Shape of the bottom"
          value={drawn ? figures.preset : ''}
          onChange={(_, preset) => change((one) => withPreset(one, preset as HullPreset))}
          sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 1 }}
        >
          {hullPresets.map((preset) => (
            <FormControlLabel
              key={preset}
              value={preset}
              control={<Radio size="small" />}
              label={
                <Box>
                  <PresetPicture preset={preset} />
                  {preset}
                </Box>
              }
              sx={{ m: 0, border: 1, borderColor: 'divider', borderRadius: 1, pr: 1 }}
            />
          ))}
        </RadioGroup>
        {craft.shape === null && (
          <Typography variant="body2" color="textSecondary">
            Nobody has said yet. It is drawn as such boats usually are; a choice makes it this boat’s, and has
            it judged afloat.
          </Typography>
        )}
      </Part>
      <Part name="Its numbers">
        <Fields>
          <Figure
            label="Length"
            unit="m"
            value={craft.lengthM}
            set={(c, lengthM) => withHull(c, { lengthM })}
          />
          <Figure label="Beam" unit="m" value={craft.beamM} set={(c, beamM) => withHull(c, { beamM })} />
          <Figure
            label="Depth, keel to rim"
            unit="m"
            value={figures.depthM}
            set={(c, depthM) => withShape(c, { depthM })}
          />
          <Figure
            label="Mass, empty"
            unit="kg"
            value={craft.massKg}
            set={(c, massKg) => withHull(c, { massKg })}
          />
          <Figure
            label="Maker’s greatest load"
            unit="kg"
            assumption="ratedLoadKg"
            value={craft.ratedLoadKg}
            set={(c, ratedLoadKg) => ({ ...c, ratedLoadKg })}
          />
        </Fields>
        <Typography variant="body2" color="textSecondary">
          More, if you like to draw it closer:
        </Typography>
        <Fields>
          <Figure
            label="Keel rises at the ends"
            unit="m"
            value={figures.rockerM}
            set={(c, rockerM) => withShape(c, { rockerM })}
          />
          <Figure
            label="Rim rises at the ends"
            unit="m"
            value={figures.sheerM}
            set={(c, sheerM) => withShape(c, { sheerM })}
          />
          <Figure
            label="Fullness from above"
            unit=""
            value={figures.planExponent}
            set={(c, planExponent) => withShape(c, { planExponent })}
          />
          <Figure
            label="Fullness across"
            unit=""
            value={figures.sectionExponent}
            set={(c, sectionExponent) => withShape(c, { sectionExponent })}
          />
          <Figure
            label="Seat, forward of the stern"
            unit="m"
            value={seat.xM}
            set={(c, xM) => ({ ...c, seat: { ...seatOf(c), xM } })}
          />
          <Figure
            label="Seat low, over the keel"
            unit="m"
            value={seat.lowM}
            set={(c, lowM) => ({ ...c, seat: { ...seatOf(c), lowM } })}
          />
          <Figure
            label="Seat high, if any"
            unit="m"
            value={seat.highM}
            set={(c, highM) => ({ ...c, seat: { ...seatOf(c), highM } })}
            clear={(c) => ({ ...c, seat: { ...seatOf(c), highM: null } })}
          />
        </Fields>
      </Part>
      <ByTheTape />
      <Offsets />
    </>
  );
}

/** A hull from what a tape gives at home. */
function ByTheTape() {
  const { craft, change } = useBoat();
  const { depthM, rockerM } = figuresOf(craft);
  const [beam, setBeam] = useState<(number | null)[]>([null, craft.beamM, null]);
  const [depth, setDepth] = useState<(number | null)[]>([null, depthM, null]);
  const [said, setSaid] = useState<string | null>(null);
  const places = ['a quarter from the stern', 'amidships', 'a quarter from the bow'];
  const whole = (list: readonly (number | null)[]) => list.every((one) => one !== null && one > 0);
  const draw = () => {
    const bottom = figuresOf(craft).preset;
    const form =
      whole(beam) && whole(depth)
        ? surveyed({
            lengthM: craft.lengthM,
            beamM: beam as never,
            depthM: depth as never,
            bottom: bottom in bottoms ? (bottom as keyof typeof bottoms) : 'multi-chine',
            rockerM,
          })
        : null;
    if (!form) {
      setSaid(
        whole(beam) && whole(depth)
          ? 'It is wider at the quarters than amidships: no hull of this family is. Measure again, or read its offsets.'
          : 'All six figures are wanted.',
      );
      return;
    }
    const { beamM, lengthM: _, ...shape } = form;
    setSaid(
      change((one) => withShape(withHull(one, { beamM }), { ...shape, stations: null })) ??
        'Drawn as measured.',
    );
  };
  const each = (list: readonly (number | null)[], set: (next: (number | null)[]) => void, word: string) =>
    places.map((place, i) => (
      <NumberField
        key={place}
        size="small"
        label={`${word} ${place}`}
        unit="m"
        value={list[i] ?? null}
        onChange={(value) => set(list.map((one, k) => (k === i ? value : one)))}
      />
    ));
  return (
    <Part name="By the tape, at home">
      <Typography variant="body2" color="textSecondary">
        Breadth and depth at three places; the bottom as it is chosen above. The curves are fitted to them.
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr 1fr' }, gap: 2 }}>
        {each(beam, setBeam, 'Beam')}
        {each(depth, setDepth, 'Depth')}
      </Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="outlined" onClick={draw}>
          Draw it so
        </Button>
        <Typography role="status" variant="body2">
          {said}
        </Typography>
      </Box>
    </Part>
  );
}

/** Offsets: sections by half-breadth and height, from a file or into one. */
function Offsets() {
  const { craft, change } = useBoat();
  const [troubles, setTroubles] = useState<readonly string[]>([]);
  const { stations } = figuresOf(craft);
  const read = async (file: File) => {
    const got = readOffsets(await fileText(file));
    if (!got.taken) {
      setTroubles([got.why]);
      return;
    }
    const sections = got.value.stations;
    const length = (sections[sections.length - 1]?.xM ?? 0) - (sections[0]?.xM ?? 0);
    const beam = 2 * Math.max(...sections.flatMap(({ outline }) => outline.map(({ yM }) => yM)));
    const trouble = change((one) =>
      withShape(
        withHull(one, { lengthM: Math.round(length * 1000) / 1000, beamM: Math.round(beam * 1000) / 1000 }),
        {
          stations: sections,
          depthM: Math.round(amidships(sections) * 1000) / 1000,
        },
      ),
    );
    setTroubles([...(trouble === null ? [] : [trouble]), ...got.troubles]);
  };
  const shape = shapeOf(craft);
  const write = () =>
    saveFile(
      `${craft.name}-offsets.csv`,
      'text/csv',
      writeOffsets('form' in shape ? stationsOf(shape.form, 21, 12) : shape.stations),
    );
  return (
    <Part name="By its offsets">
      <Typography variant="body2" color="textSecondary">
        {stations === null
          ? 'A table of sections: station, half-breadth, height, in metres, as CSV; or the same as JSON.'
          : `Read from ${stations.length} ${plural(stations.length, 'section')}; ${amount(craft.lengthM, 'm', 2)} by ${amount(craft.beamM, 'm', 2)}. A picture above draws it by figures again.`}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <FileButton
          name="Read offsets"
          label="Offsets file"
          accept=".csv,.json,text/csv,application/json"
          onFile={(file) => void read(file)}
        />
        <Button onClick={write}>Write offsets</Button>
        <Button component="a" href="/samples/offsets.csv" download>
          A sample to look at
        </Button>
      </Box>
      {troubles.length > 0 && (
        <Alert severity="warning" variant="outlined">
          {troubles.map((one) => (
            <div key={one}>{one}</div>
          ))}
        </Alert>
      )}
    </Part>
  );
}

function amidships(sections: readonly { xM: number; outline: readonly { zM: number }[] }[]): number {
  const middle = sections[Math.floor(sections.length / 2)]?.outline ?? [];
  const heights = middle.map(({ zM }) => zM);
  return Math.min(1, Math.max(0.08, Math.max(...heights) - Math.min(...heights)));
}
