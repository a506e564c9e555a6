import { type Cut } from "../../metal/cut";
import { type Contribution, type WorkedJoint } from "../../joint/contribution";
import { type Step } from "../../making/step";
import { type Blank } from "../../measure/blank";
import { type Figure, type Term } from "../../measure/figure";
import { type Finding } from "../../measure/finding";
import { type Figures } from "../../measure/figure";
import { type Part } from "../../joint/joint";
import { type Hoop } from "../hoop";
import { type Base, type Seat } from "../seat";

/** Where a hoop is open: to both sides of its front or back, so many radians. */
export interface Opening {
  readonly at: "front" | "back";
  readonly half: number;
}

/** An arch over the front: its radius inside, its middle's height over the finger's, half the angle it spans, and its thickness (mm, radians). */
export interface Arch {
  readonly radius: number;
  readonly centre: number;
  readonly half: number;
  readonly thickness: number;
  /** Half the angle that is cut out for a setting. */
  readonly cut: number;
}

/** What stands on a hoop beside its mounts. */
export interface FormExtra {
  readonly figures: Figures;
  readonly findings: readonly Finding[];
  readonly parts: readonly Part[];
  readonly cuts: readonly Cut[];
  readonly joints: readonly WorkedJoint[];
  readonly made: Contribution["made"];
  readonly arch: Arch | null;
}

/** All that the rest knows of a form of hoop. Lengths in mm. */
export interface FormKind {
  /** Of one strand round this inside diameter, by the hoop's rule. */
  netLength(hoop: Hoop, inside: number): Figure;
  /** What comes on to the net length, and its padding, where the blank is cut. */
  losses(hoop: Hoop): Term[];
  /** What closes it on itself. */
  seams(hoop: Hoop): WorkedJoint[];
  /** How it is brought to its curve. */
  bent(hoop: Hoop): readonly Step[];
  /** How a mount sits on it; `outside` is the radius of its outside. */
  seat(hoop: Hoop, outside: number, base: Base): Seat;
  /** What is worth a mark along its net length. */
  marks(hoop: Hoop, net: number): Blank["marks"];
  /** null where it is closed. */
  opening(hoop: Hoop, inside: number): Opening | null;
  extra(hoop: Hoop, outside: number, bases: readonly Base[]): FormExtra;
}

export const NOTHING_MORE: FormExtra = { figures: {}, findings: [], parts: [], cuts: [], joints: [], made: {}, arch: null };
