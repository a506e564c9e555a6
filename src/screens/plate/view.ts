import { type BackKind } from "@/core/mount/backs/back";
import { type Figure, type Term, type TermCode, figureOf } from "@/core/measure/figure";
import { ornamentOf } from "@/core/piece/mounts";
import { type Mount, type OrnamentEntry } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { LAYER_NAMES } from "@/words/names";
import { sayBack } from "@/words/backs";
import { type SaidOrnament, sayOrnament } from "@/words/ornament";
import { type Units, lengthUnit, showLength } from "@/words/show";
import { bareIn, figureText, roundingOf } from "@/words/steps";
import { type Share, type SumPart, cutAt, sharesOf, sumParts } from "@/words/sums";
import { commonText } from "@/words/common";
import { viewText } from "@/words/screens/plate";

/** One large figure of the answer: what it is called, what it says, and what comes after it. */
export interface SaidAnswer {
  readonly figure: string;
  readonly name: string;
  readonly lead: string;
  readonly text: string;
  readonly unit: string;
}

/** What lies on the rule: the plate's blank, a ledge, or the ornament that is chosen. */
export interface OnRule {
  readonly part: string;
  readonly answers: readonly SaidAnswer[];
  /** Said small beside them, and the figure it opens. */
  readonly aside: { readonly figure: string; readonly name: string; readonly text: string };
  /** The length whose sum stands at the end, and whether it goes along the wall; null where what is answered is counted. */
  readonly cut: { readonly figure: string; readonly isAlong: boolean } | null;
  readonly tall: number;
  readonly atCut: string;
  readonly beyond: string;
}

type PlatePlan = Pick<Plan, "figures" | "settled" | "drawing">;

/** What the Plate stage answers; of an ornament where one is chosen. */
export function onRule(plan: PlatePlan, mount: Mount, chosen: OrnamentEntry | null, units: Units): OnRule {
  if (chosen) return ornamentOnRule(plan, mount.id, chosen, units);
  return BACK_ON_RULE[plan.settled.mounts[mount.id]!.back.kind](plan, mount.id, units);
}

/** What lies on the rule of each kind of back; a cup's own base is not cut, and has no stage. */
const BACK_ON_RULE: Readonly<Record<BackKind, (plan: PlatePlan, id: string, units: Units) => OnRule>> = {
  plate: plateOnRule,
  own: plateOnRule,
  shared: plateOnRule,
  base: plateOnRule,
  open: ledgeOnRule,
  none: tubeOnRule,
};

/** Without a plate it is the tube that is cut. */
function tubeOnRule(plan: PlatePlan, id: string, units: Units): OnRule {
  const key = (name: string) => `${id}.wall.${name}`;
  const cut = bareIn(plan, units)(key("cutHeight"));
  return {
    part: `${id}.wall`,
    answers: [{ figure: key("cutHeight"), name: viewText.tubeCutLength, lead: viewText.sawTheTube, text: cut, unit: lengthUnit(units) }],
    aside: { figure: key("netHeight"), name: viewText.tubeAsItStands, text: sayBack(plan, id, bareIn(plan, units), units).card },
    cut: { figure: key("cutHeight"), isAlong: false },
    tall: plan.drawing.settings[id]!.stock.tall,
    atCut: viewText.cut(cut),
    beyond: viewText.restOfTheTube,
  };
}

function plateOnRule(plan: PlatePlan, id: string, units: Units): OnRule {
  const key = (name: string) => `${id}.plate.${name}`;
  const bare = bareIn(plan, units);
  return {
    part: `${id}.plate`,
    answers: [
      {
        figure: key("blankLength"),
        name: viewText.platesBlankLengthwise,
        lead: viewText.cutBlank,
        text: bare(key("blankLength")),
        unit: viewText.long,
      },
      {
        figure: key("blankWidth"),
        name: viewText.platesBlankAcross,
        lead: viewText.by,
        text: bare(key("blankWidth")),
        unit: viewText.wide(lengthUnit(units)),
      },
    ],
    aside: {
      figure: key("area"),
      name: viewText.platesArea,
      text: viewText.sawnTo(bare(key("length")), bare(key("width")), figureText(key("mass"), figureOf(plan.figures, key("mass")), units)),
    },
    cut: { figure: key("blankLength"), isAlong: false },
    tall: figureOf(plan.figures, key("blankWidth")).value,
    atCut: viewText.cutMark(bare(key("blankLength"))),
    beyond: viewText.restOfTheSheet,
  };
}

