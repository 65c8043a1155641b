import type { Rig } from '#core/documents/workings';
import type { BuiltRig } from '#core/tackle/builtRig';
import { figure, mass } from '#core/units/words';
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
        <Sum name={<Term id="drag" />} result={`${figure(built.dragKg, 2)} kg`} thumb>
          {built.weakest.name}: {figure(built.weakest.strengthKg, 2)} kg ×{' '}
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
          result={`${figure(built.spoolM, 0)} m, of which ${figure(Math.max(0, built.spoolM - run), 0)} m are left after a run of ${figure(run, 0)} m`}
        >
          <InPlace
            label={`The spool of ${built.reel.name} holds`}
            value={built.reel.attributes.spoolM ?? 0}
            unit="m"
            change={(value) => ({ on: 'item', itemId: built.reel?.id ?? '', field: 'spoolM', value })}
          />{' '}
          × ({figure(built.reel.attributes.spoolMm ?? 0, 2)} mm ÷{' '}
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
          result={`${figure(built.rod.attributes.castMinG, 0)} to ${figure(built.rod.attributes.castMaxG ?? 0, 0)} g; ${mass(built.lureG / 1000)} is tied on`}
        />
      )}
    </>
  );
}
