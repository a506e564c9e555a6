import { inflateSync } from "node:zlib";
import { PDFDocument } from "@cantoo/pdf-lib";
import DxfParser, { type ILwpolylineEntity, type ICircleEntity } from "dxf-parser";
import { EXAMPLES, examplePiece } from "@demo/examples";
import { demoPiece } from "@demo/pieces";
import { flattened } from "@/core/geometry/curve";
import { outward } from "@/core/geometry/outline";
import { polygonArea } from "@/core/geometry/polygon";
import { METALS } from "@/core/metal/metals";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { doubter } from "@/core/piece/doubt";
import { type Plan, bailIn, hoopIn } from "@/core/piece/plan";
import { planPiece } from "@/core/piece/plan-piece";
import { outlineOf } from "@/core/stone/stone";
import { METRIC } from "@/words/show";
import { templateDxf } from "./dxf";
import { templatesPdf } from "./pdf";
import { type Template, templatesOf } from "./sheet";
import { templateSvg } from "./svg";

const sheetOf = (id: string) => {
  const piece = demoPiece(id);
  return templatesOf(piece, planPiece(piece, SHIPPED_BENCH), METRIC);
};
const one = (id: string, part: string): Template => sheetOf(id).find((each) => each.id === part)!;

/** The saw line's length in closed form: the outline's, and a turn of how far out it lies. */
function sawn(id: string, out: number): number {
  return outward(outlineOf(demoPiece(id).mounts[0]!.stone).outline, out).length;
}

test("each thing that is cut has its template, at the size that is cut", () => {
  expect(sheetOf("turnstone-ring").map(({ id }) => id)).toEqual(["wall", "plate", "rope", "beads", "hoop"]);
  expect(sheetOf("slate-ring").map(({ id }) => id)).toEqual(["wall", "ledge", "hoop"]);
  expect(sheetOf("samphire-ring").map(({ id }) => id)).toEqual(["hoop"]);
  expect(sheetOf("redshank-ring").map(({ id, title }) => [id, title.split(",")[0]])).toEqual([
    ["m1-wall", "Stone 1: bezel"],
    ["m1-plate", "Stone 1: plate"],
    ["m2-wall", "Stone 2: bezel"],
    ["m2-plate", "Stone 2: plate"],
    ["hoop", "Hoop's blank"],
  ]);
  const piece = demoPiece("tern-ring");
  const { figures } = planPiece(piece, SHIPPED_BENCH);
  for (const [part, length, width] of [
    ["plate", "m1.plate.blankLength", "m1.plate.blankWidth"],
    ["wall", "m1.wall.cutLength", "m1.wall.cutHeight"],
  ] as const) {
    const { box } = one("tern-ring", part);
    expect(box.right - box.left).toBeCloseTo(figures[length]!.value, 1.9);
    expect(box.high - box.low).toBeCloseTo(figures[width]!.value, 1.9);
  }
  const hoop = one("tern-ring", "hoop").box;
  expect(hoop.right - hoop.left).toBeCloseTo(figures["hoop.cutLength"]!.value, 9);
  const guessed = templatesOf(piece, planPiece(piece, SHIPPED_BENCH), METRIC, doubter({ unmeasured: ["m1.stone.height"], refused: [] }));
  expect(guessed.map(({ title }) => title.includes("do not cut"))).toEqual([true, false, false]);
  expect(sheetOf("turnstone-ring").map(({ title }) => title)).toEqual([
    "Bezel, 46.05 × 3.20 mm, fine silver 0.32",
    "Plate, blank 22.7 × 18.7 mm, sterling 0.60",
    "Rope, 29.60 × 1.20 mm, fine silver",
    "Beads, 21.76 × 1.20 mm, fine silver",
    "Hoop's blank, 59.1 × 3.00 mm, sterling",
  ]);
});

test("what is put on is cut to its own outline", () => {
  const tern = demoPiece("tern-ring");
  const piece = { ...tern, applied: [{ id: "dot", on: "m1.plate", metal: "sterling" as const, disc: { diameter: 2, thickness: 0.5 } }] };
  const dot = templatesOf(piece, planPiece(piece, SHIPPED_BENCH), METRIC).find(({ id }) => id === "dot")!;
  expect([dot.title, dot.box]).toEqual(["Disc, 2.00 × 2.00 mm, sterling 0.50", { left: -1, right: 1, low: -1, high: 1 }]);
});

