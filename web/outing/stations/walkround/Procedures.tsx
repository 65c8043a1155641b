import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import type { Procedure } from '#core/documents/procedure';
import { ridesAlong } from '#core/documents/references';
import { count, plural } from '#core/units/words';
import { allProcedures, proceduresFor } from '#core/walkround/procedures';
import { useKept } from '../../../documents/queries';
import { useOutingWorkspace } from '../../outingWorkspace';

/** Settled here: have I the order in my head. What would annoy: having to read it all to get on. */
export function Procedures() {
  const procedures = useProcedures();
  if (procedures.length === 0) return null;
  return (
    <Box
      component="details"
      role="group"
      aria-label="To have in the head"
      sx={{ my: 2, borderTop: 1, borderColor: 'divider' }}
    >
      <Box component="summary" sx={{ py: 1.75, cursor: 'pointer', fontSize: '1.05rem' }}>
        <b>To have in the head:</b> {count(procedures.length)} {plural(procedures.length, 'procedure')}
      </Box>
      <Typography variant="body2" color="textSecondary" sx={{ mb: 0.5 }}>
        Read them through once; nothing is asked about them.
      </Typography>
      {procedures.map(({ id, name, steps }) => (
        <Box component="details" key={id} sx={{ borderTop: 1, borderColor: 'divider', ml: 2 }}>
          <Box component="summary" sx={{ py: 1.75, cursor: 'pointer', fontSize: '1.05rem' }}>
            {name}
          </Box>
          <Box
            component="ol"
            sx={{ mt: 0, mb: 2, pl: 3.5, fontSize: '1.15rem', '& li': { py: 0.5, pl: 0.5 } }}
          >
            {steps.map((step, i) => (
              <li key={i}>{step}</li>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** Those of the house that this outing is gone through with. */
export function useProcedures(): Procedure[] {
  const { assessment, looked } = useOutingWorkspace();
  const kept = useKept().data?.procedures;
  const { aboard, craft, water } = looked;
  const { exposures } = assessment;
  return useMemo(
    () =>
      proceduresFor(allProcedures((kept ?? []).map(({ doc }) => doc)), {
        exposures,
        craft,
        setting: water?.setting ?? null,
        aboard: new Set(aboard.filter(ridesAlong).map(({ item }) => item.kind)),
      }),
    [kept, exposures, craft, water, aboard],
  );
}
