import { type ReactNode, useState } from 'react';
import { DeskContext, useDesk } from './desk';

/** While a handle is dragged, its children see the desk as it was when the handle was taken hold of. */
export function Calm({ children }: { children: ReactNode }) {
  const desk = useDesk();
  const [still, setStill] = useState(desk);
  if (!desk.dragging && still !== desk) setStill(desk);
  return <DeskContext value={desk.dragging ? still : desk}>{children}</DeskContext>;
}
