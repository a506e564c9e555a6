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
    says: "How far the wall's edge reaches in over the stone, seen from above. More holds better and hides more of the face.",
  },
  fit: {
    name: "Fit",
    says: "The gap left between stone and wall all round. It is snug where the stone slides through with a push.",
  },
  lift: {
    name: "Lift",
    says: "How far the stone is raised off the plate by a cushion or a ledge. The wall has to stand that much higher to reach over it.",
  },
  fibre: {
    name: "Fibre",
    says: "The line inside the wire that neither stretches nor is squeezed as it is bent round. A blank cut to the length of that line comes out the size asked for.",
  },
  kerf: {
    name: "Kerf",
    says: "What one pass of the saw turns to dust. A seam sawn through to true it loses that much of the hoop each time.",
  },
  squaring: {
    name: "Squaring",
    says: "What the file takes off both ends until they stand square to the edge. It is cut longer by so much, and lost on the way.",
  },
  overshoot: {
    name: "Overshoot",
    says: "How far past its flow point a solder is really heated at the bench. A torch is no thermometer, so the plan keeps this much away from what must not run.",
  },
  gives: {
    name: "Gives",
    says: "The lower of the supplier's two figures. From here on a joint made before softens in a later heat: up to where it runs it holds only if nothing hangs on it.",
  },
  runs: {
    name: "Runs",
    says: "The temperature at which a solder flows freely. A joint heated past it again opens, unless it is shielded.",
  },
  gather: {
    name: "Gathers",
    says: "Round a tight bend the wall's top has further to go in than there is room for, so it crowds. Up to a tenth is worked in, a little each time round.",
  },
  seam: {
    name: "Seam",
    says: "Where the ends of the strip meet. On the straightest run, away from corners and from the shank, it is least bent and least seen.",
  },
};

export const EXPLAINED_WORDS = Object.keys(EXPLAINED) as readonly ExplainedWord[];