const exampleCalled = (name: string) =>
  examplePiece(
    EXAMPLES.find((each) => each.name === name)!,
    "example",
    SHIPPED_BENCH,
  );

test("what is sawn to shape is printed to it: its area by its thickness weighs what the plan says", () => {
  for (const [name, part, thickness] of [
    ["Folded bail", "bail", (plan: Plan) => bailIn(plan)!.settled.thickness],
    ["Bridge", "bridge", (plan: Plan) => hoopIn(plan)!.settled.bridge.thickness],
  ] as const) {
    const piece = exampleCalled(name);
    const plan = planPiece(piece, SHIPPED_BENCH);
    const { mass, metal } = plan.parts.find(({ id }) => id === part)!;
    const shape = templatesOf(piece, plan, METRIC).find(({ id }) => id === part)!;
    const [outline, ...others] = shape.lines.filter(({ kind, isClosed }) => kind === "cut" && isClosed);
    expect(others).toEqual([]);
    const area = Math.abs(polygonArea(flattened(outline!.curve, 1e-6)));
    expect((area * thickness(plan) * METALS[metal].density) / 1000).toBeCloseTo(mass, 9);
  }
});

test("a tapered blank is as wide as the stock in front and as it is asked at the back, alike to both sides, with its marks across", () => {
  const piece = exampleCalled("Taper");
  const plan = planPiece(piece, SHIPPED_BENCH);
  const { section } = hoopIn(plan)!.settled;
  const { lines, box, labels } = templatesOf(piece, plan, METRIC).find(({ id }) => id === "hoop")!;
  const points = flattened(lines[0]!.curve, 1e-6);
  const widthAt = (along: number) => 2 * Math.max(...points.filter(([x]) => Math.abs(x - along) < 1e-6).map(([, y]) => y));
  const widths = points.map(([x]) => widthAt(x));
  expect([box.left, box.low]).toEqual([0, -box.high]);
  expect(2 * box.high).toBeCloseTo(section.width, 3);
  expect(box.right).toBeCloseTo(plan.figures["hoop.cutLength"]!.value, 9);
  expect(Math.min(...widths)).toBeCloseTo(piece.carrier.type === "hoop" ? piece.carrier.stock.backWidth! : NaN, 9);
  expect(points.map(([x, y]) => points.some(([u, v]) => Math.hypot(u - x, v + y) < 1e-9))).not.toContain(false);
  const across = lines.slice(1).map(({ curve }) => flattened(curve, 1e-6));
  expect(across.length).toBeGreaterThan(0);
  for (const [from, to] of across) expect([from![1], to![1]]).toEqual([box.low, box.high]);
  expect(labels.every(({ at }) => at[1] < box.low)).toBe(true);
});

test("of a pair the second is the first turned over, whatever is on it", () => {
  const sheet = templatesOf(demoPiece("dunlin-earrings"), planPiece(demoPiece("dunlin-earrings"), SHIPPED_BENCH), METRIC);
  const firsts = sheet.filter(({ id }) => !id.endsWith("-mirror"));
  expect(sheet.map(({ id }) => id)).toEqual(firsts.flatMap(({ id }) => [id, `${id}-mirror`]));
  for (const first of firsts) {
    const second = sheet.find(({ id }) => id === `${first.id}-mirror`)!;
    expect(second.title).toBe(`${first.title}, the second`);
    const [as, turned] = [first, second].map(({ lines }) => lines.flatMap(({ curve }) => flattened(curve, 1e-3)));
    expect(turned!.length).toBe(as!.length);
    expect(Math.max(...as!.map(([x, y], i) => Math.hypot(turned![i]![0] - x, turned![i]![1] + y)))).toBeLessThan(1e-9);
    expect(second.labels.map(({ text, at }) => [text, at[0], -at[1]])).toEqual(first.labels.map(({ text, at }) => [text, ...at]));
    expect([second.box.low, second.box.high]).toEqual([-first.box.high, -first.box.low]);
  }
});

