import { METALS } from "@/core/metal/metals";
import { BAIL_WORDS } from "@/words/bails";
import { doneSteps } from "@/core/making/done";
import { type Finding } from "@/core/measure/finding";
import { figureOf } from "@/core/measure/figure";
import { type DoubtOf } from "@/core/piece/doubt";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type Remedy } from "@/core/piece/remedies";
import { sayRemedy } from "@/words/remedies";
import { type Plan, bailIn, postIn } from "@/core/piece/plan";
import { hangsText } from "@/words/hang";
import { type Curve, boxOf } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { dayText } from "@/words/dates";
import { DOUBTS } from "@/words/doubt";
import { FORM_NAMES, SECTION_NAMES, SHAPE_NAMES, SYSTEM_NAMES } from "@/words/names";
import { type Units, showFigure, showLength } from "@/words/show";
import { FINDING_WORDS } from "@/words/finding-words";
import { sayFinding } from "@/words/findings";
import { SETTLING, sayHeats } from "@/words/heats";
import { sayBack } from "@/words/backs";
import { andOthers } from "@/words/settings";
import { bareIn, sayStep } from "@/words/steps";
import { type StageId, stageOf } from "@/words/stages";
import { wallStock } from "@/words/wall-stock";
import { rowsText } from "@/words/screens/tray";

/** Cells of the list that a plan fills. */
export const CELLS = ["strip", "plate", "carrier", "heats"] as const;
type CellName = (typeof CELLS)[number];

/** What a piece's plan tells of it in the list: two lines to a cell. */
export interface PieceRow {
  readonly strip: readonly [string, string];
  readonly plate: readonly [string, string];
  readonly carrier: readonly [string, string];
  readonly heats: readonly [string, string];
  /** What is gravest of what the heats do to the joints made before. */
  readonly heatsLevel: "error" | "warning" | null;
  readonly next: string;
  /** Whether it is being made. */
  readonly isUnderWay: boolean;
  /** What is gravest about it: shown with a mark. */
  readonly level: "error" | "warning" | null;
  /** What that is, in words; null where nothing is wrong. */
  readonly finding: string | null;
  /** The same in two words or so. */
  readonly findingWords: string | null;
  /** The cell it is about; null where it is about none of them. */
  readonly findingAt: CellName | null;
  /** How far the making is, as a share of its steps; null where none is under way. */
  readonly share: number | null;
}

/**
 * `make` is the last making of the piece, undefined where there is none, null where that is not known yet; `standing` what was read in it and means that
 * a part is to be made anew.
 */
export function rowOf(
  piece: Piece,
  { plan, isSettling }: { readonly plan: Plan; readonly isSettling: boolean },
  make: Make | undefined | null,
  units: Units,
  doubtOf: DoubtOf,
  standing: readonly Remedy[] = [],
): PieceRow {
  const { id, stone, wall } = piece.mounts[0]!;
  const back = sayBack(plan, id, bareIn(plan, units), units);
  const value = (key: string) => figureOf(plan.figures, key).value;
  const stock = wallStock(plan, id, units);
  const { carrier } = piece;
  const trusted = plan.findings.filter(({ at }) => !doubtOf(at));
  const gravest = trusted.find(({ level }) => level === "error") ?? trusted.find(({ level }) => level === "warning");
  const [stopped] = standing;
  const sure = (key: string, cell: readonly [string, string]): readonly [string, string] => {
    const doubt = doubtOf(key);
    return doubt ? ["—", DOUBTS[doubt]] : cell;
  };
  return {
    strip: sure(`${id}.wall`, [
      stock.size,
      [
        ...(stock.name === "strip" ? [] : [stock.name]),
        METALS[wall.metal].name.replace(" silver", ""),
        showLength(plan.settled.mounts[id]!.wall.thickness, "measured", units),
      ].join(", "),
    ]),
    plate: sure(back.rests, back.cell),
    carrier:
      carrier.type === "hoop"
        ? sure("hoop.cutLength", [
            rowsText.blank(showLength(value("hoop.cutLength"), "blank", units)),
            `${FORM_NAMES[carrier.form]}, ${SECTION_NAMES[carrier.stock.section]}`,
          ])
        : (bailCell(plan, id, units, sure) ?? [rowsText.noHoopOrBail, stone.name ?? ""]),
    ...(isSettling ? SEARCHED : heatsCell(plan)),
    next: isSettling && isUnderWay(make) ? "" : nextStep(plan, make, units, doubtOf),
    isUnderWay: isUnderWay(make),
    level: stopped || gravest?.level === "error" ? "error" : gravest ? "warning" : null,
    share: shareDone(make, plan),
    findingAt: stopped ? "strip" : gravest ? cellOf(gravest) : null,
    findingWords: stopped ? rowsText.makeAnew : gravest ? FINDING_WORDS[gravest.code] : null,
    finding: stopped ? sayRemedy(stopped, units).what : gravest ? sayFinding(gravest, plan, units).what : null,
  };
}

