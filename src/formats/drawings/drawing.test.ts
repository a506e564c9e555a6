import fc from "fast-check";
import { runs } from "../../runs.testing";
import { type Free } from "@/core/stone/shapes/free";
import { type OutlineShape, outlineOfShape } from "@/core/stone/shapes/shapes";
import { type Drawing, readDrawing } from "./drawing";

function svg(inside: string, head = 'width="200mm" height="100mm" viewBox="0 0 200 100"'): string {
  return `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`;
}

function read(name: string, text: string): Drawing {
  const found = readDrawing(name, text);
  if (!found.ok) throw new Error(`refused: ${found.refusal.code} ${String(found.refusal.values.why ?? "")}`);
  return found.value;
}

function refusalOf(name: string, text: string): string {
  const found = readDrawing(name, text);
  return found.ok ? "read" : found.refusal.code;
}

function shapes(name: string, text: string): OutlineShape[] {
  return read(name, text).outlines.map(({ outline }) => outline);
}

/** How far a free-form's drawn curve lies from a circle. */
function offRound(shape: OutlineShape, radius: number): number {
  return Math.max(...outlineOfShape(shape).stations.map(({ x, y }) => Math.abs(Math.hypot(x, y) - radius)));
}

describe("SVG", () => {
  test("what the piece file has is exact: circles, ellipses, rectangles and polygons, under turns, scales and skews", () => {
    expect(shapes("a.svg", svg('<circle cx="50" cy="50" r="9"/>'))).toEqual([{ shape: "round", diameter: 18 }]);
    expect(shapes("a.svg", svg('<g transform="translate(3 4) rotate(30 5 5)"><ellipse rx="6" ry="8.5"/></g>'))).toEqual([
      { shape: "oval", length: 17, width: 12 },
    ]);
    expect(shapes("a.svg", svg('<rect x="5" y="5" width="9" height="14" rx="2" transform="scale(1.5) rotate(12)"/>'))).toEqual([
      { shape: "rectangle", length: 21, width: 13.5, corner: 3 },
    ]);
    expect(shapes("a.svg", svg('<circle r="5" transform="scale(2 1.5)"/>'))).toEqual([{ shape: "oval", length: 20, width: 15 }]);
    const [polygon] = shapes("a.svg", svg('<polygon points="0,0 20,0 20,10 8,16"/>'));
    expect(polygon).toEqual({
      shape: "free",
      points: [
        [10, -2],
        [10, 8],
        [-10, 8],
        [-2, -8],
      ],
      closed: "polyline",
    });
  });

  test("a path of arcs all round is its circle; curves become few points on it; a part that does not close is left out and said", () => {
    expect(shapes("a.svg", svg('<path d="M10 20a8 8 0 1 0 16 0 8 8 0 1 0-16 0z"/>'))).toEqual([{ shape: "round", diameter: 16 }]);
    const k = 5.522847498;
    const bezier = `M10 0C10 ${k} ${k} 10 0 10S-10 ${k} -10 0-${k}-10 0-10S10-${k} 10 0Z`;
    const { outlines, leftOut } = read("a.svg", svg(`<path d="${bezier}"/><path d="M0 0L30 5"/><text>7</text><image/>`));
    expect(offRound(outlines[0]!.outline, 10)).toBeLessThan(0.02);
    expect((outlines[0]!.outline as Free).points.length).toBeLessThan(60);
    expect(leftOut).toEqual([
      { code: "open", count: 1 },
      { code: "text", count: 1 },
      { code: "picture", count: 1 },
    ]);
  });

  test("units: mm, inches, a viewBox, and what names none is told", () => {
    const circle = '<circle cx="5" cy="5" r="5"/>';
    expect(shapes("a.svg", svg(circle, 'width="2in" viewBox="0 0 40 40"'))).toEqual([{ shape: "round", diameter: 12.7 }]);
    expect(shapes("a.svg", svg(circle, 'width="8cm" height="8cm" viewBox="0 0 40 40"'))).toEqual([{ shape: "round", diameter: 20 }]);
    const bare = read("a.svg", svg('<circle r="48"/>', ""));
    expect(bare.outlines[0]!.outline).toEqual({ shape: "round", diameter: 25.4 });
    expect(bare.leftOut).toEqual([{ code: "no-unit", count: 1 }]);
  });

  test("of several outlines the largest comes first; what is in definitions is not drawn", () => {
    const drawing = read("a.svg", svg('<defs><circle r="40"/></defs><circle r="4"/><circle r="9"/><circle r="0.1"/>'));
    expect(drawing.outlines.map(({ outline }) => outline)).toEqual([
      { shape: "round", diameter: 18 },
      { shape: "round", diameter: 8 },
    ]);
    expect(drawing.leftOut).toEqual([{ code: "not-a-stone", count: 1 }]);
  });

  test("what could do harm is refused before it is parsed", () => {
    const circle = '<circle r="9"/>';
    expect(refusalOf("a.svg", `<!DOCTYPE svg [<!ENTITY a "aaaa">]>${svg(circle)}`)).toBe("drawing-has-entities");
    expect(refusalOf("a.svg", svg(`<script>x</script>${circle}`))).toBe("drawing-has-script");
    expect(refusalOf("a.svg", svg('<circle r="9" onclick="x()"/>'))).toBe("drawing-has-script");
    expect(refusalOf("a.svg", svg(`<image href="http://example.invalid/a.png"/>${circle}`))).toBe("drawing-reaches-outside");
    expect(refusalOf("a.svg", svg(`<style>@import "x.css"</style>${circle}`))).toBe("drawing-reaches-outside");
    expect(refusalOf("a.svg", svg(`${"<g>".repeat(80)}${circle}${"</g>".repeat(80)}`))).toBe("drawing-too-deep");
    expect(refusalOf("a.svg", svg(circle.repeat(20_001)))).toBe("drawing-too-many-points");
    expect(refusalOf("a.svg", svg(`<path d="M0 0${"L1 1".repeat(60_000)}z"/>`))).toBe("drawing-too-many-points");
    expect(refusalOf("a.svg", svg('<path d="M0 0 banana"/>'))).toBe("not-a-drawing");
    expect(refusalOf("a.svg", svg("<line/>"))).toBe("no-closed-outline");
    expect(refusalOf("a.svg", "<html/>")).toBe("not-a-drawing");
  });
});

