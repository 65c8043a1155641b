import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import CloseOutlined from '@mui/icons-material/CloseOutlined';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { calibrated, inclinedFit } from '#core/boat/inclining';
import { FRESH_WATER, SALT_WATER } from '#core/units/constants';
import { amount } from '#core/units/amount';
import { dateAt } from '#core/units/time';
import { figure } from '#core/units/words';
import { NumberField } from '../../ui/NumberField';
import { useKeptDraft } from '../../ui/useKeptDraft';
import { useNow } from '../../ui/useNow';
import { trustOf } from '#core/boat/trust';
import { Part } from './Figures';
import { useBoat } from './boatDesk';
import { useTilt } from './useTilt';

interface Row {
  id: string;
  massKg: number | null;
  armM: number | null;
  heelDeg: number | null;
}
/** What is written at the water's edge, kept until the fit is. */
interface Typed {
  rows: readonly Row[];
  sitting: boolean;
  salt: boolean;
  bow: number | null;
  stern: number | null;
}
const fresh = (): Row => ({ id: crypto.randomUUID(), massKg: null, armM: null, heelDeg: null });

/**
 * Settled here: how steady this very hull is. What would annoy: a form that cannot be filled with wet hands,
 * and a fit that hides how poor it is.
 */
export function InclinePart() {
  const { craft, change, angler } = useBoat();
  const now = useNow();
  const [test, setTest, done] = useKeptDraft<Typed>(`incline-${craft.id}`, () => ({
    rows: [fresh(), fresh(), fresh(), fresh()],
    sitting: false,
    salt: false,
    bow: null,
    stern: null,
  }));
  const { rows, sitting, salt } = test;
  const setRows = (next: readonly Row[]) => setTest({ ...test, rows: next });
  const { tiltDeg, ask } = useTilt();
  const readings = rows.flatMap(({ massKg, armM, heelDeg }) =>
    massKg && armM && heelDeg && [massKg, armM, heelDeg].every(Number.isFinite)
      ? [{ massKg, armM, heelDeg }]
      : [],
  );
  const fit =
    readings.length === 0
      ? null
      : inclinedFit(craft, {
          waterDensity: salt ? SALT_WATER : FRESH_WATER,
          angler: sitting ? angler : null,
          readings,
          draftBowM: test.bow,
          draftSternM: test.stern,
        });
  const put = (id: string, part: Partial<Row>) =>
    setRows(rows.map((row) => (row.id === id ? { ...row, ...part } : row)));
  return (
    <>
      <Typography sx={{ mb: 2 }}>{trustOf(craft)}</Typography>
      <Part name="At the water’s edge">
        <Typography component="ol" variant="body2" sx={{ pl: 2.5, m: 0, '& li': { mb: 0.5 } }}>
          <li>
            Still water, the boat afloat and free, empty but for its seat. A phone lies flat across the deck,
            as a level.
          </li>
          <li>With a tape: how deep the keel lies at the very bow and at the very stern.</li>
          <li>
            A known mass (a water can: a litre is a kilogram) beside the seat, so far from the middle line.
            Read the heel.
          </li>
          <li>Twice to each side, with different arms. Heels of 3° to 10° say most.</li>
        </Typography>
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
          <Box sx={{ width: 170 }}>
            <NumberField
              live
              label="Depth at the bow"
              unit="m"
              size="small"
              value={test.bow}
              onChange={(bow) => setTest({ ...test, bow })}
            />
          </Box>
          <Box sx={{ width: 170 }}>
            <NumberField
              live
              label="Depth at the stern"
              unit="m"
              size="small"
              value={test.stern}
              onChange={(stern) => setTest({ ...test, stern })}
            />
          </Box>
          <FormControlLabel
            control={<Switch checked={sitting} onChange={(_, on) => setTest({ ...test, sitting: on })} />}
            label="I sit in it meanwhile, low and still"
          />
          <FormControlLabel
            control={<Switch checked={salt} onChange={(_, on) => setTest({ ...test, salt: on })} />}
            label="Salt water"
          />
        </Box>
        {rows.map((row, i) => (
          <Box
            key={row.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr 1fr 1fr auto', sm: '150px 150px 150px auto' },
              gap: 1,
            }}
          >
            <NumberField
              live
              label={`Mass ${i + 1}`}
              unit="kg"
              size="small"
              value={row.massKg}
              onChange={(massKg) => put(row.id, { massKg })}
            />
            <NumberField
              live
              label={`Arm ${i + 1}`}
              unit="m"
              size="small"
              value={row.armM}
              onChange={(armM) => put(row.id, { armM })}
            />
            <NumberField
              live
              label={`Heel ${i + 1}`}
              unit="°"
              size="small"
              value={row.heelDeg}
              onChange={(heelDeg) => put(row.id, { heelDeg })}
            />
            <Box sx={{ display: 'flex' }}>
              {tiltDeg !== null && (
                <Button
                  size="small"
                  onClick={() => put(row.id, { heelDeg: Math.round(Math.abs(tiltDeg) * 10) / 10 })}
                >
                  Take {figure(Math.abs(tiltDeg))}°
                </Button>
              )}
              <IconButton
                aria-label={`Take reading ${i + 1} out`}
                onClick={() => setRows(rows.length > 1 ? rows.filter(({ id }) => id !== row.id) : [fresh()])}
              >
                <CloseOutlined fontSize="small" />
              </IconButton>
            </Box>
          </Box>
        ))}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          <Button onClick={() => setRows([...rows, fresh()])}>One more reading</Button>
          {ask && <Button onClick={ask}>Use this phone’s level</Button>}
        </Box>
      </Part>
      {readings.length > 0 && (
        <Part name="What it says">
          {fit === null ? (
            <Typography role="status">
              No hull of this length, beam and depth heels as it was read. Check the mass of the hull, and the
              arms.
            </Typography>
          ) : (
            <>
              <Typography role="status">
                The hull’s own weight lies {amount(fit.ownVcgM, 'm', 2)} over the keel
                {fit.tapedM === null
                  ? ''
                  : `; its fullness across is ${figure(fit.sectionExponent)}, ${amount(fit.draftM ?? 0, 'm', 3)} deep amidships where the tape says ${amount(fit.tapedM, 'm', 3)}`}
                . Heels come out within {figure(fit.offDeg, 2)}°:{' '}
                {fit.heels
                  .map(
                    ({ readDeg, workedDeg }) =>
                      `${figure(readDeg)}° read, ${figure(workedDeg ?? 0)}° worked out`,
                  )
                  .join('; ')}
                .
              </Typography>
              {fit.doubts.length > 0 && (
                <Box component="ul" sx={{ pl: 2.5, m: 0 }}>
                  {fit.doubts.map((one) => (
                    <li key={one}>{one}</li>
                  ))}
                </Box>
              )}
              <Button
                variant="contained"
                sx={{ justifySelf: 'start' }}
                disabled={!fit.usable}
                onClick={() => {
                  if (change((one) => calibrated(one, fit, dateAt(now, 'local'))) === null) done();
                }}
              >
                Keep it with the boat
              </Button>
              {!fit.usable && (
                <Typography variant="body2">
                  It cannot be kept: take the readings again, or mend what is wrong above.
                </Typography>
              )}
            </>
          )}
        </Part>
      )}
    </>
  );
}
