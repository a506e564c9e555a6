/** Words of the craft that open into what they mean where they stand. */
export type ExplainedWord =
  "leansIn" | "catch" | "fit" | "lift" | "fibre" | "kerf" | "squaring" | "overshoot" | "gives" | "runs" | "gather" | "seam";

/** Each in two sentences: what it is, and what it is good for. */
export const EXPLAINED: Readonly<Record<ExplainedWord, { readonly name: string; readonly says: string }>> = {
  leansIn: {
    name: "Leans in at",
    says: "The height above the stone's back at which its side turns inward. Only metal that stands higher than this can be pushed over and hold it.",
  },
  catch: {
    name: "Catch",
    says: "How far the bezel's edge reaches in over the stone, seen from above. More holds better and hides more of the face.",
  },
  fit: {
    name: "Fit",
    says: "The gap left between stone and bezel all round. It is snug where the stone slides through with a push.",
  },
  lift: {
    name: "Lift",
    says: "How far the stone is raised off the plate by a cushion or a ledge. The bezel has to stand that much higher to reach over it.",
  },
  fibre: {
    name: "Fibre",
    says: "The line inside the wire that is neither stretched nor squeezed in bending. A blank cut to the length of that line comes out at the size asked for.",
  },
  kerf: {
    name: "Kerf",
    says: "The width of metal that one saw pass turns to dust. Each time a seam is sawn through to true it, the hoop loses that much.",
  },
  squaring: {
    name: "Squaring",
    says: "What the file takes off both ends until they stand square to the edge. The metal is cut that much longer to allow for it.",
  },
  overshoot: {
    name: "Overshoot",
    says: "How far past its flow point a solder is really heated at the bench. A torch is not a thermometer, so the plan keeps this much distance from joints that must not run.",
  },
  gives: {
    name: "Gives and softens",
    says: "The temperature at which a solder begins to melt, the lower of the supplier's two figures. A joint that has run once holds a little past it, then softens: it stays put only if nothing hangs on it.",
  },
  runs: {
    name: "Runs",
    says: "The temperature at which a solder flows freely. A joint heated past it again opens, unless it is shielded.",
  },
  gather: {
    name: "Gathers",
    says: "Round a tight bend the top of the bezel is pushed into less room than it needs, so the metal crowds. Up to a tenth can be worked in, a little on each round.",
  },
  seam: {
    name: "Seam",
    says: "Where the ends of the strip meet. On the straightest run, away from corners and the hoop, it bends least and shows least.",
  },
};

export const EXPLAINED_WORDS = Object.keys(EXPLAINED) as readonly ExplainedWord[];

/** How each stands in a sentence of a step. */
const SAID_AS: Readonly<Record<ExplainedWord, RegExp>> = {
  leansIn: /\bleans in\b/i,
  catch: /\bcatch\b/i,
  fit: /\bfit\b/i,
  lift: /\bcushion\b/i,
  fibre: /\bfibre\b/i,
  kerf: /\bkerf\b/i,
  squaring: /\bsquare\b/i,
  overshoot: /\bovershoot\b/i,
  gives: /\bsoftens?\b/i,
  runs: /\bruns\b/i,
  gather: /\bgathers?\b/i,
  seam: /\bseam\b/i,
};

/** A sentence in runs: plain ones, and the first time of each word that can be explained. */
export function explainedIn(text: string): { readonly text: string; readonly word: ExplainedWord | null }[] {
  const found = (Object.keys(SAID_AS) as ExplainedWord[]).flatMap((word) => {
    const match = SAID_AS[word].exec(text);
    return match ? [{ word, from: match.index, to: match.index + match[0].length }] : [];
  });
  const inOrder = found.sort((a, b) => a.from - b.from);
  const runs = inOrder.flatMap(({ word, from, to }, i) => [
    { text: text.slice(inOrder[i - 1]?.to ?? 0, from), word: null },
    { text: text.slice(from, to), word },
  ]);
  return [...runs, { text: text.slice(inOrder.at(-1)?.to ?? 0), word: null }].filter((run) => run.text !== "");
}
