import { type Figure, figureOf } from "@/core/measure/figure";
import { nearestGauge } from "@/core/measure/gauge";
import { type HeightRule } from "@/core/mount/wall";
import { type Mount } from "@/core/piece/piece";
import { greatestTurnIn } from "@/core/stone/stone";
import { type Plan } from "@/core/piece/plan";
import { RULE_NAMES } from "@/words/names";
import { type Units, lengthUnit, showLength, showPercent, withUnit } from "@/words/show";
import { type SumPart, cutAt, sharesOf, sumParts } from "@/words/sums";
import { yoursName } from "@/words/terms";
import { type WallStock, wallHolds, wallStock } from "@/words/wall-stock";

/** One of the large answers across the foot. */
export interface BigAnswer {
  readonly figure: string;
  readonly name: string;
  readonly lead: string;
  readonly value: string;
  readonly unit: string;
}

export interface SchoolRow {
  readonly rule: HeightRule;
  readonly name: string;
  readonly stands: string;
  readonly reaches: string;
  readonly holds: boolean;
}

export interface WallView {
  readonly stock: WallStock["name"];
  readonly answers: readonly BigAnswer[];
  readonly lands: string;
  readonly sum: readonly SumPart[];
  readonly total: string;
  readonly why: string;
  /** What stands at the end of the rule, and past it. */
  readonly cut: string;
  readonly beyond: string;
  readonly schools: readonly SchoolRow[];
  readonly gather: string;
  readonly leansIn: string;
  readonly stands: string;
  readonly third: string;
  readonly top: string;
  /** What is said of the thickness wanted. */
  readonly thickness: string;
  /** What is said of a tube's or a cup's own sizes. */
  readonly wants: string;
  /** The strip to take and what comes off it; null where none is on the shelf. */
  readonly shelf: string | null;
  /** How the pattern of a notched wall closes. */
  readonly teeth: string;
  /** What is said of a size of the gaps between its teeth. */
  readonly gaps: Readonly<Record<"depth" | "gap", string>>;
  /** null where nothing is sawn. */
  readonly sawLine: string | null;
  readonly across: string;
}

/** What the Wall stage says, rounded as a bench reads it. */
export function wallView(plan: Plan, mount: Mount, units: Units): WallView {
  const figure = (name: string) => figureOf(plan.figures, `${mount.id}.wall.${name}`);
  const measured = (mm: number) => showLength(mm, "measured", units);
  const stock = wallStock(plan, mount.id, units);
  const { schools, section } = plan.drawing.settings[mount.id]!;
  const { lift } = section;
  return {
    stock: stock.name,
    ...answersOf(plan, mount, stock, units),
    sum: sumOf(stock, units),
    total: measured(stock.figure.value),
    why: stock.name === "strip" ? cutAt(stock.figure.value, "strip", units) : "",
    schools: schools.map(({ rule, height, behind, past, holds }) => ({
      rule,
      name: RULE_NAMES[rule],
      stands: measured(height),
      reaches: `${past < 0 ? `${measured(-past)} under the turn-in` : `${measured(past)} past the turn-in`}, ${showPercent(behind)} of the height`,
      holds,
    })),
    gather: `gathers ${showPercent(figure("gather").value, 1)}`,
    leansIn: `leans in at ${measured(greatestTurnIn(mount.stone))}`,
    stands: `bezel stands ${measured(figure("netHeight").value)}`,
    third: `a third of the height${lift > 0 ? " and the lift" : ""}, ${measured(section.third)}`,
    top: showLength(mount.stone.height, "blank", units),
    thickness: plan.figures[`${mount.id}.wall.wallLeft`]
      ? `${measured(figure("wallLeft").value)} is left`
      : `${nearestGauge(mount.wall.thickness)} gauge`,
    wants: wantsText(plan, mount, stock, units),
    shelf: shelfText(plan, mount, units),
    teeth: teethText(plan, mount, units),
    gaps: {
      depth: usualText(mount.wall.notch?.depth, "half the lip", plan.figures[`${mount.id}.wall.notchDepth`], units),
      gap: usualText(mount.wall.notch?.gap, "0.4 of the pitch", plan.figures[`${mount.id}.wall.notchGap`], units),
    },
    sawLine:
      stock.name === "cup" ? null : `saw line, ${withUnit(plan.settled.mounts[mount.id]!.back.sawMargin.value, "blank", units)} outside`,
    across: showLength(figureOf(plan.figures, `${mount.id}.stone.length`).value, "blank", units),
  };
}

/** What a tube or a cup would rightly measure; of the maker's own cup its inside too, which nobody typed. */
function wantsText(plan: Plan, { id }: Mount, stock: WallStock, units: Units): string {
  if (stock.name === "strip") return "";
  const right = `${withUnit(stock.figure.value, "measured", units)} would be right`;
  const at = plan.settled.mounts[id]!.wall.ready?.at;
  return stock.name === "cup" && at ? `${showLength(at.inside, "measured", units)} inside; ${right}` : right;
}

