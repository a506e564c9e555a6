import { sizeText } from "../hoop/sizes";
import { type BenchEntry, SHIPPED } from "./bench";
import { type Carrier, type Piece } from "./piece";

/** The four numbers a maker starts with, in mm. */
export interface FirstMeasures {
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly turnIn: number;
}

/** What a stone is taken for until it is measured. */
export const UNMEASURED: FirstMeasures = { length: 14, width: 10, height: 4.8, turnIn: 1.8 };

const UNMEASURED_STONE = ["m1.stone.outline.length", "m1.stone.outline.width", "m1.stone.height", "m1.stone.turnIn"] as const;

/** Keys of the fields that a new piece has not measured yet. */
export const UNMEASURED_FIELDS: Readonly<Record<Piece["kind"], readonly string[]>> = {
  ring: [...UNMEASURED_STONE, "hoop.size.value"],
  pendant: UNMEASURED_STONE,
  earrings: UNMEASURED_STONE,
};

const USUAL_FINGER_MM = 17.2;

/** What each kind of piece is carried by where nobody said. */
const CARRIED: Readonly<Record<Piece["kind"], (bench: BenchEntry) => Carrier>> = {
  ring: (bench) => {
    const asked = bench.sizeSystem ?? SHIPPED.sizeSystem;
    const system = asked === "mandrel" ? "eu" : asked;
    return {
      type: "hoop",
      size: { system, value: sizeText(system, USUAL_FINGER_MM) ?? "54" },
      stock: { section: "half-round", width: 3, thickness: 1.6, metal: "sterling" },
      form: "closed-flat",
      lengthRule: "fibre",
    };
  },
  pendant: () => ({ type: "bail", style: "folded", bore: 3.2, drop: 6, thickness: 0.6, metal: "sterling" }),
  earrings: () => ({ type: "jump-ring", inside: 2.4, wire: 0.9, metal: "sterling" }),
};

/** A piece with an oval stone of these measures and the usual everything else; earrings are a pair. */
export function newPiece(
  id: string,
  name: string,
  bench: BenchEntry,
  { length, width, height, turnIn }: FirstMeasures,
  kind: Piece["kind"] = "ring",
): Piece {
  return {
    format: "hoop-ledger/piece",
    version: 3,
    id,
    name,
    kind,
    copies: kind === "earrings" ? 2 : 1,
    mounts: [
      {
        id: "m1",
        stone: { outline: { shape: "oval", length, width }, measuredPerimeter: null, height, turnIn, dome: 2 },
        wall: { source: "strip", metal: "fine-silver", thickness: 0.32, heightRule: "turn-in", seamAt: "auto" },
        plate: { style: "flush", metal: "sterling", thickness: 0.6, ornament: [] },
      },
    ],
    carrier: CARRIED[kind](bench),
    heats: { pins: [] },
    notes: "",
  };
}
