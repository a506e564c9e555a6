import { type Piece } from "./piece";

/** One making of one piece, with its own copy of the piece file, so that later edits do not rewrite it. Times are ISO. */
export interface Make {
  readonly format: "hoop-ledger/make";
  readonly version: 1;
  readonly id: string;
  readonly piece: string;
  readonly pieceFile: Piece;
  readonly started: string;
  readonly finished: string | null;
  readonly done: readonly string[];
  readonly measured: readonly { readonly figure: string; readonly value: number; readonly at: string }[];
  readonly notes: string;
}
