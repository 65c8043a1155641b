import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { Suspense, lazy, useEffect, useEffectEvent, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import { catalogue } from '#core/needs/catalogue';
import type { NeedId } from '#core/vocabulary/needs';
import type { Proposal as Proposed, ProposedItem } from '#core/provisioning/propose';
import { withItem } from '#core/editing/edit';
import { mass } from '#core/units/amount';
import { figure } from '#core/units/words';
import { useToast } from '../../../ui/Toast';
import { useWorker } from '../../../workers/useWorker';
import type { ProposeWork } from '../../../workers/propose.worker';
import { useOutingWorkspace } from '../../outingWorkspace';
import { ProposedLine } from './ProposedLine';

const ProposalAfter = lazy(async () => ({ default: (await import('./ProposalAfter')).ProposalAfter }));

/**
 * The lightest sound set that meets what is open, as a difference: taken whole or piece by piece, and why
 * each.
 */
export function Proposal() {
  const { doc, edit, editor, references, answers, assessment, now } = useOutingWorkspace();
  const say = useToast();
  const [proposed, setProposed] = useState<Proposed | null>(null);
  const [working, setWorking] = useState(false);
  const worker = useWorker<ProposeWork>(
    () => new Worker(new URL('../../../workers/propose.worker.ts', import.meta.url), { type: 'module' }),
  );
  const nameOf = (id: string) =>
    references.items.find((item) => item.id === id)?.name ?? 'something no longer in the locker';
  const ask = async () => {
    setWorking(true);
    setProposed(await worker.call().propose(doc, references, answers, now));
    setWorking(false);
  };
  // Led here by the margin's own line: it is made at once.
  const location = useLocation();
  const led = (location.state as { propose?: boolean } | null)?.propose === true;
  const asked = useRef(false);
  const askOnce = useEffectEvent(() => {
    if (asked.current) return;
    asked.current = true;
    void ask();
  });
  useEffect(() => {
    if (led) askOnce();
    // A screen that is put aside for a moment while it opens ends its worker: it asks again when it is shown.
    return () => {
      asked.current = false;
    };
  }, [led]);
  const stop = () => {
    worker.stop();
    setWorking(false);
  };
  const aboard = new Map(doc.loadout.map((entry) => [entry.itemId, entry.quantity]));
  const add = (proposed?.add ?? []).filter((one) => (aboard.get(one.itemId) ?? 0) < one.quantity);
  const leave = (proposed?.leave ?? []).filter((id) => aboard.has(id));
  const missing = (proposed?.missing ?? []).filter(({ needId }) =>
    assessment.needs.some((need) => need.id === needId && !need.met),
  );
  const take = (list: readonly ProposedItem[]) => {
    edit((outing) => list.reduce((next, one) => withItem(next, one.itemId, one.quantity), outing));
    say(
      list.length === 1 ? `Aboard: ${nameOf(list[0]?.itemId ?? '')}.` : `${list.length} things put aboard.`,
      {
        name: 'Undo',
        run: editor.undo,
      },
    );
  };
  return (
    <Box
      component="section"
      aria-labelledby="proposal"
      sx={{
        border: 1,
        borderColor: 'text.primary',
        borderRadius: 1,
        bgcolor: 'background.paper',
        p: 2,
        mb: 3,
      }}
    >
      <Typography variant="h2" id="proposal">
        {proposed ? 'Proposed changes' : 'A proposal'}
      </Typography>
      <Typography variant="caption" color="textSecondary" component="p" role="status">
        {summary(proposed, working)}
      </Typography>
      {working && <LinearProgress aria-label="Searching for the lightest set" sx={{ my: 1 }} />}
      {add.length > 0 && (
        <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }} aria-label="To put aboard">
          {add.map((one) => (
            <ProposedLine
              key={one.itemId}
              sign="+"
              name={one.quantity > 1 ? `${nameOf(one.itemId)} × ${one.quantity}` : nameOf(one.itemId)}
              why={titles(one.needs)}
              right={mass(one.addedKg)}
              action={{ name: 'Take', label: `Take: ${nameOf(one.itemId)}`, run: () => take([one]) }}
            />
          ))}
        </Box>
      )}
      {leave.length > 0 && (
        <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }} aria-label="To leave ashore">
          {leave.map((id) => (
            <ProposedLine
              key={id}
              sign="−"
              name={nameOf(id)}
              why="meets no need today"
              right=""
              action={{
                name: 'Leave',
                label: `Leave ashore, as proposed: ${nameOf(id)}`,
                run: () => edit((outing) => withItem(outing, id, 0)),
              }}
            />
          ))}
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap' }}>
        {add.length > 0 && (
          <Button variant="contained" onClick={() => take(add)}>
            Take all
          </Button>
        )}
        {working ? (
          <Button variant="outlined" onClick={stop}>
            Stop
          </Button>
        ) : (
          <Button variant={proposed ? 'outlined' : 'contained'} onClick={() => void ask()}>
            {proposed ? 'Propose again' : 'Propose a loadout'}
          </Button>
        )}
      </Box>
      {proposed && (
        <Suspense fallback={null}>
          <ProposalAfter {...proposed} missing={missing} nameOf={nameOf} />
        </Suspense>
      )}
    </Box>
  );
}

function summary(proposed: Proposed | null, working: boolean): string {
  if (working) return 'Searching.';
  if (!proposed) return 'What the locker has for what is still open. What you put aboard stays.';
  if (proposed.add.length === 0) return 'Nothing in the locker would count for more.';
  const proof =
    proposed.gap < 1e-6 ? 'proven lightest' : `at most ${figure(proposed.gap * 100)} % above the lightest`;
  return `Lightest sound set, your own school first: ${mass(proposed.addedKg)} more, ${proof}.`;
}

function titles(needs: readonly NeedId[]): string {
  return needs.map((id) => catalogue[id].title.toLowerCase()).join(', ');
}
