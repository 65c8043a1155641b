import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { spareLines } from '#core/tackle/tackleSheet';
import { figure } from '#core/units/words';
import { LevelMark } from '../../../ui/LevelMark';
import { TallyStrokes } from '../../../ui/TallyStrokes';
import { InPlace, Nothing, Sheet, Sum } from './parts';
import { useTrial } from './trialContext';
import { Term } from '../../../ui/Term';

/** How many of each kind to carry against what is likely lost. */
export function SparesSheet() {
  const { looked, e, outing } = useTrial();
  const lines = spareLines(looked, e, outing.brief, outing.workings);
  if (lines.length === 0) return <Nothing>No lures or hooks are aboard. Put them in under Kit.</Nothing>;
  return (
    <Sheet
      title="Spares"
      facts={
        <>
          so many that they last with <Term id="spareCover">a likelihood</Term> of{' '}
          <InPlace
            label="Likelihood that they last"
            value={outing.workings.sparesConfidence}
            unit=""
            change={(value) => ({ on: 'workings', field: 'sparesConfidence', value })}
          />
        </>
      }
    >
      {lines.map((line) => {
        const few = line.have !== null && line.have < line.carry;
        return (
          <Box key={line.item.id} sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}>
            <Typography sx={{ fontWeight: 700, display: 'flex', gap: 1, alignItems: 'center' }}>
              {few && <LevelMark level="mind" size={15} />}
              {line.item.name}
            </Typography>
            <Sum name="lost, likely" result={figure(line.expected)} thumb={!line.own}>
              <InPlace
                label={`Lost of ${line.item.name} an hour`}
                value={line.perHour}
                unit="an hour"
                change={(value) => ({ on: 'item', itemId: line.item.id, field: 'lossPerHour', value })}
              />{' '}
              × {figure(line.hours)} h
            </Sum>
            <Sum
              name="carry"
              result={`${line.carry}, which lasts ${figure(line.covered * 100)} days in a hundred`}
            />
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
              <span>
                aboard:{' '}
                <InPlace
                  label={`Pieces in ${line.item.name}`}
                  value={line.have ?? 0}
                  unit={line.have === null ? '(not counted yet)' : ''}
                  change={(value) => ({ on: 'item', itemId: line.item.id, field: 'pieces', value })}
                />
              </span>
              {line.have !== null && line.carry > 0 && (
                <TallyStrokes counted={Math.min(line.have, line.carry)} of={Math.min(line.carry, 30)} />
              )}
            </Box>
          </Box>
        );
      })}
    </Sheet>
  );
}
