import {
  COLD_SHOCK_BELOW_C,
  DRYSUIT_BELOW_C,
  GASPING_MIN,
  HANDS_SERVE_MIN,
  WETSUIT_BELOW_C,
} from '#core/environment/immersion';
import { amount, distance, amountOnly } from '#core/units/amount';
import { duration } from '#core/units/words';
import { Answer, Nothing, Sheet, Sum } from './parts';
import { useTrial } from './trialContext';

/** The water against the time to a landing; the air as it feels. */
export function ColdSheet() {
  const { e } = useTrial();
  if (!e.immersion || e.waterC === null)
    return (
      <Nothing>Write the water temperature in the brief. What it asks of clothing follows from it.</Nothing>
    );
  const { exhaustionMin, survivalMin } = e.immersion;
  const [least, most] = survivalMin;
  const asks =
    e.waterC < DRYSUIT_BELOW_C
      ? 'a drysuit or its equal'
      : e.waterC < WETSUIT_BELOW_C
        ? `a wetsuit or better, alone or over ${distance(500)} out`
        : 'nothing but what keeps sun and wind off';
  return (
    <Sheet title="Cold and heat" facts={`water ${amount(e.waterC, '°C')}, class ${e.immersion.class}`}>
      {e.waterC < COLD_SHOCK_BELOW_C && (
        <>
          <Sum
            name="the gasping, in which one holds on and breathes"
            result={`${GASPING_MIN[0]} to ${duration(GASPING_MIN[1])}`}
          />
          <Sum name="hands and arms serve, as widely taught" result={`some ${duration(HANDS_SERVE_MIN)}`} />
        </>
      )}
      <Sum
        name="to exhaustion, published range"
        result={`${duration(exhaustionMin[0])} to ${duration(exhaustionMin[1])}`}
      />
      <Sum
        name="survival, published range"
        result={most === null ? `${duration(least)} and more` : `${duration(least)} to ${duration(most)}`}
      />
      <Sum
        name="to the nearest landing, under your own power"
        result={e.minutesToLanding === null ? 'not to be reached' : duration(e.minutesToLanding)}
      />
      <Answer
        of="it asks for"
        value={asks}
        limit="dress for the water, not the air; ranges, never a promise"
        level={null}
      />
      {e.feelsMinC !== null && e.feelsMaxC !== null && (
        <Sum
          name="the air feels like"
          result={`${amountOnly(e.feelsMinC, '°C')} to ${amount(e.feelsMaxC, '°C')}`}
        >
          wind chill and heat index over the hours afloat
        </Sum>
      )}
    </Sheet>
  );
}
