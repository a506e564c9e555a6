import { MM_PER_INCH } from "@/core/measure/reading";
import { METALS, type Metal } from "@/core/metal/metals";
import { type SectionShape } from "@/core/metal/section";
import { type SizeSystem } from "@/core/hoop/sizes";
import { type AnswerCode, type QuickSum, SUM_KINDS, type SumCode } from "@/core/sums/sum";
import { SECTION_NAMES, SHAPE_NAMES, SYSTEM_NAMES, counted } from "./names";
import { type Rounding, type Units, lengthUnit, showFigureValue, showLength, turnsText, withUnit } from "./show";
import { sumText } from "./sums";
import { termText } from "./terms";

/** What each kind of sum is called where it is chosen. */
export const SUM_NAMES: Readonly<Record<SumCode, string>> = {
  blank: "Hoop's blank",
  size: "Finger size",
  after: "Size after a change",
  round: "Strip round a stone",
  dome: "Disc for a dome",
  ball: "Wire for a ball",
  twist: "Wire for a rope",
  spacing: "Pieces along a length",
  mass: "What stock weighs",
  gauge: "Gauge",
};

/** A line of each kind, as it is typed. */
export const SUM_EXAMPLES: Readonly<Record<SumCode, string>> = {
  blank: "US 7 x 4 x 1.6 half-round",
  size: "US 7",
  after: "EU 54 less 1",
  round: "oval 16 x 12",
  dome: "dome 20 rise 3",
  ball: "ball 2.0 from 0.8",
  twist: "twist 0.6 for 60",
  spacing: "4 pieces on 46",
  mass: "sheet 50 x 20 x 0.6 sterling",
  gauge: "18ga",
};

/** Names of the fields of the sums' own forms. */
export const SUM_FIELDS: Readonly<Record<string, string>> = {
  system: "Size system",
  size: "Size",
  way: "Changed",
  by: "By",
  width: "Width",
  thickness: "Thickness",
  section: "Section",
  shape: "Shape",
  length: "Length",
  across: "Across the rim",
  rise: "Rise",
  ball: "Ball, across",
  wire: "Wire",
  count: "How many",
  side: "Each, long",
  form: "Stock",
  metal: "Metal",
  gauge: "Gauge",
};

/** What each answer is called, and how it is rounded where it is a length. */
const ANSWERS: Readonly<Record<AnswerCode, { readonly name: string; readonly rounding: Rounding }>> = {
  thickness: { name: "thickness", rounding: "measured" },
  gauge: { name: "nearest gauge", rounding: "measured" },
  inside: { name: "inside across", rounding: "measured" },
  circumference: { name: "round the inside", rounding: "measured" },
  blank: { name: "cut blank", rounding: "blank" },
  net: { name: "net", rounding: "measured" },
  perimeter: { name: "round the stone", rounding: "measured" },
  strip: { name: "cut strip", rounding: "strip" },
  disc: { name: "flat disc, across", rounding: "blank" },
  sphere: { name: "radius of the ball it fits", rounding: "measured" },
  snippet: { name: "snippet", rounding: "measured" },
  ball: { name: "ball, across", rounding: "measured" },
  stands: { name: "rope, across", rounding: "measured" },
  turns: { name: "twisted", rounding: "measured" },
  wire: { name: "each of two wires", rounding: "blank" },
  every: { name: "one every", rounding: "measured" },
  gap: { name: "between two", rounding: "measured" },
  mass: { name: "weighs", rounding: "measured" },
};

/** What is taken as is usual where nobody said. */
const ASSUMED: Readonly<Record<string, (sum: QuickSum, units: Units) => string>> = {
  section: () => "flat wire",
  width: () => "a narrow band",
  thickness: ({ asked }, units) => `strip of ${withUnit(Number(asked.thickness), "measured", units)}`,
  length: ({ asked }, units) => `for ${withUnit(Number(asked.length), "measured", units)}`,
  metal: ({ asked }) => METALS[asked.metal as Metal].name,
};

export interface SaidAnswer {
  readonly code: AnswerCode;
  readonly name: string;
  /** With its unit. */
  readonly text: string;
}

export interface SaidSum {
  readonly title: string;
  readonly answers: readonly SaidAnswer[];
  /** How the chief answer is made up. */
  readonly sum: string;
  /** "US 7.25, UK O"; "" for what is no size. */
  readonly sizes: string;
  /** What was taken as usual; "" where all was said. */
  readonly assumed: string;
  /** What is pressed to begin a piece; "" where none begins. */
  readonly begin: string;
}