/** Wall and fit of a strip are one addition to a maker; all else is as it is. */
function sumOf({ name, figure }: WallStock, units: Units): SumPart[] {
  const value = (label: string) => figure.terms.find((each) => each.label === label)?.value ?? 0;
  const strip = [
    { name: "outline", value: value("outline") },
    { name: "bezel and fit", value: value("wall") + value("fit") },
    { name: "squaring", value: value("squaring") },
    { name: "mark", value: value("mark") },
    { name: yoursName(figure), value: value("yours") },
  ];
  return sumParts(name === "strip" ? strip : sharesOf(figure), "mm", units);
}

function answersOf(plan: Plan, { id }: Mount, stock: WallStock, units: Units): Pick<WallView, "answers" | "lands" | "cut" | "beyond"> {
  const unit = lengthUnit(units);
  const figure = (name: string) => figureOf(plan.figures, `${id}.wall.${name}`).value;
  const has = (name: string) => `${id}.wall.${name}` in plan.figures;
  const measured = (name: string) => showLength(figure(name), "measured", units);
  const answer = (name: string, called: string, lead: string, value: string, what: string): BigAnswer => ({
    figure: `${id}.wall.${name}`,
    name: called,
    lead,
    value,
    unit: `${unit} ${what}`,
  });
  const tall = showLength(figure("cutHeight"), "height", units);
  const shows = wallHolds(plan, id) ? `shows ${showPercent(figure("faceShown"))} of the face` : "does not hold the stone";
  if (stock.name === "tube") {
    const at = plan.settled.mounts[id]!.wall.ready?.at;
    return {
      answers: [
        answer("tubeOutside", "Tube that fits", at ? "Tube wanted" : "Tube", measured("tubeOutside"), "across"),
        answer("cutHeight", "Saw the tube to", "saw it", tall, "long"),
        ...(has("seatDepth")
          ? [answer("seatDepth", "Depth of the seat", "seat", showLength(figure("seatDepth"), "height", units), "deep")]
          : []),
      ],
      lands: has("wallLeft") ? `leaves ${measured("wallLeft")} of wall` : shows,
      cut: `saw ${tall}`,
      beyond: "rest of the tube",
    };
  }
  if (stock.name === "cup") {
    return {
      answers: [
        answer("cupLength", "Cup that fits, inside length", "Cup wanted", measured("cupLength"), "inside"),
        answer("cupWidth", "Cup that fits, inside width", "by", measured("cupWidth"), "wide"),
        answer("cutHeight", "File the rim to", "file it to", tall, "tall"),
      ],
      lands: has("gap")
        ? [`leaves ${measured("gap")} round it`, ...(has("thin") ? [`thin by ${measured("thin")}`] : [])].join(", ")
        : shows,
      cut: `${showLength(plan.drawing.laid[`${id}.wall`]!.length, "measured", units)} inside`,
      beyond: "",
    };
  }
  const cut = showLength(figure("cutLength"), "strip", units);
  return {
    answers: [
      answer("cutLength", "Cut strip", "Cut strip", cut, "long"),
      answer("cutHeight", "Slit the strip to", "slit to", tall, "tall"),
    ],
    lands: `finished ${measured("netLength")} × ${measured("netHeight")}, ${shows}`,
    cut: `cut ${cut}`,
    beyond: plan.settled.mounts[id]!.wall.source === "sheet" ? "rest of the sheet" : "rest of the coil",
  };
}

function shelfText({ figures }: Plan, { id }: Mount, units: Units): string | null {
  const [strip, cut] = [figures[`${id}.wall.stripHeight`], figures[`${id}.wall.cutHeight`]];
  if (!strip || !cut) return null;
  const [has, takes] = [showLength(strip.value, "measured", units), showLength(cut.value, "height", units)];
  const off = Number(has) - Number(takes);
  const digits = units.length === "inch" ? 3 : 2;
  return `${has} ${lengthUnit(units)} on the shelf, ${off > 0 ? `${off.toFixed(digits)} comes off` : "nothing to trim"}`;
}

function teethText({ figures }: Plan, { id }: Mount, units: Units): string {
  const [count, pitch] = [figures[`${id}.wall.notches`], figures[`${id}.wall.notchPitch`]];
  return count && pitch ? `${count.value} notches, ${withUnit(pitch.value, "measured", units)} apart, close at the seam` : "";
}

/** What is usual, and what it comes to where nothing was chosen. */
function usualText(chosen: number | undefined, usual: string, taken: Figure | undefined, units: Units): string {
  return chosen === undefined && taken ? `empty: ${usual}, ${showLength(taken.value, "measured", units)}` : `${usual} is usual`;
}
