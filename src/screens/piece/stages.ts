import { type Mount, type Piece } from "@/core/piece/piece";
import { type Plan, bailIn } from "@/core/piece/plan";
import { BAIL_WORDS } from "@/words/bails";
import { giveOrTake } from "@/words/hoop-size";
import { hangsText } from "@/words/hang";
import { type Planned } from "@/ui/planner";
import { type DoubtOf, doubtAmong } from "@/core/piece/doubt";
import { figureOf } from "@/core/measure/figure";
import { type Level } from "@/core/measure/finding";
import { ifSure } from "@/words/doubt";
import { SYSTEM_NAMES, counted } from "@/words/names";
import { type Rounding, type Units, showFigure, showLength } from "@/words/show";
import { stoneSize } from "@/words/stone-size";
import { sayBack } from "@/words/backs";
import { bareIn } from "@/words/steps";
import { wallStock } from "@/words/wall-stock";
import { SETTLING, sayHeats } from "@/words/heats";
import { STAGES, STAGE_NAMES, type StageId, stageName, stageOf } from "@/words/stages";
import { stagesText } from "@/words/screens/piece";

export interface StemEntry {
  readonly id: StageId;
  readonly name: string;
  /** The stage's one result. */
  readonly result: string;
  /** The same in a word or two, for a phone. */
  readonly short: string;
  /** Its gravest finding, notes apart. */
  readonly level: Exclude<Level, "note"> | null;
  readonly isDone: boolean;
}

/** The stages that only some carriers have. */
const CARRIED_BY: Partial<Readonly<Record<StageId, readonly Piece["carrier"]["type"][]>>> = {
  hoop: ["hoop"],
  bail: ["bail", "jump-ring", "posts", "ear-wires"],
};

/** Stages a piece has: without a hoop there is no hoop stage, and a cup has its own base. */
export function stagesOf(piece: Piece, mount: string): StageId[] {
  const isCup = piece.mounts.find(({ id }) => id === mount)!.wall.source === "cup";
  return STAGES.filter((stage) => (CARRIED_BY[stage]?.includes(piece.carrier.type) ?? true) && (stage !== "plate" || !isCup));
}

/** The piece in the order it is made, each stage with its result. `done` counts steps ticked off. */
export function stemOf(
  piece: Piece,
  { plan, isSettling }: Planned,
  mount: string,
  units: Units,
  done: number,
  doubtOf: DoubtOf,
): StemEntry[] {
  const told: StageSource = { piece, mount: piece.mounts.find(({ id }) => id === mount)!, plan, units, done };
  return stagesOf(piece, mount).map((id) => {
    const { rests, result, short } = RESULTS[id];
    const doubt = doubtAmong(rests(mount), doubtOf);
    return {
      id,
      name: stageName(STAGE_NAMES[id], id, plan),
      result: id === "heats" && isSettling ? SETTLING : ifSure(doubt, result(told)),
      short: doubt ? "–" : short(told),
      level: doubt ? null : levelOf(id, plan, mount),
      isDone: !doubt && (id !== "making" || done === plan.steps.length),
    };
  });
}

/** What a stage's result is told of. */
interface StageSource {
  readonly piece: Piece;
  readonly mount: Mount;
  readonly plan: Plan;
  readonly units: Units;
  /** Steps ticked off. */
  readonly done: number;
}

interface Result {
  /** What it can be doubted by: parts of the piece, by their keys. */
  readonly rests: (mount: string) => readonly string[];
  readonly result: (told: StageSource) => string;
  /** The same where there is room for a word. */
  readonly short: (told: StageSource) => string;
}

const lengthIn = ({ plan, units }: StageSource, key: string, rounding: Rounding) =>
  showLength(figureOf(plan.figures, key).value, rounding, units);

