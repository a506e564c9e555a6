import Link from "next/link";
import { reckonedText } from "@/words/day";
import { capital } from "@/words/names";

/** Whose minutes a day goes by, where the maker did not type them, and where to type them. */
export function Reckoned({ tasks }: { readonly tasks: readonly { readonly isUsual: boolean; readonly makes?: number }[] }) {
  const text = reckonedText(tasks);
  if (text === "") return null;
  const isAllOwn = tasks.every(({ isUsual }) => !isUsual);
  return (
    <span className={`${isAllOwn ? "text-soft" : "text-warn"} max-lg:block`}>
      {" "}
      {isAllOwn ? "" : "○ "}
      {capital(text)}. Set your own on{" "}
      <Link href="/my-bench#minutes" className="pressed inline-flex items-center underline">
        My bench
      </Link>
      .
    </span>
  );
}
