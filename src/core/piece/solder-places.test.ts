import { DEMO_PIECES, demoPiece } from "@demo/pieces";
import { flattened } from "../geometry/curve";
import { distanceInside } from "../geometry/polygon";
import { SHIPPED_BENCH } from "./bench";
import { type Plan, type PlannedJoint, heatOf, hoopIn } from "./plan";
import { planPiece } from "./plan-piece";
import { type SolderPlace, solderPlaces } from "./solder-places";

const planOf = (id: string): Plan => planPiece(demoPiece(id), SHIPPED_BENCH);
const joint = (plan: Plan, id: string): PlannedJoint => plan.joints.find((each) => each.id === id)!;
const solderOf = (plan: Plan, id: string) => heatOf(plan, id)!.solder!;

/** From each to the next, the last to the first. */
function gaps(places: readonly SolderPlace[]): number[] {
  return places.map(({ at: [x, y] }, i) => {
    const [nx, ny] = places[(i + 1) % places.length]!.at;
    return Math.hypot(nx - x, ny - y);
  });
}

test.each(DEMO_PIECES.map(({ id, name }) => [name, id] as const))("every pallion of %s has its place, and nothing else", (_name, id) => {
  const plan = planOf(id);
  for (const each of plan.joints) {
    const places = solderPlaces(plan, each);
    const solder = heatOf(plan, each.id)?.solder;
    if (!solder || solder.form === "wire") expect([each.id, places.length]).toEqual([each.id, 0]);
    else if (each.kind === "seam" && each.mount !== null && plan.drawing.settings[each.mount]!.plan.seam === null)
      expect(places.length).toBeLessThanOrEqual(solder.count);
    // A seam of ornament is made of one spot.
    else if (each.kind === "seam" && each.parts[0] !== `${each.mount!}.wall` && each.mount !== null) expect(places).toHaveLength(1);
    else expect([each.id, places.length]).toEqual([each.id, solder.count]);
    for (const { at, turn } of places) expect([...at, turn].every(Number.isFinite)).toBe(true);
  }
});

test("pallions of a foot lie evenly inside the wall, their edges on it", () => {
  const plan = planOf("tern-ring");
  const places = solderPlaces(plan, joint(plan, "m1.foot"));
  const [side] = solderOf(plan, "m1.foot").size;
  const inside = flattened(plan.drawing.settings.m1!.plan.wallInside, 1e-3);
  for (const { at, view } of places) {
    expect(view).toBe("above");
    expect(distanceInside(inside, at)).toBeCloseTo(side / 2, 1);
  }
  const apart = gaps(places);
  // Chords across a curve differ a little where it bends.
  expect(Math.max(...apart) / Math.min(...apart)).toBeLessThan(1.2);
});

test("pallions of a hoop's seam lie on its outside at the back, those of a setting along its seat", () => {
  const plan = planOf("tern-ring");
  const hoop = hoopIn(plan)!.drawn;
  const [side] = solderOf(plan, "hoop.seam").size;
  for (const { at, view } of solderPlaces(plan, joint(plan, "hoop.seam"))) {
    expect(view).toBe("along");
    expect(at[0]).toBeCloseTo(0, 9);
    expect(at[1]).toBeCloseTo(-(hoop.metal + side / 2), 9);
  }
  const { level, half } = hoop.seats.m1!;
  const mounted = solderPlaces(plan, joint(plan, "hoop.mount.m1"));
  for (const { at } of mounted) {
    expect(at[1]).toBeLessThan(level);
    expect(Math.abs(at[0])).toBeGreaterThan(half);
  }
  expect(mounted.reduce((all, { at }) => all + at[0], 0)).toBeCloseTo(0, 9);
});

test("solder of ornament lies against it from outside", () => {
  const plan = planOf("turnstone-ring");
  const rope = plan.joints.find(({ kind }) => kind === "ornament")!;
  const places = solderPlaces(plan, rope);
  const wall = flattened(plan.drawing.settings.m1!.plan.wallOutside, 1e-3);
  const layer = plan.drawing.settings.m1!.plan.layers.find(({ part }) => part === rope.parts[0])!;
  for (const { at } of places) expect(-distanceInside(wall, at)).toBeGreaterThan(layer.width);
});
