import { single } from "../../measure/figure";
import { planHoop } from "../../hoop/hoop";
import { insideFor } from "../../hoop/what-if";
import { figureOf } from "../../measure/figure";
import { settleHoop } from "../../piece/settle";
import { LENGTH, type SumKind, lengthsOf, answerAlong } from "../sum";
import { SYSTEM_WORDS, sizeStart, sizesOf } from "./size";

const WAYS = { less: -1, minus: -1, "-": -1, more: 1, plus: 1 } as const;
const CHANGED = new RegExp(`^(less|minus|-|more|plus)\\s*${LENGTH}$`);

/** Stock of which a closed hoop's size is told: it does not depend on it. */
const ANY = { section: "rectangle", width: 2, thickness: 1, metal: "sterling" } as const;

/** What a size is after so much has come off its length, or has been let in: "EU 54 less 1", "US 7 more 0.5 mm". */
export const after: SumKind = {
  read: (line) => {
    const start = sizeStart(line);
    if (!start || !/^(less|minus|-|more|plus)/.test(start.rest)) return null;
    const found = CHANGED.exec(start.rest);
    const lengths = found && lengthsOf([found[2]], line);
    if (!found || !lengths || start.diameter === null) return "misread";
    const by = lengths[0]! * WAYS[found[1] as keyof typeof WAYS];
    const { system, value } = start;
    const hoop = settleHoop({ type: "hoop", size: { system, value }, stock: ANY, form: "closed" }, line.bench);
    const net = figureOf(planHoop(hoop, []).figures, "hoop.netLength").value + by;
    const inside = insideFor(hoop, net);
    if (!(inside > 0)) return "misread";
    return {
      code: "after",
      asked: { system, size: value, by },
      assumed: [],
      answers: [
        { code: "inside", figure: single("mm", inside, "size.after") },
        { code: "circumference", figure: single("mm", Math.PI * inside, "size.round") },
      ],
      sizes: sizesOf(inside),
      begin: null,
    };
  },
  along: (sum) => answerAlong(sum, "circumference"),
  fields: [
    { name: "system", as: SYSTEM_WORDS, start: "EU" },
    { name: "size", as: "words", start: "54" },
    { name: "way", as: ["less", "more"], start: "less" },
    { name: "by", as: "length", start: 1 },
  ],
  line: ({ system = "", size = "", way = "", by = "" }) => `${system} ${size} ${way} ${by}`,
};
