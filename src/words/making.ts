import { type AskedReading, type ReadingKind, type StepCode } from "@/core/making/step";
import { type HowRead } from "@/core/mount/closed-length";
import { MASS_FIGURE, type Measured } from "@/core/piece/make";
import { type Mishap, type MishapCode } from "@/core/piece/mishaps";
import { type Verdict, type VerdictCode } from "@/core/piece/reading-scales";
import { minutesText } from "./day";
import { type Names, capital, counted, gradeName } from "./names";
import { type Said } from "./findings";
import { type Units, degrees, lengthUnit, showFigureValue, snipped, showLength, showPercent, showTemperature, withUnit } from "./show";

/** What a step asks to be read, by what it is. */
export const ASKED: Readonly<Record<ReadingKind, string>> = {
  "stone-across": "Stone, across",
  "stone-length": "Stone, length",
  "stone-width": "Stone, width",
  "stone-tape": "Stone, perimeter by tape",
  "stone-leans": "Stone, leans in at",
  "stone-height": "Stone, height",
  strip: "What you cut",
  "strip-height": "Height of the strip",
  "wall-open": "Length before the seam",
  "wall-closed": "Length, closed",
  "wall-height": "Height of the bezel",
  blank: "What you cut",
  size: "The size it reads",
  thickness: "Thickness of this stock",
};

/** Readings from which a maker's own losses are learned: the maker says how they worked. */
export const TEACHES: ReadonlySet<ReadingKind> = new Set([
  "strip",
  "strip-height",
  "wall-open",
  "wall-closed",
  "wall-height",
  "blank",
  "size",
]);

/** A run of the scale. */
export const BANDS: Readonly<Record<VerdictCode, string>> = {
  again: "start again",
  "too-low": "too low",
  "cut-in": "cut a piece in",
  stretch: "stretch",
  good: "good",
  trim: "trim",
  "cut-out": "cut out",
  "take-down": "take down",
  open: "open it",
  close: "close it",
};

/** What a step leaves waiting. */
export const WAITS: Partial<Readonly<Record<StepCode, string>>> = {
  "wall.anneal": "cooling",
  "join.pickle": "in the pickle",
  "join.cold": "curing",
  "hoop.inset": "under glue",
  "set.surface": "in the patina",
};

/** How each thing is read. */
export const READ_BY: Readonly<Record<Measured["by"], string>> = {
  typed: "typed",
  caliper: "by the caliper",
  mandrel: "on the mandrel",
  scale: "on the scale",
};

/** Ways to read a closed bezel: each by its name, how it is told afterwards, and what is done for it. */
export const WAYS_TO_READ: Readonly<Record<HowRead, { readonly name: string; readonly told: string; readonly advice: string }>> = {
  tape: {
    name: "Paper tape",
    told: "by paper tape",
    advice: "Pull a strip of paper tight round the outside, prick it where it overlaps, and measure it flat.",
  },
  extents: {
    name: "Two outside sizes",
    told: "by two outside sizes",
    advice: "Measure the bezel outside with a caliper, along the stone and across it.",
  },
  rounded: {
    name: "On the mandrel",
    told: "rounded on the mandrel",
    advice: "Round it up on the mandrel, measure across the inside, then press it back to its shape.",
  },
};

/** The two outside sizes of a closed bezel. */
export const OUTSIDE = ["Outside, along the stone", "Outside, across the stone"] as const;

/** How a value was read, whole: by what, how, from what it follows, and whether it counts. */
export function readText({ by, how, extents, method, madeUp, scrapped }: Measured, units: Units): string {
  const told = how ? WAYS_TO_READ[how].told : READ_BY[by];
  return [
    extents ? `${told}, ${extents.map((mm) => readingText(mm, units)).join(" by ")} ${lengthUnit(units)}` : told,
    ...(method ? [method] : []),
    ...(madeUp ? ["made up by the stand-in"] : []),
    ...(scrapped ? ["of the part before it was made anew"] : []),
  ].join(", ");
}

/** Beside the button of an instrument that is not there. */
export const STANDS_IN = "a stand-in, makes one up";

/** Of a value that a stand-in made up. */
export const MADE_UP = "Made up by the stand-in: it never counts in what your hands take off.";

const isWall = ({ kind }: AskedReading) => kind === "strip" || kind === "wall-open" || kind === "wall-closed";

