import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useCallback, useMemo, useState } from 'react';
import { Link as RouterLink, useNavigate, useParams } from 'react-router';
import { seatedIn, setUpOf } from '#core/boat/build';
import { usualSpot } from '#core/boat/lading';
import { standingIn, stancesOf } from '#core/boat/stability';
import type { Zone } from '#core/documents/boatParts';
import { type Craft, craftSchema } from '#core/documents/craft';
import { type BoatPart, type Stance, boatParts } from '#core/vocabulary/boat';
import type { Versioned } from '#core/documents/kept';
import { copyBoat, movedZone, stretchedZone, withZone } from '#core/editing/boats';
import { capital } from '#core/units/words';
import { ConflictDialog } from '../../documents/ConflictDialog';
import { Loaded } from '../../documents/Loaded';
import { SavingWords } from '../../documents/SavingWords';
import { ApiError } from '../../documents/api';
import { useDocuments, useKept } from '../../documents/queries';
import { useUndoKeys } from '../../documents/useDocumentEditor';
import { useReferenceEditor } from '../../documents/useReferenceEditor';
import { NotFoundScreen } from '../../ui/NotFoundScreen';
import { Page } from '../../ui/Page';
import { useToast } from '../../ui/Toast';
import { BoatDrawing } from '../../ui/boat/BoatDrawing';
import type { ZoneHandling } from '../../ui/boat/handling';
import { AboutPart } from './AboutPart';
import { AfloatPart } from './AfloatPart';
import { InclinePart } from './InclinePart';
import { PacePart } from './PacePart';
import { PlacesPart } from './PlacesPart';
import { SetUpsPart } from './SetUpsPart';
import { ShapePart } from './ShapePart';
import { type BoatDesk, BoatDeskContext, DRAWN_IN } from './boatDesk';

const isPart = (id: string | undefined): id is BoatPart => id !== undefined && id in boatParts;

const USUAL = { massKg: 80, heightM: 1.75 };
const USUAL_GEAR_KG = 20;

/**
 * Settled here: whether this boat lies level and steady under one and what one takes, and where each thing
 * has its place. What would annoy: a form that asks for figures nobody has.
 */
export function BoatScreen() {
  const { boatId } = useParams();
  const { data, error } = useKept();
  const found = data?.craft.find(({ doc }) => doc.id === boatId);
  if (data && !found) return <NotFoundScreen />;
  return (
    <Loaded data={found} error={error}>
      {(kept) => <OneBoat key={kept.doc.id} kept={kept} angler={data?.anglers[0]?.doc ?? null} />}
    </Loaded>
  );
}

