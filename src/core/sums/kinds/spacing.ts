import { single } from "../../measure/figure";
import { spacingOf } from "../../heats/solder";
import { LENGTH, NO_SIZES, type SumKind, lengthsOf, askedAlong } from "../sum";

const SPACED = new RegExp(`^(\\d+)\\s+(?:pieces?|pallions?|beads?|balls?)(?:\\s+of\\s+${LENGTH})?\\s+on\\s+${LENGTH}$`);

/** Pieces and gaps along a length: "4 pieces on 46", "12 beads of 1.5 on 46". Each lies in the middle of its share. */
export const spacing: SumKind = {
  read: (line) => {
    if (!/^\d+\s+(pieces?|pallions?|beads?|balls?)\b/.test(line.text)) return null;
    const found = SPACED.exec(line.text);
    const lengths = found && lengthsOf([found[3], ...(found[2] === undefined ? [] : [found[2]])], line);
    const count = Number(found?.[1]);
    if (!lengths || !(count > 0)) return "misread";
    const [length, side] = lengths as [number, number?];
    const every = spacingOf(length, count, 1);
    if (side !== undefined && side > every) return "misread";
    return {
      code: "spacing",
      asked: { count, length, ...(side !== undefined && { side }) },
      assumed: [],
      answers: [
        { code: "every", figure: single("mm", every, "spacing.even") },
        ...(side === undefined ? [] : [{ code: "gap" as const, figure: single("mm", every - side, "spacing.gap") }]),
      ],
      sizes: NO_SIZES,
      begin: null,
    };
  },
  along: (sum) => {
    const { count, side } = sum.asked;
    const every = sum.answers[0]!.figure.value;
    const pieces = Array.from({ length: Number(count) }, (_, i) => ({
      at: (i + 0.5) * every,
      side: side === undefined ? null : Number(side),
    }));
    return { ...askedAlong(sum), pieces };
  },
  fields: [
    { name: "count", as: "count", start: 4 },
    { name: "side", as: "length", start: 1 },
    { name: "length", as: "length", start: 46 },
  ],
  line: ({ count = "", side = "", length = "" }) => `${count} pieces ${side.trim() === "" ? "" : `of ${side} `}on ${length}`,
};
