import fc from "fast-check";
import { SHIPPED_SHELVES, type SolderForm } from "../metal/shelf";
import { type Joint } from "../joint/joint";
import { placingOf } from "../joint/placing";
import { flameShares, thinSide } from "./flame";
import { laidAt, pallionsFor, solderVolume } from "./solder";
import { danger, disturbance, fusingFlame, holds, solderFlames } from "./thermal";

const [typical] = SHIPPED_SHELVES;
const [hard, medium, easy] = solderFlames(typical!, 10);
const joint = (kind: Joint["kind"], length: number, area: number): Joint => ({
  id: "j",
  kind,
  mount: null,
  parts: ["a", "b"],
  length,
  area,
  place: "",
  after: [],
  follows: [],
});
const seam = (length: number, area: number): Joint => ({ ...joint("seam", length, area), parts: ["a"] });

test("a joint made before holds, softens past what it gives and 40 more, and runs where it flows", () => {
  expect(disturbance(730, medium!)).toBeNull();
  expect(disturbance(730.1, medium!)).toBe("softens");
  expect(disturbance(738, medium!)).toBe("runs");
  expect(holds(medium!)).toEqual({ gives: 730, runs: 738 });
  expect(holds(solderFlames(SHIPPED_SHELVES[1]!, 10)[0]!)).toEqual({ gives: 778, runs: 778 });
  expect(disturbance(961, fusingFlame("fine-silver"))).toBeNull();
});

test("hard on sterling at an overshoot of 10 is allowed, just; nearer is a risk, and at the solidus it melts", () => {
  expect(hard!.working).toBe(797);
  expect(danger(797, "sterling")).toBeNull();
  expect(danger(797.1, "sterling")).toBe("at-risk");
  expect(danger(802, "sterling")).toBe("melts");
  expect(easy!.working).toBe(728);
});

test("solder fills a butt seam's gap half over, a foot's gap and its fillet, any other gap, each a quarter more", () => {
  expect(solderVolume(seam(3, 0.95))).toBeCloseTo(0.95 * 0.05 * 1.5 * 1.25, 12);
  expect(solderVolume(joint("mount", 7, 14))).toBeCloseTo(14 * 0.05 * 1.25, 12);
  expect(solderVolume(joint("foot", 45.526, 45.526 * 0.32))).toBeCloseTo(
    (45.526 * 0.32 * 0.05 + (1 - Math.PI / 4) * 0.0625 * 45.526) * 1.25,
    12,
  );
});

test("the largest pieces that lay no more than half too much are taken, one to a seam and three round a foot at least", () => {
  const grade = typical!.grades[0]!;
  expect(pallionsFor(seam(3, 0.95), grade, "under")).toEqual({
    form: "sheet",
    count: 1,
    size: [0.7, 0.7, 0.25],
    spacing: null,
    rows: 1,
    evenGap: null,
  });
  expect(pallionsFor(seam(3, 0.3), grade, "under")).toMatchObject({ count: 1, size: [0.5, 0.5, 0.25] });
  const filled = (volume: number) => pallionsFor(seam(3, volume / 0.05 / 1.5 / 1.25), grade, "under").size[0];
  expect([filled(0.25 / 1.5 + 1e-6), filled(0.25 / 1.5 - 1e-6), filled(0.1225 / 1.5 + 1e-6), filled(0.1225 / 1.5 - 1e-6)]).toEqual([
    1, 0.7, 0.7, 0.5,
  ]);
  expect(pallionsFor(joint("foot", 6, 1), grade, "inside")).toMatchObject({ count: 3, size: [0.5, 0.5, 0.25], spacing: 2, evenGap: 2 });
  expect(pallionsFor(joint("mount", 7, 14), { ...grade, forms: [{ type: "sheet", thickness: 0.5 }] }, "outside")).toMatchObject({
    count: 2,
    size: [1, 1, 0.5],
    spacing: 3.5,
    evenGap: 1.75,
  });
  fc.assert(
    fc.property(fc.double({ min: 0.2, max: 80, noNaN: true }), fc.constantFrom<Joint["kind"]>("foot", "mount"), (area, kind) => {
      const { count, size, spacing, rows } = pallionsFor(joint(kind, 20, area), grade, "sweat");
      const laid = count * size[0] * size[1] * size[2];
      const volume = solderVolume(joint(kind, 20, area));
      expect(laid).toBeGreaterThanOrEqual(volume - 1e-12);
      if (size[0] > 0.5) expect(laid).toBeLessThanOrEqual(1.5 * volume + 1e-12);
      expect(((spacing ?? 20) * count) / rows).toBeCloseTo(20, 9);
      // Pieces of a row lie clear of each other, and in no more rows than that takes.
      if (spacing !== null) expect(spacing).toBeGreaterThanOrEqual(1.5 * size[0] - 1e-9);
      if (rows > 1) expect((20 * (rows - 1)) / count).toBeLessThan(1.5 * size[0]);
    }),
  );
});

