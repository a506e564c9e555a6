import { type AppliedShape, type JointKind, type PartKind } from "@/core/joint/joint";
import { type Plan } from "@/core/piece/plan";
import { type HoopForm, type LengthRule } from "@/core/hoop/hoop";
import { type SizeSystem } from "@/core/hoop/sizes";
import { type Means } from "@/core/heats/best";
import { type Way } from "@/core/heats/problem";
import { type SchoolCode } from "@/core/measure/figure";
import { type SectionShape } from "@/core/metal/section";
import { type LayerType } from "@/core/mount/layers/layer";
import { type HeightRule, type WallSource } from "@/core/mount/wall";
import { type OutlineShape } from "@/core/stone/shapes/shapes";

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
  long: "cut long, wrapped and sawn through",
  hull: "wrapped over the notch",
};

export function lengthRuleName(rule: LengthRule): string {
  return typeof rule === "object" ? `times ${rule.multiplier}` : rule === "fibre" ? "fibre" : "half thickness";
}

/** A grade by its id, as it is said: "extra-easy" is "extra easy". */
export function gradeName(id: string): string {
  return id.replaceAll("-", " ");
}

/** What a heat is made with, as it is said. */
export function flameName({ means, grade }: { readonly means: Means; readonly grade: string }): string {
  return means === "fuse" ? "fused" : gradeName(grade);
}

/** What goes round a wall, by its kind. */
export const LAYER_NAMES: Readonly<Record<LayerType, string>> = {
  wire: "wire",
  twist: "rope",
  "bead-wire": "bead wire",
  granules: "beads",
};

/** What is sweated on, by its shape. */
export const APPLIED_NAMES: Readonly<Record<AppliedShape, string>> = { disc: "disc", ball: "ball", ring: "ring", strip: "strip" };

const PART_NAMES: Readonly<Record<PartKind, string>> = {
  ...LAYER_NAMES,
  ...APPLIED_NAMES,
  wall: "bezel",
  plate: "plate",
  ledge: "ledge",
  hoop: "hoop",
  strand: "strand",
  bridge: "bridge",
  inlay: "inlay",
  bail: "bail",
  "jump-ring": "jump ring",
  post: "post",
  earwire: "ear wire",
};

/** Of the part that is joined, and what it is joined to. */
const JOINT_NAMES: Readonly<Record<JointKind, (part: string, onto: string) => string>> = {
  seam: (part) => `${part} seam`,
  foot: () => "bezel to plate",
  ledge: () => "ledge to bezel",
  ornament: (part, onto) => `${part} to ${onto}`,
  applied: (part, onto) => `${part} to ${onto}`,
  mount: (part, hoop) => `${hoop} to ${part}`,
  strands: () => "strand to strand",
  twist: (part) => (part === "hoop" ? "wires of the twist" : `wires of ${part}`),
  bridge: (part, onto) => `${part} to ${onto}`,
  eye: (part, onto) => `${part} to ${onto}`,
  post: (part, onto) => `${part} to ${onto}`,
  link: (part, onto) => `${part} in ${onto}`,
  sleeve: (hoop) => `sleeve to ${hoop}`,
  added: (part, onto) => `${part} to ${onto}`,
};

/** What has parts and joints to be named. */
export interface Named extends Pick<Plan, "parts"> {
  readonly joints: Plan["leftOut"];
}

/** A part or a joint by its name beside others of its setting; `mount` is null where it is the whole piece's. */
interface OfSetting {
  readonly mount: string | null;
  readonly name: string;
}

/** What the parts and joints of a plan are called, by their ids; what it does not have by its id. */
export interface Names {
  readonly part: (id: string) => string;
  /** Several parts; those alike of several settings as one: "bezel of stones 1, 2 and 3". */
  readonly parts: (ids: readonly string[]) => readonly string[];
  readonly joint: (id: string) => string;
  /** Several joints, each by its name; those alike of several settings as one: "bezel to plate, stones 1, 2 and 3". */
  readonly joints: (ids: readonly string[]) => readonly string[];
  /** What a setting is called among others. */
  readonly setting: (mount: string) => string;
  /** "Stone 2: " before what is said of one of several settings, or of a part of it; else nothing. */
  readonly lead: (id: string) => string;
}

