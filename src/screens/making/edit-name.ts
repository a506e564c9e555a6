import { type MakeEdit } from "@/store/make-edits";

/** What an edit of a making was, in a word, for who takes it back. */
export function editName({ put, drop, set }: MakeEdit): string {
  const lists = { ...drop, ...put };
  if (lists.measured && lists.remedies) return "the new part";
  if (lists.measured) return "a reading";
  if (lists.held) return "going on all the same";
  if (lists.remedies) return "a remedy";
  if (lists.taken) return "the new plan";
  if (lists.photos) return "a picture";
  if (lists.done) return "a tick";
  return set && "finished" in set ? "finishing the make" : "an entry";
}
