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
import { viewText } from "@/words/screens/wall";

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
      reaches: viewText.ofTheHeight(
        past < 0 ? viewText.underTheTurnIn(measured(-past)) : viewText.pastTheTurnIn(measured(past)),
        showPercent(behind),
      ),
      holds,
    })),
    gather: viewText.gathers(showPercent(figure("gather").value, 1)),
    leansIn: viewText.leansInAt(measured(greatestTurnIn(mount.stone))),
    stands: viewText.bezelStands(measured(figure("netHeight").value)),
    third: viewText.aThirdOfTheHeight(lift > 0 ? viewText.andTheLift : "", measured(section.third)),
    top: showLength(mount.stone.height, "blank", units),
    thickness: plan.figures[`${mount.id}.wall.wallLeft`]
      ? viewText.isLeft(measured(figure("wallLeft").value))
      : viewText.gauge(nearestGauge(mount.wall.thickness)),
    wants: wantsText(plan, mount, stock, units),
    shelf: shelfText(plan, mount, units),
    teeth: teethText(plan, mount, units),
    gaps: {
      depth: usualText(mount.wall.notch?.depth, viewText.halfTheLip, plan.figures[`${mount.id}.wall.notchDepth`], units),
      gap: usualText(mount.wall.notch?.gap, viewText.n04OfThePitch, plan.figures[`${mount.id}.wall.notchGap`], units),
    },
    sawLine:
      stock.name === "cup" ? null : viewText.sawLineOutside(withUnit(plan.settled.mounts[mount.id]!.back.sawMargin.value, "blank", units)),
    across: showLength(figureOf(plan.figures, `${mount.id}.stone.length`).value, "blank", units),
  };
}

/** What a tube or a cup would rightly measure; of the maker's own cup its inside too, which nobody typed. */
function wantsText(plan: Plan, { id }: Mount, stock: WallStock, units: Units): string {
  if (stock.name === "strip") return "";
  const right = viewText.wouldBeRight(withUnit(stock.figure.value, "measured", units));
  const at = plan.settled.mounts[id]!.wall.ready?.at;
  return stock.name === "cup" && at ? viewText.inside(showLength(at.inside, "measured", units), right) : right;
}

/** Wall and fit of a strip are one addition to a maker; all else is as it is. */
function sumOf({ name, figure }: WallStock, units: Units): SumPart[] {
  const value = (label: string) => figure.terms.find((each) => each.label === label)?.value ?? 0;
  const strip = [
    { name: "outline", value: value("outline") },
    { name: viewText.bezelAndFit, value: value("wall") + value("fit") },
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
  const shows = wallHolds(plan, id) ? viewText.showsOfTheFace(showPercent(figure("faceShown"))) : viewText.doesNotHoldTheStone;
  if (stock.name === "tube") {
    const at = plan.settled.mounts[id]!.wall.ready?.at;
    return {
      answers: [
        answer("tubeOutside", viewText.tubeThatFits, at ? viewText.tubeWanted : viewText.tube, measured("tubeOutside"), "across"),
        answer("cutHeight", viewText.sawTheTubeTo, viewText.sawIt, tall, "long"),
        ...(has("seatDepth")
          ? [answer("seatDepth", viewText.depthOfTheSeat, "seat", showLength(figure("seatDepth"), "height", units), "deep")]
          : []),
      ],
      lands: has("wallLeft") ? viewText.leavesOfWall(measured("wallLeft")) : shows,
      cut: viewText.saw(tall),
      beyond: viewText.restOfTheTube,
    };
  }
  if (stock.name === "cup") {
    return {
      answers: [
        answer("cupLength", viewText.cupThatFitsInsideLength, viewText.cupWanted, measured("cupLength"), "inside"),
        answer("cupWidth", viewText.cupThatFitsInsideWidth, "by", measured("cupWidth"), "wide"),
        answer("cutHeight", viewText.fileTheRimTo, viewText.fileItTo, tall, "tall"),
      ],
      lands: has("gap")
        ? [viewText.leavesRoundIt(measured("gap")), ...(has("thin") ? [viewText.thinBy(measured("thin"))] : [])].join(", ")
        : shows,
      cut: viewText.insideLength(showLength(plan.drawing.laid[`${id}.wall`]!.length, "measured", units)),
      beyond: "",
    };
  }
  const cut = showLength(figure("cutLength"), "strip", units);
  return {
    answers: [
      answer("cutLength", viewText.cutStrip, viewText.cutStrip, cut, "long"),
      answer("cutHeight", viewText.slitTheStripTo, viewText.slitTo, tall, "tall"),
    ],
    lands: viewText.finished(measured("netLength"), measured("netHeight"), shows),
    cut: viewText.cut(cut),
    beyond: plan.settled.mounts[id]!.wall.source === "sheet" ? viewText.restOfTheSheet : viewText.restOfTheCoil,
  };
}

function shelfText({ figures }: Plan, { id }: Mount, units: Units): string | null {
  const [strip, cut] = [figures[`${id}.wall.stripHeight`], figures[`${id}.wall.cutHeight`]];
  if (!strip || !cut) return null;
  const [has, takes] = [showLength(strip.value, "measured", units), showLength(cut.value, "height", units)];
  const off = Number(has) - Number(takes);
  const digits = units.length === "inch" ? 3 : 2;
  return viewText.onTheShelf(has, lengthUnit(units), off > 0 ? viewText.comesOff(off.toFixed(digits)) : viewText.nothingToTrim);
}

function teethText({ figures }: Plan, { id }: Mount, units: Units): string {
  const [count, pitch] = [figures[`${id}.wall.notches`], figures[`${id}.wall.notchPitch`]];
  return count && pitch ? viewText.notchesApartCloseAtThe(count.value, withUnit(pitch.value, "measured", units)) : "";
}

/** What is usual, and what it comes to where nothing was chosen. */
function usualText(chosen: number | undefined, usual: string, taken: Figure | undefined, units: Units): string {
  return chosen === undefined && taken ? viewText.empty(usual, showLength(taken.value, "measured", units)) : viewText.isUsual(usual);
}
