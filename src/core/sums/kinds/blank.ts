import { planHoop } from "../../hoop/hoop";
import { figureOf } from "../../measure/figure";
import { type SectionShape } from "../../metal/section";
import { settleHoop } from "../../piece/settle";
import { BY, LENGTH, NO_SIZES, type SumKind, lengthsOf, answerAlong } from "../sum";
import { SYSTEM_WORDS, ringOf, sizeStart } from "./size";

/** Sections as they are written in a line. */
export const SECTION_WORDS: Readonly<Record<string, SectionShape>> = {
  flat: "rectangle",
  rectangle: "rectangle",
  round: "round",
  square: "square",
  oval: "oval",
  "half-round": "half-round",
  "half round": "half-round",
  d: "d",
};
const STOCK = new RegExp(`^x\\s*${LENGTH}(?:${BY}${LENGTH})?(?:\\s+(${Object.keys(SECTION_WORDS).join("|")}))?$`);
/** Sections whose middle lies elsewhere than at half their thickness: only their width says where. */
const NEED_WIDTH: ReadonlySet<SectionShape> = new Set(["half-round", "d"]);

/** A hoop's blank by size and stock: "US 7 x 1.6", "EU 54 x 4 x 1.8 half-round". */
export const blank: SumKind = {
  read: (line) => {
    const start = sizeStart(line);
    if (!start?.rest.startsWith("x")) return null;
    const found = STOCK.exec(start.rest);
    if (!found || start.diameter === null) return "misread";
    const lengths = lengthsOf(found[2] === undefined ? [found[1]] : [found[1], found[2]], line);
    const section = SECTION_WORDS[found[3] ?? "flat"]!;
    if (!lengths || (lengths.length === 1 && NEED_WIDTH.has(section))) return "misread";
    const thickness = lengths.at(-1)!;
    const isEven = section === "round" || section === "square";
    const width = isEven ? thickness : lengths[0]!;
    if (isEven && lengths.length === 2 && lengths[0] !== thickness) return "misread";
    const { system, value } = start;
    const stock = { section, width, thickness, metal: "sterling" } as const;
    const { figures } = planHoop(settleHoop({ type: "hoop", size: { system, value }, stock, form: "closed" }, line.bench), []);
    return {
      code: "blank",
      asked: { system, size: value, section, width, thickness },
      assumed: [...(found[3] === undefined ? ["section"] : []), ...(lengths.length === 1 && !isEven ? ["width"] : [])],
      answers: [
        { code: "blank", figure: figureOf(figures, "hoop.cutLength") },
        { code: "net", figure: figureOf(figures, "hoop.netLength") },
        { code: "inside", figure: figureOf(figures, "hoop.insideDiameter") },
      ],
      sizes: NO_SIZES,
      begin: ringOf(line, start, stock),
    };
  },
  along: (sum) => answerAlong(sum, "blank", Number(sum.asked.width)),
  fields: [
    { name: "system", as: SYSTEM_WORDS, start: "EU" },
    { name: "size", as: "words", start: "54" },
    { name: "width", as: "length", start: 3 },
    { name: "thickness", as: "length", start: 1.6 },
    { name: "section", as: ["half-round", "d", "flat", "oval", "round", "square"], start: "half-round" },
  ],
  line: ({ system = "", size = "", width = "", thickness = "", section = "" }) =>
    `${system} ${size} x ${section === "round" || section === "square" ? thickness : `${width} x ${thickness}`} ${section}`,
};
