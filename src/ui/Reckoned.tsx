import Link from "next/link";
import { reckonedText } from "@/words/day";
import { capital } from "@/words/names";
import { commonText } from "@/words/common";
import { reckonedSourceText } from "@/words/ui";

/** Whose minutes a day goes by, where the maker did not type them, and where to type them. */
export function Reckoned({ tasks }: { readonly tasks: readonly { readonly isUsual: boolean; readonly makes?: number }[] }) {
  const text = reckonedText(tasks);
  if (text === "") return null;
  const isAllOwn = tasks.every(({ isUsual }) => !isUsual);
  return (
    <span className={`${isAllOwn ? "text-soft" : "text-warn"} max-lg:block`}>
      {" "}
      {reckonedSourceText.setYourOwnOn(isAllOwn ? "" : "○ ", capital(text))}{" "}
      <span className="whitespace-nowrap">
        <Link href="/my-bench#minutes" className="pressed inline-flex items-center underline">
          {commonText.myBench}
        </Link>
        .
      </span>
    </span>
  );
}
