import { MOST_STRETCH, insideFor, stretchedTo } from "../hoop/what-if";
import { type Hoop } from "../hoop/hoop";
import { sizeText } from "../hoop/sizes";
import { type Level } from "../measure/finding";
import { type Figures, figureOf } from "../measure/figure";
import { heightThatHolds } from "../mount/plan-wall";
import { greatestTurnIn } from "../stone/stone";
import { type Readings } from "./measured";
import { type Piece } from "./piece";
import { type Wall } from "../mount/wall";
import { type SettledCarrier } from "./carriers/carrier";

/** What is done about a size as it was read. */
export type RemedyCode =
  | "wall.cut-out"
  | "wall.too-short"
  | "wall.stretch"
  | "wall.take-down"
  | "wall.too-low-now"
  | "hoop.will-come"
  | "hoop.stretch"
  | "hoop.cut-out";

export interface Remedy {
  readonly code: RemedyCode;
  readonly level: Level;
  /** The figure that was read. */
  readonly figure: string;
  /** The setting whose it is; null where it is the hoop's. */
  readonly mount: string | null;
  /** `by` in mm, or a ratio for a stretch of a wall; `from`, `to`, `left`, `inside` in mm; `size` in the maker's system. */
  readonly values: Readonly<Record<string, number | string>>;
}

/** A size is where it was wanted within so much (mm). */
const NEAR = 0.05;

/** A piece as it was planned before what was read. */
interface Planned {
  readonly piece: Piece;
  readonly figures: Figures;
  readonly settled: { readonly mounts: Readonly<Record<string, { readonly wall: Wall }>>; readonly carrier: SettledCarrier };
}

/** The last reading of each figure, as a map. */
export function lastReadings(readings: Readings): ReadonlyMap<string, number> {
  return new Map(readings.map(({ figure, value }) => [figure, value]));
}

/** What each last reading asks for, in the order of the piece. */
export function remediesOf(planned: Planned, readings: Readings): Remedy[] {
  const read = lastReadings(readings);
  const { carrier } = planned.settled;
  return [
    ...planned.piece.mounts.flatMap(({ id }) => [...lengthRemedies(planned, id, read), ...heightRemedies(planned, id, read)]),
    ...(carrier.type === "hoop" ? hoopRemedies(planned.figures, carrier, read) : []),
  ];
}

/** A closed wall that came out longer than fits is cut; a little shorter it stretches, by no more than 2 %. */
function lengthRemedies({ figures }: Planned, mount: string, read: ReadonlyMap<string, number>): Remedy[] {
  const figure = `${mount}.wall.netLength`;
  const [is, low, high] = [read.get(figure), figures[`${mount}.wall.windowLow`]?.value, figures[`${mount}.wall.windowHigh`]?.value];
  if (is === undefined || low === undefined || high === undefined) return [];
  const net = figureOf(figures, figure).value;
  const remedy = (code: RemedyCode, level: Level, values: Remedy["values"]): Remedy => ({ code, level, figure, mount, values });
  if (is > high) return [remedy("wall.cut-out", "warning", { by: is - net, from: is, to: net })];
  if (is < low) return [remedy("wall.too-short", "error", { by: net - is, from: is, to: net })];
  return is < net - NEAR ? [remedy("wall.stretch", "note", { by: net / is - 1, from: is, to: net })] : [];
}

function heightRemedies({ piece, figures, settled }: Planned, mount: string, read: ReadonlyMap<string, number>): Remedy[] {
  const figure = `${mount}.wall.netHeight`;
  const is = read.get(figure);
  if (is === undefined) return [];
  const net = figureOf(figures, figure).value;
  const { stone } = piece.mounts.find(({ id }) => id === mount)!;
  const lift = settled.mounts[mount]!.wall.lift.value;
  const needed = heightThatHolds(greatestTurnIn(stone), figureOf(figures, `${mount}.wall.lip`).value);
  if (is - net > NEAR) return [{ code: "wall.take-down", level: "note", figure, mount, values: { by: is - net, from: is, to: net } }];
  if (is - lift >= needed) return [];
  return [{ code: "wall.too-low-now", level: "error", figure, mount, values: { by: needed + lift - is, from: is, to: needed + lift } }];
}

/** A blank as it was cut lands at the size whose net length it leaves; a hoop as it was read is stretched, or cut out and closed again. */
function hoopRemedies(figures: Figures, hoop: Hoop, read: ReadonlyMap<string, number>): Remedy[] {
  const wanted = figureOf(figures, "hoop.insideDiameter").value;
  const size = (inside: number) => sizeIn(hoop, inside);
  const cut = read.get("hoop.cutLength");
  const is = read.get("hoop.insideDiameter");
  const net = figureOf(figures, "hoop.netLength").value;
  const comes = cut === undefined ? null : insideFor(hoop, cut - (figureOf(figures, "hoop.cutLength").value - net));
  const values = (from: number) => ({ from, to: wanted, inside: from, size: size(from) });
  return [
    ...(comes === null
      ? []
      : [{ code: "hoop.will-come" as const, level: "note" as const, figure: "hoop.cutLength", mount: null, values: values(comes) }]),
    ...(is !== undefined && wanted - is > NEAR
      ? [
          {
            code: "hoop.stretch" as const,
            level: wanted - is > MOST_STRETCH ? ("error" as const) : ("warning" as const),
            figure: "hoop.insideDiameter",
            mount: null,
            values: { ...values(is), by: wanted - is, left: stretchedTo(hoop, is, wanted) },
          },
        ]
      : []),
    ...(is !== undefined && is - wanted > NEAR
      ? [
          {
            code: "hoop.cut-out" as const,
            level: "warning" as const,
            figure: "hoop.insideDiameter",
            mount: null,
            values: { ...values(is), by: Math.PI * (is - wanted) },
          },
        ]
      : []),
  ];
}

/** An inside diameter as the maker says a size; empty where the system does not go so far. */
function sizeIn({ asked, wideBand }: Hoop, inside: number): string {
  const system = asked.system === "mandrel" ? "us" : asked.system;
  return sizeText(system, inside - wideBand.value) ?? "";
}
