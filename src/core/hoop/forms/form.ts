import { type Section } from "../../metal/section";
import { type Sourced } from "../../measure/figure";
import { type Base, type Seat } from "../seat";

/** What a form is asked for where a mount sits on it. Lengths in mm. */
export interface SeatAsked {
  readonly section: Section;
  /** Radius of the hoop's outside. */
  readonly outside: number;
  readonly base: Base;
  readonly flatWidth: Sourced<number> | null;
  readonly saddleWidth: Sourced<number> | null;
}

/** All that the rest knows of a form of hoop. */
export interface FormKind {
  /** What is filed so that a mount sits: a flat on the hoop, or a saddle in the mount's base. */
  readonly seat: "flat" | "saddle";
  seatOn(asked: SeatAsked): Seat;
}
