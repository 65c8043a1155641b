import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { isSea, usualGetOut, waterFrom } from '#core/editing/waterFrom';
import { nominalPosition } from '#core/editing/waterPosition';
import { type Water, waterSchema } from '#core/documents/water';
import { amount } from '#core/units/amount';
import { POINTS } from '#core/units/compass';
import { Page } from '../../ui/Page';
import { NumberField } from '../../ui/NumberField';
import { PositionField } from '../../ui/PositionField';
import { ToggleChip } from '../../ui/ToggleChip';
import { useKept } from '../../documents/queries';
import { ChartFile } from '../waters/ChartFile';
import { MarkChart } from '../waters/MarkChart';
import { TideTextField } from '../waters/TideTextField';
import { MarkList } from './MarkList';
import { StreamFields } from './StreamFields';
import { OnceRead } from './OnceRead';
import { useFirstDocument } from './useFirstDocument';
import {
  type WaterDraft,
  answersOf,
  drawingCentre,
  isRiverHalfTold,
  isWiderThanLong,
  withDraft,
} from './waterDraft';

const settings: Readonly<Record<WaterDraft['setting'], string>> = {
  still: 'Lake or pond',
  river: 'River',
  estuary: 'Estuary',
  coast: 'Coast',
  open: 'Open sea',
  flats: 'Flats',
};
const types: Readonly<Record<WaterDraft['type'], string>> = {
  fresh: 'Fresh',
  brackish: 'Brackish',
  salt: 'Salt',
};
const getOutWords: Readonly<Record<Water['getOut'], string>> = {
  'by the chart': 'Wherever the chart has land',
  'anywhere along the banks': 'Anywhere along the banks',
  'in places': 'In places',
  'launches only': 'Only where one launches',
};
const coverageWords: Readonly<Record<Water['coverage'], string>> = {
  'not known': 'Not known',
  good: 'Good, everywhere there',
  patchy: 'In places, or only at the road',
  none: 'None',
};
/** Which way a water lies, by one end of its length, °. */
const axes = {
  '0': 'North and south',
  '45': 'North-east and south-west',
  '90': 'East and west',
  '135': 'South-east and north-west',
} as const;
/** Eight of the sixteen points are enough to say where a coast is open. */
const EIGHT = POINTS.map((name, i) => ({ name, i })).filter(({ i }) => i % 2 === 0);

/**
 * Settled here: where one launches, where one goes, how open it is. What would annoy: figures that stand in
 * no book one owns.
 */
export function FirstWaterScreen() {
  return <OnceRead>{() => <WaterForm />}</OnceRead>;
}

