import { type Curve } from "@/core/geometry/curve";
import { type LineKind, type Template } from "./sheet";

const MARGIN = 4;
/** How tall a title is (mm), and a letter's width as a share of its height. */
const TITLE = 2.4;
const LETTER = 0.6;
const WIDTH: Readonly<Record<LineKind, number>> = { cut: 0.2, edge: 0.2, mark: 0.1 };
const DASHES: Readonly<Record<LineKind, string>> = { cut: "", edge: "1.5 0.6", mark: "0.4 0.4" };

/** Finer than a thousandth of what any saw follows (mm). */
function number(mm: number): string {
  return String(Math.round(mm * 1e5) / 1e5);
}

/** A curve's path, y downward from `top`: lines as L, arcs as A, bends as C; no scaling. */
export function svgPath({ from, strokes }: Curve, isClosed: boolean, left: number, top: number): string {
  const at = (x: number, y: number) => `${number(x - left)} ${number(top - y)}`;
  const parts = strokes.map((stroke) => {
    if (stroke.kind === "line") return `L${at(...stroke.to)}`;
    if (stroke.kind === "bend") return `C${at(...stroke.out)} ${at(...stroke.into)} ${at(...stroke.to)}`;
    const { x, y, radius, start, sweep } = stroke;
    // An arc of more than half a circle is drawn as two, so that no writer has to tell large from small.
    const halves = Math.abs(sweep) > Math.PI - 1e-9 ? [start + sweep / 2, start + sweep] : [start + sweep];
    return halves
      .map(
        (angle) =>
          `A${number(radius)} ${number(radius)} 0 0 ${sweep > 0 ? 0 : 1} ${at(x + radius * Math.cos(angle), y + radius * Math.sin(angle))}`,
      )
      .join("");
  });
  return `M${at(...from)}${parts.join("")}${isClosed ? "Z" : ""}`;
}

function escaped(text: string): string {
  return text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;");
}

/** A template as a drawing of its own, width, height and viewBox in mm. */
export function templateSvg({ title, lines, labels, box }: Template): string {
  const [left, top] = [box.left - MARGIN, box.high + MARGIN];
  const ends = labels.map(({ at, text, size }) => at[0] + text.length * size * LETTER);
  const room = Math.max(0, ...[...ends, box.left + title.length * TITLE * LETTER].map((end) => end - box.right));
  const [width, height] = [box.right - box.left + 2 * MARGIN + room, box.high - box.low + 3 * MARGIN + 3];
  const paths = lines.map(
    ({ curve, isClosed, kind }) =>
      `<path class="${kind}" d="${svgPath(curve, isClosed, left, top)}" fill="none" stroke="#000" stroke-width="${WIDTH[kind]}"${DASHES[kind] && ` stroke-dasharray="${DASHES[kind]}"`}/>`,
  );
  const words = labels.map(
    ({ at: [x, y], text, size, isMiddle }) =>
      `<text x="${number(x - left)}" y="${number(top - y)}" font-size="${size}" font-family="sans-serif"${isMiddle ? ' text-anchor="middle"' : ""}>${escaped(text)}</text>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}mm" height="${number(height)}mm" viewBox="0 0 ${number(width)} ${number(height)}">`,
    `<title>${escaped(title)}</title>`,
    ...paths,
    ...words,
    `<text x="${MARGIN}" y="${number(height - 1.5)}" font-size="${TITLE}" font-family="sans-serif">${escaped(title)}</text>`,
    "</svg>",
    "",
  ].join("\n");
}
