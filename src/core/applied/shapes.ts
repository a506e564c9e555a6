import { circle } from "../geometry/curve";
import { type Figure, single } from "../measure/figure";
import { type CutShape, type CutStock, rectangle, roundWire } from "../metal/cut";
import { sectionArea } from "../metal/section";

/** Sizes of what is put on, in mm. */
export interface Disc {
  readonly diameter: number;
  readonly thickness: number;
}
export interface Ball {
  readonly diameter: number;
}
export interface Ring {
  readonly inside: number;
  readonly wire: number;
  readonly section?: "round" | "square";
}
export interface Strip {
  readonly length: number;
  readonly width: number;
  readonly thickness: number;
}

/** What a shape comes to: mm3 of metal, mm2 of contact, mm along its joint, how high it stands, and its half size along and across. */
export interface Shaped {
  readonly volume: number;
  readonly contact: number;
  readonly length: number;
  readonly height: number;
  readonly half: readonly [along: number, across: number];
  readonly isRound: boolean;
  /** Radius of the hole in its middle; 0 for none. */
  readonly hole: number;
  /** Diameter of the ball that its metal is melted to; null for what is cut or bent. */
  readonly melted: number | null;
  /** What it is cut from and to; null for what is melted from a snippet. */
  readonly cut: { readonly stock: CutStock; readonly shape: CutShape; readonly length: Figure } | null;
  /** Whether it bends with what it lies on, and is not crushed by it. */
  readonly isFlat: boolean;
}

/** Every shape that is put on, by its name in the file. A ball sits on a flat half as wide as itself. */
export const APPLIED_SHAPES = {
  disc: ({ diameter: d, thickness }: Disc): Shaped => ({
    volume: (Math.PI / 4) * d * d * thickness,
    contact: (Math.PI * d * d) / 4,
    length: Math.PI * d,
    height: thickness,
    half: [d / 2, d / 2],
    isRound: true,
    hole: 0,
    melted: null,
    cut: {
      stock: { form: "sheet", thickness },
      shape: { kind: "outline", outline: circle(d / 2), length: d, width: d },
      length: single("mm", d, "applied.size", "piece"),
    },
    isFlat: true,
  }),
  ball: ({ diameter: d }: Ball): Shaped => ({
    volume: (Math.PI / 6) * d ** 3,
    contact: (Math.PI * d * d) / 16,
    length: (Math.PI * d) / 2,
    height: d,
    half: [d / 2, d / 2],
    isRound: true,
    hole: 0,
    melted: d,
    cut: null,
    isFlat: false,
  }),
  ring: ({ inside, wire, section = "round" }: Ring): Shaped => {
    const round = Math.PI * (inside + wire);
    const outside = inside / 2 + wire;
    return {
      volume: round * sectionArea({ shape: section, width: wire, thickness: wire }),
      contact: round * (section === "round" ? wire / 2 : wire),
      length: round,
      height: wire,
      half: [outside, outside],
      isRound: true,
      hole: inside / 2,
      melted: null,
      cut: {
        stock: section === "round" ? roundWire(wire) : { form: "wire", section, width: wire, thickness: wire },
        shape: { kind: "length", length: round },
        length: single("mm", round, "bail.ring"),
      },
      isFlat: false,
    };
  },
  strip: ({ length, width, thickness }: Strip): Shaped => ({
    volume: length * width * thickness,
    contact: length * width,
    length: 2 * (length + width),
    height: thickness,
    half: [length / 2, width / 2],
    isRound: false,
    hole: 0,
    melted: null,
    cut: {
      stock: { form: "sheet", thickness },
      shape: rectangle(length, width),
      length: single("mm", length, "applied.size", "piece"),
    },
    isFlat: true,
  }),
} as const;