function WaterForm() {
  const { keep, trouble, draft: stored } = useFirstDocument<WaterDraft>('waters', 'water');
  const known = (useKept().data?.waters ?? []).map(({ doc }) => doc);
  const [draft, setDraft] = useState<WaterDraft>(() => withDraft(stored.read()));
  const [asked, setAsked] = useState(false);
  const [unfit, setUnfit] = useState<string | null>(null);
  const set = (change: Partial<WaterDraft>) =>
    setDraft((was) => {
      const next = { ...was, ...change };
      stored.write(next);
      return next;
    });
  const { name, type, setting, launch, launchName, surf, marks, chart } = draft;
  const centre = drawingCentre(draft);
  // Positions of files and of other marks cannot be mixed with what is drawn around a nominal position.
  const isOnMap = draft.positioned && draft.drawingOrigin === null;
  const sea = isSea(setting);
  const submit = () => {
    setAsked(true);
    const answers = answersOf(draft);
    if (!answers) return;
    const water = waterFrom(answers, () => crypto.randomUUID());
    const issue = waterSchema.safeParse(water).error?.issues[0];
    setUnfit(issue ? `${issue.path.join(' ')}: ${issue.message}` : null);
    if (!issue) void keep(water);
  };
  const noShore = chart.features.length === 0;
  return (
    <Page
      title="Your water"
      lead="A name, where you launch, where you go. The rest is usual for such a water until you say otherwise."
    >
      <Box
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
        sx={{ display: 'grid', gap: 3, maxWidth: 860 }}
      >
        {(trouble ?? unfit) !== null && (
          <Alert severity="warning" variant="outlined">
            {trouble ?? unfit}
          </Alert>
        )}
        <Part name="What it is">
          <Box sx={{ ...two, gridTemplateColumns: { xs: '1fr', sm: '2fr 1fr 1fr' } }}>
            <TextField
              label="Name"
              value={name}
              autoFocus
              onChange={(event) => set({ name: event.target.value })}
              error={asked && name.trim() === ''}
              helperText={asked && name.trim() === '' ? 'Give it a name.' : undefined}
            />
            <Choice
              label="Kind"
              value={setting}
              options={settings}
              onChange={(next) => set({ setting: next, type: typeFor(next) })}
            />
            <Choice label="Water" value={type} options={types} onChange={(next) => set({ type: next })} />
          </Box>
        </Part>
        <Part name="Where you launch">
          <Box sx={two}>
            <TextField
              label="What it is called"
              value={launchName}
              onChange={(event) => set({ launchName: event.target.value })}
            />
            {draft.positioned ? (
              <Box>
                <PositionField
                  label="Its position"
                  value={launch}
                  onChange={(next) => set({ launch: next })}
                  asked={asked}
                  known={known}
                  here
                />
                <Button
                  size="small"
                  onClick={() =>
                    set({
                      positioned: false,
                      drawingOrigin: centre ?? nominalPosition(draft.timeZone, known),
                    })
                  }
                >
                  I cannot say where it lies
                </Button>
              </Box>
            ) : (
              <Box>
                <Typography variant="body2">
                  Told by distances and directions alone. The sun is guessed by the clock, and no plan names a
                  position, until you write one.
                </Typography>
                <Button
                  size="small"
                  onClick={() =>
                    set({
                      positioned: true,
                      drawingOrigin: marks.length + chart.features.length > 0 ? draft.drawingOrigin : null,
                    })
                  }
                >
                  I can say where it lies
                </Button>
              </Box>
            )}
          </Box>
          {sea && (
            <FormControlLabel
              control={<Switch checked={surf} onChange={(_, checked) => set({ surf: checked })} />}
              label="Waves break there: it lies open to swell or wind sea"
            />
          )}
        </Part>
        <Part name="Where you go from there">
          <MarkList
            marks={marks}
            launch={centre}
            positioned={isOnMap}
            onChange={(next) => set({ marks: next })}
            onLaunch={(at, called) => set({ launch: at, launchName: called })}
          />
          {centre ? (
            <MarkChart
              centre={centre}
              marks={marks}
              chart={chart}
              onMark={(at) =>
                set({ marks: [...marks, { name: `Mark ${marks.length + 1}`, use: 'place to fish', at }] })
              }
              closes={setting === 'still'}
              onChart={(next) => set({ chart: next })}
            />
          ) : (
            <Typography variant="body2" color="textSecondary">
              With a launch there is a chart here, to press marks and the shore on.
            </Typography>
          )}
          {isOnMap && <ChartFile chart={chart} onChange={(next) => set({ chart: next })} />}
        </Part>
        {noShore && (
          <Part name="How open it is">
            {sea ? (
              <Box
                role="group"
                aria-label="Open to the sea from"
                sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}
              >
                <Typography variant="body2">Open to the sea from</Typography>
                {EIGHT.map(({ name: point, i }) => (
                  <ToggleChip
                    key={point}
                    label={point}
                    on={draft.openFrom.includes(i)}
                    onChange={(on) => set({ openFrom: around(draft.openFrom, i, on) })}
                  />
                ))}
              </Box>
            ) : (
              <Box sx={{ ...two, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr 1fr' } }}>
                <NumberField
                  label={setting === 'river' ? 'How wide it is, about' : 'Across at its longest, about'}
                  unit="m"
                  value={draft.acrossM}
                  onChange={(acrossM) => set({ acrossM })}
                />
                {setting === 'still' && (
                  <>
                    <NumberField
                      label="And at its widest"
                      unit="m"
                      value={draft.widthM}
                      onChange={(widthM) => set({ widthM })}
                      error={
                        isWiderThanLong(draft) ? 'Wider than it is long: the other way round?' : undefined
                      }
                    />
                    <Choice
                      label="Its length lies"
                      value={String(draft.liesAlongDeg ?? 0)}
                      options={axes}
                      onChange={(next) => set({ liesAlongDeg: Number(next) })}
                    />
                  </>
                )}
              </Box>
            )}
          </Part>
        )}
        <Part name="What decides there">
          <Typography variant="body2" color="textSecondary">
            Where one gets out and how far a telephone reaches decide what must be aboard. Left as not known,
            it is asked for where it matters.
          </Typography>
          <Box sx={two}>
            <Choice
              label="One can get out"
              value={draft.getOut ?? 'not told'}
              options={{
                'not told': `Not told; then: ${getOutWords[usualGetOut(setting)].toLowerCase()}`,
                ...getOutWords,
              }}
              onChange={(next) => set({ getOut: next === 'not told' ? null : next })}
            />
            <Choice
              label="Phone coverage"
              value={draft.coverage}
              options={coverageWords}
              onChange={(next) => set({ coverage: next })}
            />
            <NumberField
              label="Depth where you fish, about"
              unit="m"
              value={draft.depthM}
              onChange={(depthM) => set({ depthM })}
            />
            {setting === 'river' && (
              <NumberField
                label="Rapids and weirs on the way"
                unit=""
                value={draft.rapids}
                onChange={(rapids) => set({ rapids: rapids ?? 0 })}
              />
            )}
          </Box>
        </Part>
        {setting === 'river' && (
          <Part name="How it runs">
            <Typography variant="body2" color="textSecondary">
              Somebody who walks goes {amount(1.4, 'm/s')}. Left open, the outing asks for it: no river
              stands.
            </Typography>
            <Box sx={two}>
              <NumberField
                label="It runs, about"
                unit="m/s"
                value={draft.riverMps}
                onChange={(riverMps) => set({ riverMps })}
                error={
                  asked && isRiverHalfTold(draft) && draft.riverMps === null ? 'How hard it runs.' : undefined
                }
              />
              <NumberField
                label="Toward"
                unit="°"
                value={draft.riverTowardDeg}
                onChange={(riverTowardDeg) => set({ riverTowardDeg })}
                error={
                  isRiverHalfTold(draft) && draft.riverTowardDeg === null
                    ? 'A bearing, or a point such as SE.'
                    : undefined
                }
              />
            </Box>
          </Part>
        )}
        {sea && (
          <Part name="Tide and stream, if you have them">
            <TideTextField turns={draft.turns} zone={draft.timeZone} onChange={(turns) => set({ turns })} />
            <StreamFields draft={draft} onChange={set} />
          </Part>
        )}
        <Button variant="contained" type="submit" sx={{ justifySelf: 'start' }}>
          Keep this water
        </Button>
      </Box>
    </Page>
  );
}

const two = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 };

