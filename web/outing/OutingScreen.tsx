import Box from '@mui/material/Box';
import { Suspense, lazy, useCallback, useEffect, useMemo, useState } from 'react';
import { Outlet, useMatch, useParams } from 'react-router';
import { assess } from '#core/judgement/assess';
import { sayRepair } from '#core/editing/repair';
import { type Station } from '#core/vocabulary/stations';
import type { Repair } from '#core/editing/repair';
import { applyRepair } from '#core/editing/repair';
import type { Outing } from '#core/documents/outing';
import { type References, lookUp } from '#core/documents/references';
import { lastAnswers, standingAnswers, withEarlier } from '#core/walkround/answers';
import { changesSince } from '#core/signing/changes';
import { signedSnapshot } from '#core/signing/snapshot';
import type { Versioned } from '#core/documents/kept';
import { request } from '../documents/api';
import { REFERENCES } from '../documents/ReferenceStore';
import { type CarryPorts, useCarried } from '../offline/useCarried';
import { loadScreens } from './stations/screens';
import { Loaded } from '../documents/Loaded';
import { NotFoundScreen } from '../ui/NotFoundScreen';
import { useToast } from '../ui/Toast';
import { useNow } from '../ui/useNow';
import { useReferences } from '../documents/queries';
import { Calm } from './Calm';
import { type OutingWorkspace, OutingWorkspaceContext, type SideColumn } from './outingWorkspace';
import { Heading } from './Heading';
import { Margin, MarginBar } from './Margin';
import { type WalkRecord, useKeptOuting, useWalk } from './queries';
import { useDocumentEditor, useUndoKeys } from '../documents/useDocumentEditor';
import { useSWRConfig } from 'swr';
import { StaleLine } from './StaleLine';
import { StationLine } from './StationLine';

const ConflictDialog = lazy(async () => ({
  default: (await import('../documents/ConflictDialog')).ConflictDialog,
}));

/** What is put on a device comes from the server, not from what lies on the device already. */
const carryPorts: CarryPorts = {
  ask: (path) => request('GET', path),
  references: REFERENCES,
  loadScreens,
};
const RENEW_AFTER_MS = 2500;

/** One outing: its heading, the line of stations, the station that is open, and the margin. */
export function OutingScreen() {
  const { outingId = '' } = useParams();
  const kept = useKeptOuting(outingId);
  const { references, error } = useReferences();
  const walk = useWalk(outingId);
  if (kept.error?.status === 404) return <NotFoundScreen />;
  const ready = kept.data && references && walk.loaded ? { kept: kept.data, references } : undefined;
  return (
    <Loaded data={ready} error={kept.error ?? error ?? walk.error}>
      {(parts) => <OnDesk key={outingId} kept={parts.kept} references={parts.references} walk={walk} />}
    </Loaded>
  );
}

function OnDesk({
  kept,
  references,
  walk,
}: {
  kept: Versioned<Outing>;
  references: References;
  walk: WalkRecord;
}) {
  const { mutate } = useSWRConfig();
  const { editor, state } = useDocumentEditor(
    'outings',
    kept,
    () => void mutate((key) => typeof key === 'string' && key.startsWith('/api/summaries')),
  );
  const { doc } = state;
  const now = useNow();
  const say = useToast();
  const answers = useMemo(
    () => withEarlier(standingAnswers(walk.record, now), walk.earlier, now),
    [walk.record, walk.earlier, now],
  );
  const [dragging, setDragging] = useState(false);
  const assessment = useMemo(
    () => assess(doc, references, answers, now, { withRepairs: !dragging }),
    [doc, references, answers, now, dragging],
  );
  const looked = useMemo(() => lookUp(doc, references), [doc, references]);
  const { signature, record } = walk;
  const changes = useMemo(
    () => signature && changesSince(signature.judged, signedSnapshot(doc, references, lastAnswers(record))),
    [signature, doc, references, record],
  );
  const repair = useCallback(
    (what: Repair) => {
      editor.edit((outing) => applyRepair(outing, what, Date.now()));
      say(`Done: ${sayRepair(what)}.`, { name: 'Undo', run: editor.undo });
    },
    [editor, say],
  );
  // What was told elsewhere since it was begun need not be told here again.
  const [wasIncomplete] = useState(doc.brief.waterId === null || doc.brief.craftId === null);
  useEffect(() => {
    if (!wasIncomplete) return;
    void import('#core/editing/newOuting').then(({ withKnown }) =>
      editor.edit((outing) => withKnown(outing, references)),
    );
  }, [wasIncomplete, editor, references]);
  useEffect(() => {
    if (state.told === null) return;
    say(state.told);
    editor.hush();
  }, [state.told, say, editor]);
  useUndoKeys(editor.undo, editor.redo);

  const device = useCarried(doc.id, carryPorts);
  // What is carried follows what is kept here.
  const { carried, renew } = device;
  const isKept = state.saving.is === 'kept' && walk.unsent === 0;
  const isCarried = carried !== null;
  useEffect(() => {
    if (!isCarried || !isKept) return;
    const timer = setTimeout(() => void renew(), RENEW_AFTER_MS);
    return () => clearTimeout(timer);
  }, [isCarried, isKept, renew, state.version, walk.record, references]);

  const [place, setPlace] = useState<HTMLElement | null>(null);
  const [shown, show] = useState<SideColumn['shown']>('things');
  const sideColumn = useMemo(() => ({ place, setPlace, shown, show }), [place, shown]);
  const station = (useMatch('/outings/:id/:station/*')?.params.station ?? 'brief') as Station;
  const desk: OutingWorkspace = {
    doc,
    edit: editor.edit,
    editor,
    state,
    references,
    looked,
    assessment,
    answers,
    walk,
    changes,
    repair,
    dragging,
    setDragging,
    now,
    device,
    sideColumn,
  };
  const walking = station === 'walk-round';
  return (
    <OutingWorkspaceContext value={desk}>
      <title>{`${changes && changes.length > 0 ? 'No longer as signed: ' : ''}${doc.title} · Unhurried Tally`}</title>
      <Box
        component="header"
        sx={{
          display: { xs: walking ? 'none' : 'block', sm: 'block' },
          borderBottom: 1,
          borderColor: 'text.primary',
        }}
      >
        <Calm>
          <Heading />
          <StationLine />
        </Calm>
        {!walking && <StaleLine />}
      </Box>
      <Box sx={{ display: 'flex', flex: 1, minHeight: 0 }}>
        <Box component="main" sx={{ flex: 1, minWidth: 0, px: { xs: 2, sm: 3 }, py: { xs: 2, sm: 2.5 } }}>
          <Outlet />
        </Box>
        <Margin station={station} />
      </Box>
      {!walking && <MarginBar station={station} />}
      {state.saving.is === 'conflict' && (
        <Suspense>
          <ConflictDialog kind="outings" saving={state.saving} settle={editor.settle} />
        </Suspense>
      )}
    </OutingWorkspaceContext>
  );
}
