import fc from "fast-check";
import { runs } from "@/runs.testing";
import { demoPiece } from "@demo/pieces";
import { METALS } from "../metal/metals";
import { SHIPPED_BENCH } from "../piece/bench";
import { faultsOf } from "../piece/faults";
import { type Mount, type Piece, type WallEntry } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import { usualDiameters } from "./ready-wall";

const [knot, samphire] = [demoPiece("knot-ring"), demoPiece("samphire-ring")];

function withWall(piece: Piece, wall: Partial<WallEntry>, more: Partial<Mount> = {}): Piece {
  const mount = piece.mounts[0]!;
  return { ...piece, mounts: [{ ...mount, ...more, wall: { ...mount.wall, ...wall } }] };
}
const plan = (piece: Piece) => planPiece(piece, SHIPPED_BENCH);
const value = (piece: Piece, name: string) => plan(piece).figures[`m1.wall.${name}`]?.value;
const codes = (piece: Piece) => plan(piece).findings.map(({ code }) => code);
const faults = (piece: Piece) => faultsOf(piece, SHIPPED_BENCH).map(({ path, code }) => `${path} ${code}`);
const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test("a tube's seat is as wide as the stone and its fit; wall, shelf and bore make up the tube", () => {
  fc.assert(
    fc.property(mm(3, 12), mm(0.01, 0.2), mm(0.1, 2), mm(0.1, 2), (diameter, fit, wall, shelf) => {
      const bore = diameter + 2 * fit;
      const tube = { outside: bore + 2 * wall, inside: bore - 2 * shelf };
      fc.pre(tube.inside > 0.1);
      const stone = { ...knot.mounts[0]!.stone, outline: { shape: "round" as const, diameter } };
      const bored = withWall(knot, { tube, fit }, { stone });
      expect(value(bored, "seatBore")).toBeCloseTo(bore, 9);
      expect(value(bored, "wallLeft")).toBeCloseTo(wall, 9);
      expect(value(bored, "shelf")).toBeCloseTo(shelf, 9);
      expect(value(bored, "tubeOutside")).toBeCloseTo(bore + 0.7, 9);
      expect(value(bored, "seatDepth")).toBeCloseTo(value(bored, "netHeight")! - 1 + 0.1, 9);
      expect(plan(bored).figures["m1.plate.length"]!.value).toBeCloseTo(tube.outside, 9);
      const turned = (Math.PI / 4) * ((tube.outside ** 2 - bore ** 2) * value(bored, "netHeight")! + (bore ** 2 - tube.inside ** 2) * 1);
      expect(value(bored, "mass")).toBeCloseTo((turned * METALS.sterling.density) / 1000, 9);
    }),
    { numRuns: runs(40) },
  );
});

test("a tube the stone drops into keeps its own wall, with no seat; with no lift the seat goes right through", () => {
  const wide = withWall(knot, { tube: { outside: 7, inside: 6.2 } });
  expect([value(wide, "wallLeft"), value(wide, "seatBore"), value(wide, "shelf")]).toEqual([expect.closeTo(0.4, 9), undefined, undefined]);
  expect(plan(wide).figures["m1.plate.length"]!.value).toBeCloseTo(7, 9);
  expect(plan(wide).steps.map(({ id }) => id)).not.toContain("m1.wall.seat");
  expect(codes(withWall(knot, { lift: 0 }))).toContain("wall.seat-through");
  const { tube: _tube, ...wall } = knot.mounts[0]!.wall;
  const asked = { ...knot, mounts: [{ ...knot.mounts[0]!, wall }] };
  expect([value(asked, "tubeOutside"), value(asked, "wallLeft")]).toEqual([expect.closeTo(6.8, 9), undefined]);
  const fixed = withWall(knot, { heightRule: "fixed", fixedHeight: 3 });
  expect(value(fixed, "seatDepth")).toBeCloseTo(3 - 1 + 0.1, 9);
});

test("a seat, a shelf and a wall are spoken of exactly from where they matter", () => {
  const tube = (outside: number, inside: number) => codes(withWall(knot, { tube: { outside, inside } }));
  expect(tube(6.1 + 2 * (0.3 - 1e-6), 5)).toContain("wall.left-thin");
  expect(tube(6.1 + 2 * (0.3 + 1e-6), 5)).not.toContain("wall.left-thin");
  expect(tube(6.1 + 2 * (0.4 + 1e-6), 5)).toContain("wall.left-thick");
  expect(tube(6.1 + 2 * (0.4 - 1e-6), 5)).not.toContain("wall.left-thick");
  expect(tube(6.9, 6.1 - 0.4 + 1e-6)).toContain("wall.shelf-narrow");
  expect(tube(6.9, 6.1 - 0.4 - 1e-6)).not.toContain("wall.shelf-narrow");
  expect(tube(7, 6.2 + 1e-6)).toContain("wall.tube-loose");
  expect(tube(7, 6.2 - 1e-6)).not.toContain("wall.tube-loose");
});

