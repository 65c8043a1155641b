import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import type { BoatFloats, Fitting, SetUp } from '#core/documents/boatParts';
import type { Craft } from '#core/documents/craft';
import { withFitting, withSetUp, withoutFitting, withoutSetUp } from '#core/editing/boats';
import { seatHeights } from '#core/vocabulary/boat';
import { seatOf, setUpOf } from '#core/boat/build';
import { Choice, Fields, Figure, Part, Words } from './Figures';
import { useBoat } from './boatDesk';

/** Side floats as such boats have them: a hand over the keel, before and abaft the seat. */
function usualFloats({ lengthM, beamM }: Craft): BoatFloats {
  const round = (value: number) => Math.round(value * 100) / 100;
  return {
    lengthM: round(Math.min(5, Math.max(0.3, 0.42 * lengthM))),
    beamM: 0.18,
    depthM: 0.2,
    outM: round(Math.min(2, beamM / 2 + 0.6)),
    foldedM: round(Math.min(2, beamM / 2 + 0.1)),
    overM: 0.06,
    alongM: round(0.35 * lengthM),
    massKg: 3,
  };
}

/**
 * Settled here: how the boat is put together for one way of fishing. What would annoy: to describe the whole
 * boat anew for a rod bar.
 */
export function SetUpsPart() {
  const { craft, change } = useBoat();
  const now = setUpOf(craft);
  return (
    <>
      <Part name="Set-ups">
        <Typography variant="body2" color="textSecondary">
          Each says what is fitted, how high the seat is, and where the side floats are. The one that is
          chosen over the drawing is judged.
        </Typography>
        {craft.setUps.map((one) => (
          <OneSetUp key={one.id} setUp={one} current={one.id === now.id} />
        ))}
        <Button
          variant="outlined"
          sx={{ justifySelf: 'start' }}
          onClick={() =>
            change((one) =>
              withSetUp(one, {
                ...setUpOf(one),
                id: crypto.randomUUID(),
                name: `Set-up ${one.setUps.length + 1}`,
              }),
            )
          }
        >
          Add a set-up
        </Button>
      </Part>
      <Part name="Fittings that come and go">
        {craft.fittings.map((one) => (
          <OneFitting key={one.id} fitting={one} />
        ))}
        <Button
          variant="outlined"
          sx={{ justifySelf: 'start' }}
          onClick={() =>
            change((one) =>
              withFitting(one, {
                id: crypto.randomUUID(),
                name: `Fitting ${one.fittings.length + 1}`,
                massKg: 1,
                xM: Math.round(one.lengthM * 50) / 100,
                yM: 0,
                zM: 0.4,
                lengthM: 0.3,
                widthM: 0.3,
                heightM: 0.2,
              }),
            )
          }
        >
          Add a fitting
        </Button>
      </Part>
      <SideFloats />
    </>
  );
}

function OneSetUp({ setUp, current }: { setUp: SetUp; current: boolean }) {
  const { craft, change } = useBoat();
  const put = (part: Partial<SetUp>) => (one: Craft) => withSetUp(one, { ...setUp, ...part });
  return (
    <Box
      role="group"
      aria-label={setUp.name}
      sx={{ borderTop: 1, borderColor: 'divider', pt: 1.5, display: 'grid', gap: 1.5 }}
    >
      <Fields>
        <Words
          label="What you call it"
          value={setUp.name}
          set={(one, name) => withSetUp(one, { ...setUp, name })}
        />
        {seatOf(craft).highM !== null && (
          <Choice
            label="Seat"
            value={setUp.seat}
            options={seatHeights}
            set={(one, seat) => put({ seat })(one)}
          />
        )}
        {craft.floats && (
          <Choice
            label="Side floats"
            value={setUp.floats}
            options={['out', 'folded']}
            set={(one, floats) => put({ floats })(one)}
          />
        )}
      </Fields>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center' }}>
        {craft.fittings.map(({ id, name }) => (
          <FormControlLabel
            key={id}
            label={name}
            control={
              <Checkbox
                checked={setUp.fittingIds.includes(id)}
                onChange={(_, on) =>
                  change(
                    put({
                      fittingIds: on
                        ? [...setUp.fittingIds, id]
                        : setUp.fittingIds.filter((each) => each !== id),
                    }),
                  )
                }
              />
            }
          />
        ))}
        {setUp.stow && (
          <Typography variant="body2" color="textSecondary">
            {setUp.stow.things.length} things have a place in it.
            <Button size="small" onClick={() => change(put({ stow: null }))}>
              Forget where
            </Button>
          </Typography>
        )}
        <Box sx={{ flex: 1 }} />
        {!current && (
          <Button onClick={() => change((one) => ({ ...one, setUpId: setUp.id }))}>Put it so</Button>
        )}
        <Button
          color="error"
          sx={{ color: 'error.main' }}
          onClick={() => change((one) => withoutSetUp(one, setUp.id))}
        >
          Take out
        </Button>
      </Box>
    </Box>
  );
}

