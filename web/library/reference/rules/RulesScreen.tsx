import { sayIssue } from '#core/documents/sayIssue';
import { forms } from '#core/documents/forms';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { PACK_STALE_DAYS } from '#core/judgement/rules/law';
import { type RulePack, rulePackSchema } from '#core/documents/rulePack';
import { baselinePack } from '#core/documents/baselinePack';
import { sayRule } from '#core/needs/sayRules';
import { dateAt, daysBetween } from '#core/units/time';
import { capital, dayWords } from '#core/units/words';
import type { Versioned } from '#core/documents/kept';
import { ApiError } from '../../../documents/api';
import { Loaded } from '../../../documents/Loaded';
import { FileButton } from '../../../ui/FileButton';
import { useToast } from '../../../ui/Toast';
import { fileNameOf, saveFile } from '../../../ui/saveFile';
import { useNow } from '../../../ui/useNow';
import { DocumentDialog } from '../../../documents/DocumentDialog';
import { useDocuments, useKept, useReferences } from '../../../documents/queries';
import { OwnershipPanel } from '../../../people/OwnershipPanel';
import { useMayChange } from '../../../people/queries';
import { RuleFields } from './RuleFields';

const fresh = (today: string): RulePack => ({
  format: forms.rulePacks,
  id: crypto.randomUUID(),
  name: '',
  authority: '',
  standing: 'law',
  lastCheckedOn: today,
  rules: [],
});

/** "Rule 3, from", as a person counts. */
function placeIn([first, second, ...rest]: readonly PropertyKey[]): string {
  if (first === 'rules' && typeof second === 'number')
    return [`Rule ${second + 1}`, ...rest.map(String)].join(', ');
  return first === undefined ? 'The file' : capital(String(first));
}

/**
 * Settled here: which rules are held, from whom, and how old they are. What would annoy: believing they are
 * the law.
 */
export function RulesScreen() {
  const { data, error } = useKept();
  const { references } = useReferences();
  const say = useToast();
  const documents = useDocuments('rulePacks');
  const [open, setOpen] = useState<Versioned<RulePack> | 'new' | null>(null);
  const mayChange = useMayChange();
  const [trouble, setTrouble] = useState<string | null>(null);
  const today = dateAt(useNow(), 'utc');
  const ownSpecies = references?.species ?? [];
  const areaName = (id: string) =>
    references?.waters.flatMap((water) => water.areas).find((area) => area.id === id)?.name ?? null;

  const read = async (file: File) => {
    setTrouble(null);
    let json: unknown;
    try {
      json = JSON.parse(await file.text());
    } catch {
      setTrouble(`${file.name} is no JSON.`);
      return;
    }
    const parsed = rulePackSchema.safeParse(json);
    if (!parsed.success) {
      const told = parsed.error.issues
        .slice(0, 5)
        .map((issue) => `${placeIn(issue.path)}: ${sayIssue(issue)}`);
      setTrouble(`${file.name} is no rule pack. ${told.join(' ')}`);
      return;
    }
    // A pack of the same id stands beside the one held, for comparing: nothing is overwritten by a file.
    const taken = data?.rulePacks.some(({ doc }) => doc.id === parsed.data.id) ?? false;
    const doc = taken ? { ...parsed.data, id: crypto.randomUUID() } : parsed.data;
    try {
      await documents.create(doc);
      say(`Read: ${doc.name}, ${doc.rules.length} rules.`);
    } catch (failure) {
      if (!(failure instanceof ApiError)) throw failure;
      setTrouble(failure.message);
    }
  };
  return (
    <Loaded data={data} error={error}>
      {({ rulePacks, waters }) => (
        <>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mb: 2 }}>
            <Button variant="contained" onClick={() => setOpen('new')}>
              New pack
            </Button>
            <FileButton
              name="Read a pack (JSON)"
              label="Rule pack file"
              accept=".json,application/json"
              onFile={(file) => void read(file)}
            />
            <Link href="/api/schemas/rule-pack">The format, as JSON Schema</Link>
          </Box>
          {trouble && (
            <Alert severity="warning" variant="outlined" onClose={() => setTrouble(null)} sx={{ mb: 2 }}>
              {trouble}
            </Alert>
          )}
          {rulePacks.length === 0 && (
            <Typography>No rules are held. Write down what the authority of your water asks for.</Typography>
          )}
          {[...rulePacks, { doc: baselinePack, version: 0, updatedAt: '' }].map((kept) => {
            const { doc } = kept;
            const days = daysBetween(doc.lastCheckedOn, today);
            const shipped = kept.doc.id === baselinePack.id;
            const used = waters
              .filter((water) => water.doc.rulePackId === doc.id)
              .map((water) => water.doc.name);
            return (
              <Box component="section" key={doc.id} sx={{ mb: 3, maxWidth: 820 }} aria-label={doc.name}>
                <Typography variant="h2">{doc.name}</Typography>
                <Typography variant="body2" color="textSecondary">
                  {doc.authority}; last checked on {dayWords(doc.lastCheckedOn)}
                  {days > PACK_STALE_DAYS && (
                    <Box component="span" sx={{ color: 'warning.main', fontWeight: 700 }}>
                      , over a year ago
                    </Box>
                  )}
                  . {used.length > 0 ? `For ${used.join(' · ')}.` : 'No water uses it.'}
                  {doc.standing === 'law' ? ' Confirm with the authority.' : ''}
                </Typography>
                {!shipped && <OwnershipPanel kind="rulePacks" kept={kept} />}
                <Box component="ul" sx={{ listStyle: 'none', m: 0, my: 1, p: 0 }}>
                  {doc.rules.map((rule) => (
                    <Box component="li" key={rule.id} sx={{ borderTop: 1, borderColor: 'divider', py: 0.75 }}>
                      {sayRule(rule, ownSpecies, areaName)}
                      {rule.citation !== '' && (
                        <Box component="span" sx={{ color: 'text.secondary', typography: 'body2' }}>
                          {' '}
                          {rule.citation}
                        </Box>
                      )}
                    </Box>
                  ))}
                </Box>
                {shipped && (
                  <Typography variant="caption" color="textSecondary" component="p">
                    Ships with the product: good practice, not law. A water may follow it; its own law is
                    still asked for.
                  </Typography>
                )}
                {!shipped && mayChange(kept) && (
                  <Button onClick={() => setOpen(kept)} aria-label={`Edit ${doc.name}`}>
                    Edit
                  </Button>
                )}
                <Button
                  onClick={() =>
                    saveFile(
                      `${fileNameOf(doc.name, doc.id)}.json`,
                      'application/json',
                      JSON.stringify(doc, null, 2),
                    )
                  }
                  aria-label={`Write out ${doc.name}`}
                >
                  Write it out
                </Button>
              </Box>
            );
          })}
          {open && (
            <DocumentDialog
              kind="rulePacks"
              what="rule pack"
              kept={open === 'new' ? null : open}
              initial={fresh(today)}
              onClose={() => setOpen(null)}
            >
              {(form) => references && <RuleFields form={form} references={references} />}
            </DocumentDialog>
          )}
        </>
      )}
    </Loaded>
  );
}
