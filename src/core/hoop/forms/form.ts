import { type WorkedJoint } from "../../joint/contribution";
import { type Figure, type Term } from "../../measure/figure";
import { type Hoop } from "../hoop";
import { type Base, type Seat } from "../seat";

/** All that the rest knows of a form of hoop. Lengths in mm. */
export interface FormKind {
  /** Of one strand round this inside diameter, by the hoop's rule. */
  netLength(hoop: Hoop, inside: number): Figure;
  /** What comes on to the net length, and its padding, where the blank is cut. */
  losses(hoop: Hoop): Term[];
  /** What closes it on itself. */
  seams(hoop: Hoop): WorkedJoint[];
  /** How a mount sits on it; `outside` is the radius of its outside. */
  seat(hoop: Hoop, outside: number, base: Base): Seat;
}
