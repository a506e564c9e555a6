import { Fragment } from "react";
import { explainedIn } from "@/words/explain";
import { Explained } from "./Explained";

/** A sentence, in which each word of the craft opens into what it means. */
export function WithWords({ text }: { readonly text: string }) {
  return explainedIn(text).map((run, i) =>
    run.word === null ? (
      <Fragment key={i}>{run.text}</Fragment>
    ) : (
      <Explained key={i} word={run.word}>
        {run.text}
      </Explained>
    ),
  );
}
