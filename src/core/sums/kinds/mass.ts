import { single } from "../../measure/figure";
import { type Metal, massOf } from "../../metal/metals";
import { type SectionShape, sectionArea } from "../../metal/section";
import { BY, LENGTH, NO_SIZES, type SumKind, lengthsOf, askedAlong } from "../sum";
import { SECTION_WORDS } from "./blank";

/** Metals as they are written in a line. */
const METAL_WORDS: Readonly<Record<string, Metal>> = {
  "fine silver": "fine-silver",
  fine: "fine-silver",
  "sterling 935": "sterling-935",
  "935": "sterling-935",
  sterling: "sterling",
  copper: "copper",
  brass: "brass",
};
const METAL = `(?:\\s+(${Object.keys(METAL_WORDS).join("|")}))?`;
const SHEET = new RegExp(`^sheet\\s+${LENGTH}${BY}${LENGTH}${BY}${LENGTH}${METAL}$`);
const WIRE = new RegExp(
  `^(?:wire|strip)\\s+${LENGTH}(?:${BY}${LENGTH})?${BY}${LENGTH}(?:\\s+(${Object.keys(SECTION_WORDS).join("|")}))?${METAL}$`,
);

interface Stock {
  readonly volume: number;
  readonly asked: Readonly<Record<string, number | string>>;
  readonly metal: string | undefined;
}

/** What stock weighs: "sheet 50 x 20 x 0.6 sterling", "wire 1.2 x 100", "wire 3 x 1.5 x 100 half-round copper". */
export const mass: SumKind = {
  read: (line) => {
    if (!/^(sheet|wire|strip)\b/.test(line.text)) return null;
    const found = SHEET.exec(line.text);
    const stock = found ? sheetOf(found, line) : wireOf(WIRE.exec(line.text), line);
    if (!stock) return "misread";
    const metal = METAL_WORDS[stock.metal ?? "sterling"]!;
    return {
      code: "mass",
      asked: { ...stock.asked, metal },
      assumed: stock.metal === undefined ? ["metal"] : [],
      answers: [{ code: "mass", figure: single("g", massOf(metal, stock.volume), "density") }],
      sizes: NO_SIZES,
      begin: null,
    };
  },
  along: (sum) => askedAlong(sum, Number(sum.asked.form === "sheet" ? sum.asked.width : sum.asked.thickness)),
  fields: [
    { name: "form", as: ["sheet", "wire"], start: "sheet" },
    { name: "length", as: "length", start: 50 },
    { name: "width", as: "length", start: 20 },
    { name: "thickness", as: "length", start: 0.6 },
    { name: "metal", as: ["sterling", "fine silver", "sterling 935", "copper", "brass"], start: "sterling" },
  ],
  line: ({ form = "", length = "", width = "", thickness = "", metal = "" }) =>
    form === "sheet" ? `sheet ${length} x ${width} x ${thickness} ${metal}` : `wire ${width} x ${thickness} x ${length} ${metal}`,
};

function sheetOf(found: RegExpExecArray, line: Parameters<SumKind["read"]>[0]): Stock | null {
  const lengths = lengthsOf([found[1], found[2], found[3]], line);
  if (!lengths) return null;
  const [length, width, thickness] = lengths as [number, number, number];
  return { volume: length * width * thickness, asked: { form: "sheet", length, width, thickness }, metal: found[4] };
}

/** Of one size it is round, of two a rectangle, where no section is said. */
function wireOf(found: RegExpExecArray | null, line: Parameters<SumKind["read"]>[0]): Stock | null {
  const lengths = found && lengthsOf([found[1], found[2] ?? found[1], found[3]], line);
  if (!lengths) return null;
  const [width, thickness, length] = lengths as [number, number, number];
  const shape: SectionShape = found[4] ? SECTION_WORDS[found[4]]! : found[2] === undefined ? "round" : "rectangle";
  const isEven = shape === "round" || shape === "square";
  if (isEven && width !== thickness) return null;
  return {
    volume: sectionArea({ shape, width, thickness }) * length,
    asked: { form: "wire", section: shape, width, thickness, length },
    metal: found[5],
  };
}
