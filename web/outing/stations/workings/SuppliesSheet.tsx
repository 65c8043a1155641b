import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { sharedAboard } from '#core/needs/company';
import { supplies } from '#core/provisions/supplies';
import { KJ_PER_HOUR } from '#core/provisions/food';
import { LITRES_PER_HOUR } from '#core/provisions/water';
import { efforts } from '#core/vocabulary/efforts';
import { amount } from '#core/units/amount';
import { count, figure } from '#core/units/words';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Answer, InPlace, Nothing, Pick, Sheet, Sum } from './parts';
import { useTrial } from './trialContext';
import { type FindingLevel } from '#core/vocabulary/levels';

/** Water and food, wanted and aboard; over nights a plan of meals. */
export function SuppliesSheet() {
  const { looked, e, outing, attempt } = useTrial();
  const { assessment } = useOutingWorkspace();
  if (e.hoursAfloat === null)
    return <Nothing>Say in the brief from when to when. Water and food follow the hours.</Nothing>;
  const { hours, feelsC, water, food } = supplies(looked, e);
  const nameOf = (id: string | null) => outing.company.find((one) => one.id === id)?.name ?? 'you';
  const people = ['you', ...outing.company.map((one) => one.name)];
  const over = Math.max(0, feelsC - 20);
  const base = LITRES_PER_HOUR[outing.workings.effort];
  return (
    <Sheet
      title="Water and food"
      facts={
        <>
          for one person, {figure(hours)} h, air that feels like {amount(feelsC, '°C')}, effort{' '}
          <Pick
            label="Effort"
            value={outing.workings.effort}
            options={efforts.map((value) => ({ value, name: value }))}
            onPick={(value) => attempt({ on: 'workings', field: 'effort', value })}
          />
        </>
      }
    >
      <Sum
        name={water.fishingH > 0 ? 'an hour under way' : 'an hour'}
        result={amount(water.litresPerHour, 'L', 2)}
        thumb={e.workings.litresPerHour === null}
      >
        {e.workings.litresPerHour === null ? (
          <>
            {figure(base, 2)} +{' '}
            <InPlace
              label="Litres more for each degree over 20"
              value={outing.workings.litresPerDegree}
              unit="L"
              decimals={3}
              change={(value) => ({ on: 'workings', field: 'litresPerDegree', value })}
            />{' '}
            × {amount(over, '°C')} over 20, at most 1.2; or your own count:{' '}
          </>
        ) : (
          'by your own count: '
        )}
        <InPlace
          label="Litres an hour"
          value={water.litresPerHour}
          unit="L"
          change={(value) => ({ on: 'workings', field: 'litresPerHour', value })}
        />
      </Sum>
      <Sum name="water" result={amount(water.litres, 'L')}>
        {water.fishingH > 0 && water.fishingLitresPerHour !== water.litresPerHour ? (
          <>
            ({amount(water.litresPerHour, 'L', 2)} × {figure(water.underWayH)} h under way +{' '}
            {amount(water.fishingLitresPerHour, 'L', 2)} × {figure(water.fishingH)} h fishing, at an easy
            effort)
          </>
        ) : (
          <>
            {amount(water.litresPerHour, 'L', 2)} × {figure(hours)} h
          </>
        )}{' '}
        ×{' '}
        <InPlace
          label="Water multiplied by, to have some in hand"
          value={outing.workings.waterInHand}
          unit="in hand"
          change={(value) => ({ on: 'workings', field: 'waterInHand', value })}
        />
      </Sum>
      <Box sx={{ my: 1.5 }}>
        <Answer
          of="to drink"
          value={amount(water.litres, 'L')}
          limit={`aboard: ${amount(water.carriedL, 'L')}; a frozen bottle counts half as water, half as ice`}
          level={waterLevel(water.carriedL + 0.05, water.litres, outing.workings.waterInHand)}
        />
      </Box>
      <Sum name="food" result={`${figure(food.kj / 1000)} MJ`} thumb>
        <InPlace
          label="Share eaten of what an hour costs"
          value={outing.workings.shareEaten}
          unit="eaten"
          change={(value) => ({ on: 'workings', field: 'shareEaten', value })}
        />{' '}
        ×{' '}
        <InPlace
          label="Energy an hour costs"
          value={e.workings.kjPerHour ?? KJ_PER_HOUR[outing.workings.effort]}
          unit="kJ"
          decimals={0}
          change={(value) => ({ on: 'workings', field: 'kjPerHour', value })}
        />{' '}
        ({e.workings.kjPerHour === null ? `${outing.workings.effort} effort` : 'your own count'}) ×{' '}
        {figure(hours)} h
        {e.nights > 0 && (
          <>
            {' '}
            +{' '}
            <InPlace
              label="Food for a day in camp"
              value={outing.workings.kjPerCampDay}
              unit="kJ"
              decimals={0}
              change={(value) => ({ on: 'workings', field: 'kjPerCampDay', value })}
            />{' '}
            × {count(e.nights)} {e.nights === 1 ? 'night' : 'nights'}
          </>
        )}
      </Sum>
      <Box sx={{ my: 1.5 }}>
        <Answer
          of="to eat"
          value={`${figure(food.kj / 1000)} MJ`}
          limit={`aboard: ${figure(food.carriedKj / 1000)} MJ`}
          level={food.carriedKj + 50 >= food.kj ? null : 'mind'}
        />
      </Box>
      {e.nights > 0 && (
        <>
          <Typography variant="h3" sx={{ mt: 2 }}>
            Meals in camp
          </Typography>
          <Box
            component="table"
            sx={{
              borderCollapse: 'collapse',
              '& td, & th': { textAlign: 'left', pr: 3, py: 0.5, borderBottom: 1, borderColor: 'divider' },
            }}
          >
            <thead>
              <tr>
                <th scope="col">Meal</th>
                <th scope="col">For</th>
                <th scope="col">Carried and cooked by, in turn</th>
              </tr>
            </thead>
            <tbody>
              {Array.from({ length: food.campMeals }, (_, i) => (
                <tr key={i}>
                  <td>{i % 2 === 0 ? `Supper, night ${i / 2 + 1}` : `Breakfast, day ${(i + 1) / 2 + 1}`}</td>
                  <td>
                    {e.party} × {figure(food.kj / 1000 / Math.max(1, food.campMeals + 1))} MJ
                  </td>
                  <td>{people[i % people.length]}</td>
                </tr>
              ))}
            </tbody>
          </Box>
          {outing.company.length > 0 && (
            <Typography variant="body2" sx={{ mt: 1.5, maxWidth: 560 }}>
              Shared, each in one boat:{' '}
              {sharedAboard(looked.aboard, assessment.needs)
                .map(({ item, entry }) => `${item.name} with ${nameOf(entry.carriedBy)}`)
                .join('; ')}
              . Change it under Kit.
            </Typography>
          )}
        </>
      )}
    </Sheet>
  );
}

/** What is short of the reserve alone is a Note, as the margin has it. */
function waterLevel(carriedL: number, wantedL: number, inHand: number): FindingLevel | null {
  if (carriedL >= wantedL) return null;
  return carriedL >= wantedL / inHand ? 'note' : 'mind';
}
