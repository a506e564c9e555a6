import { pieceNow } from "@/core/piece/make";
import { type Choice, type RestoreItem, type Standing } from "@/store/restore-items";
import { dayText } from "@/words/dates";
import { counted } from "@/words/names";
import { commonText } from "@/words/common";
import { restoreWordsText } from "@/words/ui";

/** How parts of a backup stand beside what is here, as the head of their list. */
export const STANDINGS: Readonly<Record<Standing, string>> = {
  "newer-here": restoreWordsText.newerHere,
  differs: restoreWordsText.differentNotKnownWhichIs,
  "newer-there": restoreWordsText.newerInTheFile,
  "deleted-here": restoreWordsText.deletedHere,
  "only-there": restoreWordsText.onlyInTheFile,
  same: restoreWordsText.theSame,
};

/** What can be chosen, by how it stands. */
export function choiceText(choice: Choice, { kind, standing }: Pick<RestoreItem, "kind" | "standing">): string {
  if (choice === "both") return restoreWordsText.keepBoth;
  if (kind === "bench") return choice === "theirs" ? restoreWordsText.useTheFilesBench : restoreWordsText.keepMyBench;
  if (standing === "only-there") return choice === "theirs" ? restoreWordsText.addIt : restoreWordsText.leaveItOut;
  if (standing === "deleted-here") return choice === "theirs" ? restoreWordsText.bringItBack : restoreWordsText.leaveItDeleted;
  return choice === "theirs" ? restoreWordsText.useTheFiles : restoreWordsText.keepMine;
}

/** What it is, in the list. */
export function restoreName(item: RestoreItem): string {
  if (item.kind === "bench") return item.there.name ? restoreWordsText.myBench(item.there.name) : commonText.myBench;
  if (item.kind === "piece") return item.there.name;
  if (item.kind === "try") return restoreWordsText.tryOn(item.there.pieceFile.name, dayText(item.there.at));
  return restoreWordsText.makeOf(pieceNow(item.there).name, dayText(item.there.started));
}

/** What of a make tells one from the other: steps and readings here, and in the file. */
export function restoreDetail(item: RestoreItem): string {
  if (item.kind !== "make" || item.here === null || item.standing === "same") return "";
  const told = ({ done, measured }: typeof item.there) => `${counted(done.length, "step")}, ${counted(measured.length, "reading")}`;
  return restoreWordsText.hereInTheFile(told(item.here), told(item.there));
}
