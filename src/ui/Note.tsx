import { type Level } from "@/core/measure/finding";
import { type Doubt } from "@/core/piece/doubt";
import { DOUBTS } from "@/words/doubt";
import { type Said } from "@/words/findings";

const LOOK: Readonly<Record<Level, { readonly box: string; readonly mark: string; readonly word: string }>> = {
  error: { box: "bg-bad-wash text-[#7d1712]", mark: "◆", word: "Wrong" },
  warning: { box: "bg-warn-wash text-[#6b3500]", mark: "◆", word: "Take care" },
  note: { box: "bg-accent-wash text-accent-deep", mark: "", word: "Note" },
};

/** A finding: what is wrong and by how much, then what to do. */
export function Note({ level, said, doubt = null }: { readonly level: Level; readonly said: Said; readonly doubt?: Doubt | null }) {
  const { box, mark, word } = LOOK[level];
  return (
    <div
      role="note"
      aria-label={word}
      className={`min-w-[230px] flex-1 rounded-[5px] px-[9px] py-[7px] text-[12.5px] leading-[1.35] ${box}`}
    >
      {mark && <span aria-hidden="true">{mark} </span>}
      <b className="font-[680]">{said.what}</b> {said.advice}
      {doubt && <i> ({DOUBTS[doubt]})</i>}
    </div>
  );
}
