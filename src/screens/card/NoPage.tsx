import { type PieceRecord } from "@/store/repository";
import { cardsScreenText } from "@/words/screens/card";

/** What every print is of. */
export interface PrintProps {
  readonly records: readonly PieceRecord[];
}

/** In place of a page that cannot be printed, or not yet. */
export function NoPage({ name, isRefused }: { readonly name: string; readonly isRefused: boolean }) {
  return isRefused ? (
    <p className="p-4 text-bad print:hidden">{cardsScreenText.cannotBePlannedOpenIt(name)}</p>
  ) : (
    <p className="p-4 text-soft">{cardsScreenText.workingOut(name)}</p>
  );
}