test("a strip is laid corner by corner as it is cut, with its losses, marks and runs that gather where the rule has them", () => {
  const piece = demoPiece("tern-ring");
  const { figures, drawing } = planPiece(piece, SHIPPED_BENCH);
  const [length, tall] = ["m1.wall.cutLength", "m1.wall.cutHeight"].map((key) => figures[key]!.value) as [number, number];
  const { lines, labels } = one("tern-ring", "wall");
  const points = lines.map(({ curve }) => [curve.from, ...curve.strokes.flatMap((each) => (each.kind === "line" ? [each.to] : []))]);
  expect(points[0]).toEqual([
    [0, 0],
    [length, 0],
    [length, tall],
    [0, tall],
  ]);
  const blank = drawing.laid["m1.wall"]!;
  const upright = [...blank.losses.flatMap(({ from, to }) => [from, to]), ...blank.marks.map(({ at }) => at)].filter(
    (at) => at > 1e-6 && at < length - 1e-6,
  );
  expect(points.slice(1, 1 + upright.length)).toEqual(
    upright.map((at) => [
      [at, 0],
      [at, tall],
    ]),
  );
  expect(points.slice(1 + upright.length)).toEqual(
    blank.gathers.map(({ from, to }) => [
      [from, tall * 0.92],
      [to, tall * 0.92],
    ]),
  );
  expect(labels.map(({ at, text }) => [at[0] - 0.4, text])).toEqual([
    [expect.closeTo(0.22, 9), "seam"],
    [expect.closeTo(blank.marks[1]!.at, 9), "left end"],
    [expect.closeTo(blank.marks[2]!.at, 9), "far side"],
    [expect.closeTo(blank.marks[3]!.at, 9), "right end"],
  ]);
  const rope = one("turnstone-ring", "rope");
  const cuts = rope.lines.filter(({ kind }) => kind === "cut").map(({ curve }) => curve.from[0]);
  expect(cuts).toEqual([
    0,
    expect.closeTo(planPiece(demoPiece("turnstone-ring"), SHIPPED_BENCH).figures["m1.ornament.rope.piece1"]!.value, 9),
  ]);
});

/** Length of an SVG path of M L A C Z, by many chords. */
function pathLength(d: string): number {
  let length = 0;
  let [x, y] = [0, 0];
  const start = { x: 0, y: 0 };
  const go = (nx: number, ny: number) => {
    length += Math.hypot(nx - x, ny - y);
    [x, y] = [nx, ny];
  };
  for (const [, letter, rest] of d.matchAll(/([MLACZ])([^MLACZ]*)/g)) {
    const n = rest!.trim().split(/\s+/).filter(Boolean).map(Number);
    if (letter === "M") [x, y, start.x, start.y] = [n[0]!, n[1]!, n[0]!, n[1]!];
    else if (letter === "L") go(n[0]!, n[1]!);
    else if (letter === "Z") go(start.x, start.y);
    else if (letter === "A") {
      const [r, , , , , ex, ey] = n as [number, number, number, number, number, number, number];
      const chord = Math.hypot(ex - x, ey - y);
      length += 2 * r * Math.asin(Math.min(1, chord / (2 * r)));
      [x, y] = [ex, ey];
    } else {
      const [ax, ay, bx, by, ex, ey] = n as [number, number, number, number, number, number];
      const points = flattened({ from: [x, y], strokes: [{ kind: "bend", out: [ax, ay], into: [bx, by], to: [ex, ey] }] }, 1e-6);
      for (const [px, py] of points.slice(1)) go(px, py);
    }
  }
  return length;
}

test("an SVG read back has the perimeter that was computed, in millimetres and unscaled", () => {
  for (const [id, out] of [
    ["tern-ring", 1.37],
    ["plover-ring", 1.37],
    ["limpet-ring", 2.77],
  ] as const) {
    const svg = templateSvg(one(id, "plate"));
    const [, width] = /width="([\d.]+)mm"/.exec(svg)!;
    expect(svg).toContain(`viewBox="0 0 ${width} `);
    expect(svg).not.toMatch(/transform|scale/);
    const cut = /class="cut" d="([^"]+)"/.exec(svg)![1]!;
    expect(Math.abs(pathLength(cut) - sawn(id, out))).toBeLessThan(0.01);
    expect(cut.endsWith("Z")).toBe(true);
  }
});