describe("DXF", () => {
  const dxf = (entities: string, unit = 4) =>
    `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n${unit}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
  const circle = (r: number) => `0\nCIRCLE\n8\n0\n10\n3\n20\n4\n40\n${r}\n`;
  const line = (x: number, y: number, u: number, v: number) => `0\nLINE\n8\n0\n10\n${x}\n20\n${y}\n11\n${u}\n21\n${v}\n`;
  const polyline = (vertices: readonly (readonly [number, number, number])[], isClosed: boolean) =>
    `0\nLWPOLYLINE\n8\n0\n90\n${vertices.length}\n70\n${isClosed ? 1 : 0}\n${vertices.map(([x, y, bulge]) => `10\n${x}\n20\n${y}\n42\n${bulge}\n`).join("")}`;

  test("circles and ellipses are exact, in mm or inches; two half circles are one", () => {
    expect(shapes("a.dxf", dxf(circle(8)))).toEqual([{ shape: "round", diameter: 16 }]);
    expect(shapes("a.dxf", dxf(circle(0.5), 1))).toEqual([{ shape: "round", diameter: 25.4 }]);
    const ellipse = "0\nELLIPSE\n8\n0\n10\n0\n20\n0\n11\n5\n21\n5\n40\n0.75\n41\n0\n42\n6.283185307179586\n";
    expect(shapes("a.dxf", dxf(ellipse))).toEqual([{ shape: "oval", length: 14.142, width: 10.607 }]);
    expect(
      shapes(
        "a.dxf",
        dxf(
          polyline(
            [
              [-7, 0, 1],
              [7, 0, 1],
            ],
            true,
          ),
        ),
      ),
    ).toEqual([{ shape: "round", diameter: 14 }]);
    expect(read("a.dxf", dxf(circle(8), 0)).leftOut).toEqual([{ code: "no-unit", count: 1 }]);
    expect(refusalOf("a.dxf", dxf(circle(8), 3))).toBe("not-a-drawing");
  });

  test("a polyline's bulges are arcs, a straight one is exact, and lines end to end close", () => {
    const b = Math.SQRT2 - 1;
    const [quarters] = shapes(
      "a.dxf",
      dxf(
        polyline(
          [
            [10, 0, b],
            [0, 10, b],
            [-10, 0, b],
            [0, -10, b],
          ],
          true,
        ),
      ),
    );
    expect(quarters).toEqual({ shape: "round", diameter: 20 });
    const square = {
      shape: "free",
      points: [
        [6, -6],
        [6, 6],
        [-6, 6],
        [-6, -6],
      ],
      closed: "polyline",
    };
    const sorted = (shape: OutlineShape) => ({ ...shape, points: [...(shape as Free).points].map(([x, y]) => [x, y]) });
    expect(
      sorted(
        shapes(
          "a.dxf",
          dxf(
            polyline(
              [
                [0, 0, 0],
                [12, 0, 0],
                [12, 12, 0],
                [0, 12, 0],
              ],
              true,
            ),
          ),
        )[0]!,
      ),
    ).toEqual(square);
    const lines = line(0, 0, 12, 0) + line(12, 12, 12, 0) + line(12, 12, 0, 12) + line(0, 12, 0, 0) + line(40, 40, 50, 50);
    const drawing = read("a.dxf", dxf(lines));
    expect(sorted(drawing.outlines[0]!.outline)).toEqual(square);
    expect(drawing.leftOut).toEqual([{ code: "open", count: 1 }]);
  });

  test("a spline is its curve", () => {
    const control = [
      [10, 0],
      [10, 10],
      [0, 10],
      [-10, 10],
      [-10, 0],
      [-10, -10],
      [0, -10],
      [10, -10],
      [10, 0],
    ];
    const knots = [0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4];
    const spline = `0\nSPLINE\n8\n0\n70\n1\n71\n2\n72\n${knots.length}\n73\n${control.length}\n${knots.map((k) => `40\n${k}\n`).join("")}${control.map(([x, y]) => `10\n${x}\n20\n${y}\n`).join("")}`;
    const [shape] = shapes("a.dxf", dxf(spline));
    // four parabolas, each through the middle of its corner's legs: area 4 (10 x 10 - a third of a half square of 10)
    expect(outlineOfShape(shape!).area).toBeCloseTo(4 * (100 - 100 / 6), 0);
    expect(refusalOf("a.dxf", "not one")).toBe("not-a-drawing");
  });
});

describe("a table of points", () => {
  test("with commas, semicolons or tabs, with heads or without, and the first again at its end", () => {
    const shape = {
      shape: "free",
      points: [
        [9.5, 0],
        [0, 7],
        [-9.5, 0],
        [0, -7],
      ],
    };
    expect(shapes("a.csv", "x,y\n9.5,0\n0,7\n-9.5,0\n0,-7\n9.5,0\n")).toEqual([shape]);
    expect(shapes("a.csv", "9,5;0\n0;7\n-9,5;0\n0;-7\n")).toEqual([shape]);
    expect(shapes("a.txt", "x\ty\r\n29.5\t10\r\n20\t17\r\n10.5\t10\r\n20\t3\r\n")).toEqual([shape]);
    expect(refusalOf("a.csv", "1,2\n3,x\n4,5\n6,7\n")).toBe("not-a-drawing");
    expect(refusalOf("a.csv", "1,2\n3,4\n")).toBe("not-a-drawing");
    expect(refusalOf("a.csv", "0,0\n".repeat(500))).toBe("drawing-too-many-points");
  });
});

test("no text makes the reader throw", () => {
  const bits = fc.constantFrom(
    "<svg>",
    "</svg>",
    "<path d='",
    "M0 0",
    "C1 1",
    "z'/>",
    "<circle r='5'/>",
    "0\n",
    "LINE\n",
    "1,2\n",
    "SECTION\n",
    "NaN",
    "<g transform='matrix(",
    ")'>",
    "\u0000",
  );
  fc.assert(
    fc.property(fc.array(bits, { maxLength: 12 }), fc.constantFrom("a.svg", "a.dxf", "a.csv", "a"), (parts, name) => {
      expect(["read", "refused"]).toContain(readDrawing(name, parts.join("")).ok ? "read" : "refused");
    }),
    { numRuns: runs(300) },
  );
});
