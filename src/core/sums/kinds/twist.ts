import { single } from "../../measure/figure";
import { lengthOfTwist, twistOf } from "../../mount/layers/twist";
import { LENGTH, NO_SIZES, type SumKind, lengthsOf, answerAlong } from "../sum";

const TWIST = new RegExp(`^twist\\s+${LENGTH}(?:\\s+(?:for|to)\\s+${LENGTH})?$`);
/** How much of it is told where nobody says (mm). */
const USUAL = 100;

/** Wire for a rope of two: "twist 0.6", "twist 0.6 for 60". */
export const twist: SumKind = {
  read: (line) => {
    if (!/^twist\b/.test(line.text)) return null;
    const found = TWIST.exec(line.text);
    const lengths = found && lengthsOf([found[1], found[2] ?? `${USUAL}mm`], line);
    if (!lengths) return "misread";
    const [wire, length] = lengths as [number, number];
    const { turns } = twistOf({ width: 2 * wire, from: { wire } });
    return {
      code: "twist",
      asked: { wire, length },
      assumed: found[2] === undefined ? ["length"] : [],
      answers: [
        { code: "wire", figure: single("mm", lengthOfTwist(length, wire, turns), "twist.wire") },
        { code: "stands", figure: single("mm", 2 * wire, "twist.stands") },
        { code: "turns", figure: single("count", 10 * turns, "twist.turns") },
      ],
      sizes: NO_SIZES,
      begin: null,
    };
  },
  along: (sum) => answerAlong(sum),
  fields: [
    { name: "wire", as: "length", start: 0.6 },
    { name: "length", as: "length", start: USUAL },
  ],
  line: ({ wire = "", length = "" }) => `twist ${wire} for ${length}`,
};
