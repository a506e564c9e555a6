import { tolerance } from "../measure/tolerances";
import { isUneven } from "../stone/profile";
import { shapeFaults } from "../stone/shapes/shapes";
import { greatestTurnIn, outlineOf } from "../stone/stone";
import { lengthOf } from "../mount/ready-wall";
import { isAtCorner, straightestPlace } from "../mount/seam";
import { widestLedge } from "../mount/backs/open";
import { overlap } from "../mount/layers/layer";
import { LAYERS, isPlannedLayer } from "../mount/layers/layers";
import { carrierKind } from "./carriers/carriers";
import { type BenchEntry, SHIPPED, choose } from "./bench";
import { type Fault, fault } from "./fault";
import { type AppliedEntry, type Mount, type OrnamentEntry, type Piece } from "./piece";
import { stretchOf } from "./settle";

const RESERVED = ["hoop", "bail", "hang", "bridge", "applied", "piece"];
const MOST_JOINTS = 40;

/** What a piece that fits its schema cannot mean. */
export function faultsOf(piece: Piece, bench: BenchEntry): Fault[] {
  return [
    ...idFaults(piece),
    ...piece.mounts.flatMap((mount, i) => stoneFaults(mount, `/mounts/${i}`, bench)),
    ...piece.mounts.flatMap((mount, i) => plateFaults(mount, `/mounts/${i}`, bench)),
    ...carrierKind(piece.carrier).faults(piece.carrier, piece.mounts, bench),
    ...appliedFaults(piece),
    ...(jointCount(piece) > MOST_JOINTS
      ? [fault("/mounts", "too-many", { limit: MOST_JOINTS, what: "joints", got: jointCount(piece) })]
      : []),
  ];
}

function idFaults({ mounts }: Piece): Fault[] {
  const seen = (ids: readonly string[], path: (i: number) => string) =>
    ids.flatMap((id, i) => {
      if (RESERVED.includes(id)) return [fault(path(i), "reserved", { got: id })];
      return ids.indexOf(id) < i ? [fault(path(i), "duplicate", { got: id })] : [];
    });
  return [
    ...seen(
      mounts.map(({ id }) => id),
      (i) => `/mounts/${i}/id`,
    ),
    ...mounts.flatMap(({ plate }, m) =>
      seen(
        (plate.ornament ?? []).map(({ id }) => id),
        (i) => `/mounts/${m}/plate/ornament/${i}/id`,
      ),
    ),
  ];
}

function stoneFaults(mount: Mount, path: string, bench: BenchEntry): Fault[] {
  const { stone, wall } = mount;
  const faults: Fault[] = [];
  const turnIn = greatestTurnIn(stone);
  const at = `${path}/stone/turnIn`;
  if (stone.dome === "flat") {
    if (turnIn !== stone.height || isUneven(stone)) faults.push(fault(at, "turn-in-not-flat", { height: stone.height, got: turnIn }));
  } else if (turnIn >= stone.height) {
    faults.push(fault(at, "turn-in-above-height", { height: stone.height, got: turnIn }));
  }
  if (wall.source === "notched" && wall.notch === undefined) faults.push(fault(`${path}/wall/notch`, "notch-missing"));
  faults.push(...readyFaults(mount, path));
  if (wall.heightRule === "fixed" && wall.fixedHeight === undefined) faults.push(fault(`${path}/wall/fixedHeight`, "fixed-height-missing"));
  const ofShape = shapeFaults(stone.outline);
  if (ofShape.length > 0) {
    return [...faults, ...ofShape.map(({ field, code, values }) => fault(`${path}/stone/outline/${field}`, code, values))];
  }
  const { outline, tapeOff } = outlineOf(stone);
  if (tapeOff !== null && Math.abs(tapeOff) > tolerance.noReading) {
    const [got, off] = [stone.measuredPerimeter!, tolerance.noReading];
    const worked = got / (1 + tapeOff);
    faults.push(fault(`${path}/stone/measuredPerimeter`, "tape-far-off", { least: worked * (1 - off), most: worked * (1 + off), got }));
  }
  const tubeNeeds = lengthOf(outline) + 2 * choose(wall.fit, bench.seatOf?.fit, SHIPPED.seatOf.fit).value;
  if (wall.source === "tube" && wall.tube && wall.tube.outside <= tubeNeeds) {
    faults.push(fault(`${path}/wall/tube/outside`, "tube-cut-through", { limit: tubeNeeds, got: wall.tube.outside }));
  }
  if (wall.catch !== undefined && wall.catch >= outline.inscribedRadius) {
    faults.push(fault(`${path}/wall/catch`, "catch-too-wide", { limit: outline.inscribedRadius, got: wall.catch }));
  }
  if (typeof wall.seamAt === "number" && isAtCorner(outline, wall.seamAt)) {
    const better = straightestPlace(outline, []);
    faults.push(fault(`${path}/wall/seamAt`, "seam-at-corner", { better, got: wall.seamAt }));
  }
  return faults;
}

