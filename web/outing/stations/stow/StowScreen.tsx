import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import { useTheme } from '@mui/material/styles';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { Suspense, lazy, useCallback, useEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import { Link as RouterLink } from 'react-router';
import { setUpOf } from '#core/boat/build';
import type { Spot } from '#core/documents/stow';
import { asFishing, withRigged } from '#core/editing/stow';
import { trustOf } from '#core/boat/trust';
import { modesOf, riggedIn } from '#core/stow/modes';
import { type Placed, planOf } from '#core/stow/plan';
import { beforeMode, boatChanges, changesBetween } from '#core/stow/say';
import { mass } from '#core/units/amount';
import { type Mode, modes } from '#core/vocabulary/stow';
import { screenOnly } from '../../../ui/screenOnly';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Carrying } from './Carrying';
import { FigureRow } from './FigureRow';
import { SetUps } from './SetUps';
import { StowSheet } from './StowSheet';
import { ThingTable } from './ThingTable';
import { type Boarded, StowContext, type StowDesk, floating, putIn, useNames, usePlan } from './useStow';

const ArrangePanel = lazy(() =>
  import('./ArrangePanel').then((module) => ({ default: module.ArrangePanel })),
);

const SinglePointsPanel = lazy(() =>
  import('./SinglePointsPanel').then((module) => ({ default: module.SinglePointsPanel })),
);
const loadThingSheet = () => import('./ThingSheet').then((module) => ({ default: module.ThingSheet }));
const ThingSheet = lazy(loadThingSheet);
const RoundView = lazy(() => import('./round/RoundView').then((module) => ({ default: module.RoundView })));
const TurnOver = lazy(() => import('./TurnOver').then((module) => ({ default: module.TurnOver })));
const questions = [
  { id: 'arrange', name: 'Arrange' },
  { id: 'turn over', name: 'Turn it over' },
  { id: 'one goes', name: 'If one goes' },
] as const;

/**
 * Settled here: does everything lie where it is dry, held, at hand and out of the way, in every mode. What
 * would annoy: dragging forty things to learn it.
 */
export function StowScreen() {
  const { looked, doc } = useOutingWorkspace();
  const { craft, angler } = looked;
  // Fetched once the boat is seen, so that the first press does not wait for it.
  useEffect(() => void loadThingSheet(), []);
  const boarded = useMemo(
    (): Boarded | null => (craft && angler ? { ...looked, craft, angler } : null),
    [looked, craft, angler],
  );
  if (!boarded)
    return (
      <Typography>
        What lies where is a matter of the boat and of who sits in it. Choose them in the{' '}
        <Link component={RouterLink} to={`/outings/${doc.id}/brief`}>
          brief
        </Link>{' '}
        first.
      </Typography>
    );
  if (boarded.aboard.length === 0)
    return (
      <Typography>
        Nothing is aboard yet.{' '}
        <Link component={RouterLink} to={`/outings/${doc.id}/kit`}>
          Take a kit first
        </Link>
        ; each thing then lies where its kind usually does.
      </Typography>
    );
  return <Stowed boarded={boarded} />;
}

