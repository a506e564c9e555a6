import { hoopParts } from "../hoop/works/strands";
import { inUse } from "./make";
import { type AskedReading } from "../making/step";
import { insideFor, stretchedTo } from "../hoop/what-if";
import { type Hoop } from "../hoop/hoop";
import { sizeText } from "../hoop/sizes";
import { type Level } from "../measure/finding";
import { figureOf } from "../measure/figure";
import { type PlannedBefore, type VerdictCode, scaleOf, startsAgain, verdictOf } from "./reading-scales";
import { type Readings } from "./measured";

/** What is done about a size as it was read. */
export type RemedyCode =
  | "wall.cut-out"
  | "wall.too-short"
  | "wall.stretch"
  | "wall.take-down"
  | "wall.too-low-now"
  | "wall.strip-short"
  | "wall.strip-low"
  | "hoop.blank-short"
  | "hoop.will-come"
  | "hoop.stretch"
  | "hoop.cut-out"
  | "hoop.open"
  | "hoop.close";

/** The lengths that a remedy can tell. */
export type RemedyLength = "by" | "from" | "to" | "inside" | "left";

export interface Remedy {
  readonly code: RemedyCode;
  readonly level: Level;
  /** The figure that was read. */
  readonly figure: string;
  /** The setting whose it is; null where it is the hoop's. */
  readonly mount: string | null;
  /** `by` in mm, or a ratio for a stretch of a wall; `from`, `to`, `inside` in mm, `left` the thickness, or of an adjustable hoop the gap; `size` in the maker's system. */
  readonly values: Readonly<Record<string, number | string>>;
  /** The parts to be made anew, where that is what is to be done; else none. */
  readonly anew: readonly string[];
}

/** The last reading of each figure of what is in hand. */
export function lastReadings<R extends Readings[number]>(readings: readonly R[]): ReadonlyMap<string, R> {
  return new Map(inUse(readings).map((reading) => [reading.figure, reading]));
}

type Read = ReturnType<typeof lastReadings>;

/** What each last reading asks for, in the order of the piece. */
export function remediesOf(planned: PlannedBefore, readings: Readings): Remedy[] {
  const read = lastReadings(readings);
  const { carrier } = planned.settled;
  return [
    ...planned.piece.mounts.flatMap(({ id }) => [
      ...stripRemedies(planned, id, read),
      ...lengthRemedies(planned, id, read),
      ...heightRemedies(planned, id, read),
    ]),
    ...(carrier.type === "hoop" ? hoopRemedies(planned, carrier, read) : []),
  ];
}

/** A strip that was cut too short or too low, until the wall made of it is read itself. */
function stripRemedies(planned: PlannedBefore, mount: string, read: Read): Remedy[] {
  const of = (name: string) => `${mount}.wall.${name}`;
  const length = { figure: of("cutLength"), kind: "strip", mount } as const;
  const height = { figure: of("cutHeight"), kind: "strip-height", mount } as const;
  return [
    ...(read.has(of("netLength")) ? [] : ofWall(planned, length, read, { again: ["wall.strip-short", "error"] })),
    ...(read.has(of("netHeight")) ? [] : ofWall(planned, height, read, { again: ["wall.strip-low", "error"] })),
  ];
}

/** A closed wall that came out longer than fits is cut; a little shorter it stretches, by no more than 2 %. */
function lengthRemedies(planned: PlannedBefore, mount: string, read: Read): Remedy[] {
  const figure = `${mount}.wall.netLength`;
  return ofWall(planned, { figure, kind: "wall-closed", mount }, read, {
    "cut-out": ["wall.cut-out", "warning"],
    again: ["wall.too-short", "error"],
    stretch: ["wall.stretch", "note"],
  });
}

function heightRemedies(planned: PlannedBefore, mount: string, read: Read): Remedy[] {
  const figure = `${mount}.wall.netHeight`;
  return ofWall(planned, { figure, kind: "wall-height", mount }, read, {
    "take-down": ["wall.take-down", "note"],
    "too-low": ["wall.too-low-now", "error"],
  });
}

