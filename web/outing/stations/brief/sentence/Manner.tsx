import {
  techniqueAsks,
  techniques,
  tripChanges,
  tripTechniques,
  tripTypes,
  tripWords,
} from '#core/vocabulary/trips';
import { capital, listed } from '#core/units/words';
import { Blank } from '../Blank';
import { PickOne, PickSeveral } from '../editors';
import { useBrief } from './useBrief';

/** The kind of trip and how it is fished. */
export function Manner() {
  const { brief, set } = useBrief();
  return (
    <>
      {' '}
      <Blank asks="Kind of trip" mark="," text={tripWords[brief.trip]}>
        {(close) => (
          <PickOne
            label="Kind of trip"
            options={tripTypes.map((id) => ({ id, name: capital(tripWords[id]), more: tripChanges[id] }))}
            chosen={brief.trip}
            onPick={(picked) => {
              const trip = tripTypes.find((one) => one === picked) ?? brief.trip;
              set({ trip, techniques: [...tripTechniques[trip]] });
              close();
            }}
          />
        )}
      </Blank>{' '}
      <Blank asks="How you fish" mark="," text={listed(brief.techniques) || 'without tackle'}>
        {(close) => (
          <PickSeveral
            options={techniques.map((id) => ({ id, name: capital(id), more: techniqueAsks[id] }))}
            chosen={brief.techniques}
            most={techniques.length}
            onChange={(chosen) => set({ techniques: chosen })}
            onDone={close}
          />
        )}
      </Blank>{' '}
      <Blank asks="Seated or standing" mark="." text={brief.standing ? 'standing' : 'seated'}>
        {(close) => (
          <PickOne
            label="Seated or standing"
            options={[
              { id: 'seated', name: 'Seated' },
              { id: 'standing', name: 'Standing' },
            ]}
            chosen={brief.standing ? 'standing' : 'seated'}
            onPick={(picked) => {
              set({ standing: picked === 'standing' });
              close();
            }}
          />
        )}
      </Blank>
    </>
  );
}
