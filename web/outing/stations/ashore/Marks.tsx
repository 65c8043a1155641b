import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { type Log, type Mark, marks, withMark } from '#core/documents/log';
import { NumberField } from '../../../ui/NumberField';
import { useOutingWorkspace } from '../../outingWorkspace';

/** One press for each thing that was aboard. */
export function Marks({ log, onChange }: { log: Log; onChange: (log: Log) => void }) {
  const { looked } = useOutingWorkspace();
  const of = (itemId: string) => log.items.find((one) => one.itemId === itemId) ?? null;
  const open = looked.aboard.filter(({ item }) => of(item.id) === null);
  return (
    <Box component="section" aria-label="What was aboard">
      <Box
        sx={{
          display: 'flex',
          alignItems: 'baseline',
          justifyContent: 'space-between',
          flexWrap: 'wrap',
          gap: 1,
        }}
      >
        <Typography variant="h2">What was aboard</Typography>
        {open.length > 0 && (
          <Button
            onClick={() => onChange(open.reduce((next, { item }) => withMark(next, item.id, 'carried'), log))}
          >
            The other {open.length}: carried, not used
          </Button>
        )}
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {looked.aboard.map(({ item, entry }) => {
          const said = of(item.id);
          return (
            <Box
              component="li"
              key={item.id}
              sx={{
                display: 'flex',
                flexWrap: 'wrap',
                alignItems: 'center',
                columnGap: 2,
                borderTop: 1,
                borderColor: 'divider',
                py: 0.5,
              }}
            >
              <Box sx={{ flex: '1 1 220px' }}>
                {item.name}
                {entry.quantity > 1 && (
                  <Box component="span" sx={{ color: 'text.secondary' }}>
                    {' '}
                    × {entry.quantity}
                  </Box>
                )}
              </Box>
              {said?.mark === 'lost' && (
                <Box sx={{ width: 110 }}>
                  <NumberField
                    label={`Pieces of ${item.name} lost`}
                    unit="lost"
                    inTable
                    value={said.lost}
                    error={undefined}
                    onChange={(lost) => {
                      if (lost !== null && Number.isInteger(lost) && lost >= 0 && lost <= 500)
                        onChange(withMark(log, item.id, 'lost', lost));
                    }}
                  />
                </Box>
              )}
              <ToggleButtonGroup
                exclusive
                size="small"
                aria-label={item.name}
                value={said?.mark ?? null}
                onChange={(_, mark: Mark | null) => onChange(withMark(log, item.id, mark))}
              >
                {marks.map((mark) => (
                  <ToggleButton
                    key={mark}
                    value={mark}
                    sx={{ minHeight: 44, px: 1.5, textTransform: 'none' }}
                  >
                    {mark}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
