import { isNotched } from "../geometry/clearance";
import { withinOne } from "../geometry/outline";
import { tolerance } from "../measure/tolerances";
import { isUneven } from "../stone/profile";
import { shapeFaults } from "../stone/shapes/shapes";
import { greatestTurnIn, outlineOf } from "../stone/stone";
import { LEAST_FLOOR } from "../mount/backs/none";
import { LEAST_SHELF, lengthOf } from "../mount/ready-wall";
import { isAtCorner, straightestPlace } from "../mount/seam";
import { widestLedge } from "../mount/backs/open";
import { laid, overlap } from "../mount/layers/layer";
import { middleLine } from "../mount/layers/line";
import { LAYERS, isPlannedLayer } from "../mount/layers/layers";
import { carrierKind } from "./carriers/carriers";
import { type BenchEntry, SHIPPED, choose } from "./bench";
import { type Fault, fault } from "./fault";
import { hosts, ornamentOf } from "./mounts";
import { type AppliedEntry, type Mount, type OrnamentEntry, type Piece, type PlateEntry } from "./piece";
import { settleLayers, settleWall, stretchOf } from "./settle";

const RESERVED = ["hoop", "bail", "hang", "bridge", "applied", "piece"];
const MOST_JOINTS = 40;

/** What a piece that fits its schema cannot mean. */
export function faultsOf(piece: Piece, bench: BenchEntry): Fault[] {
  return [
    ...idFaults(piece),
    ...piece.mounts.flatMap((mount, i) => stoneFaults(mount, `/mounts/${i}`, bench)),
    ...piece.mounts.flatMap((mount, i) => plateFaults(mount, `/mounts/${i}`, bench)),
    ...piece.mounts.flatMap((mount, i) => sharingFaults(piece, mount, i)),
    ...carrierKind(piece.carrier).faults(piece.carrier, hosts(piece), bench),
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
    ...mounts.flatMap((mount, m) =>
      seen(
        ornamentOf(mount).map(({ id }) => id),
        (i) => `${ornamentPath(mount, `/mounts/${m}`)}/${i}/id`,
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
  if (wall.notch?.gap !== undefined && wall.notch.gap >= wall.notch.pitch)
    faults.push(fault(`${path}/wall/notch/gap`, "above-limit", { limit: wall.notch.pitch, got: wall.notch.gap }));
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
    ...(wall.source === "cup" && plate && plate.style !== "flush" && plate.style !== "none"
      ? [fault(`${path}/plate/style`, "cup-has-base", { got: plate.style })]
      : []),
    ...(wall.source === "cup" && !plate ? [fault(`${path}/wall/source`, "cup-has-base", { got: wall.source })] : []),
    ...(wall.source === "cup" && wall.cup && 2 * wall.cup.thickness >= wall.cup.length
      ? [fault(`${path}/wall/cup/thickness`, "cup-too-thick", { limit: wall.cup.length / 2, got: wall.cup.thickness })]
      : []),
    ...(wall.source === "tube" && wall.tube && wall.tube.inside >= wall.tube.outside
      ? [fault(`${path}/wall/tube/inside`, "tube-inside-out", { limit: wall.tube.outside, got: wall.tube.inside })]
      : []),
  ];
}

function plateFaults(mount: Mount, path: string, bench: BenchEntry): Fault[] {
  const { plate } = mount;
  return [
    ...ornamentOf(mount).flatMap((entry, i) => ornamentFaults(entry, `${ornamentPath(mount, path)}/${i}`)),
    ...vanishing(mount, path, bench),
    ...(plate?.style === "open" ? openFaults(mount, plate, path, bench) : []),
    ...(plate?.style === "none" ? floorFaults(mount, path, bench) : []),
    ...(plate ? ownFaults(plate, `${path}/plate`) : []),
    ...(plate?.domed ? domeFaults(mount, plate, plate.domed.rise, `${path}/plate/domed`, bench) : []),
  ];
}

/** Where a mount's ornament stands in its file. */
function ornamentPath({ plate }: Mount, path: string): string {
  return plate ? `${path}/plate/ornament` : `${path}/ornament`;
}

/** Fields of a plate of its own outline, and of no other. */
const OF_OWN = ["outline", "at", "turn"] as const;

/** A plate of its own has an outline that can be; no other plate has one. */
function ownFaults(plate: PlateEntry, path: string): Fault[] {
  if (plate.style !== "own")
    return OF_OWN.flatMap((field) => (plate[field] === undefined ? [] : [fault(`${path}/${field}`, "only-of-own", { got: field })]));
  if (!plate.outline) return [fault(`${path}/outline`, "own-outline-missing")];
  return shapeFaults(plate.outline).map(({ field, code, values }) => fault(`${path}/outline/${field}`, code, values));
}

/** Only what is round is domed, and no further than half a ball. */
function domeFaults(mount: Mount, plate: PlateEntry, rise: number, path: string, bench: BenchEntry): Fault[] {
  const shape = plate.style === "own" ? plate.outline : plate.style === "border" ? mount.stone.outline : undefined;
  const isAllRound =
    plate.style === "own" || plate.edge === "even" || (plate.ornament ?? []).every(({ extent = "all" }) => extent === "all");
  if (shape?.shape !== "round" || !isAllRound) return [fault(path, "dome-not-round", { got: shape?.shape ?? plate.style })];
  if (shapeFaults(mount.stone.outline).length > 0) return [];
  const most = rimRadius(mount, plate, shape.diameter, bench);
  return rise >= most ? [fault(`${path}/rise`, "above-limit", { limit: most, got: rise })] : [];
}

/** Radius of a round plate's edge (mm). */
function rimRadius(mount: Mount, plate: PlateEntry, diameter: number, bench: BenchEntry): number {
  if (plate.style === "own") return diameter / 2;
  const { outline } = outlineOf(mount.stone);
  const { fit, thickness } = settleWall(mount, outline, bench, () => "piece");
  const out = laid(settleLayers(mount), fit.value + thickness).reduce(
    (most, { start, width }) => Math.max(most, start + width),
    fit.value + thickness,
  );
  return outline.inscribedRadius + out + (plate.border ?? 0);
}

/** Styles of plate that more than one setting can stand on. */
const CAN_BE_SHARED: ReadonlySet<PlateEntry["style"]> = new Set(["flush", "border", "own"]);

/** A plate is shared with a mount before it that has one of its own. */
function sharingFaults({ mounts }: Piece, { on }: Mount, i: number): Fault[] {
  if (on === undefined) return [];
  const path = `/mounts/${i}/on`;
  const host = mounts.slice(0, i).find(({ id }) => id === on);
  if (!host) return [fault(path, "no-such-mount", { got: on })];
  const isThere = host.plate && CAN_BE_SHARED.has(host.plate.style) && host.wall.source !== "cup";
  return isThere ? [] : [fault(path, "no-plate-there", { got: on })];
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

/** A stretch of which the flanks of a notch leave less than the ornament is wide has no line to lie along. */
function vanishing(mount: Mount, path: string, bench: BenchEntry): Fault[] {
  if (shapeFaults(mount.stone.outline).length > 0) return [];
  const { outline } = outlineOf(mount.stone);
  const wall = settleWall(mount, outline, bench, () => "piece");
  // What comes round already goes round no notch.
  if (wall.ready || !isNotched(outline)) return [];
  return laid(settleLayers(mount), wall.fit.value + wall.thickness).flatMap((layer, i) => {
    const { isRound, pieces } = middleLine(outline, layer);
    return pieces.flatMap(({ from, to, length }, k): Fault[] =>
      !isRound && to - from >= tolerance.leastStretch && length < Math.min(layer.width, (to - from) * outline.perimeter)
        ? [
            fault(`${ornamentPath(mount, path)}/${i}/extent/${k}`, "stretch-vanishes", {
              at: withinOne((from + to) / 2),
              got: length,
              least: layer.width,
            }),
          ]
        : [],
    );
  });
}

/** Without a plate the tube or cup has a floor of its own, thick enough, and under all of the stone's edge. */
function floorFaults({ stone, wall }: Mount, path: string, bench: BenchEntry): Fault[] {
  if (wall.source === "cup") {
    const thick = wall.cup?.thickness ?? wall.thickness;
    return thick < LEAST_FLOOR ? [fault(`${path}/wall/cup/thickness`, "floor-thin", { least: LEAST_FLOOR, got: thick })] : [];
  }
  if (wall.source !== "tube") return [fault(`${path}/plate/style`, "no-floor", { got: wall.source ?? "strip" })];
  const floor = wall.lift ?? 0;
  const faults = floor < LEAST_FLOOR ? [fault(`${path}/wall/lift`, "floor-thin", { least: LEAST_FLOOR, got: floor })] : [];
  if (!wall.tube || shapeFaults(stone.outline).length > 0) return faults;
  const across = lengthOf(outlineOf(stone).outline) + 2 * choose(wall.fit, bench.seatOf?.fit, SHIPPED.seatOf.fit).value;
  const shelf = (across - wall.tube.inside) / 2;
  if (shelf < LEAST_SHELF) faults.push(fault(`${path}/wall/tube/inside`, "shelf-narrow", { least: LEAST_SHELF, got: shelf }));
  return faults;
}

/** A ledge has to be there, and to leave an opening; the stone stands on it. */
function openFaults({ stone, wall }: Mount, plate: PlateEntry, path: string, bench: BenchEntry): Fault[] {
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
    ...mounts.flatMap((mount) => [
      `${mount.id}.wall`,
      ...backParts(mount),
      ...ornamentOf(mount).map((each) => `${mount.id}.ornament.${each.id}`),
    ]),
    ...carrierKind(carrier).parts(carrier),
  ];
}

function backParts({ id, wall, plate }: Mount): string[] {
  if (plate?.style === "open") return [`${id}.ledge`];
  return !plate || wall.source === "cup" || plate.style === "none" ? [] : [`${id}.plate`];
}

/** Seam and foot or ledge of each wall, joint of each ornament and the seam of one that is bent all round, and the carrier's. */
function jointCount(piece: Piece): number {
  const { mounts, carrier, applied = [], heats } = piece;
  const ofWall = ({ wall, plate }: Mount) => (wall.source === "cup" || plate?.style === "none" ? 0 : wall.source === "tube" ? 1 : 2);
  const ofBack = ({ plate }: Mount) => (plate?.style === "open" ? 1 : 0);
  const ofOrnament = ({ type, extent = "all" }: OrnamentEntry) => (extent === "all" && type !== "granules" ? 2 : 1);
  const onMounts = mounts.reduce(
    (all, mount) => all + ofWall(mount) + ofBack(mount) + ornamentOf(mount).reduce((sum, entry) => sum + ofOrnament(entry), 0),
    0,
  );
  const added = (heats?.pins ?? []).filter((pin) => "add" in pin).length;
  return onMounts + applied.length + added + carrierKind(carrier).jointCount(carrier, hosts(piece).length);
}
