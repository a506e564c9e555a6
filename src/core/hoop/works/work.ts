import { type Step } from "../../making/step";
import { type Blank } from "../../measure/blank";
import { type Figures, type Term } from "../../measure/figure";
import { type Finding } from "../../measure/finding";
import { type Part } from "../../joint/joint";
import { type WorkedJoint } from "../../joint/contribution";
import { type Cut } from "../../metal/cut";
import { type Section } from "../../metal/section";
import { type Hoop, type HoopForm } from "../hoop";
import { type Sleeve } from "./sleeve";
import { type Slit } from "./slit";
import { type Strands } from "./strands";
import { type Taper } from "./taper";
import { type Twist } from "./twist";

/** What is done with the stock beside bending it: each as it was asked for. Lengths in mm. */
export interface WorksAsked {
  readonly twist: Twist;
  readonly taper: Taper;
  readonly slit: Slit;
  readonly strands: Strands;
  readonly sleeve: Sleeve;
}

export type WorkName = keyof WorksAsked;
export type Works = Partial<WorksAsked>;

/** A leg of the hoop where it meets a mount: how far beside its middle along the finger, how wide, and the parts it is of. */
export interface Leg {
  readonly offset: number;
  readonly width: number;
  readonly parts: readonly string[];
}

/** What of a work cannot be: the field, and what would be right. */
export interface WorkFault {
  readonly field: string;
  readonly code: "above-limit" | "at-least" | "at-most" | "taper-even";
  readonly values: Readonly<Record<string, string | number>>;
}

/** A hoop laid out: its net length with all that comes on to it, and what is cut. */
export interface LaidHoop {
  readonly hoop: Hoop;
  readonly inside: number;
  readonly net: number;
  /** What its net length is the sum of. */
  readonly terms: readonly Term[];
  readonly cut: number;
}

/** All that the rest knows of a work. What it does not say it leaves as it is. */
export interface WorkKind<Asked> {
  /** Forms it can be built with, and other works that it can be had beside. */
  readonly forms: readonly HoopForm[];
  readonly beside: readonly WorkName[];
  faults(asked: Asked, section: Section): readonly WorkFault[];
  /** How wide the band counts. */
  bandWidth?(asked: Asked, width: number): number;
  /** What comes on to the net length of one strand, told what it is without. */
  net?(asked: Asked, hoop: Hoop, length: number): Term[];
  /** What comes on to the length that is cut. */
  cut?(asked: Asked, hoop: Hoop): Term[];
  /** mm3 of metal in a mm of the hoop, told what it is without. */
  volume?(asked: Asked, hoop: Hoop, volume: number): number;
  legs?(asked: Asked, section: Section): readonly Leg[];
  /** mm that it stands further out. */
  stands?(asked: Asked): number;
  figures?(asked: Asked, laid: LaidHoop): Figures;
  findings?(asked: Asked, laid: LaidHoop): readonly Finding[];
  parts?(asked: Asked, laid: LaidHoop): readonly Part[];
  /** What is cut beside the blank; and what is cut in place of it, to make its stock. */
  cuts?(asked: Asked, laid: LaidHoop): readonly Cut[];
  stockCuts?(asked: Asked, laid: LaidHoop): readonly Cut[];
  joints?(asked: Asked, laid: LaidHoop): readonly WorkedJoint[];
  /** Joints that its stock is made with, before it is cut. */
  stockJoints?(asked: Asked, laid: LaidHoop): readonly WorkedJoint[];
  /** Before it is cut, before it is bent, and after. */
  steps?(asked: Asked, laid: LaidHoop): Partial<Record<"stock" | "flat" | "bent", readonly Step[]>>;
  /** Along the net length; `front` is how far along it the hoop's front lies: 0 where its ends are there. */
  marks?(asked: Asked, net: number, front: number): Blank["marks"];
}
