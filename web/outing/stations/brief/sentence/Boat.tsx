import { setUpOf } from '#core/boat/build';
import type { Craft } from '#core/documents/craft';
import { amount } from '#core/units/amount';
import { withSetUpApplied } from '#core/editing/stow';
import { useOutingWorkspace } from '../../../outingWorkspace';
import { Blank } from '../Blank';
import { PickOne } from '../editors';
import { Empty } from './Empty';
import { useBrief } from './useBrief';

/** How the boat is set up, as it stands in the sentence. */
const setUpWords = (craft: Craft) =>
  setUpOf(craft).name.replace(/^\p{Lu}(?=\p{Ll})/u, (letter) => letter.toLowerCase());

export function Boat() {
  const { brief, looked, references, set } = useBrief();
  const { edit } = useOutingWorkspace();
  const setUps = looked.craft?.setUps ?? [];
  return (
    <>
      {' in '}
      <Blank asks="Boat" mark={setUps.length > 1 ? ',' : ':'} text={looked.craft?.name ?? ''}>
        {(close) =>
          references.craft.length === 0 ? (
            <Empty to="/boats" text="No boat is kept yet. Add one." />
          ) : (
            <PickOne
              label="Boat"
              options={references.craft.map((one) => ({
                id: one.id,
                name: one.name,
                more: `${one.drive}, ${one.hull}, ${amount(one.lengthM, 'm', 2)}`,
              }))}
              chosen={brief.craftId}
              onPick={(craftId) => {
                set({ craftId, setUpId: null });
                close();
              }}
            />
          )
        }
      </Blank>
      {looked.craft && setUps.length > 1 && (
        <>
          {' '}
          <Blank asks="Set-up" mark=":" text={setUpWords(looked.craft)}>
            {(close) => (
              <PickOne
                label="Set-up"
                options={setUps.map(({ id, name, seat }) => ({ id, name, more: `seat ${seat}` }))}
                chosen={looked.craft?.setUpId ?? null}
                onPick={(setUpId) => {
                  const setUp = setUps.find(({ id }) => id === setUpId);
                  if (setUp) edit((outing) => withSetUpApplied(outing, setUp));
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