function ledgeOnRule(plan: PlatePlan, id: string, units: Units): OnRule {
  const key = (name: string) => `${id}.ledge.${name}`;
  const { ledge } = plan.settled.mounts[id]!.back;
  const cut = bareIn(plan, units)(key("cutLength"));
  return {
    part: `${id}.ledge`,
    answers: [{ figure: key("cutLength"), name: viewText.ledgeCutLength, lead: viewText.cutLedge, text: cut, unit: lengthUnit(units) }],
    aside: {
      figure: key("backShown"),
      name: viewText.backShown,
      text: viewText.showsOfTheBack(figureText(key("backShown"), figureOf(plan.figures, key("backShown")), units)),
    },
    cut: { figure: key("cutLength"), isAlong: true },
    tall: ledge?.height ?? 1,
    atCut: viewText.cut(cut),
    beyond: commonText.restOfTheWire,
  };
}

function ornamentOnRule(plan: PlatePlan, id: string, entry: OrnamentEntry, units: Units): OnRule {
  const said = sayOrnament(plan, id, entry, bareIn(plan, units), units);
  const key = (name: string) => `${id}.ornament.${entry.id}.${name}`;
  const { isCounted } = said;
  const name = LAYER_NAMES[entry.type];
  return {
    part: `${id}.ornament.${entry.id}`,
    answers: [
      {
        figure: said.figure,
        name: isCounted ? viewText.howMany(said.name) : viewText.cutLength(said.name),
        lead: isCounted ? viewText.make : viewText.cutNamed(name),
        text: isCounted ? String(figureOf(plan.figures, key("count")).value) : said.cut,
        unit: isCounted ? viewText.of(name, showLength(entry.width, "measured", units), lengthUnit(units)) : lengthUnit(units),
      },
    ],
    aside: {
      figure: key(isCounted ? "gap" : "netLength"),
      name: isCounted ? viewText.leftOver : viewText.netLength(said.name),
      text: said.what,
    },
    cut: isCounted ? null : { figure: said.figure, isAlong: true },
    tall: entry.height ?? entry.width,
    atCut: isCounted
      ? viewText.round(figureText(key("netLength"), figureOf(plan.figures, key("netLength")), units))
      : viewText.cutTo(bareIn(plan, units)(key("cutLength"))),
    beyond: isCounted ? "" : viewText.restOfThe(name),
  };
}

/** What a length goes along, in a word: the outline, and what lies further out or in. */
const ALONG: ReadonlySet<TermCode> = new Set<TermCode>(["outline", "fit", "ornament", "ledge"]);

function alongOf(terms: readonly Term[]): Share {
  return { name: viewText.alongIt, value: terms.reduce((all, { value }) => all + value, 0) };
}

function without(figure: Figure, terms: readonly Term[]): Figure {
  return { ...figure, terms: figure.terms.filter((each) => !terms.includes(each)) };
}

/** The sum of what is cut. */
export function sumOf(
  plan: PlatePlan,
  { figure: key, isAlong }: NonNullable<OnRule["cut"]>,
  units: Units,
): { readonly parts: readonly SumPart[]; readonly total: string; readonly why: string } {
  const figure = figureOf(plan.figures, key);
  const along = figure.terms.filter(({ label }) => ALONG.has(label));
  const shares = isAlong && along.length > 1 ? [alongOf(along), ...sharesOf(without(figure, along))] : sharesOf(figure);
  return {
    parts: sumParts(shares, "mm", units),
    total: showLength(figure.value, "measured", units),
    why: cutAt(figure.value, roundingOf(key), units),
  };
}

/** Each ornament as the list tells it, from the wall outward. */
export function listed(
  plan: PlatePlan,
  mount: Mount,
  units: Units,
): readonly { readonly entry: OrnamentEntry; readonly said: SaidOrnament }[] {
  return ornamentOf(mount).map((entry) => ({ entry, said: sayOrnament(plan, mount.id, entry, bareIn(plan, units), units) }));
}