/** What the settings of a piece are called beside each other: "stone 1", "stone 2", in the piece's order; one it does not have by its id. */
export function settingName(mounts: readonly string[], mount: string): string {
  const at = mounts.indexOf(mount);
  return at < 0 ? mount : `stone ${at + 1}`;
}

/** "stone 2", "stones 1, 2 and 3". */
function settingNames(names: readonly string[]): string {
  if (names.length === 1) return names[0]!;
  return `stones ${listed(names.map((name) => name.replace(/^stone /, "")))}`;
}

/** A joint is "wall to plate", a part "wall"; of several settings it is said which. */
export function namesIn({ parts, joints }: Named): Names {
  const first = parts.find(({ mount }) => mount !== null)?.mount ?? null;
  const setting = (mount: string) => settingName([...new Set(parts.flatMap((part) => part.mount ?? []))], mount);
  const isOneOfSeveral = parts.some(({ mount }) => mount !== null && mount !== first);
  const isOther = (mount: string | null) => mount !== null && isOneOfSeveral;
  const plain = (id: string) => {
    const { kind, mount, name } = parts.find((part) => part.id === id)!;
    if (name !== undefined) return name;
    const alike = parts.filter((part) => part.kind === kind && part.mount === mount);
    const number = alike.length > 1 ? ` ${alike.findIndex((part) => part.id === id) + 1}` : "";
    return PART_NAMES[kind] + number;
  };
  /** Several strands that one joint reaches are one. */
  const together = (ids: readonly string[]) =>
    ids.length > 1 && ids.every((id) => parts.find((part) => part.id === id)?.kind === "strand")
      ? ids.length === 2
        ? "both strands"
        : "all strands"
      : plain(ids[0]!);
  const tied = ({ kind, parts: all }: Named["joints"][number]) => {
    const [own, ...onto] = all;
    if (kind === "seam" && onto.length > 0) return `seam of ${together(all)}`;
    return JOINT_NAMES[kind](plain(own!), together(onto.length > 0 ? onto : [own!]));
  };
  const joint = (id: string) => {
    const found = joints.find((each) => each.id === id);
    return found ? { mount: found.mount, name: numberedAmong(found) } : { mount: null, name: id };
  };
  const numberedAmong = (one: Named["joints"][number]) => {
    const alike = joints.filter((each) => each.mount === one.mount && tied(each) === tied(one));
    return tied(one) + (alike.length > 1 ? ` ${alike.indexOf(one) + 1}` : "");
  };
  const part = (id: string) => {
    const found = parts.find((each) => each.id === id);
    return found ? { mount: found.mount, name: plain(id) } : { mount: null, name: id };
  };
  /** Each by its name and its setting's, those alike of several settings as one. */
  const merged = (all: readonly OfSetting[], between: string) =>
    all.flatMap(({ mount, name }, i) => {
      if (!isOther(mount)) return [name];
      const settings = all.flatMap((each) => (each.name === name && isOther(each.mount) ? [setting(each.mount!)] : []));
      return all.findIndex((each) => each.name === name && isOther(each.mount)) < i ? [] : [name + between + settingNames(settings)];
    });
  return {
    part: (id) => merged([part(id)], " of ")[0]!,
    parts: (ids) => merged(ids.map(part), " of "),
    joint: (id) => merged([joint(id)], ", ")[0]!,
    joints: (ids) => merged(ids.map(joint), ", "),
    setting,
    lead: (id) => {
      const mount = (parts.find((part) => part.id === id || part.mount === id) ?? joints.find((joint) => joint.id === id))?.mount ?? null;
      return isOther(mount) ? `${capital(setting(mount!))}: ` : "";
    },
  };
}

/** "a", "a and b", "a, b and c". */
export function listed(names: readonly string[]): string {
  return names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)!}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

export function lowered(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

/** A verb of so many: "runs" of one, "run" of more. */
export function agreeing(n: number, verb: string): string {
  return n === 1 ? `${verb}s` : verb;
}

export function counted(n: number, one: string, many = `${one}s`): string {
  return `${n} ${n === 1 ? one : many}`;
}
