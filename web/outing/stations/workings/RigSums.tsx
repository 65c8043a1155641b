import type { Rig } from '#core/documents/workings';
import type { BuiltRig } from '#core/tackle/builtRig';
import { amount, mass } from '#core/units/amount';
import { figure } from '#core/units/words';
import { Term } from '../../../ui/Term';
import { InPlace, Sum } from './parts';
import { RigNumber } from './RigNumber';
import { useTrial } from './trialContext';

/** What a rig comes to: the drag that its weakest part bears, the line on its spool, what its rod casts. */
export function RigSums({ built, set }: { built: BuiltRig; set: (change: Partial<Rig>) => void }) {
  const { looked } = useTrial();
  const { rig } = built;
  const run = Math.max(0, ...looked.targets.map((one) => one.runM));
  return (
    <>
      {built.weakest && built.dragKg !== null && (
        <Sum name={<Term id="drag" />} result={amount(built.dragKg, 'kg', 2)} thumb>
          {built.weakest.name}: {amount(built.weakest.strengthKg, 'kg', 2)} ×{' '}
          <RigNumber
            label={`Drag share of ${rig.name}`}
            value={rig.dragFraction}
            unit=""
            most={0.9}
            least={0.05}
            onChange={(dragFraction) => set({ dragFraction })}
          />
        </Sum>
      )}
      {built.spoolM !== null && built.reel && built.main && (
        <Sum
          name="on the spool"
          result={`${amount(built.spoolM, 'm', 0)}, of which ${amount(Math.max(0, built.spoolM - run), 'm', 0)} are left after a run of ${amount(run, 'm', 0)}`}
        >
          <InPlace
            label={`The spool of ${built.reel.name} holds`}
            value={built.reel.attributes.spoolM ?? 0}
            unit="m"
            change={(value) => ({ on: 'item', itemId: built.reel?.id ?? '', field: 'spoolM', value })}
          />{' '}
          × ({amount(built.reel.attributes.spoolMm ?? 0, 'mm', 2)} ÷{' '}
          <InPlace
            label={`Diameter of ${built.main.name}`}
            value={built.main.attributes.diameterMm ?? 0}
            unit="mm"
            change={(value) => ({ on: 'item', itemId: built.main?.id ?? '', field: 'diameterMm', value })}
          />
          )²
        </Sum>
      )}
      {built.rod?.attributes.castMinG !== undefined && built.lureG !== null && (
        <Sum
          name={<Term id="castingWindow">the rod casts</Term>}
          result={`${figure(built.rod.attributes.castMinG, 0)} to ${amount(built.rod.attributes.castMaxG ?? 0, 'g', 0)}; ${mass(built.lureG / 1000)} is tied on`}
        />
      )}
    </>
  );
}