/** What a wall's reading asks for, by what it means. */
function ofWall(
  planned: PlannedBefore,
  asked: AskedReading,
  read: Read,
  told: Partial<Readonly<Record<VerdictCode, readonly [RemedyCode, Level]>>>,
): Remedy[] {
  const reading = read.get(asked.figure);
  const scale = reading && scaleOf(planned, asked, reading.how);
  if (!reading || !scale) return [];
  const is = reading.value;
  const verdict = verdictOf(scale, is);
  const { code, by } = verdict;
  const remedy = told[code];
  if (!remedy) return [];
  const isAgain = startsAgain(verdict);
  const to = isAgain && asked.kind !== "wall-closed" ? is + by : scale.wanted;
  const anew = isAgain ? [`${asked.mount}.wall`] : [];
  return [{ code: remedy[0], level: remedy[1], figure: asked.figure, mount: asked.mount, values: { by, from: is, to }, anew }];
}

/** A blank as it was cut lands at the size whose net length it leaves; a hoop as it was read is stretched, or cut out and closed again. */
function hoopRemedies(planned: PlannedBefore, hoop: Hoop, read: Read): Remedy[] {
  const { figures } = planned;
  const wanted = figureOf(figures, INSIDE).value;
  const size = (inside: number) => sizeIn(hoop, inside);
  const cut = read.get("hoop.cutLength")?.value;
  const is = read.get(INSIDE)?.value;
  const net = figureOf(figures, "hoop.netLength").value;
  const comes = cut === undefined ? null : insideFor(hoop, cut - (figureOf(figures, "hoop.cutLength").value - net));
  const values = (from: number) => ({ from, to: wanted, inside: from, size: size(from) });
  const about = (code: RemedyCode, level: Level, figure: string, said: Remedy["values"]): Remedy => ({
    code,
    level,
    figure,
    mount: null,
    values: said,
    anew: [],
  });
  const blank = cut === undefined || is !== undefined ? null : scaleOf(planned, { figure: "hoop.cutLength", kind: "blank", mount: null });
  const isShort = blank !== null && cut !== undefined && verdictOf(blank, cut).code === "again";
  const scale = scaleOf(planned, { figure: INSIDE, kind: "size", mount: null });
  const verdict = is === undefined || !scale ? null : verdictOf(scale, is);
  const isSmall = verdict?.code === "stretch" || verdict?.code === "cut-in";
  return [
    ...(comes === null ? [] : [about("hoop.will-come", "note", "hoop.cutLength", values(comes))]),
    ...(isShort
      ? [
          {
            ...about("hoop.blank-short", "error", "hoop.cutLength", { by: blank.wanted - cut, from: cut, to: blank.wanted }),
            anew: hoopParts(hoop),
          },
        ]
      : []),
    ...(is !== undefined && isSmall
      ? [
          about("hoop.stretch", verdict.code === "cut-in" ? "error" : "warning", INSIDE, {
            ...values(is),
            by: wanted - is,
            left: stretchedTo(hoop, is, wanted),
          }),
        ]
      : []),
    ...(is !== undefined && verdict?.code === "cut-out"
      ? [about("hoop.cut-out", "warning", INSIDE, { ...values(is), by: verdict.by })]
      : []),
    ...(is !== undefined && (verdict?.code === "open" || verdict?.code === "close")
      ? [about(`hoop.${verdict.code}`, "warning", INSIDE, { ...values(is), by: verdict.by, ...gapLeft(hoop, is - wanted) })]
      : []),
  ];
}

const INSIDE = "hoop.insideDiameter";

/** What stands apart of an adjustable hoop's ends once it is closed from so much over its size; below 0 the ends have to be cut. */
function gapLeft({ form, openGap }: Hoop, over: number): { readonly left?: number } {
  return form === "adjustable" ? { left: openGap.value - Math.PI * over } : {};
}

/** An inside diameter as the maker says a size; empty where the system does not go so far. */
function sizeIn({ asked, wideBand }: Hoop, inside: number): string {
  const system = asked.system === "mandrel" ? "us" : asked.system;
  return sizeText(system, inside - wideBand.value) ?? "";
}