function loopLength(vertices: readonly { x: number; y: number; bulge?: number }[], isClosed: boolean): number {
  return vertices.reduce((all, a, i) => {
    if (!isClosed && i === vertices.length - 1) return all;
    const b = vertices[(i + 1) % vertices.length]!;
    const chord = Math.hypot(b.x - a.x, b.y - a.y);
    const turn = 4 * Math.atan(a.bulge ?? 0);
    return all + (turn === 0 ? chord : (chord / (2 * Math.sin(Math.abs(turn) / 2))) * Math.abs(turn));
  }, 0);
}

test("a DXF read back is in millimetres, each loop one closed polyline with its arcs as bulges, or a circle", () => {
  const read = (id: string, part: string) => new DxfParser().parseSync(templateDxf(one(id, part)))!;
  const pear = read("limpet-ring", "plate");
  expect(pear.header.$INSUNITS).toBe(4);
  const loops = pear.entities.filter((each) => each.type === "LWPOLYLINE") as ILwpolylineEntity[];
  const cut = loops.find(({ layer }) => layer === "CUT")!;
  expect(cut.shape).toBe(true);
  expect(cut.vertices.length).toBeLessThan(12);
  expect(Math.abs(loopLength(cut.vertices, true) - sawn("limpet-ring", 2.77))).toBeLessThan(0.01);
  const oval = read("tern-ring", "plate").entities.find(({ layer }) => layer === "CUT") as ILwpolylineEntity;
  expect(Math.abs(loopLength(oval.vertices, true) - sawn("tern-ring", 1.37))).toBeLessThan(0.01);
  const round = read("plover-ring", "plate").entities.find(({ layer, type }) => layer === "CUT" && type === "CIRCLE") as ICircleEntity;
  expect(2 * Math.PI * round.radius).toBeCloseTo(sawn("plover-ring", 1.37), 9);
});

test("the uneven bezel's strip is cut to its curve, with its height at the seam, at points and every five millimetres", () => {
  const thrift = one("thrift-ring", "wall");
  const [outline] = thrift.lines;
  expect(outline!.curve.strokes.length).toBeGreaterThan(40);
  expect(thrift.labels.filter(({ text }) => /^\d\.\d\d$/.test(text)).length).toBeGreaterThan(7);
  const tops = flattened(outline!.curve, 1e-3).map(([, y]) => y);
  const { figures } = planPiece(demoPiece("thrift-ring"), SHIPPED_BENCH);
  expect(Math.max(...tops)).toBeCloseTo(figures["m1.wall.cutHeight"]!.value, 2);
});

/** What is drawn on the pages of a PDF. */
function streams(bytes: Uint8Array): string[] {
  const text = Buffer.from(bytes);
  return [...text.toString("latin1").matchAll(/stream\r?\n/g)].flatMap(({ index, 0: head }) => {
    try {
      return [inflateSync(text.subarray(index + head.length)).toString("latin1")];
    } catch {
      return [];
    }
  });
}

test("a PDF's bars measure true in its own points, on either paper; what is larger than the paper goes over numbered sheets", async () => {
  const templates = sheetOf("turnstone-ring");
  for (const [paper, width] of [
    ["a4", 210],
    ["letter", 215.9],
  ] as const) {
    const bytes = await templatesPdf(templates, { name: "Turnstone ring", revision: "revision 3", paper });
    const document = await PDFDocument.load(bytes);
    expect(document.getPages()[0]!.getWidth()).toBeCloseTo((width * 72) / 25.4, 6);
    const drawn = streams(bytes).join("\n");
    const level = [...drawn.matchAll(/([\d.]+) ([\d.]+) m\n([\d.]+) \2 l\nS/g)].map(([, from, , to]) => Number(to) - Number(from));
    for (const bar of [(50 * 72) / 25.4, 72]) expect(level.some((long) => Math.abs(long - bar) < 1e-3)).toBe(true);
  }
  const [template] = sheetOf("tern-ring");
  const wide: Template = { ...template!, box: { left: 0, low: 0, right: 500, high: 300 } };
  const tiled = await PDFDocument.load(await templatesPdf([wide], { name: "Лимпет", revision: "1", paper: "a4" }));
  expect(tiled.getPageCount()).toBe(6);
});
