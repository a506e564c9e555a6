"use client";

import { type LossKind, benchOf } from "@/core/piece/bench";
import { LOSS_NAMES } from "@/words/ledger";
import { ownMethodText } from "@/words/ui";
import { ChoiceField } from "./ChoiceField";
import { useSession, useSessionState } from "./session";
import { useTrayState } from "./tray";

/** Which of the maker's own losses of a kind counts, where the bench has them by more methods than one. */
export function OwnMethod({ kind }: { readonly kind: LossKind }) {
  const session = useSession();
  const piece = useSessionState((state) => state.piece);
  const mine = useTrayState((state) => state.bench);
  const own = (benchOf(piece, mine).allowances ?? []).filter((each) => each.kind === kind).map(({ method }) => method);
  const asked = piece.methods?.[kind];
  const methods = [...new Set([...own, ...(asked === undefined ? [] : [asked])])];
  if (methods.length < 2) return null;
  return (
    <ChoiceField
      label={ownMethodText.yourOwnBy}
      hint={LOSS_NAMES[kind]}
      value={asked ?? own[0]!}
      options={methods.map((value) => ({ value, text: value === "" ? ownMethodText.noMethodSaid : value }))}
      lights="losses"
      onChoose={(method) => session.change((each) => void (each.methods = { ...each.methods, [kind]: method }))}
    />
  );
}
