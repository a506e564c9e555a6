import { sizeText } from "../hoop/sizes";
import { type BenchEntry, SHIPPED } from "./bench";
import { type Piece } from "./piece";

/** The four numbers a maker starts with, in mm. */
export interface FirstMeasures {
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly turnIn: number;
}

/** What a stone is taken for until it is measured. */
export const UNMEASURED: FirstMeasures = { length: 14, width: 10, height: 4.8, turnIn: 1.8 };

/** Keys of the fields that a new piece has not measured yet. */
export const UNMEASURED_FIELDS = [
  "m1.stone.outline.length",
  "m1.stone.outline.width",
  "m1.stone.height",
  "m1.stone.turnIn",
  "hoop.size.value",
] as const;

const USUAL_FINGER_MM = 17.2;

/** A ring with an oval stone of these measures and the usual everything else. */
export function newPiece(id: string, name: string, bench: BenchEntry, { length, width, height, turnIn }: FirstMeasures): Piece {
  const asked = bench.sizeSystem ?? SHIPPED.sizeSystem;
  const system = asked === "mandrel" ? "eu" : asked;
  return {
    format: "hoop-ledger/piece",
    version: 2,
    id,
    name,
    kind: "ring",
    copies: 1,
    mounts: [
      {
        id: "m1",
        stone: { outline: { shape: "oval", length, width }, measuredPerimeter: null, height, turnIn, dome: 2 },
        wall: { source: "strip", metal: "fine-silver", thickness: 0.32, heightRule: "turn-in", seamAt: "auto" },
        plate: { style: "flush", metal: "sterling", thickness: 0.6, ornament: [] },
      },
    ],
    carrier: {
      type: "hoop",
      size: { system, value: sizeText(system, USUAL_FINGER_MM) ?? "54" },
      stock: { section: "half-round", width: 3, thickness: 1.6, metal: "sterling" },
      form: "closed-flat",
      lengthRule: "fibre",
    },
    heats: { pins: [] },
    notes: "",
  };
}
