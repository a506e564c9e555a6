import { type Span } from "../measure/blank";
import { demoPiece } from "@demo/pieces";
import { outward } from "../geometry/outline";
import { SHIPPED_BENCH } from "../piece/bench";
import { type Mount, type Piece } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import { cover } from "../stone/dome";
import { outlineOf } from "../stone/stone";

const tern = demoPiece("tern-ring");

function drawn(piece: Piece, more: Partial<Mount["stone"]> = {}, wall: Partial<Mount["wall"]> = {}) {
  const mount = piece.mounts[0]!;
  const plan = planPiece(
    { ...piece, mounts: [{ ...mount, stone: { ...mount.stone, ...more }, wall: { ...mount.wall, ...wall } }] },
    SHIPPED_BENCH,
  );
  const laid = (part: string) => plan.drawing.laid[`${mount.id}.${part}`]!;
  return { drawing: plan.drawing.settings[mount.id]!, laid, figure: (name: string) => plan.figures[`${mount.id}.${name}`]!.value };
}
const shaped = (outline: Mount["stone"]["outline"]) => drawn(tern, { outline }, { seamAt: "auto" });
const marks = (outline: Mount["stone"]["outline"]) =>
  shaped(outline)
    .laid("stone")
    .marks.map(({ code }) => code);

test("along the tape stand ends, rounded corners, points and notches, each by what it is", () => {
  expect(marks({ shape: "oval", length: 16, width: 12 })).toEqual(["leftEnd", "rightEnd"]);
  expect(marks({ shape: "oval", length: 12, width: 16 })).toEqual(["topEnd", "bottomEnd"]);
  expect(marks({ shape: "rectangle", length: 14, width: 10, corner: 1.2 })).toEqual(["corner", "corner", "corner", "corner"]);
  expect(marks({ shape: "triangle", side: 14, corner: 1, bulge: 0 })).toEqual(["corner", "corner", "corner"]);
  expect(marks({ shape: "marquise", length: 20, width: 9 })).toEqual(["point", "point"]);
  expect(marks({ shape: "pear", length: 16, width: 11 }).sort()).toEqual(["leftEnd", "point"]);
  expect(marks({ shape: "heart", length: 13, width: 14, cleft: 2.4 }).sort()).toEqual(["bottomEnd", "notch", "point", "topEnd"]);
  expect(marks({ shape: "round", diameter: 12 })).toEqual(["farSide"]);
});

test("on the strip a heart's notch lies half way round from its point, whatever the seam", () => {
  for (const seamAt of ["auto", 0.2, 0.3, 0.8] as const) {
    const { laid, figure } = drawn(demoPiece("thrift-ring"), {}, { seamAt });
    const { marks, losses } = laid("wall");
    const at = (code: string) => marks.find((mark) => mark.code === code)!.at - losses[0]!.to;
    const net = figure("wall.netLength");
    expect((((at("notch") - at("point")) % net) + net) % net).toBeCloseTo(net / 2, 4);
    expect(at("seam")).toBe(0);
  }
});

test("gathering is drawn along the wall's own middle and ends in a cleft where the wall does", () => {
  const { drawing } = drawn(demoPiece("thrift-ring"), {}, {});
  const { wall, stone } = demoPiece("thrift-ring").mounts[0]!;
  const middle = (wall.fit ?? 0.05) + wall.thickness / 2;
  const { outline } = outlineOf(stone);
  expect(drawing.plan.gathers).toHaveLength(2);
  for (const run of drawing.plan.gathers) {
    for (const [x, y] of run) {
      const near = Math.min(...outline.stations.map((s) => Math.hypot(s.x - x, s.y - y)));
      expect(Math.abs(near - middle)).toBeLessThan(0.02);
    }
  }
  for (const run of drawn(tern, { outline: { shape: "oval", length: 20, width: 8 } }, {}).drawing.plan.gathers)
    expect(Math.abs(run[0]![1] + run.at(-1)![1])).toBeLessThan(0.4);
  const around = drawn(tern, { outline: { shape: "round", diameter: 8 } }, {}).drawing.plan.gathers[0]!;
  expect(around[0]).toEqual(around.at(-1));
});