const TITLES: Readonly<Record<SumCode, (v: Voice) => string>> = {
  blank: (v) => `${v.size()} × ${v.stock()}`,
  size: (v) => v.size(),
  after: (v) => `${v.size()} ${v.number("by") < 0 ? "less" : "more"} ${v.length("by")}`,
  round: (v) =>
    `${SHAPE_NAMES[v.text("shape") as keyof typeof SHAPE_NAMES]} ${v.text("shape") === "round" ? v.length("length") : `${v.bare("length")} × ${v.length("width")}`}`,
  dome: (v) => `dome ${v.bare("across")} across, rising ${v.length("rise")}`,
  ball: (v) => (v.has("ball") ? `ball of ${v.length("ball")} from ${v.from()}` : `ball from ${v.bare("length")} of ${v.from()}`),
  twist: (v) => `rope of two wires of ${v.length("wire")}`,
  spacing: (v) => `${counted(v.number("count"), "piece")}${v.has("side") ? ` of ${v.length("side")}` : ""} on ${v.length("length")}`,
  mass: (v) =>
    v.text("form") === "sheet"
      ? `sheet ${v.bare("length")} × ${v.bare("width")} × ${v.length("thickness")}, ${v.metal()}`
      : `${SECTION_NAMES[v.text("section") as SectionShape]} wire ${v.text("width") === v.text("thickness") ? "" : `${v.bare("width")} × `}${v.bare("thickness")}, ${v.length("length")}, ${v.metal()}`,
  gauge: (v) => (v.has("gauge") ? `${v.number("gauge")} gauge` : v.length("length")),
};

/** What the titles ask of a sum. */
interface Voice {
  has(name: string): boolean;
  text(name: string): string;
  number(name: string): number;
  /** A length without its unit, and with it. */
  bare(name: string): string;
  length(name: string): string;
  size(): string;
  stock(): string;
  from(): string;
  metal(): string;
}

function voiceOf({ asked, assumed }: QuickSum, units: Units): Voice {
  const number = (name: string) => Number(asked[name]);
  const text = (name: string) => String(asked[name] ?? "");
  const bare = (name: string) => showLength(Math.abs(number(name)), "measured", units);
  const length = (name: string) => `${bare(name)} ${lengthUnit(units)}`;
  const isEven = asked.section === "round" || asked.section === "square";
  return {
    ...{ number, text, bare, length },
    has: (name) => asked[name] !== undefined,
    size: () => `${SYSTEM_NAMES[asked.system as SizeSystem]} ${text("size")}`,
    stock: () =>
      assumed.includes("width") || isEven
        ? `${bare("thickness")}${assumed.includes("section") ? "" : `, ${SECTION_NAMES[asked.section as SectionShape]}`}`
        : `${bare("width")} × ${bare("thickness")}, ${SECTION_NAMES[asked.section as SectionShape]}`,
    from: () => (asked.high === undefined ? `wire ${length("stock")}` : `strip ${bare("stock")} × ${length("high")}`),
    metal: () => METALS[asked.metal as Metal].name,
  };
}

const BEGINS: Readonly<Partial<Record<SumCode, string>>> = {
  blank: "Begin a ring of it",
  size: "Begin a ring of this size",
  round: "Begin a ring with this stone",
  dome: "Begin a pendant on this dome",
};

/** A quick sum in words; `units` are the maker's. */
export function sayQuickSum(sum: QuickSum, units: Units): SaidSum {
  const [chief] = sum.answers as readonly [QuickSum["answers"][number]];
  return {
    title: TITLES[sum.code](voiceOf(sum, units)),
    answers: sum.answers.map((answer) => ({ code: answer.code, name: ANSWERS[answer.code].name, text: answerText(answer, units) })),
    sum: whyText(chief, units),
    sizes: sum.sizes.map(({ system, text }) => `${SYSTEM_NAMES[system]} ${text}`).join(", "),
    assumed: sum.assumed.map((name) => ASSUMED[name]!(sum, units)).join(", "),
    begin: (sum.begin && BEGINS[sum.code]) ?? "",
  };
}

/** How an answer is made up: its terms, or the formula that it is. */
function whyText({ code, figure }: QuickSum["answers"][number], units: Units): string {
  const [first, ...more] = figure.terms;
  if (first?.note === "size.inside") return "";
  return first && more.length === 0 ? termText(first) : sumText(figure, units, ANSWERS[code].rounding);
}

function answerText({ code, figure }: QuickSum["answers"][number], units: Units): string {
  if (code === "turns") return turnsText(figure.value, units);
  if (code === "gauge") return String(figure.value);
  if (figure.unit !== "mm") return showFigureValue(figure.value, figure.unit, units);
  const text = withUnit(figure.value, ANSWERS[code].rounding, units);
  return code === "thickness" ? `${text}, ${otherUnit(figure.value, units)}` : text;
}

/** A thickness in the unit that is not on screen. */
function otherUnit(mm: number, { length }: Units): string {
  return length === "inch" ? `${mm.toFixed(3)} mm` : `${(mm / MM_PER_INCH).toFixed(4)} in`;
}

/** What would be understood in the place of a line that is not: the kind it began as, or all of them. */
export function sumHelp(began: SumCode | null): string {
  if (began) return `Not a whole sum yet. Type it like this: ${SUM_EXAMPLES[began]}`;
  return `Not a sum that is known here. These are: ${SUM_KINDS.map((code) => SUM_EXAMPLES[code]).join("; ")}`;
}

/** A sum as lines of text. */
export function sumLines(sum: QuickSum, units: Units): string[] {
  const { title, answers, sum: why, sizes, assumed } = sayQuickSum(sum, units);
  return [
    `${title}: ${answers[0]!.name} ${answers[0]!.text}`,
    ...(why ? [`  ${why}`] : []),
    ...answers.slice(1).map(({ name, text }) => `  ${name} ${text}`),
    ...(sizes ? [`  ${sizes}`] : []),
    ...(assumed ? [`  taken as usual: ${assumed}`] : []),
  ];
}
