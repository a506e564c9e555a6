import { figureOf } from "@/core/measure/figure";
import { type Piece } from "@/core/piece/piece";
import { type Plan, type PlannedHeat } from "@/core/piece/plan";
import { JOINT_ADVICE, piecesText } from "@/words/heats";
import { FORM_NAMES, METAL_NAMES, SECTION_NAMES, SYSTEM_NAMES } from "@/words/names";
import { type Units, lengthUnit, showLength, showPercent, withUnit } from "@/words/show";
import { sumText } from "@/words/terms";
import { type WallStock, wallStock } from "@/words/wall-stock";

export interface CardRow {
  readonly label: string;
  readonly text: string;
  readonly sum?: string;
}

const STOCK_LABELS: Readonly<Record<WallStock["name"], string>> = { strip: "Cut strip", tube: "Tube", cup: "Cup" };

/** The sizes of the piece, a row each, with the sums of what is cut to length. */
export function cardRows(piece: Piece, plan: Plan, units: Units): CardRow[] {
  const { id, stone, wall, plate } = piece.mounts[0]!;
  const figure = (key: string) => figureOf(plan.figures, key);
  const value = (key: string) => figure(key).value;
  const unit = lengthUnit(units);
  const { carrier } = piece;
  const stock = wallStock(plan, id, units);
  const { wall: settled } = plan.settled.mounts[id]!;
  const isCup = settled.source === "cup";
  const hoop: CardRow[] =
    carrier.type === "hoop"
      ? [
          {
            label: "Hoop",
            text: `${SYSTEM_NAMES[carrier.size.system]} ${carrier.size.value}, inside ${withUnit(value("hoop.insideDiameter"), "measured", units)}; ${FORM_NAMES[carrier.form]}`,
          },
          {
            label: "Cut blank",
            text: `${withUnit(value("hoop.cutLength"), "blank", units)} of ${SECTION_NAMES[carrier.stock.section]} ${showLength(carrier.stock.width, "blank", units)} × ${showLength(carrier.stock.thickness, "blank", units)}, ${METAL_NAMES[carrier.stock.metal]}`,
            sum: sumText(figure("hoop.cutLength"), units),
          },
        ]
      : [];
  return [
    {
      label: "Stone",
      text: `${[stone.material?.name, stone.name].filter(Boolean)[0] ?? "stone"}, ${withUnit(value(`${id}.outline.perimeter`), "measured", units)} round, ${withUnit(stone.height, "measured", units)} tall`,
    },
    {
      label: STOCK_LABELS[stock.name],
      text: `${stock.size} × ${showLength(settled.thickness, "measured", units)} ${unit}, ${METAL_NAMES[wall.metal]}`,
      sum: sumText(stock.figure, units),
    },
    {
      label: "Wall lands at",
      text: `${showLength(value(`${id}.wall.netLength`), "measured", units)} × ${withUnit(value(`${id}.wall.netHeight`), "measured", units)}, shows ${showPercent(value(`${id}.wall.faceShown`))} of the face`,
    },
    {
      label: isCup ? "Base" : "Plate",
      text: isCup
        ? `${showLength(value(`${id}.plate.length`), "blank", units)} × ${showLength(value(`${id}.plate.width`), "blank", units)} × ${showLength(plate.thickness, "measured", units)} ${unit}, the cup's own`
        : `blank ${showLength(value(`${id}.plate.blankLength`), "blank", units)} × ${showLength(value(`${id}.plate.blankWidth`), "blank", units)} × ${showLength(plate.thickness, "measured", units)} ${unit}, ${METAL_NAMES[plate.metal]}; sawn to ${showLength(value(`${id}.plate.length`), "blank", units)} × ${withUnit(value(`${id}.plate.width`), "blank", units)}, ${plate.style}`,
    },
    ...hoop,
  ];
}

/** The solder of a heat, joint by joint. */
export function pallionLine(heat: PlannedHeat, plan: Plan, units: Units): string {
  if (heat.solder.length === 0) return "no solder: the metal itself";
  const kindOf = (id: string) => plan.joints.find((joint) => joint.id === id)!.kind;
  return heat.solder.map((pallions, i) => piecesText(pallions, JOINT_ADVICE[kindOf(heat.joints[i]!)].solder, units)).join("; ");
}
