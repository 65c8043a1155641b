import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { documentKinds } from '#core/documents/registry';
import { capital, count, plural } from '#core/units/words';
import { useToast } from '../ui/Toast';
import { ApiError, request } from './api';
import type { SetAside } from '#core/documents/kept';

/**
 * What cannot be read, each with its reason: it can be written out, and taken away for good. Everything else
 * goes on without it.
 */
export function SetAsideNotice({ list, onGone }: { list: readonly SetAside[]; onGone: () => void }) {
  const [sure, setSure] = useState<string | null>(null);
  const say = useToast();
  if (list.length === 0) return null;
  const remove = async ({ kind, id, name }: SetAside) => {
    try {
      await request('DELETE', `/api/set-aside/${kind}/${encodeURIComponent(id)}`);
      say(`Deleted: ${name}.`);
      onGone();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      say(error.message);
    }
  };
  return (
    <Box
      component="section"
      aria-labelledby="set-aside"
      sx={{ border: 1, borderColor: 'warning.main', borderRadius: 1, p: 2, mb: 3 }}
    >
      <Typography variant="h3" component="h2" id="set-aside">
        {capital(count(list.length))} {plural(list.length, 'thing')} set aside
      </Typography>
      <Typography variant="body2" color="textSecondary">
        They cannot be read and are left out of every judgement. The rest is not touched by it.
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {list.map((one) => {
          const key = `${one.kind}/${one.id}`;
          return (
            <Box component="li" key={key} sx={{ borderTop: 1, borderColor: 'divider', py: 1, mt: 1 }}>
              <Typography sx={{ overflowWrap: 'anywhere' }}>
                {capital(documentKinds[one.kind].word)}: {one.name}
              </Typography>
              <Typography variant="body2" color="textSecondary" sx={{ overflowWrap: 'anywhere' }}>
                {one.why}
              </Typography>
              <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
                <Link
                  href={`/api/set-aside/${one.kind}/${encodeURIComponent(one.id)}`}
                  download={`${one.id}.json`}
                  aria-label={`Write out ${one.name}`}
                  sx={{ py: 1.5 }}
                >
                  Write it out
                </Link>
                {!one.newer && sure !== key && (
                  <Button onClick={() => setSure(key)} aria-label={`Delete ${one.name}`}>
                    Delete
                  </Button>
                )}
                {sure === key && (
                  <>
                    <Button color="error" sx={{ color: 'error.main' }} onClick={() => void remove(one)}>
                      Delete it for good
                    </Button>
                    <Button onClick={() => setSure(null)}>Leave it</Button>
                  </>
                )}
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
