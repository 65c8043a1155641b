import { forms } from '#core/documents/forms';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { kinds } from '#core/catalog/gear/kinds';
import type { Procedure } from '#core/documents/procedure';
import type { Versioned } from '#core/documents/kept';
import { allProcedures, isShipped, sayWhen } from '#core/walkround/procedures';
import { DocumentDialog } from '../../../documents/DocumentDialog';
import { Loaded } from '../../../documents/Loaded';
import { useKept } from '../../../documents/queries';
import { OwnershipPanel } from '../../../people/OwnershipPanel';
import { useMayChange } from '../../../people/queries';
import { ProcedureFields } from './ProcedureFields';

type Open = { kept: Versioned<Procedure> } | { from: Procedure };

function fresh(): Procedure {
  return {
    format: forms.procedures,
    id: crypto.randomUUID(),
    name: '',
    inPlaceOf: null,
    occasions: ['always'],
    kinds: [],
    steps: [],
  };
}

/**
 * Settled here: what is done in which order when there is no time to think. What would annoy: a manual; words
 * that are not mine.
 */
export function ProceduresScreen() {
  const { data, error } = useKept();
  const [open, setOpen] = useState<Open | null>(null);
  const mayChange = useMayChange();
  return (
    <Loaded data={data} error={error}>
      {({ procedures }) => (
        <Box sx={{ maxWidth: 820 }}>
          <Typography sx={{ mb: 2 }}>
            Short steps to have in the head before they are needed. Learn them with an instructor, in safe
            water; each is read through before signing on the outings that it is for.
          </Typography>
          <Button variant="contained" onClick={() => setOpen({ from: fresh() })} sx={{ mb: 3 }}>
            New procedure
          </Button>
          {allProcedures(procedures.map(({ doc }) => doc)).map((doc) => {
            const kept = procedures.find((one) => one.doc.id === doc.id);
            const when = sayWhen(doc, (kind) => kinds[kind].name.toLowerCase());
            return (
              <Box component="section" key={doc.id} sx={{ mb: 3 }} aria-label={doc.name}>
                <Typography variant="h2">{doc.name}</Typography>
                <Typography variant="body2" color="textSecondary">
                  {when === null ? 'Looked up here only.' : `Read through ${when}.`}
                  {!kept && ' Ships with the product: usual practice.'}
                  {isShipped(doc.inPlaceOf) && ' In the place of one that ships.'}
                </Typography>
                {kept && <OwnershipPanel kind="procedures" kept={kept} />}
                <Box component="ol" sx={{ my: 1, pl: 3.5, '& li': { py: 0.4, pl: 0.5 } }}>
                  {doc.steps.map((step, i) => (
                    <li key={i}>{step}</li>
                  ))}
                </Box>
                {kept && mayChange(kept) ? (
                  <Button onClick={() => setOpen({ kept })} aria-label={`Edit ${doc.name}`}>
                    Edit
                  </Button>
                ) : (
                  <Button
                    onClick={() =>
                      setOpen({
                        from: { ...doc, id: crypto.randomUUID(), inPlaceOf: kept ? doc.inPlaceOf : doc.id },
                      })
                    }
                    aria-label={`Write ${doc.name} in your own words`}
                  >
                    In your own words
                  </Button>
                )}
              </Box>
            );
          })}
          {open && (
            <DocumentDialog
              kind="procedures"
              what="procedure"
              kept={'kept' in open ? open.kept : null}
              initial={'from' in open ? open.from : fresh()}
              onClose={() => setOpen(null)}
            >
              {(form) => <ProcedureFields form={form} />}
            </DocumentDialog>
          )}
        </Box>
      )}
    </Loaded>
  );
}
