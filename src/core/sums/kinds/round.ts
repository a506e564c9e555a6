import { figureOf } from "../../measure/figure";
import { UNMEASURED, UNMEASURED_FIELDS, newPiece } from "../../piece/new-piece";
import { type Piece } from "../../piece/piece";
import { sizePiece } from "../../piece/size-piece";
import { type OutlineShape, shapeFaults } from "../../stone/shapes/shapes";
import { BY, LENGTH, NO_SIZES, type SumKind, lengthsOf, answerAlong } from "../sum";

/** Shapes that one or two lengths say. */
const SHAPES: Readonly<Record<string, (long: number, wide: number) => OutlineShape>> = {
  round: (diameter) => ({ shape: "round", diameter }),
  oval: (length, width) => ({ shape: "oval", length, width }),
  pear: (length, width) => ({ shape: "pear", length, width }),
  marquise: (length, width) => ({ shape: "marquise", length, width }),
  rectangle: (length, width) => ({ shape: "rectangle", length, width, corner: 0 }),
};
const STONE = new RegExp(`^(${Object.keys(SHAPES).join("|")})\\s+${LENGTH}(?:${BY}${LENGTH})?(?:\\s+in\\s+${LENGTH})?$`);

/** Strip that most bezels are bent from (mm). */
const USUAL_STRIP = 0.32;

/** A strip round a stone, and how far it is round: "oval 16 x 12", "round 8 in 0.4". */
export const round: SumKind = {
  read: (line) => {
    const shape = Object.keys(SHAPES).find((word) => line.text.startsWith(`${word} `));
    if (shape === undefined) return null;
    const found = STONE.exec(line.text);
    if (!found || (shape !== "round" && found[3] === undefined) || (shape === "round" && found[3] !== undefined)) return "misread";
    const lengths = lengthsOf([found[2], found[3] ?? found[2], found[4] ?? `${USUAL_STRIP}mm`], line);
    if (!lengths) return "misread";
    const [long, wide, thickness] = lengths as [number, number, number];
    const outline = SHAPES[shape]!(Math.max(long, wide), Math.min(long, wide));
    if (shapeFaults(outline).length > 0) return "misread";
    const asked = (id: string, name: string): Piece => {
      const piece = newPiece(id, name, line.bench, UNMEASURED);
      const [mount] = piece.mounts as [Piece["mounts"][number]];
      return { ...piece, mounts: [{ ...mount, stone: { ...mount.stone, outline }, wall: { ...mount.wall, thickness } }] };
    };
    const { figures } = sizePiece({ ...asked("sum", ""), carrier: { type: "none" } }, line.bench).contribution;
    return {
      code: "round",
      asked: { shape, length: long, width: wide, thickness },
      assumed: found[4] === undefined ? ["thickness"] : [],
      answers: [
        { code: "strip", figure: figureOf(figures, "m1.wall.cutLength") },
        { code: "net", figure: figureOf(figures, "m1.wall.netLength") },
        { code: "perimeter", figure: figureOf(figures, "m1.outline.perimeter") },
      ],
      sizes: NO_SIZES,
      begin: (id, name) => ({
        piece: asked(id, name),
        unmeasured: UNMEASURED_FIELDS.ring.filter((field) => !field.startsWith("m1.stone.outline.")),
      }),
    };
  },
  along: (sum) => answerAlong(sum),
  fields: [
    { name: "shape", as: Object.keys(SHAPES), start: "oval" },
    { name: "length", as: "length", start: 16 },
    { name: "width", as: "length", start: 12 },
    { name: "thickness", as: "length", start: USUAL_STRIP },
  ],
  line: ({ shape = "", length = "", width = "", thickness = "" }) =>
    `${shape} ${shape === "round" ? length : `${length} x ${width}`} in ${thickness}`,
};
