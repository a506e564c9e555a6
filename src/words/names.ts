import { type HoopForm, type LengthRule } from "@/core/hoop/hoop";
import { type SizeSystem } from "@/core/hoop/sizes";
import { type Way } from "@/core/heats/problem";
import { type SchoolCode } from "@/core/measure/figure";
import { type Metal } from "@/core/metal/metals";
import { type SectionShape } from "@/core/metal/section";
import { type HeightRule, type WallSource } from "@/core/mount/wall";
import { type OutlineShape } from "@/core/stone/shapes/shapes";

export const METAL_NAMES: Readonly<Record<Metal, string>> = {
  "fine-silver": "fine silver",
  sterling: "sterling",
  "sterling-935": "sterling 935",
  copper: "copper",
  brass: "brass",
};

/** What a wall is made from, and what that means. */
export const SOURCE_ADVICE: Readonly<Record<WallSource, string>> = {
  strip: "sold in fixed heights",
  sheet: "sliced to the exact height",
  tube: "the seat is cut with a burr",
  cup: "ready made",
  notched: "heavy strip, sawn or filed",
};

/** The three schools of a wall's height. */
export const RULE_NAMES: Readonly<Record<HeightRule, string>> = { "turn-in": "Turn-in", third: "A third", fixed: "House" };

export const SHAPE_NAMES: Readonly<Record<OutlineShape["shape"], string>> = {
  round: "round",
  oval: "oval",
  cushion: "cushion",
  rectangle: "rectangle",
  pear: "pear",
  marquise: "marquise",
  heart: "heart",
  triangle: "triangle",
  free: "free-form",
};

export const SECTION_NAMES: Readonly<Record<SectionShape, string>> = {
  round: "round",
  square: "square",
  rectangle: "rectangle",
  oval: "oval",
  "half-round": "half-round",
  d: "D, low dome",
};

export const FORM_NAMES: Readonly<Record<HoopForm, string>> = {
  closed: "closed",
  "closed-flat": "closed, flat on top",
  open: "open",
  bridge: "bridge",
  adjustable: "adjustable",
};

export const SYSTEM_NAMES: Readonly<Record<SizeSystem, string>> = {
  us: "US",
  uk: "UK",
  eu: "EU",
  continental: "Continental",
  jp: "JP",
  diameter: "inside",
  mandrel: "my mandrel",
};

export const WAY_NAMES: Readonly<Record<Way, string>> = {
  free: "free",
  "step-down": "step down",
  "one-grade": "one grade",
  "fuse-first": "fuse first",
  "seams-hard": "hard for seams",
};

export const SCHOOL_NAMES: Readonly<Record<SchoolCode, string>> = {
  "turn-in": "by the turn-in",
  third: "by a third of the height",
  fixed: "house height",
  fibre: "counted at the fibre",
  thickness: "counted at half the thickness",
  "3.145": "with 3.145 for pi",
  "3.15": "with 3.15 for pi",
  "3.5": "with 3.5 for pi",
  hull: "wrapped over the notch",
};

export function lengthRuleName(rule: LengthRule): string {
  return typeof rule === "object" ? `times ${rule.multiplier}` : rule === "fibre" ? "fibre" : "half thickness";
}

/** A grade by its id, as it is said: "extra-easy" is "extra easy", "fuse" is "fused". */
export function gradeName(id: string): string {
  return id === "fuse" ? "fused" : id.replaceAll("-", " ");
}

const FIRST_MOUNT = "m1";

/** "m1.wall" is "wall"; a second setting's is "wall of m2". */
export function partName(id: string): string {
  const [mount, part] = id.split(".");
  if (part === undefined) return id;
  return mount === FIRST_MOUNT ? part : `${part} of ${mount}`;
}

/** "m1.foot" is "wall to plate"; a second setting's has its mount's id after it. */
export function jointName(id: string): string {
  const tagged = (name: string, mount: string) => (mount === FIRST_MOUNT ? name : `${name}, ${mount}`);
  if (id === "hoop.seam") return "hoop seam";
  if (id.startsWith("hoop.mount.")) return tagged("hoop to plate", id.slice("hoop.mount.".length));
  const [mount = "", joint] = id.split(".");
  return tagged(joint === "seam" ? "wall seam" : "wall to plate", mount);
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

export function counted(n: number, one: string, many = `${one}s`): string {
  return `${n} ${n === 1 ? one : many}`;
}
