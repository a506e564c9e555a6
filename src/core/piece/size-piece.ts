import { type Assembly, type Built, type Tie, together } from "../joint/joint";
import { type Outline } from "../geometry/outline";
import { drawHoop } from "../hoop/drawing";
import { hoopBuilt } from "../hoop/built";
import { planHoop } from "../hoop/hoop";
import { type Base } from "../hoop/seat";
import { HAND_PUSHER } from "../making/steps";
import { type Finding, finding } from "../measure/finding";
import { type Figures, figureOf, single } from "../measure/figure";
import { tolerance } from "../measure/tolerances";
import { settingBuilt } from "../mount/built";
import { drawSetting, type SettingDrawing } from "../mount/drawing";
import { planPlate } from "../mount/plate";
import { planWall } from "../mount/plan-wall";
import { isSoft, outlineOf } from "../stone/stone";
import { type BenchEntry } from "./bench";
import { type Mount, type Piece } from "./piece";
import { type Drawing, type Settled } from "./plan";
import { settleDome, settleHoop, settlePlate, settleWall } from "./settle";

/** A piece with all its lengths, parts and joints: all but its heats. */
export interface SizedPiece {
  readonly piece: Piece;
  readonly figures: Figures;
  readonly findings: readonly Finding[];
  readonly assembly: Assembly;
  readonly drawing: Drawing;
  readonly settled: Omit<Settled, "heats">;
}

interface SizedMount {
  readonly id: string;
  readonly figures: Figures;
  readonly findings: readonly Finding[];
  readonly built: Built & { readonly tie: Tie };
  readonly base: Base;
  readonly drawing: SettingDrawing;
  readonly settled: Settled["mounts"][string];
}

/** Cheap enough to run at every keystroke. @throws for a piece that `faultsOf` or `unplanned` refuse. */
export function sizePiece(piece: Piece, bench: BenchEntry): SizedPiece {
  const { carrier } = piece;
  const mounts = piece.mounts.map((mount) => sizeMount(mount, bench, carrier.type === "hoop"));
  const settings = mounts.map(({ built }) => built);
  const settledMounts = Object.fromEntries(mounts.map(({ id, settled }) => [id, settled]));
  const drawings = Object.fromEntries(mounts.map(({ id, drawing }) => [id, drawing]));
  const figures = mounts.reduce<Figures>((all, mount) => ({ ...all, ...mount.figures }), {});
  const findings = mounts.flatMap((mount) => mount.findings);
  if (carrier.type !== "hoop") {
    return {
      piece,
      figures,
      findings,
      assembly: together(settings),
      drawing: { settings: drawings, hoop: null },
      settled: { mounts: settledMounts, hoop: null },
    };
  }
  const hoop = settleHoop(carrier, bench);
  const planned = planHoop(
    hoop,
    mounts.map(({ base }) => base),
  );
  return {
    piece,
    figures: { ...figures, ...planned.figures },
    findings: [...findings, ...planned.findings],
    assembly: together([
      ...settings,
      hoopBuilt(
        hoop,
        planned,
        settings.map(({ tie }) => tie),
      ),
    ]),
    drawing: { settings: drawings, hoop: drawHoop(hoop, planned) },
    settled: { mounts: settledMounts, hoop },
  };
}

function sizeMount(mount: Mount, bench: BenchEntry, onHoop: boolean): SizedMount {
  const { id, stone } = mount;
  const { outline, tapeOff } = outlineOf(stone);
  const dome = settleDome(stone, outline);
  const wall = settleWall(mount, outline, bench);
  const plate = settlePlate(mount);
  const across = acrossFinger(mount);
  const wallPlan = planWall(id, outline, dome, wall, onHoop ? placesFacing(outline, across) : []);
  const platePlan = planPlate(id, outline, wall, plate);
  const figures = { ...outlineFigures(id, outline, tapeOff), ...wallPlan.figures, ...platePlan.figures };
  const value = (name: string) => figureOf(figures, `${id}.${name}`).value;
  const [netLength, netHeight, wallMass, plateMass] = [
    value("wall.netLength"),
    value("wall.netHeight"),
    value("wall.mass"),
    value("plate.mass"),
  ];
  const footArea = netLength * wall.thickness + (wallPlan.shelf?.area ?? 0);
  return {
    id,
    figures,
    findings: [...tapeFindings(id, tapeOff), ...wallPlan.findings, ...softFindings(id, stone.material?.mohs ?? null, wall.thickness)],
    built: settingBuilt({
      mount: id,
      wall: {
        metal: wall.metal,
        mass: plate.isOwn ? wallMass + plateMass : wallMass,
        thickness: wall.thickness,
        netLength,
        netHeight,
        seamAt: wallPlan.seamAt,
        footArea,
      },
      plate: plate.isOwn ? null : { metal: plate.metal, mass: plateMass, blankMass: platePlan.blankMass, thickness: plate.thickness },
    }),
    base: { mount: id, extent: outline.extent(across) + 2 * platePlan.edge, thickness: plate.thickness, along: mount.place?.along ?? 0 },
    drawing: drawSetting({
      outline,
      stone,
      dome,
      wall,
      wallPlan,
      platePlan,
      plateThickness: plate.thickness,
      netHeight,
      cutHeight: value("wall.cutHeight"),
      netLength,
    }),
    settled: { wall, plate },
  };
}

/** The finger's curve crosses the outline's width where the outline is not turned. Radians from the outline's length. */
function acrossFinger({ place }: Mount): number {
  return Math.PI / 2 - ((place?.turn ?? 0) * Math.PI) / 180;
}

/** The two places of the outline that face along a direction: of a flat side its middle. */
function placesFacing(outline: Outline, direction: number): number[] {
  const [dx, dy] = [Math.cos(direction), Math.sin(direction)];
  const { stations } = outline;
  const reach = stations.map(({ x, y }) => x * dx + y * dy);
  return [1, -1].map((way) => {
    const most = Math.max(...reach.map((each) => way * each));
    const facing = stations.flatMap(({ at }, i) => (most - way * reach[i]! < tolerance.sameLength ? [at] : []));
    const first = facing[0]!;
    const across = facing.map((at) => (at - first > 0.5 ? at - 1 : at));
    const middle = (Math.min(...across) + Math.max(...across)) / 2;
    return middle - Math.floor(middle);
  });
}

function outlineFigures(id: string, outline: Outline, tapeOff: number | null): Figures {
  return {
    [`${id}.outline.perimeter`]: single("mm", outline.perimeter, tapeOff === null ? "perimeter" : "measured", "stone"),
    [`${id}.stone.length`]: single("mm", outline.extent(0), "extent", "stone"),
    [`${id}.stone.width`]: single("mm", outline.extent(Math.PI / 2), "extent", "stone"),
    [`${id}.outline.area`]: single("mm2", outline.area, "area", "stone"),
  };
}

/** A wall this thick takes a punch, which a soft stone does not bear (mm). */
const HEAVY_WALL = 1;

function softFindings(id: string, mohs: number | null, thickness: number): Finding[] {
  return thickness > HEAVY_WALL && isSoft(mohs)
    ? [finding("wall.heavy-on-soft", "warning", `${id}.wall`, { thickness, mohs: mohs!, hand: HAND_PUSHER }, id)]
    : [];
}

function tapeFindings(id: string, tapeOff: number | null): Finding[] {
  return tapeOff !== null && Math.abs(tapeOff) > tolerance.wrongReading
    ? [finding("stone.tape-off", "warning", `${id}.stone`, { off: tapeOff }, id)]
    : [];
}