test("an uneven stone's top edge is lift, turn-in and lip at every place, and closes at the seam", () => {
  const turnIn = [
    { at: 0, height: 1.4 },
    { at: 0.5, height: 2.2 },
  ];
  const { drawing, figure } = drawn(tern, { turnIn }, { lift: 0.5, seamAt: 0.25 });
  const edge = drawing.top!;
  const dome = { radius: 6, height: 5.2, exponent: 2 };
  const lipOver = (height: number) => {
    const { arc, lean } = cover({ ...dome, turnIn: height }, 0.25);
    return 0.5 + height + arc + 0.16 * lean;
  };
  expect(edge[0]![1]).toBeCloseTo(edge.at(-1)![1], 12);
  expect(edge.at(-1)![0]).toBeCloseTo(figure("wall.netLength"), 9);
  expect(Math.max(...edge.map(([, up]) => up))).toBeCloseTo(lipOver(2.2), 3);
  expect(Math.min(...edge.map(([, up]) => up))).toBeCloseTo(lipOver(1.4), 3);
  expect(Math.max(...edge.map(([, up]) => up))).toBeCloseTo(figure("wall.netHeight"), 3);
  edge.slice(1).forEach(([along], i) => expect(along).toBeGreaterThan(edge[i]![0]));
  expect(drawn(tern, { turnIn }, { heightRule: "third" }).drawing.top).toBeNull();
  expect(drawn(tern).drawing.top).toBeNull();
});

test("gaps between teeth lie evenly with the seam in the middle of one, half of it at each end, and what has no seam lies on the rule as what it is", () => {
  const { drawing, laid, figure } = drawn(demoPiece("kelp-ring"));
  const { gaps } = drawing.stock;
  const [lead, trail] = laid("wall").losses as unknown as [Span, Span];
  const [pitch, wide] = [figure("wall.notchPitch"), figure("wall.notchGap")];
  expect(gaps).toHaveLength(figure("wall.notches") + 1);
  expect([gaps[0]!.from, gaps[0]!.to, gaps.at(-1)!.to]).toEqual([lead.to, lead.to + wide / 2, expect.closeTo(trail.from, 9) as number]);
  gaps.slice(1, -1).forEach(({ from, to, depth }, i) => {
    expect((from + to) / 2 - lead.to).toBeCloseTo((i + 1) * pitch, 9);
    expect([to - from, depth]).toEqual([expect.closeTo(wide, 9), figure("wall.notchDepth")]);
  });
  expect([wide, figure("wall.notchDepth")]).toEqual([expect.closeTo(0.4 * 1.5, 9), expect.closeTo(figure("wall.lip") / 2, 9)]);
  const tube = drawn(demoPiece("knot-ring"));
  expect(tube.drawing.stock).toMatchObject({ tall: 6.9, gaps: [] });
  expect(tube.laid("wall").length).toBeCloseTo(tube.figure("wall.cutHeight"), 9);
  expect(tube.drawing.plan.seam).toBeNull();
  expect(tube.drawing.section).toMatchObject({ shelf: { inside: 2.5, height: 1 }, rim: null });
  expect(tube.drawing.section.wall.outside).toBeCloseTo(3.45, 9);
  const cup = drawn(demoPiece("samphire-ring"));
  expect(cup.laid("wall").length).toBeCloseTo(10.1, 9);
  expect(cup.drawing.section.rim! - cup.drawing.section.wall.outside).toBeCloseTo(cup.figure("wall.thin"), 9);
  expect(cup.drawing.plan.sawLine).toEqual(cup.drawing.plan.plateEdge);
});

test("the three schools stand side by side, each with how far it reaches and whether it holds", () => {
  const { drawing, figure } = drawn(tern, {}, { lift: 0.4 });
  const needed = 1.9 + 0.6 * figure("wall.lip");
  for (const { rule, height, past, behind, holds } of drawing.schools) {
    const standing = height - 0.4;
    expect(past).toBeCloseTo(standing - 1.9, 9);
    expect(behind).toBeCloseTo(standing / 5.2, 9);
    expect(holds).toBe(standing >= needed);
    expect(["turn-in", "third", "fixed"]).toContain(rule);
  }
  expect(drawing.schools.map(({ height }) => height)).toEqual([
    expect.closeTo(figure("wall.netHeight"), 9),
    expect.closeTo(0.4 + 5.2 / 3, 9),
    3,
  ]);
});

test("a hollow free-form's wall and plate have the parallel curve's length, not the hull's", () => {
  const { figure } = drawn(demoPiece("strand-ring"));
  const { outline } = outlineOf(demoPiece("strand-ring").mounts[0]!.stone);
  expect(figure("wall.netLength")).toBeCloseTo(outward(outline, 0.21).length, 9);
  expect(figure("wall.netLength")).toBeGreaterThan(figure("wall.hullLength"));
});
