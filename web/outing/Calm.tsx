import { type ReactNode, useState } from 'react';
import { OutingWorkspaceContext, useOutingWorkspace } from './outingWorkspace';

/** While a handle is dragged, its children see the outing as it was when the handle was taken hold of. */
export function Calm({ children }: { children: ReactNode }) {
  const desk = useOutingWorkspace();
  const [still, setStill] = useState(desk);
  if (!desk.dragging && still !== desk) setStill(desk);
  return <OutingWorkspaceContext value={desk.dragging ? still : desk}>{children}</OutingWorkspaceContext>;
}
