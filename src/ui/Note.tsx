import { type Level } from "@/core/measure/finding";
import { type Doubt } from "@/core/piece/doubt";
import { DOUBTS } from "@/words/doubt";
import { type Said } from "@/words/findings";
import { noteText } from "@/words/ui";

const LOOK: Readonly<Record<Level, { readonly box: string; readonly mark: string; readonly word: string }>> = {
  error: { box: "bg-bad-wash text-melt", mark: "◆", word: noteText.wrong },
  warning: { box: "bg-warn-wash text-umber", mark: "◆", word: noteText.takeCare },
  note: { box: "bg-accent-wash text-accent-deep", mark: "", word: noteText.note },
};

/** A finding: what is wrong and by how much, then what to do. */
export function Note({ level, said, doubt = null }: { readonly level: Level; readonly said: Said; readonly doubt?: Doubt | null }) {
  const { box, mark, word } = LOOK[level];
  return (
    <div role="note" aria-label={word} className={`min-w-65.5 flex-1 rounded-md px-2.5 py-2 text-sm leading-text ${box}`}>
      {mark && <span aria-hidden="true">{mark} </span>}
      <b className="font-strong">{said.what}</b> {said.advice}
      {doubt && <i> ({DOUBTS[doubt]})</i>}
    </div>
  );
}
