import type { Advice, Docket } from '@hardy/core/plain';

/** A docket as the server shows it. */
export interface DocketView {
  id: string;
  number: number;
  version: number;
  state: 'open' | 'ordered' | 'closed';
  createdAt: string;
  updatedAt: string;
  closedAt: string | null;
  canUndo: boolean;
  canRedo: boolean;
  docket: Docket;
  advice: Advice;
}

/** A line of the docket list. */
export interface DocketLine {
  id: string;
  number: number;
  state: DocketView['state'];
  wheelEnd: string | null;
  vehicleName: string | null;
  fleetNumber: string | null;
  customerName: string | null;
  action: 'sell' | 'check' | 'no-part';
  headline: string;
  outcome: string | null;
  createdAt: string;
  updatedAt: string;
  closedAt: string | null;
}

export interface Figures {
  openedToday: number;
  closedToday: number;
  open: number;
  ordered: number;
  closed: { cured: number; cameBack: number; wrongPart: number; unused: number };
}

export interface Change {
  version: number;
  at: string;
  kind: 'create' | 'edit' | 'undo' | 'redo';
  label: string;
}
