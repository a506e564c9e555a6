import { type LayerFault } from "../mount/layers/layer";
import { type TraceRefusal } from "../trace/refusal";
import { type ShapeFault } from "../stone/shapes/shape";

/** What is wrong with something that came from outside, and where. The words stand in the catalogue. */
export interface Fault {
  /** JSON pointer into the file; empty for the file as a whole. */
  readonly path: string;
  readonly code: FaultCode;
  readonly values: Readonly<Record<string, string | number>>;
}

export type FaultCode =
  | "not-json"
  | "codes-damaged"
  | "not-a-sum"
  | "only-of-own"
  | "own-outline-missing"
  | "dome-not-round"
  | "no-plate-there"
  | "not-a-row"
  | "not-utf8"
  | "not-finite"
  | "and-more"
  | "not-worked-out"
  | "too-slow"
  | "too-busy"
  | "wrong-format"
  | "too-new"
  | "too-large"
  | "too-deep"
  | "forbidden-key"
  | "unknown-field"
  | "missing"
  | "wrong-type"
  | "above"
  | "at-least"
  | "at-most"
  | "one-of"
  | "not-an-id"
  | "not-a-name"
  | "not-a-word"
  | "too-few"
  | "too-many"
  | "not-beside"
  | "over-limit"
  | "whole-number"
  | "pin-shape"
  | "duplicate"
  | "other-piece"
  | "reserved"
  | "turn-in-above-height"
  | "turn-in-not-flat"
  | "catch-too-wide"
  | "tape-far-off"
  | "below-pi"
  | ShapeFault["code"]
  | TraceRefusal["code"]
  | "seam-at-corner"
  | "fixed-height-missing"
  | "notch-missing"
  | "tube-not-round"
  | "tube-inside-out"
  | "tube-cut-through"
  | "cup-has-base"
  | "cup-too-thick"
  | "stretch-overlap"
  | "stretch-vanishes"
  | "no-floor"
  | "floor-thin"
  | "shelf-narrow"
  | "stretch-empty"
  | "tight-not-round"
  | LayerFault["code"]
  | "ledge-missing"
  | "ledge-too-wide"
  | "lift-under-ledge"
  | "tube-has-shelf"
  | "no-such-part"
  | "one-shape"
  | "not-a-size"
  | "no-mandrel"
  | "off-mandrel"
  | "no-finger"
  | "unequal-stock"
  | "gives-above-runs"
  | "cannot-go-with"
  | "taper-even"
  | "spread-missing"
  | "bridge-missing"
  | "above-limit"
  | "eyes-by-mount"
  | "eye-or-eyes"
  | "one-setting"
  | "no-such-mount"
  | "no-eye"
  | "not-planned";

export function fault(path: string, code: FaultCode, values: Fault["values"] = {}): Fault {
  return { path, code, values };
}