function Stowed({ boarded }: { boarded: Boarded }) {
  const { doc, edit, assessment, sideColumn } = useOutingWorkspace();
  const [mode, setMode] = useState<Mode>('fish');
  const [chosen, setChosen] = useState<string | null>(null);
  /** What was pressed to open its panel; null: the thing in the drawing. */
  const [pressed, setPressed] = useState<HTMLElement | null>(null);
  /** The question that is open over the drawing; null: none. */
  const [asked, setAsked] = useState<(typeof questions)[number]['id'] | null>(null);
  const [inRound, setInRound] = useState(false);
  /** The outing with what is under the finger where it hovers; null: nothing is carried. */
  const [trial, setTrial] = useState<typeof doc | null>(null);
  const { keepKg } = assessment.exposures;
  const [caughtKg, setCaughtKg] = useState<number | null>(null);
  const fishKg = Math.min(caughtKg ?? keepKg, keepKg);
  const list = modesOf(doc.brief);
  const shownMode = list.includes(mode) ? mode : 'fish';
  const plan = usePlan(boarded, doc.stow, shownMode);
  const names = useNames(boarded);
  const shown = trial ?? doc;
  const afloat = useMemo(() => {
    const laid = trial
      ? planOf(
          { aboard: boarded.aboard, craft: boarded.craft, angler: boarded.angler, stow: trial.stow },
          shownMode,
        )
      : plan;
    return floating(laid, shown.stow, boarded, fishKg);
  }, [trial, shown, boarded, shownMode, plan, fishKg]);
  const put = useCallback(
    (placeds: readonly Placed[], spotFor: (placed: Placed) => Spot) =>
      edit((outing) => putIn(outing, boarded, shownMode, placeds, spotFor)),
    [edit, boarded, shownMode],
  );
  const choose = useCallback((itemId: string | null, at?: HTMLElement) => {
    setChosen(itemId);
    setPressed(at ?? null);
    if (itemId !== null) showInDrawing(itemId);
  }, []);
  const desk = useMemo(
    (): StowDesk => ({ mode: shownMode, boarded, plan, names, chosen, choose, put }),
    [shownMode, boarded, plan, names, chosen, choose, put],
  );
  const { now } = afloat;
  const hasColumn = useMediaQuery(useTheme().breakpoints.up('md'));
  const column = hasColumn && sideColumn.shown === 'things' ? sideColumn.place : null;
  const placed = chosen === null ? undefined : plan.byId.get(chosen);
  return (
    <StowContext value={desk}>
      <Box {...screenOnly} sx={{ display: 'flex', flexDirection: 'column' }}>
        <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', alignItems: 'center', mb: 0.5 }}>
          <ToggleButtonGroup
            exclusive
            value={shownMode}
            aria-label="Mode"
            onChange={(_, next: Mode | null) => next && setMode(next)}
          >
            {list.map((one) => (
              <ToggleButton
                key={one}
                value={one}
                sx={{
                  textTransform: 'none',
                  color: 'text.primary',
                  minHeight: 44,
                  py: 0.5,
                  px: 1.25,
                }}
              >
                {modes[one]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Box sx={{ flex: 1 }} />
          {questions.map(({ id, name }) => (
            <Button
              key={id}
              variant="outlined"
              aria-pressed={asked === id}
              disabled={id === 'arrange' && shownMode !== 'fish'}
              onClick={() => setAsked(asked === id ? null : id)}
              sx={{ px: 1, minWidth: 0 }}
            >
              {name}
            </Button>
          ))}
          <Button
            variant="outlined"
            aria-pressed={inRound}
            onClick={() => setInRound(!inRound)}
            sx={{ px: 1, minWidth: 0 }}
          >
            In the round
          </Button>
          <SetUps />
        </Box>
        <Suspense fallback={null}>
          {asked === 'arrange' && shownMode === 'fish' && (
            <ArrangePanel fishKg={fishKg} onClose={() => setAsked(null)} />
          )}
          {asked === 'one goes' && <SinglePointsPanel onClose={() => setAsked(null)} />}
          {asked === 'turn over' && <TurnOver onClose={() => setAsked(null)} />}
        </Suspense>
        {/* On a phone it stays in sight over the table, and moves to the thing that is touched. */}
        <Box
          sx={{ position: { xs: 'sticky', sm: 'static' }, top: 0, zIndex: 2, bgcolor: 'background.default' }}
        >
          {inRound ? (
            <Suspense fallback={<Box sx={{ minHeight: { xs: '46dvh', sm: 320 } }} />}>
              <RoundView
                lies={now && now !== 'sinks' ? now : null}
                heelsToPort={afloat.lading.yM < 0}
                stance={afloat.stance}
              />
            </Suspense>
          ) : (
            <Carrying lies={now && now !== 'sinks' ? now : null} onTrial={setTrial} />
          )}
        </Box>
        <Box sx={{ order: { xs: 3, sm: 0 }, mt: { xs: 2, sm: 0 } }}>
          <FigureRow
            craft={afloat.craft}
            stance={afloat.stance}
            gearKg={afloat.lading.massKg}
            anglerKg={boarded.angler.massKg}
            now={now}
          />
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mt: 0.5 }}>
            {keepKg > 0 && (
              <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', minWidth: 260 }}>
                <Typography variant="body2" color="textSecondary" id="caught">
                  Kept fish aboard
                </Typography>
                <Slider
                  size="small"
                  aria-labelledby="caught"
                  min={0}
                  max={keepKg}
                  step={keepKg / 10}
                  value={fishKg}
                  onChange={(_, value) => setCaughtKg(Array.isArray(value) ? (value[0] ?? 0) : value)}
                  getAriaValueText={(value) => mass(value)}
                  sx={{ width: 140 }}
                />
                <Typography variant="body2">
                  {mass(fishKg)} of {mass(keepKg)}
                </Typography>
              </Box>
            )}
            <Typography variant="body2" color="textSecondary" sx={{ flex: 1, minWidth: 200 }}>
              {trustOf(boarded.craft)}
            </Typography>
            <Button onClick={() => window.print()}>Print</Button>
          </Box>
        </Box>
        <ModeLines mode={shownMode} boarded={boarded} />
        {placed && (
          <Suspense fallback={null}>
            <ThingSheet key={`${placed.one.item.id} ${shownMode}`} placed={placed} pressed={pressed} />
          </Suspense>
        )}
        {column ? createPortal(<ThingTable narrow />, column) : !hasColumn && <ThingTable />}
      </Box>
      <StowSheet />
    </StowContext>
  );
}

/** On a narrow screen the drawing is wider than it: it is moved to where the thing lies. */
function showInDrawing(itemId: string) {
  const drawing = document.querySelector<HTMLElement>('[data-drawing]');
  const thing = drawing?.querySelector<HTMLElement>(`[data-thing="${CSS.escape(itemId)}"]`);
  if (!drawing || !thing || drawing.scrollWidth <= drawing.clientWidth) return;
  const [frame, at] = [drawing.getBoundingClientRect(), thing.getBoundingClientRect()];
  drawing.scrollBy({ left: at.left + at.width / 2 - frame.left - frame.width / 2 });
}

/** What differs in a mode from fishing, in words; seat and floats are set there. */
function ModeLines({ mode, boarded }: { mode: Mode; boarded: Boarded }) {
  const { doc, edit } = useOutingWorkspace();
  const { plan, names } = useStowLines(boarded, mode);
  const { craft } = boarded;
  if (mode === 'fish') return null;
  const fishing = planOf({ aboard: boarded.aboard, craft, angler: boarded.angler, stow: doc.stow }, 'fish');
  const rigged = riggedIn(craft, doc.stow, mode);
  const lines = [
    ...boatChanges(setUpOf(craft), rigged, craft.floats !== null),
    ...changesBetween(fishing, plan, names),
  ];
  const other = rigged.seat === 'low' ? 'high' : 'low';
  return (
    <Box component="section" aria-label={beforeMode(mode)} sx={{ mt: 1.5 }}>
      <Typography variant="h3" component="h3">
        {beforeMode(mode)}
      </Typography>
      {lines.length === 0 ? (
        <Typography color="textSecondary">
          Everything as it is while fishing. What you move now is moved for this mode only.
        </Typography>
      ) : (
        <Box component="ul" sx={{ my: 0.5, pl: 2.5 }}>
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {lines.length > 0 && (
          <Button size="small" onClick={() => edit((outing) => asFishing(outing, mode))}>
            All as while fishing
          </Button>
        )}
        {(craft.seat?.highM != null || rigged.seat === 'high') && (
          <Button
            size="small"
            onClick={() =>
              edit((outing) =>
                withRigged(outing, mode, { seat: other === setUpOf(craft).seat ? null : other }),
              )
            }
          >
            Seat {other}
          </Button>
        )}
        {craft.floats && (
          <Button
            size="small"
            onClick={() =>
              edit((outing) => {
                const next = rigged.floats === 'out' ? 'folded' : 'out';
                return withRigged(outing, mode, { floats: next === setUpOf(craft).floats ? null : next });
              })
            }
          >
            Floats {rigged.floats === 'out' ? 'folded' : 'out'}
          </Button>
        )}
      </Box>
    </Box>
  );
}
function useStowLines(boarded: Boarded, mode: Mode) {
  const { doc } = useOutingWorkspace();
  return { plan: usePlan(boarded, doc.stow, mode), names: useNames(boarded) };
}
