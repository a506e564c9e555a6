import { type MakeEdit } from "@/store/make-edits";
import { editNameText } from "@/words/screens/making";

/** What an edit of a making was, in a word, for who takes it back. */
export function editName({ put, drop, set }: MakeEdit): string {
  const lists = { ...drop, ...put };
  if (lists.measured && lists.remedies) return editNameText.theNewPart;
  if (lists.measured) return editNameText.aReading;
  if (lists.held) return editNameText.goingOnAllTheSame;
  if (lists.remedies) return editNameText.aRemedy;
  if (lists.taken) return editNameText.theNewPlan;
  if (lists.photos) return editNameText.aPicture;
  if (lists.done) return editNameText.aTick;
  return set && "finished" in set ? editNameText.finishingTheMake : editNameText.anEntry;
}