test("a cup is held against the stone along its length, and thinned to the wall wanted", () => {
  const cup = (outside: number, inside: number) => withWall(samphire, { cup: { length: outside, thickness: (outside - inside) / 2 } });
  expect([value(samphire, "cupLength"), value(samphire, "cupWidth")]).toEqual([expect.closeTo(10.1, 9), expect.closeTo(8.1, 9)]);
  expect([value(cup(11, 10.1), "gap"), value(cup(11, 10.1), "thin")]).toEqual([expect.closeTo(0.05, 9), expect.closeTo(0.15, 9)]);
  expect(value(cup(10.5, 10.1), "thin")).toBeUndefined();
  expect(codes(cup(11, 10 - 1e-6))).toContain("wall.cup-small");
  expect(codes(cup(11, 10 + 1e-6))).not.toContain("wall.cup-small");
  expect(codes(cup(11.2, 10.3 + 1e-6))).toContain("wall.cup-large");
  expect(codes(cup(11.2, 10.3 - 1e-6))).not.toContain("wall.cup-large");
  expect(value(samphire, "cutHeight")).toBeCloseTo(value(samphire, "netHeight")! + 0.1, 9);
});

test("neither has a seam; a cup is one part with its base, and the hoop is joined to it", () => {
  expect(plan(knot).joints.map(({ id, after }) => [id, after])).toEqual([
    ["m1.foot", []],
    ["hoop.seam", []],
    ["hoop.mount.m1", ["m1.foot", "hoop.seam"]],
  ]);
  const { joints, parts, figures } = plan(samphire);
  expect(joints.map(({ id, parts }) => [id, parts])).toEqual([
    ["hoop.seam", ["hoop"]],
    ["hoop.mount.m1", ["m1.wall", "hoop"]],
  ]);
  expect(parts[0]!.mass).toBeCloseTo(figures["m1.wall.mass"]!.value + figures["m1.plate.mass"]!.value, 9);
  expect(Object.keys(figures).filter((key) => /cutLength|blankLength|seamAt/.test(key))).toEqual(["hoop.cutLength"]);
  const loose = plan({ ...samphire, carrier: { type: "none" } });
  expect([loose.heats, loose.heatPlan.status]).toEqual([[], "best"]);
  expect(loose.steps.map(({ id }) => id)).toContain("m1.wall.thin");
});

test("what a tube or a cup cannot be is refused where it is wrong", () => {
  expect(faults(withWall(samphire, { source: "tube" }))).toEqual(["/mounts/0/wall/source tube-not-round"]);
  expect(faults(withWall(knot, { tube: { outside: 6.1, inside: 5 } }))).toEqual(["/mounts/0/wall/tube/outside tube-cut-through"]);
  expect(faults(withWall(knot, { tube: { outside: 7, inside: 7 } }))).toEqual(["/mounts/0/wall/tube/inside tube-inside-out"]);
  expect(faults(withWall(samphire, { cup: { length: 11, thickness: 5.5 } }))).toEqual(["/mounts/0/wall/cup/thickness cup-too-thick"]);
  const border = { ...samphire.mounts[0]!.plate, style: "border" as const };
  expect(faults(withWall(samphire, {}, { plate: border }))).toEqual(["/mounts/0/plate/style cup-has-base"]);
});

test("of a tube the diameter not yet known is guessed from the wall wanted and a shelf, and is never none", () => {
  expect(usualDiameters("inside", 10, 0.3)).toEqual({ outside: 11.6, inside: 10 });
  expect(usualDiameters("outside", 7, 0.35)).toEqual({ outside: 7, inside: expect.closeTo(5.3, 9) as number });
  fc.assert(
    fc.property(fc.constantFrom("outside" as const, "inside" as const), mm(0.1, 40), mm(0.05, 3), (known, value, wall) => {
      const { outside, inside } = usualDiameters(known, value, wall);
      expect(inside).toBeGreaterThan(0);
      expect(outside).toBeGreaterThan(inside);
      expect({ outside, inside }[known]).toBe(value);
    }),
  );
});
