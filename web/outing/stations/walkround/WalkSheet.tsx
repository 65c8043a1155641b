import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { dayWords } from '#core/units/words';
import { byClock } from '#core/units/clockWords';
import { sayOwnHours } from '#core/floatplan/ownHours';
import { beforeMode } from '#core/stow/say';
import type { Step } from '#core/walkround/steps';
import { useOutingWorkspace } from '../../outingWorkspace';
import { phaseNames } from './phaseNames';
import { useProcedures } from './Procedures';

/**
 * The walk-round on paper alone: boxes in order, large enough for half-light, a line to sign on; the
 * procedures on its back.
 */
export const WalkSheet = memo(function WalkSheet() {
  const { doc, looked, assessment } = useOutingWorkspace();
  const procedures = useProcedures();
  const phases = [...new Set(assessment.steps.map(({ phase }) => phase))];
  const { brief } = doc;
  const hours = sayOwnHours(brief, looked.water?.timeZone ?? 'utc');
  const line = (step: Step) => (
    <Box component="li" key={step.id} sx={{ display: 'flex', gap: 1, breakInside: 'avoid', py: '0.9mm' }}>
      <Box component="span" aria-hidden sx={{ fontSize: '13pt', lineHeight: 1, whiteSpace: 'nowrap' }}>
        ☐
      </Box>
      <span>
        <strong>{step.title}</strong>
        {step.critical ? ' (must be good)' : ''}
        {step.items.length > 0 && <>: {step.items.map(({ name }) => name).join('; ')}</>}
      </span>
    </Box>
  );
  return (
    <Box
      sx={{ display: 'none', '@media print': { display: 'block', fontSize: '9.4pt', lineHeight: 1.2 } }}
      data-walk-sheet
    >
      <Typography variant="h2">Walk-round</Typography>
      <Typography>
        {dayWords(brief.date)} · {looked.water?.name} · {looked.craft?.name} ·{' '}
        {`afloat ${byClock(brief.launchAt)}, home ${hours.home}, call ${hours.call}`}
      </Typography>
      <Box sx={{ columns: 2, columnGap: '8mm', mt: '3mm' }}>
        {phases.map((phase) => (
          <Box key={phase}>
            <Typography variant="h3" sx={{ breakAfter: 'avoid', mt: '2mm' }}>
              {phaseNames[phase]}
            </Typography>
            <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {assessment.steps.filter((step) => step.phase === phase).map(line)}
            </Box>
          </Box>
        ))}
        {assessment.ready.map(({ mode, lines }) => (
          <Box key={mode} sx={{ breakInside: 'avoid' }}>
            <Typography variant="h3" sx={{ mt: '2mm' }}>
              {beforeMode(mode)}
            </Typography>
            {lines.map((text) => (
              <div key={text}>☐ {text}</div>
            ))}
          </Box>
        ))}
      </Box>
      <Typography sx={{ mt: '4mm' }}>
        Walked at ____ : ____ &nbsp; Not good: ______________________________________ &nbsp; Signed:
        __________________
      </Typography>
      <Typography variant="caption">
        A paper signs nothing here: written in afterwards with its hour, it is a record. Find the angler home
        by {hours.home}.
      </Typography>
      {procedures.length > 0 && (
        <Box sx={{ breakBefore: 'page', columns: 2, columnGap: '8mm' }}>
          {procedures.map(({ id, name, steps }) => (
            <Box key={id} sx={{ breakInside: 'avoid', mb: '4mm' }}>
              <Typography variant="h3">{name}</Typography>
              <Box component="ol" sx={{ m: 0, pl: '5mm' }}>
                {steps.map((step, i) => (
                  <li key={i}>{step}</li>
                ))}
              </Box>
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
});