const RESULTS: Readonly<Record<StageId, Result>> = {
  stone: {
    rests: (mount) => [`${mount}.stone`],
    result: ({ mount: { stone }, units }) => stagesText.tall(stoneSize(stone.outline, units), showLength(stone.height, "blank", units)),
    short: (told) => {
      const side = (name: string) => lengthIn(told, `${told.mount.id}.stone.${name}`, "blank");
      return `${side("length")} × ${side("width")}`;
    },
  },
  wall: {
    rests: (mount) => [`${mount}.wall`],
    result: ({ plan, mount, units }) => wallResult(plan, mount.id, units),
    short: ({ plan, mount, units }) => wallStock(plan, mount.id, units).first,
  },
  plate: {
    rests: (mount) => [`${mount}.plate`, `${mount}.ledge`],
    result: (told) => backOf(told).stem,
    short: (told) => backOf(told).short,
  },
  hoop: {
    rests: (mount) => ["hoop.cutLength", `${mount}.hoop`],
    result: (told) =>
      told.piece.carrier.type === "hoop"
        ? stagesText.blank(
            SYSTEM_NAMES[told.piece.carrier.size.system],
            told.piece.carrier.size.value,
            giveOrTake(told.plan),
            lengthIn(told, "hoop.cutLength", "blank"),
          )
        : "",
    short: (told) => stagesText.blankLength(lengthIn(told, "hoop.cutLength", "blank")),
  },
  bail: {
    rests: (mount) => ["bail", "hang", `${mount}.hang`, "earring.mass"],
    result: (told) => bailResult(told),
    short: (told) => tiltText(told),
  },
  heats: {
    rests: () => ["heats"],
    result: ({ plan }) => heatsResult(plan),
    short: ({ plan }) => {
      const { short } = sayHeats(plan);
      return plan.heatPlan.status === "impossible" ? short : `${plan.heats.length}, ${short}`;
    },
  },
  making: {
    rests: () => [],
    result: ({ plan, done }) => stagesText.of(done, counted(plan.steps.length, "step")),
    short: ({ plan, done }) => stagesText.doneOf(done, plan.steps.length),
  },
};

/** "blank 18.0, hangs 13.5° off"; of what is worn in the ear "ear wire 40.0, hangs straight", "post 11.0, 1.16 g". */
function bailResult(told: StageSource): string {
  const bail = bailIn(told.plan);
  if (!bail) return stagesText.post(lengthIn(told, "post.cutLength", "blank"), earringMass(told));
  const { drawn, settled } = bail;
  if (drawn.earWire) return stagesText.earWire(lengthIn(told, "earwire.cutLength", "blank"), tiltText(told));
  return `${BAIL_WORDS[settled.style].stock} ${lengthIn(told, drawn.cut, "blank")}, ${tiltText(told)}`;
}

/** How it hangs; what a stud weighs. */
function tiltText(told: StageSource): string {
  const hang = bailIn(told.plan)?.drawn.hangs.find((each) => each.mount === told.plan.drawing.settings[told.mount.id]!.host);
  return hang ? hangsText(hang.tilt) : earringMass(told);
}

function earringMass({ plan, units }: StageSource): string {
  return showFigure(figureOf(plan.figures, "earring.mass"), units);
}

function backOf({ plan, mount, units }: StageSource) {
  return sayBack(plan, mount.id, bareIn(plan, units), units);
}

function wallResult(plan: Plan, id: string, units: Units): string {
  const { name, size, sense } = wallStock(plan, id, units);
  const thickness = showLength(plan.settled.mounts[id]!.wall.thickness, "measured", units);
  return name === "strip" ? stagesText.strip(size, thickness) : `${name} ${size}, ${sense}`;
}

/** "4 heats, all hold", or what moves in them. */
function heatsResult(plan: Plan): string {
  const { text } = sayHeats(plan);
  return plan.heatPlan.status === "impossible" ? text : `${counted(plan.heats.length, "heat")}, ${text}`;
}

function levelOf(stage: StageId, { findings }: Plan, mount: string): StemEntry["level"] {
  const here = findings.filter((finding) => stageOf(finding, mount) === stage).map(({ level }) => level);
  return here.includes("error") ? "error" : here.includes("warning") ? "warning" : null;
}
