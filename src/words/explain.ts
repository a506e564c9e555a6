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
