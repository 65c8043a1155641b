import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { Link as RouterLink, useLocation } from 'react-router';
import { type Finding } from '#core/judgement/finding';
import { type Station } from '#core/vocabulary/stations';
import { countFindings } from '#core/judgement/finding';
import { type SettledTogether, isKitBegun, settledByAdding } from '#core/judgement/settledTogether';
import { byWhatToDo, namesToGet } from '#core/judgement/byWhatToDo';
import { capital, count, listed, plural } from '#core/units/words';
import { levelNames } from '#core/vocabulary/levels';
import { LevelMark } from '../ui/LevelMark';
import { FindingNote } from './FindingNote';
import { type SideColumn, useOutingWorkspace } from './outingWorkspace';
import { screenOnly } from '../ui/screenOnly';

/**
 * The column at the right: what forbids the day, this station's findings, then the rest. In Stow the things
 * aboard stand there, or the margin.
 */
export function Margin({ station }: { station: Station }) {
  const { sideColumn } = useOutingWorkspace();
  const { shown, setPlace } = sideColumn;
  const withThings = station === 'stow';
  return (
    <Box
      component="aside"
      aria-label="Margin"
      sx={{
        display: { xs: 'none', md: 'block' },
        width: 312,
        flexShrink: 0,
        borderLeft: 1,
        borderColor: 'divider',
        px: 2.5,
        py: 2.5,
      }}
    >
      {withThings && <ThingsOrMargin />}
      {withThings && shown === 'things' ? (
        <Box ref={setPlace} sx={{ maxHeight: 'calc(100dvh - 232px)', overflowY: 'auto' }} />
      ) : (
        <Findings station={station} />
      )}
    </Box>
  );
}

function ThingsOrMargin() {
  const { sideColumn, looked, assessment } = useOutingWorkspace();
  const { level = null } = assessment.findings.find(({ accepted }) => accepted === null) ?? {};
  const many = assessment.findings.filter((one) => one.accepted === null && one.level === level).length;
  const worst = level === null ? '' : ` · ${many} ${plural(many, levelNames[level])}`;
  return (
    <ToggleButtonGroup
      exclusive
      fullWidth
      size="small"
      value={sideColumn.shown}
      aria-label="Beside the boat"
      onChange={(_, next: SideColumn['shown'] | null) => next && sideColumn.show(next)}
      sx={{ mb: 1.5, '& button': { textTransform: 'none', color: 'text.primary', minHeight: 44 } }}
    >
      <ToggleButton value="things">Things · {looked.aboard.length}</ToggleButton>
      <ToggleButton value="margin">Margin{worst}</ToggleButton>
    </ToggleButtonGroup>
  );
}

/** The margin where there is no room for a column: a bar at the foot that opens it. */
export function MarginBar({ station, inPlace = false }: { station: Station; inPlace?: boolean }) {
  const { assessment } = useOutingWorkspace();
  // Open as long as one stays where it was opened: whatever leads elsewhere from within closes it.
  const { key } = useLocation();
  const [openAt, setOpenAt] = useState<string | null>(null);
  const open = openAt === key;
  const setOpen = (is: boolean) => setOpenAt(is ? key : null);
  const worst = assessment.findings.find((one) => one.accepted === null)?.level;
  return (
    <Box
      {...screenOnly}
      sx={{
        display: { xs: 'block', md: 'none' },
        position: inPlace ? 'static' : 'sticky',
        bottom: { xs: 60, sm: 0 },
        zIndex: 9,
      }}
    >
      <Button
        fullWidth
        onClick={() => setOpen(true)}
        startIcon={worst ? <LevelMark level={worst} /> : undefined}
        sx={{
          minHeight: 52,
          borderRadius: 0,
          borderTop: 1,
          borderColor: 'text.primary',
          bgcolor: 'background.paper',
          color: 'text.primary',
          '&:hover': { bgcolor: 'background.paper' },
        }}
      >
        Margin: {countFindings(assessment.findings) || 'nothing to say'}
      </Button>
      <Drawer
        anchor="bottom"
        open={open}
        onClose={() => setOpen(false)}
        slotProps={{ paper: { sx: { maxHeight: '88dvh' } } }}
      >
        <Box sx={{ p: 2, pt: 0 }} role="dialog" aria-label="Margin">
          {/* At the head: the foot is where what was done is said, with its undo. */}
          <Box
            sx={{
              position: 'sticky',
              top: 0,
              zIndex: 1,
              bgcolor: 'background.paper',
              display: 'flex',
              justifyContent: 'flex-end',
              pt: 1,
            }}
          >
            <Button variant="outlined" onClick={() => setOpen(false)} sx={{ minHeight: 44 }}>
              Close
            </Button>
          </Box>
          <Findings station={station} />
        </Box>
      </Drawer>
    </Box>
  );
}

