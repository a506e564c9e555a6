import Link from "next/link";
import { reckonedText } from "@/words/day";
import { capital } from "@/words/names";

/** That a day rests on minutes nobody gave, and where to give them. */
export function Reckoned({ tasks }: { readonly tasks: readonly { readonly isUsual: boolean }[] }) {
  const text = reckonedText(tasks);
  if (text === "") return null;
  return (
    <span className="text-warn max-lg:block">
      {" "}
      ○ {capital(text)}:{" "}
      <Link href="/my-bench#minutes" className="pressed inline-flex items-center underline">
        My bench
      </Link>
      .
    </span>
  );
}
