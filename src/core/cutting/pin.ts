import { type Form } from "./match";

/** Where the maker wants a blank to be cut; all else is laid round it. */
export interface Pin {
  /** Its `blankId`. */
  readonly blank: string;
  /** The id of what lies in the drawer, or the form that is bought; and which of so many alike. */
  readonly from: string | Form;
  readonly item: number;
  /** On a sheet: where the blank's origin lies, from the sheet's corner in mm, and degrees anticlockwise that it is turned by. */
  readonly at: PinnedAt | null;
}

export interface PinnedAt {
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}