/** The cell that a finding is about, by the stage that it stands on. */
const CELL_OF: Readonly<Partial<Record<StageId, CellName>>> = {
  wall: "strip",
  plate: "plate",
  hoop: "carrier",
  bail: "carrier",
  heats: "heats",
};

function cellOf(finding: Finding): CellName | null {
  const stage = stageOf(finding, finding.mount ?? "");
  return stage === null ? null : (CELL_OF[stage] ?? null);
}

/** What a setting hangs by, and how it hangs; null where it does not. */
function bailCell(
  plan: Plan,
  mount: string,
  units: Units,
  sure: (key: string, cell: readonly [string, string]) => readonly [string, string],
): readonly [string, string] | null {
  if (postIn(plan)) {
    const [length, mass] = ["post.cutLength", "earring.mass"].map((key) => figureOf(plan.figures, key));
    return sure("earring.mass", [rowsText.post(showLength(length!.value, "blank", units)), showFigure(mass!, units)]);
  }
  const bail = bailIn(plan);
  const hang = bail?.drawn.hangs.find((each) => each.mount === mount);
  if (!bail || !hang) return null;
  if (bail.drawn.earWire)
    return sure("hang.tilt", [
      rowsText.earWire(showLength(figureOf(plan.figures, "earwire.cutLength").value, "blank", units)),
      hangsText(hang.tilt),
    ]);
  const cut = showLength(figureOf(plan.figures, bail.drawn.cut).value, "blank", units);
  return sure("hang.tilt", [`${BAIL_WORDS[bail.settled.style].short} ${cut}`, hangsText(hang.tilt)]);
}

/** A piece's stone and size, which need no plan. */
export function stoneAndSize({ mounts, carrier }: Piece, doubtOf: DoubtOf): string {
  const { stone } = mounts[0]!;
  const size = carrier.type === "hoop" && !doubtOf("hoop.size.value") ? `${SYSTEM_NAMES[carrier.size.system]} ${carrier.size.value}` : "";
  const first = [stone.material?.name, SHAPE_NAMES[stone.outline.shape]].filter(Boolean).join(" ");
  return [first + andOthers(mounts), size].filter(Boolean).join(", ");
}

/** While its best heats are looked for nothing is said of them. */
const SEARCHED = { heats: ["–", SETTLING], heatsLevel: null } as const;

function heatsCell(plan: Plan): Pick<PieceRow, "heats" | "heatsLevel"> {
  const { text, level } = sayHeats(plan);
  return { heats: [plan.heatPlan.status === "impossible" ? "—" : String(plan.heats.length), text], heatsLevel: level };
}

function isUnderWay(make: Make | undefined | null): make is Make {
  return !!make && make.finished === null && make.done.length > 0;
}

/** How far a making is, as a share of its steps; null where none is under way with something done. */
export function shareDone(make: Make | undefined | null, { steps }: Pick<Plan, "steps">): number | null {
  return isUnderWay(make) && steps.length > 0 ? doneSteps(steps, make.done).size / steps.length : null;
}

function nextStep(plan: Plan, make: Make | undefined | null, units: Units, doubtOf: DoubtOf): string {
  if (make === null) return "";
  if (!make || (make.finished === null && !isUnderWay(make))) return rowsText.planned;
  if (make.finished !== null) return rowsText.made(dayText(make.finished)).trimEnd();
  const done = doneSteps(plan.steps, make.done);
  const next = plan.steps.findIndex(({ id }) => !done.has(id));
  if (next < 0) return rowsText.allStepsDone;
  const { lead, title } = sayStep(plan.steps[next]!, plan, units, doubtOf);
  return rowsText.step(next + 1, title.slice(lead.length).split(/[:,;]/)[0]!.toLowerCase());
}

/** A stone as it lies on the tray: its outline and its wall's, in mm. */
export interface TrayStone {
  readonly stone: Curve;
  readonly wall: Curve;
  readonly width: number;
  readonly height: number;
  /** Where its middle lies. */
  readonly middle: Point;
}

const lying = new WeakMap<Plan, TrayStone>();

/** Worked out once for a plan: the tray is drawn again whenever a row is planned. */
export function trayStone(plan: Plan, mount: string): TrayStone {
  const known = lying.get(plan);
  if (known) return known;
  const made = layStone(plan, mount);
  lying.set(plan, made);
  return made;
}

function layStone(plan: Plan, mount: string): TrayStone {
  const { stone, wallOutside } = plan.drawing.settings[mount]!.plan;
  const { left, right, low, high } = boxOf(wallOutside);
  return { stone, wall: wallOutside, width: right - left, height: high - low, middle: [(left + right) / 2, (low + high) / 2] };
}
