import { allSpecies, isMetOn } from '#core/catalog/species/speciesOf';
import { capital, count, listed } from '#core/units/words';
import { Blank } from '../Blank';
import { PickSeveral } from '../editors';
import { CountBlank } from './CountBlank';
import { useBrief } from './useBrief';

/** What is fished for, and how many are kept. */
export function Catch() {
  const { brief, looked, references, set } = useBrief();
  // What is met on such a water stands first; the rest says so.
  const [here, elsewhere] = [true, false].map((met) =>
    allSpecies(references.species)
      .filter((one) => isMetOn(one, looked.water) === met)
      .map(({ id, name }) => ({
        id,
        name: capital(name),
        ...(met ? {} : { more: 'not usual on such a water' }),
      })),
  );
  return (
    <>
      {'For '}
      <Blank asks="Which fish" mark="," text={listed(looked.targets.map((one) => one.name))}>
        {(close) => (
          <PickSeveral
            options={[...(here ?? []), ...(elsewhere ?? [])]}
            chosen={brief.targets}
            most={6}
            onChange={(targets) => set({ targets })}
            onDone={close}
          />
        )}
      </Blank>
      {' keeping '}
      <CountBlank
        asks="Fish kept"
        text={count(brief.keep)}
        value={brief.keep}
        min={0}
        max={50}
        onChange={(keep) => set({ keep })}
      />
    </>
  );
}
