import { facing } from "../../geometry/facing";
import { drawHoop } from "../../hoop/drawing";
import { planHoop } from "../../hoop/hoop";
import { type Base } from "../../hoop/seat";
import { FINGER, readSize } from "../../hoop/sizes";
import { hoopParts } from "../../hoop/works/strands";
import { clashesOf, halfSpan, legsOf, workFaults } from "../../hoop/works/works";
import { type BenchEntry, mandrelOf } from "../bench";
import { type Fault, fault } from "../fault";
import { type HoopEntry, type Mount } from "../piece";
import { sectionOf, settleHoop, worksOf } from "../settle";
import { type Carried, type CarrierKind } from "./carrier";

/** A hoop round the finger, its mounts on its outside. */
export const hoop: CarrierKind<HoopEntry> = {
  places: (_entry, mount, outline) => [acrossFinger(mount), acrossFinger(mount) + Math.PI].map((way) => facing(outline, way)),
  band: (entry, mount) => ({
    half: halfSpan({ section: sectionOf(entry), works: worksOf(entry) }),
    along: acrossFinger(mount) - Math.PI / 2,
  }),
  parts: (entry) => hoopParts({ works: worksOf(entry) }),
  jointCount,
  faults: (entry, _mounts, bench) => {
    const { size, stock, lengthRule } = entry;
    const reading = readSize(size.system, size.value, mandrelOf(bench));
    const times = typeof lengthRule === "object" ? lengthRule.multiplier : Math.PI;
    const equal = (stock.section !== "round" && stock.section !== "square") || stock.width === stock.thickness;
    return [
      ...(times < Math.PI ? [fault("/carrier/lengthRule/multiplier", "below-pi", { got: times })] : []),
      ...(reading.ok ? [] : [fault("/carrier/size/value", reading.code, { system: size.system, got: size.value, ...FINGER })]),
      ...(equal
        ? []
        : [fault("/carrier/stock/width", "unequal-stock", { section: stock.section, thickness: stock.thickness, got: stock.width })]),
      ...(reading.ok ? lengthFaults(entry, Math.PI * reading.diameter) : []),
      ...worksFaults(entry, bench),
    ];
  },
  plan: (entry, carried, bench) => {
    const settled = settleHoop(entry, bench);
    const bases = basesOf(carried);
    const planned = planHoop(settled, bases);
    return {
      contribution: planned,
      drawing: { type: "hoop", ...drawHoop(settled, planned, bases) },
      settled: { type: "hoop", ...settled },
    };
  },
};

/** Each setting as the hoop is told of it; the one nearest to the front sits there. */
function basesOf(carried: readonly Carried[]): Base[] {
  const alongs = carried.map(({ mount }) => Math.abs(mount.place?.along ?? 0));
  const front = alongs.indexOf(Math.min(...alongs));
  return carried.map(({ mount, setting: { extent, thickness, tie, inside } }, i) => {
    const across = acrossFinger(mount);
    return {
      mount: mount.id,
      extent: extent(across),
      thickness,
      along: mount.place?.along ?? 0,
      isFront: i === front,
      tie,
      inside: (along, up) => {
        const [cos, sin] = [Math.cos(across - Math.PI / 2), Math.sin(across - Math.PI / 2)];
        return inside([along * cos - up * sin, along * sin + up * cos]);
      },
    };
  });
}

const WORK_PATHS = { twist: "stock/twist", taper: "stock", slit: "slit", strands: "strands", sleeve: "sleeve" } as const;

/** What is done with the stock has to go with the form, with what else is done, and with its sizes. */
function worksFaults(entry: HoopEntry, bench: BenchEntry): Fault[] {
  const works = worksOf(entry, bench);
  return [
    ...clashesOf(works, entry.form).map(({ work, with: other }) =>
      fault(`/carrier/${WORK_PATHS[work]}`, "cannot-go-with", { got: work, other }),
    ),
    ...workFaults(works, sectionOf(entry)).flatMap(({ work, faults }) =>
      faults.map(({ field, code, values }) => fault(`/carrier/${WORK_PATHS[work]}/${field}`, code, values)),
    ),
    // Soldered at the back they cannot be open there.
    ...(entry.form === "adjustable" && entry.strands && entry.strands.soldered !== "all"
      ? [fault("/carrier/strands/soldered", "cannot-go-with", { got: entry.strands.soldered, other: entry.form })]
      : []),
    ...(entry.strands && entry.strands.soldered !== "all" && entry.strands.spread === undefined
      ? [fault("/carrier/strands/spread", "spread-missing", {})]
      : []),
    ...(entry.form === "bridge" && !entry.bridge ? [fault("/carrier/bridge", "bridge-missing", {})] : []),
  ];
}

/** What is cut or left open cannot be longer than the finger is round. */
function lengthFaults({ openGap, slit, strands }: HoopEntry, round: number): Fault[] {
  const under = (path: string, limit: number, got: number | undefined) =>
    got !== undefined && got >= limit ? [fault(`/carrier/${path}`, "above-limit", { limit, got })] : [];
  return [
    ...under("openGap", round / 2, openGap),
    ...under("slit/length", round / 2, slit?.length),
    ...under("strands/soldered", round / 2, typeof strands?.soldered === "number" ? strands.soldered : undefined),
  ];
}

/** What makes it one and closes it, its bridge's ends, and each mount's feet. */
function jointCount(entry: HoopEntry, mounts: number): number {
  const works = worksOf(entry);
  const tied = (works.strands ? 1 : 0) + (works.sleeve ? 1 : 0) + (works.twist?.isSoldered ? hoopParts({ works }).length : 0);
  const isOpen = entry.form === "open" || entry.form === "adjustable";
  const seams = isOpen ? 0 : works.strands && works.strands.soldered !== "all" ? works.strands.count : 1;
  const feet = entry.form === "open" ? 2 * legsOf({ section: sectionOf(entry), works }).length - 1 : 0;
  return tied + seams + (entry.form === "bridge" ? 2 : 0) + mounts + feet;
}

/** The finger's curve crosses the outline's width where the outline is not turned. Radians from the outline's length. */
function acrossFinger({ place }: Mount): number {
  return Math.PI / 2 - ((place?.turn ?? 0) * Math.PI) / 180;
}
