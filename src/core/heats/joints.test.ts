import { SHIPPED_SHELVES } from "../metal/shelf";
import { type Joint, assemble } from "./assembly";
import { flameShares, thinSide } from "./flame";
import { pallionsFor, solderVolume } from "./solder";
import { danger, disturbance, fusingFlame, holds, solderFlames } from "./thermal";

const [typical] = SHIPPED_SHELVES;
const [hard, medium, easy] = solderFlames(typical!, 10);
const joint = (kind: Joint["kind"], length: number, area: number): Joint => ({
  id: "j",
  kind,
  parts: ["a", "b"],
  length,
  area,
  place: "",
  after: [],
});

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

test("solder fills the gap half over, a foot its gap and a fillet, each a quarter more", () => {
  expect(solderVolume(joint("seam", 3, 0.95))).toBeCloseTo(0.95 * 0.05 * 1.5 * 1.25, 12);
  expect(solderVolume(joint("foot", 45.526, 45.526 * 0.32))).toBeCloseTo(
    (45.526 * 0.32 * 0.05 + (1 - Math.PI / 4) * 0.0625 * 45.526) * 1.25,
    12,
  );
  const grade = typical!.grades[0]!;
  expect(pallionsFor({ ...joint("seam", 3, 0.95), parts: ["a"] }, grade)).toEqual({
    count: 1,
    size: [1, 1, 0.25],
    spacing: null,
    evenGap: null,
  });
  expect(pallionsFor(joint("foot", 6, 1), grade)).toMatchObject({ count: 3, spacing: 2, evenGap: 1 });
  expect(pallionsFor(joint("hoop-mount", 7, 14), { ...grade, forms: [{ type: "sheet", thickness: 0.5 }] }).count).toBe(3);
});

test("a side that takes less than a quarter of the other's heat is the thin one", () => {
  expect(thinSide({ part: "wall", share: 0.19 }, { part: "plate", share: 0.8 })).toBe("wall");
  expect(thinSide({ part: "wall", share: 0.2 }, { part: "plate", share: 0.8 })).toBeNull();
  const shares = flameShares(
    [
      { id: "a", metal: "copper", mass: 1, thickness: 1 },
      { id: "b", metal: "copper", mass: 1, blankMass: 3, thickness: 1 },
    ],
    new Set(["b"]),
  );
  expect(shares.map(({ share }) => share)).toEqual([0.5, 0.5]);
});

test("settings come first in file order, then the carrier; each foot after its seam, each mount after foot and hoop", () => {
  const setting = (mount: string) => ({
    mount,
    wall: { metal: "fine-silver" as const, mass: 1, thickness: 0.3, netLength: 40, netHeight: 3, seamAt: 0.25, footArea: 12 },
    plate: { metal: "sterling" as const, mass: 1, blankMass: 2, thickness: 0.6 },
  });
  const { joints } = assemble([setting("m1"), setting("m2")], {
    metal: "sterling",
    mass: 2,
    thickness: 1.6,
    width: 3,
    face: 4,
    feet: [
      { mount: "m1", length: 7, area: 10 },
      { mount: "m2", length: 7, area: 10 },
    ],
  });
  expect(joints.map(({ id, after }) => [id, ...after])).toEqual([
    ["m1.seam"],
    ["m1.foot", "m1.seam"],
    ["m2.seam"],
    ["m2.foot", "m2.seam"],
    ["hoop.seam"],
    ["hoop.mount.m1", "m1.foot", "hoop.seam"],
    ["hoop.mount.m2", "m2.foot", "hoop.seam"],
  ]);
});