function OneBoat({
  kept,
  angler,
}: {
  kept: Versioned<Craft>;
  angler: { massKg: number; heightM: number } | null;
}) {
  const { editor, state } = useReferenceEditor('craft', kept);
  const { part: at } = useParams();
  const part = isPart(at) ? at : 'places';
  const [gearKg, setGearKg] = useState(USUAL_GEAR_KG);
  const [chosen, setChosen] = useState<string | null>(null);
  /** A place while it is dragged: only the drawing follows. */
  const [dragged, setDragged] = useState<{ id: string; change: Partial<Zone> } | null>(null);
  const { doc: craft } = state;
  useUndoKeys(editor.undo, editor.redo);
  const change = useCallback(
    (make: (one: Craft) => Craft, key = ''): string | null => {
      const parsed = craftSchema.safeParse(make(editor.getState().doc));
      if (!parsed.success) return parsed.error.issues[0]?.message ?? 'It cannot be that.';
      editor.edit(() => parsed.data, key);
      return null;
    },
    [editor],
  );
  const who = useMemo(() => angler ?? USUAL, [angler]);
  const gear = useMemo(() => {
    const spot = usualSpot(craft, 'tankwell', who.heightM);
    return spot && gearKg > 0 ? { massKg: gearKg, ...spot } : null;
  }, [craft, who, gearKg]);
  const seated = seatedIn(craft);
  const [asked, setAsked] = useState<Stance | null>(null);
  // Of the stances one looked at, one that the boat still has.
  const stance = part === 'afloat' && asked !== null && stancesOf(craft).includes(asked) ? asked : seated;
  const lies = useMemo(() => {
    const now = standingIn(craft, who, stance, gear, DRAWN_IN);
    return now && now !== 'sinks' ? { draftM: now.draftM, trimDeg: now.trimDeg, heelDeg: now.heelDeg } : null;
  }, [craft, who, stance, gear]);
  const handling = useMemo((): ZoneHandling => {
    const by =
      (how: typeof movedZone | typeof stretchedZone): ZoneHandling['move'] =>
      (zone, byXM, byYM, done) => {
        const next: Partial<Zone> = how(editor.getState().doc, zone, byXM, byYM);
        setDragged(done ? null : { id: zone.id, change: next });
        if (done) change((one) => withZone(one, zone.id, next), `${zone.id} moved`);
      };
    return { chosen, choose: setChosen, move: by(movedZone), stretch: by(stretchedZone) };
  }, [chosen, editor, change]);
  const shown = useMemo(
    () => (dragged ? withZone(craft, dragged.id, dragged.change) : craft),
    [craft, dragged],
  );
  const desk = useMemo(
    (): BoatDesk => ({ craft, change, angler: who, own: angler !== null, gear }),
    [craft, change, who, angler, gear],
  );
  return (
    <BoatDeskContext value={desk}>
      <Page
        title={craft.name}
        lead={`${capital(craft.deck)}, ${craft.hull}, ${craft.drive === 'paddle' ? 'paddled' : craft.drive === 'pedal' ? 'pedalled' : 'by motor'}.`}
        action={<Actions craft={craft} version={state.version} flush={() => editor.flush()} />}
      >
        {state.told !== null && (
          <Alert severity="warning" variant="outlined" onClose={editor.hush} sx={{ mb: 1 }}>
            {state.told}
          </Alert>
        )}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', mb: 1 }}>
          {craft.setUps.length > 0 && (
            <ToggleButtonGroup
              exclusive
              value={setUpOf(craft).id}
              aria-label="Set-up"
              onChange={(_, id: string | null) => id !== null && change((one) => ({ ...one, setUpId: id }))}
              sx={{ flexWrap: 'wrap' }}
            >
              {craft.setUps.map(({ id, name }) => (
                <ToggleButton
                  key={id}
                  value={id}
                  sx={{ textTransform: 'none', color: 'text.primary', minHeight: 44, px: 1.5 }}
                >
                  {name}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          )}
          <Box sx={{ flex: 1 }} />
          <Button size="small" onClick={editor.undo} disabled={!state.canUndo}>
            Undo
          </Button>
          <Button size="small" onClick={editor.redo} disabled={!state.canRedo}>
            Redo
          </Button>
          <SavingWords saving={state.saving} />
        </Box>
        <BoatDrawing
          craft={shown}
          lies={lies}
          angler={who}
          stance={stance}
          views={part === 'afloat' ? ['side', 'astern'] : ['above', 'side']}
          reach={part === 'places'}
          {...(part === 'places' ? { handling } : {})}
        />
        <Tabs
          value={part}
          variant="scrollable"
          allowScrollButtonsMobile
          aria-label="Parts of the boat’s page"
          sx={{ borderBottom: 1, borderColor: 'text.primary', mb: 2 }}
        >
          {Object.entries(boatParts).map(([id, name]) => (
            <Tab
              key={id}
              value={id}
              label={name}
              component={RouterLink}
              to={`/boats/${craft.id}/${id}`}
              replace
              aria-current={id === part ? 'page' : undefined}
            />
          ))}
        </Tabs>
        <Box role="tabpanel" aria-label={boatParts[part]}>
          {part === 'places' && <PlacesPart chosen={chosen} choose={setChosen} />}
          {part === 'shape' && <ShapePart />}
          {part === 'afloat' && <AfloatPart {...{ gearKg, setGearKg, stance, setStance: setAsked }} />}
          {part === 'pace' && <PacePart />}
          {part === 'incline' && <InclinePart />}
          {part === 'fitted' && <SetUpsPart />}
          {part === 'about' && <AboutPart />}
        </Box>
        <ConflictDialog kind="craft" saving={state.saving} settle={editor.settle} />
      </Page>
    </BoatDeskContext>
  );
}

function Actions({
  craft,
  version,
  flush,
}: {
  craft: Craft;
  version: number;
  flush: () => Promise<unknown>;
}) {
  const boats = useDocuments('craft');
  const navigate = useNavigate();
  const say = useToast();
  const tried = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      say(error.message);
    }
  };
  const copy = () =>
    tried(async () => {
      const own = copyBoat(craft, crypto.randomUUID());
      await boats.create(own);
      say(`Copied: ${own.name}.`);
      await navigate(`/boats/${own.id}`);
    });
  const remove = () =>
    tried(async () => {
      await flush();
      await boats.remove(craft.id, version);
      say(`Deleted: ${craft.name}.`, { name: 'Undo', run: () => void boats.restore(craft.id) });
      await navigate('/boats');
    });
  return (
    <>
      <Link component={RouterLink} to="/boats" sx={{ py: 1.5 }}>
        All boats
      </Link>
      <Button onClick={() => void copy()}>Copy</Button>
      <Button color="error" sx={{ color: 'error.main' }} onClick={() => void remove()}>
        Delete
      </Button>
    </>
  );
}
