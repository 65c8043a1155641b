import { createContext, use } from 'react';
import type { Assessment } from '#core/judgement/assess';
import type { Repair } from '#core/editing/repair';
import type { Outing } from '#core/documents/outing';
import type { OutingInView, References } from '#core/documents/references';
import type { Answers } from '#core/walkround/answers';
import type { Change } from '#core/signing/change';
import type { DocumentEditor, EditorState } from '../documents/DocumentEditor';
import type { CarriedState } from '../offline/useCarried';
import type { WalkRecord } from './queries';

/** Everything the stations of one outing share. */
export interface OutingWorkspace {
  doc: Outing;
  edit: DocumentEditor<Outing>['edit'];
  editor: DocumentEditor<Outing>;
  state: EditorState<Outing>;
  references: References;
  looked: OutingInView;
  assessment: Assessment;
  answers: Answers;
  walk: WalkRecord;
  /** What changed since the signature; null: not signed. */
  changes: readonly Change[] | null;
  repair: (repair: Repair) => void;
  /** While a handle is held, repairs are not worked out. */
  dragging: boolean;
  setDragging: (on: boolean) => void;
  now: number;
  /** The outing on this device. */
  device: CarriedState;
  sideColumn: SideColumn;
}

/** The column at the right, which a station may fill with a list of its own in place of the margin. */
export interface SideColumn {
  /** Where a station's own list goes; null: there is no room for a column. */
  place: HTMLElement | null;
  setPlace: (place: HTMLElement | null) => void;
  shown: 'things' | 'margin';
  show: (what: 'things' | 'margin') => void;
}

export const OutingWorkspaceContext = createContext<OutingWorkspace | null>(null);

/** The outing that is open. Only inside an outing's screen. */
export function useOutingWorkspace(): OutingWorkspace {
  const desk = use(OutingWorkspaceContext);
  if (!desk) throw new Error('No outing is open here.');
  return desk;
}
