import { temporal } from "zundo";
import { createStore } from "zustand/vanilla";
import { type Piece } from "@/core/piece/piece";
import { type Drafts, type Repository, type PieceRecord, type Trouble } from "./repository";

/** How the piece is kept right now. */
export type Keeping =
  | { readonly state: "kept"; readonly at: string }
  | { readonly state: "writing" }
  | { readonly state: "memory" }
  | { readonly state: "trouble"; readonly trouble: Trouble }
  /** What is here could not be read back: it is not kept until that is put right. */
  | { readonly state: "refused"; readonly problem: string }
  | { readonly state: "elsewhere"; readonly newer: PieceRecord }
  /** Another window deleted it; `newer` is how it is kept, null once it is gone for good. */
  | { readonly state: "deleted"; readonly newer: PieceRecord | null };

export interface SessionState {
  readonly piece: Piece;
  readonly drafts: Drafts;
  readonly unmeasured: readonly string[];
  readonly keeping: Keeping;
  /** Why what is being dragged cannot lie where it was dragged to; null while it can. */
  readonly refused: string | null;
  /** Whether something of a drawing is being dragged. */
  readonly isHeld: boolean;
}

const MOST_UNDO = 200;

export type SessionStore = ReturnType<typeof sessionStore>;

/** A piece as it is worked on, with its undo. */
export function sessionStore(record: PieceRecord, repository: Repository) {
  return createStore<SessionState>()(
    temporal(
      (): SessionState => ({
        piece: record.piece,
        drafts: record.drafts,
        unmeasured: record.unmeasured,
        keeping: repository.kind === "memory" ? { state: "memory" } : { state: "kept", at: record.changed },
        refused: null,
        isHeld: false,
      }),
      {
        partialize: ({ piece, unmeasured }) => ({ piece, unmeasured }),
        equality: (a, b) => a.piece === b.piece && a.unmeasured === b.unmeasured,
        limit: MOST_UNDO,
      },
    ),
  );
}
