import { pieceNow } from "@/core/piece/make";
import { type Choice, type RestoreItem, type Standing } from "@/store/restore-items";
import { dayText } from "@/words/dates";
import { counted } from "@/words/names";

/** How parts of a backup stand beside what is here, as the head of their list. */
export const STANDINGS: Readonly<Record<Standing, string>> = {
  "newer-here": "Newer here",
  differs: "Different, not known which is newer",
  "newer-there": "Newer in the file",
  "deleted-here": "Deleted here",
  "only-there": "Only in the file",
  same: "The same",
};

/** What can be chosen, by how it stands. */
export function choiceText(choice: Choice, { kind, standing }: Pick<RestoreItem, "kind" | "standing">): string {
  if (choice === "both") return "Keep both";
  if (kind === "bench") return choice === "theirs" ? "Use the file's bench" : "Keep my bench";
  if (standing === "only-there") return choice === "theirs" ? "Add it" : "Leave it out";
  if (standing === "deleted-here") return choice === "theirs" ? "Bring it back" : "Leave it deleted";
  return choice === "theirs" ? "Use the file's" : "Keep mine";
}

/** What it is, in the list. */
export function restoreName(item: RestoreItem): string {
  if (item.kind === "bench") return item.there.name ? `My bench, ${item.there.name}` : "My bench";
  if (item.kind === "piece") return item.there.name;
  return `Make of ${pieceNow(item.there).name}, ${dayText(item.there.started)}`;
}

/** What of a make tells one from the other: steps and readings here, and in the file. */
export function restoreDetail(item: RestoreItem): string {
  if (item.kind !== "make" || item.here === null || item.standing === "same") return "";
  const told = ({ done, measured }: typeof item.there) => `${counted(done.length, "step")}, ${counted(measured.length, "reading")}`;
  return `here ${told(item.here)}; in the file ${told(item.there)}`;
}