/** What a reading means, at once: the word, then what to do. */
export function sayVerdict(asked: AskedReading, { code, by }: Verdict, wanted: number, value: number, units: Units): Said {
  const mm = withUnit(by, "measured", units);
  const short = withUnit(Math.abs(wanted - value), "measured", units);
  switch (code) {
    case "good":
      return { what: "Good.", advice: "" };
    case "stretch":
      return isWall(asked)
        ? { what: `Stretch ${showPercent(by, 1)}.`, advice: `${short} short: anneal it and stretch it on the mandrel.` }
        : {
            what: `Small by ${mm}.`,
            advice: asked.kind === "blank" ? "It can be stretched up once it is closed." : "Anneal and stretch it up.",
          };
    case "again":
      return { what: "Start again.", advice: `${mm} too small: it cannot come to size.` };
    case "too-low":
      return { what: `Too low by ${mm}.`, advice: "It would not hold the stone." };
    case "cut-in":
      return { what: `Cut a piece in, ${mm}.`, advice: "Too far to stretch." };
    case "trim":
      return { what: `Trim ${mm}.`, advice: "" };
    case "cut-out":
      return { what: `Cut out ${mm} at the seam.`, advice: "Then close it again." };
    case "open":
      return { what: `Small: open it by ${mm}.`, advice: "" };
    case "close":
      return { what: `Large: close it by ${mm}.`, advice: "Where its ends would meet, cut them." };
    case "take-down":
      return { what: `Take down ${mm}.`, advice: "" };
  }
}

/** A reading that can hardly be meant. */
export function sayMisread(typed: string, value: number, wanted: number, units: Units): string {
  const times = value > wanted ? value / wanted : wanted / value;
  const far = times >= 10 ? String(Math.round(times)) : times.toFixed(1);
  return `${typed} is ${far} times too ${value > wanted ? "large" : "small"}: about ${withUnit(wanted, "measured", units)} is wanted. Which is it?`;
}

const MISHAP_NAMES: Readonly<Record<MishapCode, string>> = {
  "wall.small": "The bezel is a little small",
  "wall.large": "The bezel is a little large",
  "wall.twisted": "The bezel is twisted, or its foot not flat",
  "wall.tall": "The bezel is too tall",
  "wall.low": "The bezel is too low",
  "wall.crimps": "The bezel crimps at a point",
  "wall.heavy": "The bezel will not push over",
  "stone.stuck": "The stone is stuck in the bezel",
  "solder.one-side": "The solder ran to one side",
  "solder.balled": "The solder balled and will not run",
  "solder.flooded": "The solder flooded past the joint",
  "paste.pitted": "Pits where the paste boiled",
  "part.slid": "The part slid as it sank",
  "foot.gap": "The bezel is not joined for part of its foot",
  "joint.opened": "An earlier joint opened",
  "fused.pits": "Pits in the fused joint",
  "hoop.small": "The ring is small",
  "hoop.large": "The ring is large",
  "part.spoiled": "A part is spoiled",
};

interface Voice {
  readonly length: (name: string) => string;
  readonly text: (name: string) => string;
  readonly number: (name: string) => number;
  readonly grade: (name: string) => string;
  readonly heat: (name: string) => string;
  readonly joint: string;
  readonly part: string;
  /** How much of its length a hoop's diameter takes. */
  readonly times: string;
  /** A side of a pallion, with its unit. */
  readonly side: (name: string) => string;
}

const onePallion = (v: Voice) => (v.text("long") === "" ? "a little more" : `one more pallion, ${v.side("long")} long`);

