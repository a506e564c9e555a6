import { single } from "../../measure/figure";
import { type MadeFrom } from "../../mount/layers/layer";
import { ballFrom, snippetOf } from "../../mount/layers/granules";
import { BY, LENGTH, NO_SIZES, type SumKind, lengthsOf, answerAlong } from "../sum";

const FROM = new RegExp(`^(?:ball|bead)\\s+${LENGTH}\\s+from\\s+${LENGTH}(?:${BY}${LENGTH})?$`);
const BACK = new RegExp(`^(?:ball|bead)\\s+from\\s+${LENGTH}\\s+of\\s+${LENGTH}(?:${BY}${LENGTH})?$`);

/** Wire of a diameter, or strip so thick and high. */
function stockOf([one, other]: readonly number[]): MadeFrom {
  return other === undefined ? { wire: one! } : { strip: [one!, other] };
}

/** The snippet for a ball, and the ball of a snippet: "ball 2.0 from 0.8", "ball from 6 of 0.8". */
export const ball: SumKind = {
  read: (line) => {
    if (!/^(ball|bead)\b/.test(line.text)) return null;
    const [from, back] = [FROM.exec(line.text), BACK.exec(line.text)];
    const found = from ?? back;
    const lengths =
      found &&
      lengthsOf(
        found.slice(1).filter((text) => text !== undefined),
        line,
      );
    if (!lengths) return "misread";
    const [first, ...rest] = lengths as [number, ...number[]];
    const stock = stockOf(rest);
    const snippet = snippetOf(stock, first);
    return {
      code: "ball",
      asked: { ...(from ? { ball: first } : { length: first }), stock: rest[0]!, ...(rest[1] !== undefined && { high: rest[1] }) },
      assumed: [],
      answers: from
        ? [{ code: "snippet", figure: single("mm", snippet.length, snippet.formula) }]
        : [{ code: "ball", figure: single("mm", ballFrom(stock, first), "ball.from") }],
      sizes: NO_SIZES,
      begin: null,
    };
  },
  along: (sum) => answerAlong(sum),
  fields: [
    { name: "ball", as: "length", start: 2 },
    { name: "wire", as: "length", start: 0.8 },
  ],
  line: ({ ball: across = "", wire = "" }) => `ball ${across} from ${wire}`,
};