/** What a tube or a cup cannot be. */
function readyFaults({ stone, wall, plate }: Mount, path: string): Fault[] {
  if (wall.source !== "tube" && wall.source !== "cup") return [];
  const { shape } = stone.outline;
  return [
    ...(wall.source === "tube" && shape !== "round" ? [fault(`${path}/wall/source`, "tube-not-round", { shape, got: wall.source })] : []),
    ...(wall.source === "cup" && plate.style !== "flush" ? [fault(`${path}/plate/style`, "cup-has-base", { got: plate.style })] : []),
    ...(wall.source === "cup" && wall.cup && 2 * wall.cup.thickness >= wall.cup.length
      ? [fault(`${path}/wall/cup/thickness`, "cup-too-thick", { limit: wall.cup.length / 2, got: wall.cup.thickness })]
      : []),
    ...(wall.source === "tube" && wall.tube && wall.tube.inside >= wall.tube.outside
      ? [fault(`${path}/wall/tube/inside`, "tube-inside-out", { limit: wall.tube.outside, got: wall.tube.inside })]
      : []),
  ];
}

function plateFaults(mount: Mount, path: string, bench: BenchEntry): Fault[] {
  const ornament = mount.plate.ornament ?? [];
  return [
    ...ornament.flatMap((entry, i) => ornamentFaults(entry, `${path}/plate/ornament/${i}`)),
    ...(mount.plate.style === "open" ? openFaults(mount, path, bench) : []),
  ];
}

/** Stretches of one ornament may touch but not overlap; what it is made from goes with its kind. */
function ornamentFaults({ type, extent = "all", tight = 0, from }: OrnamentEntry, path: string): Fault[] {
  const stretches = extent === "all" ? [] : extent.map(stretchOf);
  const own = isPlannedLayer(type) ? LAYERS[type].faults({ type, from: from ?? null }) : [];
  return [
    ...stretches.flatMap((each, i): Fault[] => {
      if (each.to - each.from < tolerance.leastStretch) return [fault(`${path}/extent/${i}`, "stretch-empty", { got: each.from })];
      const other = stretches.slice(0, i).findIndex((before) => overlap(before, each));
      return other < 0 ? [] : [fault(`${path}/extent/${i}`, "stretch-overlap", { other })];
    }),
    ...(extent !== "all" && tight > 0 ? [fault(`${path}/tight`, "tight-not-round", { got: tight })] : []),
    ...own.map(({ field, code, values }) => fault(`${path}/${field}`, code, values)),
  ];
}

/** A ledge has to be there, and to leave an opening; the stone stands on it. */
function openFaults({ stone, wall, plate }: Mount, path: string, bench: BenchEntry): Fault[] {
  const { ledge } = plate;
  const faults = wall.source === "tube" ? [fault(`${path}/plate/style`, "tube-has-shelf", { got: plate.style })] : [];
  if (!ledge) return [...faults, fault(`${path}/plate/ledge`, "ledge-missing")];
  if (wall.lift !== undefined && wall.lift < ledge.height) {
    faults.push(fault(`${path}/wall/lift`, "lift-under-ledge", { least: ledge.height, got: wall.lift }));
  }
  if (shapeFaults(stone.outline).length > 0) return faults;
  const widest = widestLedge(outlineOf(stone).outline, choose(wall.fit, bench.seatOf?.fit, SHIPPED.seatOf.fit).value);
  if (ledge.width >= widest) faults.push(fault(`${path}/plate/ledge/width`, "ledge-too-wide", { limit: widest, got: ledge.width }));
  return faults;
}

const APPLIED: readonly (keyof AppliedEntry)[] = ["disc", "ball", "ring", "strip"];

/** Each is one shape, on a part that the piece has. */
function appliedFaults(piece: Piece): Fault[] {
  const parts = partsOf(piece);
  const all = piece.applied ?? [];
  return all.flatMap((entry, i) => [
    ...(all.findIndex(({ id }) => id === entry.id) < i ? [fault(`/applied/${i}/id`, "duplicate", { got: entry.id })] : []),
    ...(parts.includes(entry.on) ? [] : [fault(`/applied/${i}/on`, "no-such-part", { got: entry.on })]),
    ...(APPLIED.filter((shape) => entry[shape] !== undefined).length === 1 ? [] : [fault(`/applied/${i}`, "one-shape")]),
  ]);
}

/** Ids of what something can be put on. */
export function partsOf({ mounts, carrier }: Piece): string[] {
  return [
    ...mounts.flatMap(({ id, wall, plate }) => [
      `${id}.wall`,
      ...(plate.style === "open" ? [`${id}.ledge`] : wall.source === "cup" ? [] : [`${id}.plate`]),
      ...(plate.ornament ?? []).map((each) => `${id}.ornament.${each.id}`),
    ]),
    ...carrierKind(carrier).parts(carrier),
  ];
}

/** Seam and foot or ledge of each wall, joint of each ornament and the seam of one that is bent all round, and the carrier's. */
function jointCount({ mounts, carrier, applied = [], heats }: Piece): number {
  const ofWall = ({ wall }: Mount) => (wall.source === "cup" ? 0 : wall.source === "tube" ? 1 : 2);
  const ofBack = ({ plate }: Mount) => (plate.style === "open" ? 1 : 0);
  const ofOrnament = ({ type, extent = "all" }: OrnamentEntry) => (extent === "all" && type !== "granules" ? 2 : 1);
  const onMounts = mounts.reduce(
    (all, mount) => all + ofWall(mount) + ofBack(mount) + (mount.plate.ornament ?? []).reduce((sum, entry) => sum + ofOrnament(entry), 0),
    0,
  );
  const added = (heats?.pins ?? []).filter((pin) => "add" in pin).length;
  return onMounts + applied.length + added + carrierKind(carrier).jointCount(carrier, mounts.length);
}