const REMEDIES: Readonly<Record<MishapCode, (v: Voice) => string>> = {
  "wall.small": (v) => `Anneal it and stretch it on a mandrel: from ${v.length("low")} up it will reach ${v.length("net")}.`,
  "wall.large": (v) => `At the seam, saw out what is over ${v.length("net")}, file, and solder it again.`,
  "wall.twisted": () => "Press it true, then sand the foot in figures of eight.",
  "wall.tall": (v) => `Sand it upside down on paper, to ${v.length("net")}; keep trying the stone.`,
  "wall.low": (v) =>
    v.number("cushion") > 0
      ? `Take the cushion of ${v.length("cushion")} out: then ${v.length("least")} still holds.`
      : `Below ${v.length("least")} it does not hold: make a new bezel.`,
  "wall.crimps": (v) =>
    v.number("by") > 0
      ? `Push points first and file the edge thin there; lowered by ${v.length("by")}, to ${v.length("least")}, it still holds.`
      : "Push points first and file the edge thin there; it cannot be lower and hold.",
  "wall.heavy": (v) => `It is ${v.length("thickness")} thick: thin its upper inside edge with a burr; use a hammer handpiece or a punch.`,
  "stone.stuck": () => "Tacky putty pulls it out; next time lay a thread under it.",
  "solder.one-side": (v) => `Even the heat, press the part down, clean, flux, and add ${onePallion(v)}.`,
  "solder.balled": () => "It is oxidised or dry: pickle, flux, and start this heat again.",
  "solder.flooded": () => "Scrape and file it back while it is clean; take the wire away as it flashes.",
  "paste.pitted": () => "Pickle and clean it, lay a little more, dry it slower under a soft flame, and run it again.",
  "part.slid": () => "Hot: push it back with a pick. Cold: flux, heat until it runs, put it right and hold it there.",
  "foot.gap": (v) => `Clean and flux, add ${onePallion(v)} at the void, and heat from below.`,
  "joint.opened": (v) =>
    `Prop it, clean it, and run ${v.joint} again with ${v.grade("grade")} at ${v.heat("working")}${v.text("lower") === "" ? "" : `; then use ${v.grade("lower")} for this joint`}.`,
  "fused.pits": () => "Burnish them if they are fine; else fuse it again, or fill them with hard solder.",
  "hoop.small": (v) =>
    v.text("way") === "hoop.stretch"
      ? `It is small by ${v.length("by")}: anneal it and stretch it up; nothing is cut in.`
      : v.text("way") === "cut-in"
        ? `Too far to stretch: cut ${v.length("by")} in at the seam, and solder it again.`
        : v.number("seam") === 0
          ? `Open it a little: ${v.times} times at its ends what is missing of its diameter.`
          : `Round it up and stretch it, by one size at most; beyond that, cut in ${v.times} times what is missing of its diameter.`,
  "hoop.large": (v) =>
    v.text("way") === "hoop.cut-out"
      ? `Saw ${v.length("by")} out at the seam, and solder it again.`
      : v.number("seam") === 0
        ? `Close it, or cut its ends: ${v.times} times what it is over ${v.length("inside")} of diameter.`
        : `Saw ${v.times} times what it is over ${v.length("inside")} of diameter out at the seam.`,
  "part.spoiled": (v) =>
    `Melted, cracked or cut short: a new ${v.part} takes ${costText({ steps: v.number("steps"), heats: v.number("heats"), minutes: v.number("minutes") })}.`,
};

/** "12 steps with 2 heats, 1 h 20 min": what something costs at the bench. */
export function costText({ steps, heats, minutes }: { readonly steps: number; readonly heats: number; readonly minutes: number }): string {
  return `${counted(steps, "step")}${heats > 0 ? ` with ${counted(heats, "heat")}` : ""}, ${minutesText(minutes)}`;
}

/** What pressing it does, where it can be taken. */
const TAKEN: Partial<Readonly<Record<MishapCode, (v: Voice) => string>>> = {
  "wall.large": () => "Cut it out and redo the seam",
  "wall.low": (v) => (v.number("cushion") > 0 ? "Take the cushion out" : "Make a new bezel and redo its steps"),
  "wall.crimps": (v) => `Lower the bezel to ${v.length("least")}`,
  "solder.balled": () => "Start this heat again",
  "paste.pitted": () => "Run it again",
  "part.slid": () => "Put it right and redo its heat",
  "joint.opened": (v) => `Run ${v.joint} again and redo its heat`,
  "fused.pits": () => "Fuse it again",
  "hoop.small": () => "Cut a piece in and redo the seam",
  "hoop.large": () => "Cut it out and redo the seam",
  "part.spoiled": (v) => `Make a new ${v.part}`,
};

export interface SaidMishap extends Said {
  /** What pressing its remedy does; null where it is only told. */
  readonly take: string | null;
}

export function sayMishap({ code, values, act }: Mishap, names: Pick<Names, "joint" | "part">, units: Units): SaidMishap {
  const number = (name: string) => Number(values[name] ?? 0);
  const text = (name: string) => String(values[name] ?? "");
  const voice: Voice = {
    number,
    text,
    length: (name) => withUnit(number(name), "measured", units),
    grade: (name) => gradeName(text(name)),
    heat: (name) => `${showTemperature(number(name), units)} ${degrees(units)}`,
    joint: values.joint === undefined ? "" : names.joint(text("joint")),
    times: number("length").toFixed(2),
    side: (name) => `${snipped(number(name), units)} ${lengthUnit(units)}`,
    part: values.part === undefined ? "" : names.part(text("part")),
  };
  const what =
    code === "joint.opened"
      ? `${capital(voice.joint)} opened`
      : code === "part.spoiled"
        ? `The ${voice.part} is spoiled`
        : MISHAP_NAMES[code];
  return { what, advice: REMEDIES[code](voice), take: act === null ? null : (TAKEN[code]?.(voice) ?? null) };
}

/** A mishap as it is told in the ledger, by its code alone. */
export function mishapName(code: string): string {
  return (MISHAP_NAMES as Readonly<Record<string, string>>)[code] ?? code;
}

/** A reading in its field, without a unit. */
export function readingText(value: number, units: Units): string {
  return showLength(value, "measured", units);
}

/** A reading with its unit: a mass in g, all else a length. */
export function readingWithUnit({ figure, value }: Pick<Measured, "figure" | "value">, units: Units): string {
  return showFigureValue(value, figure === MASS_FIGURE ? "g" : "mm", units);
}
