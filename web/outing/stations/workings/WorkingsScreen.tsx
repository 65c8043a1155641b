import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type ComponentType, useMemo, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { exposures } from '#core/exposures/exposures';
import { type SheetId, sheetIds, sheets as sheetNames } from '#core/vocabulary/sheets';
import { sheetFor } from '#core/judgement/sheets';
import { lookUp } from '#core/documents/references';
import { type Attempt, changeKey, tryChange } from '#core/editing/trial';
import { AnchorSheet } from './AnchorSheet';
import { ColdSheet } from './ColdSheet';
import { DriftSheet } from './DriftSheet';
import { IceSheet } from './IceSheet';
import { JigSheet } from './JigSheet';
import { PowerSheet } from './PowerSheet';
import { RigsSheet } from './RigsSheet';
import { SparesSheet } from './SparesSheet';
import { SpreadSheet } from './SpreadSheet';
import { SuppliesSheet } from './SuppliesSheet';
import { LeftBehind } from './LeftBehind';
import { TriedBar } from './TriedBar';
import { type Trial, TrialContext } from './trialContext';
import { useOutingWorkspace } from '../../outingWorkspace';
import { screenOnly } from '../../../ui/screenOnly';

const sheets: Record<SheetId, ComponentType> = {
  rigs: RigsSheet,
  jig: JigSheet,
  spares: SparesSheet,
  spread: SpreadSheet,
  anchor: AnchorSheet,
  drift: DriftSheet,
  power: PowerSheet,
  supplies: SuppliesSheet,
  ice: IceSheet,
  cold: ColdSheet,
};

/** On a phone the sheets lie in a row: the open one is brought into it. */
function intoView(node: HTMLElement | null): void {
  node?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
}

/**
 * Settled here: whether the sums hold, seen with their numbers. What would annoy: an answer without the
 * working, or a trial kept by accident.
 */
export function WorkingsScreen() {
  const { doc, references, assessment } = useOutingWorkspace();
  const { sheetId } = useParams();
  const [changes, setChanges] = useState<readonly Attempt[]>([]);
  const trial = useMemo<Trial>(() => {
    // A change that no longer applies, because what it belongs to has changed, is left out without a word.
    const tried = changes.reduce(
      (at, change) => {
        const result = tryChange(at, change);
        return result.taken ? result.tried : at;
      },
      { outing: doc, references },
    );
    const looked = lookUp(tried.outing, tried.references);
    return {
      ...tried,
      looked,
      e: exposures(tried.outing, looked),
      changes,
      attempt: (change) => {
        const result = tryChange(tried, change);
        if (!result.taken) return result.why;
        const key = changeKey(change);
        setChanges((known) => [...known.filter((one) => changeKey(one) !== key), change]);
        return null;
      },
    };
  }, [doc, references, changes]);
  const chosen = sheetIds.find((id) => id === sheetId);
  const [first] = assessment.sheets;
  if (!chosen && sheetId !== undefined) return <Navigate to={`/outings/${doc.id}/workings`} replace />;
  if (!chosen && !first)
    return (
      <Typography>Say in the brief where and when you go. The sums are worked out from there.</Typography>
    );
  const open = chosen ?? first ?? 'cold';
  const Open = sheets[open];
  const troubled = new Set(
    assessment.findings
      .filter((one) => one.level !== 'note' && one.accepted === null)
      .map((one) => sheetFor(one)),
  );
  return (
    <TrialContext value={trial}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: '150px minmax(0, 1fr)' },
          gap: { xs: 2, lg: 3.5 },
          '@media print': { display: 'block' },
        }}
      >
        <Box
          component="nav"
          aria-label="Sheets"
          {...screenOnly}
          sx={{
            display: 'flex',
            flexDirection: { xs: 'row', lg: 'column' },
            overflowX: 'auto',
          }}
        >
          {sheetIds.map((id) => (
            <Box
              key={id}
              component={Link}
              to={`/outings/${doc.id}/workings/${id}`}
              aria-current={id === open ? 'page' : undefined}
              ref={id === open ? intoView : undefined}
              sx={{
                display: 'flex',
                alignItems: 'center',
                minHeight: 44,
                px: 1.5,
                whiteSpace: 'nowrap',
                textDecoration: 'none',
                borderStyle: 'solid',
                borderWidth: { xs: '0 0 3px', lg: '0 0 0 3px' },
                borderColor: id === open ? 'text.primary' : 'divider',
                fontWeight: id === open ? 700 : 400,
                color: assessment.sheets.includes(id) || id === open ? 'text.primary' : 'text.secondary',
                fontStyle: assessment.sheets.includes(id) ? 'normal' : 'italic',
              }}
            >
              {sheetNames[id]}
              {troubled.has(id) && (
                <Box
                  component="span"
                  sx={{ color: 'error.main', ml: 0.75 }}
                  aria-label="not within its limit"
                >
                  ·
                </Box>
              )}
            </Box>
          ))}
        </Box>
        <Box sx={{ minWidth: 0 }}>
          <TriedBar changes={changes} onDone={(rest) => setChanges(rest)} />
          <LeftBehind changes={changes} onDone={() => setChanges([])} />
          {!assessment.sheets.includes(open) && (
            <Alert severity="info" variant="outlined" icon={false} sx={{ mb: 2 }}>
              This outing does not ask for this sum. It is here to be tried.
            </Alert>
          )}
          <Open key={open} />
          <Button {...screenOnly} variant="outlined" onClick={() => window.print()} sx={{ mt: 3 }}>
            Print this sheet
          </Button>
        </Box>
      </Box>
    </TrialContext>
  );
}
