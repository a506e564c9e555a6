import { type DrawnCurve, type DrawnOutline, drawnOutline } from "@/core/trace/drawn";
import { type Outcome, refused } from "@/core/trace/refusal";
import { type LeftOut } from "@/words/drawings";
import { readCsvPoints } from "./csv";
import { readDxf } from "./dxf";
import { readSvg } from "./svg";

/** A drawing file read: its closed curves in mm. */
export interface ReadDrawing {
  readonly curves: readonly DrawnCurve[];
  readonly leftOut: readonly LeftOut[];
}

/** A drawing's outlines, the largest first. */
export interface Drawing {
  readonly outlines: readonly DrawnOutline[];
  readonly leftOut: readonly LeftOut[];
}

/** No drawing file is larger. */
export const MOST_DRAWING_BYTES = 8 * 1024 * 1024;
/** Nor holds more closed curves than are worth a list. */
const MOST_OUTLINES = 60;

type DrawingType = "svg" | "dxf" | "csv";

/** What kind of drawing a text is: by its name where that says so, else by how it begins. */
function typeOf(name: string, text: string): DrawingType | null {
  const ending = /\.(svg|dxf|csv|txt)$/i.exec(name)?.[1]?.toLowerCase();
  if (ending === "svg" || ending === "dxf") return ending;
  if (ending) return "csv";
  const start = text.slice(0, 2000).trimStart();
  if (start.startsWith("<")) return "svg";
  if (/^(999|0)\s*\r?\n/.test(start)) return "dxf";
  return /^[^\n]*[,;\t]/.test(start) ? "csv" : null;
}

/** Reads an SVG, DXF or CSV file's text. */
export function readDrawing(name: string, text: string): Outcome<Drawing> {
  const type = typeOf(name, text);
  if (!type) return refused("not-a-drawing", { why: "neither SVG, DXF nor a table of points" });
  const read = type === "svg" ? readSvg(text) : type === "dxf" ? readDxf(text) : readCsvPoints(text);
  if (!read.ok) return read;
  const outlines = read.value.curves.map(drawnOutline);
  const whole = outlines.filter((each): each is DrawnOutline => each !== null).sort((a, b) => b.area - a.area);
  if (whole.length === 0) return refused("no-closed-outline");
  const none = outlines.length - whole.length;
  const more = Math.max(0, whole.length - MOST_OUTLINES);
  return {
    ok: true,
    value: {
      outlines: whole.slice(0, MOST_OUTLINES),
      leftOut: [
        ...read.value.leftOut,
        ...(none > 0 ? [{ code: "not-a-stone" as const, count: none }] : []),
        ...(more > 0 ? [{ code: "smaller" as const, count: more }] : []),
      ],
    },
  };
}