test("ornament takes a piece for each stretch, and for every 12 mm of it begun; pieces that have no room in one row lie in several", () => {
  const grade = typical!.grades[0]!;
  const laidOn = (stretches: readonly number[]) => pallionsFor({ ...joint("ornament", 20, 0.01), stretches }, grade, "outside").count;
  expect([laidOn([8, 8]), laidOn([12, 12.1]), laidOn([30]), laidOn([])]).toEqual([2, 3, 3, 1]);
  const short = pallionsFor(joint("mount", 6, 60), grade, "outside");
  expect([short.count, short.size[0], short.rows, short.spacing]).toEqual([15, 1, 4, expect.closeTo(1.6, 9)]);
});

test("where no place is wished it is the usual one, or what the grade is in hand as: sheet first, then wire, then paste", () => {
  const foot = joint("foot", 45, 14);
  const of = (wished: Parameters<typeof placingOf>[1], ...forms: readonly SolderForm["type"][]) =>
    placingOf(
      foot,
      wished,
      forms.map((type) => ({ type })),
    );
  expect([of(null), of(null, "paste", "sheet"), of(null, "paste", "wire"), of(null, "paste")]).toEqual([
    "inside",
    "inside",
    "wire",
    "paste",
  ]);
  expect([of("sweat"), of("outside", "wire"), of("paste", "sheet")]).toEqual(["sweat", "outside", "paste"]);
  expect([placingOf(seam(3, 1), null, []), placingOf({ ...seam(3, 1), mount: "m1" }, null, [])]).toEqual(["outside", "under"]);
});

test("by wire its length is told, by paste its balls, of what is in hand or of the usual size", () => {
  const grade = typical!.grades[0]!;
  const foot = joint("foot", 45, 14);
  const volume = solderVolume(foot);
  const wire = pallionsFor(foot, grade, "wire");
  expect(wire).toMatchObject({ form: "wire", count: 1, spacing: null });
  expect(wire.size[0]).toBeCloseTo(volume / ((Math.PI / 4) * 0.25), 9);
  expect(pallionsFor(foot, { forms: [{ type: "wire", thickness: 1 }] }, "wire").size[0]).toBeCloseTo(wire.size[0] / 4, 9);
  const paste = pallionsFor(foot, grade, "paste");
  expect(paste).toMatchObject({ form: "paste", count: Math.ceil((2 * volume) / (Math.PI / 6)), size: [1, 1, 1] });
  expect(paste.spacing).toBeCloseTo(45 / paste.count, 9);
  expect(pallionsFor(foot, { forms: [{ type: "wire" }] }, "inside").size[2]).toBe(0.25);
});

test("a side that takes less than a quarter of the other's heat is the thin one", () => {
  expect(thinSide({ part: "wall", share: 0.19 }, { part: "plate", share: 0.8 })).toBe("wall");
  expect(thinSide({ part: "wall", share: 0.2 }, { part: "plate", share: 0.8 })).toBeNull();
  const shares = flameShares(
    [
      { id: "a", kind: "wall", mount: "m1", metal: "copper", mass: 1, thickness: 1 },
      { id: "b", kind: "plate", mount: "m1", metal: "copper", mass: 1, blankMass: 3, thickness: 1 },
    ],
    new Set(["b"]),
  );
  expect(shares.map(({ share }) => share)).toEqual([0.5, 0.5]);
});

test("pieces lie evenly along their joint, half a gap from its ends", () => {
  expect(laidAt({ form: "sheet", count: 4, rows: 1 }, 10)).toEqual([1.25, 3.75, 6.25, 8.75]);
  expect(laidAt({ form: "sheet", count: 7, rows: 2 }, 10)).toEqual([1.25, 3.75, 6.25, 8.75]);
  expect(laidAt({ form: "paste", count: 1, rows: 1 }, 3)).toEqual([1.5]);
  expect(laidAt({ form: "wire", count: 1, rows: 1 }, 3)).toEqual([]);
});
