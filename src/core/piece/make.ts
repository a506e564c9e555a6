import { type Level } from "../measure/finding";
import { type Extents, type HowRead } from "../mount/closed-length";
import { type Piece } from "./piece";

/** A step that is done, and when; empty where that is not known. */
export interface DoneStep {
  readonly step: string;
  readonly at: string;
}

/** A figure as it was read, in its own unit, and by what. */
export interface Measured {
  readonly figure: string;
  readonly value: number;
  readonly at: string;
  readonly by: "typed" | "caliper" | "mandrel" | "scale";
  readonly method?: string;
  /** How a closed length was read, and its two outside sizes. */
  readonly how?: HowRead;
  readonly extents?: Extents;
  /** From a stand-in: shown, and never counted. */
  readonly madeUp?: boolean;
  /** What it was before corrections, the oldest first. */
  readonly was?: readonly WasMeasured[];
  /** The part that was made anew after it: it is that old part's, and nothing follows it any more. */
  readonly scrapped?: string;
}

/** What a reading was before it was corrected, and when that was; of how it was read only what changed with it. */
export type WasMeasured = Pick<Measured, "value" | "at"> & Partial<Pick<Measured, "method" | "extents" | "madeUp">>;

/** What a piece weighs is read as this figure, in g; all else that is read is a length in mm. */
export const MASS_FIGURE = "piece.mass";

/** Readings of what is in hand: those of parts that were made anew since are of the old ones. */
export function inUse<R extends { readonly scrapped?: string }>(measured: readonly R[]): readonly R[] {
  return measured.some(({ scrapped }) => scrapped !== undefined) ? measured.filter(({ scrapped }) => scrapped === undefined) : measured;
}

/** A reading that meant "start again", and was gone on with all the same. */
export interface HeldReading {
  readonly step: string;
  readonly figure: string;
  readonly value: number;
  readonly at: string;
}

/** One making of one piece, with its own copy of the piece file, so that later edits do not rewrite it. Times are ISO. */
export interface Make {
  readonly format: "hoop-ledger/make";
  readonly version: 3;
  readonly id: string;
  readonly piece: string;
  readonly pieceFile: Piece;
  readonly started: string;
  readonly finished: string | null;
  readonly done: readonly DoneStep[];
  readonly measured: readonly Measured[];
  readonly remedies: readonly { readonly code: string; readonly figure: string; readonly at: string; readonly level?: Level }[];
  readonly held?: readonly HeldReading[];
  readonly result?: Result & { readonly was?: readonly WasResult[] };
  /** `jpeg` in base64. */
  readonly photos?: readonly { readonly name: string; readonly at: string; readonly jpeg: string }[];
  readonly notes: string;
  /** What notes and dates were before corrections, the oldest first. */
  readonly notesWas?: readonly WasNotes[];
  readonly datesWas?: readonly WasDates[];
  /** Pieces taken in its place since, as they were edited meanwhile: what is done from then on is done to the newest. */
  readonly taken?: readonly TakenPiece[];
  /** When the edited piece was last changed that was looked at and not taken. */
  readonly asBegun?: string;
}

/** What came of a making, as its maker wrote it down. */
export interface Result {
  readonly size?: string;
  readonly minutes?: number;
  readonly words?: string;
}

/** What was there until a correction at a time: only what it changed, null where there was nothing. */
export type WasResult = { readonly [K in keyof Result]: Result[K] | null } & { readonly at: string };
export interface WasNotes {
  readonly value: string;
  readonly at: string;
}
export interface WasDates {
  readonly started?: string;
  readonly finished?: string | null;
  readonly at: string;
}

export interface TakenPiece {
  readonly at: string;
  readonly pieceFile: Piece;
}

/** The piece that a making goes by now. */
export function pieceNow({ pieceFile, taken = [] }: Pick<Make, "pieceFile" | "taken">): Piece {
  return taken.at(-1)?.pieceFile ?? pieceFile;
}

/** A making as it stood at a time: the piece that was gone by, and what had been read before. */
export function asOf({ pieceFile, taken = [], measured }: Pick<Make, "pieceFile" | "taken" | "measured">, at: string) {
  return {
    piece: pieceNow({ pieceFile, taken: taken.filter((each) => each.at <= at) }),
    measured: measured.filter((each) => each.at < at),
  };
}

/** Whether it is still being worked on. */
export function isUnderWay({ finished }: Pick<Make, "finished">): boolean {
  return finished === null;
}
