import { capital, count } from '#core/units/words';
import { Blank } from '../Blank';
import { PickOne } from '../editors';
import { CountBlank } from './CountBlank';
import { useBrief } from './useBrief';

/** How many, and where they land. */
export function Company() {
  const { brief, looked, set } = useBrief();
  const { water } = looked;
  return (
    <>
      {' '}
      <CountBlank
        asks="Party"
        label="People, you included"
        text={brief.party === 1 ? 'alone' : `${count(brief.party)} together`}
        value={brief.party}
        min={1}
        max={12}
        onChange={(party) => set({ party })}
      />
      {water && water.launches.length > 1 && (
        <>
          {' landing at '}
          <Blank asks="Landing" mark="," text={looked.landing?.name ?? ''}>
            {(close) => (
              <PickOne
                label="Landing"
                options={water.launches.map(({ id, name }) => ({ id, name: capital(name) }))}
                chosen={looked.landing?.id ?? null}
                onPick={(picked) => {
                  set({ landingId: picked === brief.launchId ? null : picked });
                  close();
                }}
              />
            )}
          </Blank>
        </>
      )}
    </>
  );
}
