import { type OutlineShape } from "@/core/stone/shapes/shapes";
import { SHAPE_NAMES, counted } from "./names";
import { type Units, showLength } from "./show";

/** How large a stone is, in a few words: "16.0 × 12.0", "8.0 round". */
export function stoneSize(outline: OutlineShape, units: Units): string {
  switch (outline.shape) {
    case "round":
      return `${showLength(outline.diameter, "blank", units)} round`;
    case "triangle":
      return `${SHAPE_NAMES.triangle}, side ${showLength(outline.side, "blank", units)}`;
    case "free":
      return `${SHAPE_NAMES.free}, ${counted(outline.points.length, "point")}`;
    default: {
      const size = `${showLength(outline.length, "blank", units)} × ${showLength(outline.width, "blank", units)}`;
      return outline.shape === "oval" ? size : `${size} ${SHAPE_NAMES[outline.shape]}`;
    }
  }
}
