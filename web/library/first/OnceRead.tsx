import type { ReactNode } from 'react';
import type { References } from '#core/documents/references';
import { Loaded } from '../../documents/Loaded';
import { useReferences } from '../../documents/queries';

/** A form in the units of whose house it is; and not before that is known. */
export function OnceRead({ children }: { children: (references: References) => ReactNode }) {
  const { references, error } = useReferences();
  return (
    <Loaded data={references} error={error}>
      {children}
    </Loaded>
  );
}