function OneFitting({ fitting }: { fitting: Fitting }) {
  const { change } = useBoat();
  const set = (field: keyof Fitting) => (one: Craft, value: number | string) =>
    withFitting(one, { ...fitting, [field]: value });
  return (
    <Box
      role="group"
      aria-label={fitting.name}
      sx={{ borderTop: 1, borderColor: 'divider', pt: 1.5, display: 'grid', gap: 1.5 }}
    >
      <Fields>
        <Words label="What you call it" value={fitting.name} set={set('name')} />
        <Figure label="Mass" unit="kg" value={fitting.massKg} set={set('massKg')} />
        <Figure label="Forward of the stern" unit="m" value={fitting.xM} set={set('xM')} />
        <Figure label="Right of the middle" unit="m" value={fitting.yM} set={set('yM')} />
        <Figure label="Its middle, over the keel" unit="m" value={fitting.zM} set={set('zM')} />
        <Figure label="Length" unit="m" value={fitting.lengthM} set={set('lengthM')} />
        <Figure label="Width" unit="m" value={fitting.widthM} set={set('widthM')} />
        <Figure label="Height" unit="m" value={fitting.heightM} set={set('heightM')} />
      </Fields>
      <Button
        color="error"
        sx={{ color: 'error.main', justifySelf: 'start' }}
        onClick={() => change((one) => withoutFitting(one, fitting.id))}
      >
        Take out
      </Button>
    </Box>
  );
}

function SideFloats() {
  const { craft, change } = useBoat();
  const { floats } = craft;
  const set = (field: keyof BoatFloats) => (one: Craft, value: number) => ({
    ...one,
    floats: { ...(one.floats ?? usualFloats(one)), [field]: value },
  });
  return (
    <Part name="Side floats">
      {floats === null ? (
        <Button
          variant="outlined"
          sx={{ justifySelf: 'start' }}
          onClick={() => change((one) => ({ ...one, floats: usualFloats(one) }))}
        >
          It has side floats
        </Button>
      ) : (
        <>
          <Fields>
            <Figure label="Length of one" unit="m" value={floats.lengthM} set={set('lengthM')} />
            <Figure label="Its breadth" unit="m" value={floats.beamM} set={set('beamM')} />
            <Figure label="Its depth" unit="m" value={floats.depthM} set={set('depthM')} />
            <Figure label="Out, from the middle line" unit="m" value={floats.outM} set={set('outM')} />
            <Figure
              label="Folded, from the middle line"
              unit="m"
              value={floats.foldedM}
              set={set('foldedM')}
            />
            <Figure label="Its keel over the boat’s" unit="m" value={floats.overM} set={set('overM')} />
            <Figure
              label="Its stern, forward of the boat’s"
              unit="m"
              value={floats.alongM}
              set={set('alongM')}
            />
            <Figure label="Mass of one, with its arm" unit="kg" value={floats.massKg} set={set('massKg')} />
          </Fields>
          <Button
            color="error"
            sx={{ color: 'error.main', justifySelf: 'start' }}
            onClick={() => change((one) => ({ ...one, floats: null }))}
          >
            Take them off for good
          </Button>
        </>
      )}
    </Part>
  );
}