function typeFor(setting: WaterDraft['setting']): WaterDraft['type'] {
  return setting === 'still' || setting === 'river' ? 'fresh' : setting === 'estuary' ? 'brackish' : 'salt';
}
/** A point of eight speaks for its neighbours among the sixteen. */
function around(list: readonly number[], i: number, on: boolean): number[] {
  const own = [(i + 15) % 16, i, (i + 1) % 16];
  const rest = list.filter((one) => !own.includes(one));
  const shared = list.filter(
    (one) => one % 2 === 1 && own.includes(one) && list.includes(one < i ? (i + 14) % 16 : (i + 2) % 16),
  );
  return [...new Set([...rest, ...(on ? own : shared.filter((one) => one !== i))])].toSorted((a, b) => a - b);
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={name}
      sx={{ display: 'grid', gap: 1.5, borderTop: 1, borderColor: 'divider', pt: 1.5 }}
    >
      <Typography variant="h3" component="h2">
        {name}
      </Typography>
      {children}
    </Box>
  );
}

interface ChoiceProps<Id extends string> {
  label: string;
  value: Id;
  options: Readonly<Record<Id, string>>;
  onChange: (value: Id) => void;
}
function Choice<Id extends string>({ label, value, options, onChange }: ChoiceProps<Id>) {
  return (
    <TextField select label={label} value={value} onChange={(event) => onChange(event.target.value as Id)}>
      {Object.entries<string>(options).map(([id, name]) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