function Findings({ station }: { station: Station }) {
  const { findings } = useOutingWorkspace().assessment;
  const together = settledByAdding(findings);
  const standing = findings.filter((one) => one.accepted === null && !together?.findings.includes(one));
  // What forbids the day leads, wherever it is settled.
  const own = standing.filter((one) => one.station === station);
  const others = standing.filter((one) => one.station !== station);
  const here = [...own, ...others.filter(({ level }) => level === 'stop')];
  const elsewhere = others.filter(({ level }) => level !== 'stop');
  const accepted = findings.filter((one) => one.accepted !== null);
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between', pb: 1.5 }}>
        <Typography variant="h3" component="h2">
          Margin
        </Typography>
        <Typography variant="caption" color="textSecondary">
          {countFindings(findings)}
        </Typography>
      </Box>
      {findings.length === 0 && (
        <Typography color="textSecondary" sx={{ borderTop: 1, borderColor: 'divider', pt: 1.5 }}>
          Nothing to say about what was counted. What is not written down was not counted.
        </Typography>
      )}
      {together && <Settled together={together} />}
      <Group name="" findings={here} />
      <Group name={here.length > 0 ? 'At other stations' : ''} findings={elsewhere} />
      <Group name="Accepted, with your reason" findings={accepted} />
    </>
  );
}

/**
 * What a few owned things settle together, in one press; each of it folded beneath. Before a kit is begun the
 * proposal leads.
 */
function Settled({ together }: { together: SettledTogether }) {
  const { doc, assessment, looked, repair } = useOutingWorkspace();
  const { findings, repair: adding } = together;
  const { counted, of } = assessment.tallies.kit;
  const begun = isKitBegun(doc, looked.items);
  const [many, things] = [findings.length, adding.items.length];
  const isNeed = findings.filter(({ facts }) => facts.code === 'need-unmet').length;
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', py: 1.5 }}>
      {begun ? (
        <Button variant="outlined" onClick={() => repair(adding)} sx={{ textAlign: 'left' }}>
          Settle {count(many)}: add {things === 1 ? 'one thing' : `these ${count(things)} things`}
        </Button>
      ) : (
        <Button
          component={RouterLink}
          to={`/outings/${doc.id}/kit`}
          state={{ propose: true }}
          variant="contained"
          sx={{ textAlign: 'left' }}
        >
          Propose a loadout: {counted + isNeed} of {of} needs from what you own
        </Button>
      )}
      <Box component="details" sx={{ mt: 1 }}>
        <Box component="summary" sx={{ cursor: 'pointer', py: 1, typography: 'body2' }}>
          {countFindings(findings)}, settled by adding {some(adding.items.map((one) => one.name))}
        </Box>
        <Group name="" findings={findings} />
      </Box>
    </Box>
  );
}
const MOST_NAMED = 3;

/** So many of a kind stand in the open; more are folded under one line. */
const MOST_OPEN = 3;

/** Findings by what one does about them: what forbids first, what is only to be got or looked into folded. */
function Group({ name, findings }: { name: string; findings: readonly Finding[] }) {
  if (findings.length === 0) return null;
  const { forbid, settle, get, later } = byWhatToDo(findings);
  const isFolded = (list: readonly Finding[]) => list.length > MOST_OPEN && list.length < findings.length;
  const open = [forbid, settle, get, later].flatMap((list) =>
    (list === get || list === later) && isFolded(list) ? [] : list,
  );
  return (
    <>
      {name !== '' && (
        <Typography
          variant="caption"
          component="h3"
          color="textSecondary"
          sx={{ borderTop: 1, borderColor: 'divider', pt: 1.5, pb: 1 }}
        >
          {name}
        </Typography>
      )}
      <List findings={open} />
      {isFolded(get) && (
        <Folded says={`${capital(count(get.length))} to get or borrow: ${some(namesToGet(get))}`}>
          <List findings={get} />
        </Folded>
      )}
      {isFolded(later) && (
        <Folded says={`${capital(count(later.length))} to look into sometime`}>
          <List findings={later} />
        </Folded>
      )}
    </>
  );
}

function List({ findings }: { findings: readonly Finding[] }) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {findings.map((finding) => (
        <FindingNote key={finding.key} finding={finding} />
      ))}
    </Box>
  );
}

function Folded({ says, children }: { says: string; children: ReactNode }) {
  return (
    <Box component="details" sx={{ borderTop: 1, borderColor: 'divider' }}>
      <Box component="summary" sx={{ cursor: 'pointer', py: 1.5, typography: 'body2', fontWeight: 700 }}>
        {says}
      </Box>
      {children}
    </Box>
  );
}

/** The first few names, and how many more there are. */
function some(names: readonly string[]): string {
  const more = names.length - MOST_NAMED;
  return more > 0 ? `${names.slice(0, MOST_NAMED).join(', ')} and ${count(more)} more` : listed([...names]);
}
