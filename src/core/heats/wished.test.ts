import { entriesOf } from "../making/step";
import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "../piece/bench";
import { faultsOf } from "../piece/faults";
import { type Piece } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import { type PinEntry } from "./pins";

const tern = demoPiece("tern-ring");
const withPins = (...pins: PinEntry[]): Piece => ({ ...tern, heats: { ...tern.heats, pins } });
const planned = (...pins: PinEntry[]) => planPiece(withPins(...pins), SHIPPED_BENCH);
const free = planned();
const joint = (plan: typeof free, id: string) => plan.joints.find((each) => each.id === id)!;
const codes = (plan: typeof free) => plan.findings.filter(({ code }) => code.startsWith("heats.")).map(({ code, at }) => `${code} ${at}`);
const inHeats = (plan: typeof free) => plan.heats.flatMap(({ joints }) => joints).sort();

test("joints are soldered where is usual for them, and a wish for another place changes solder, checks and work, not the heats", () => {
  expect(free.joints.map(({ id, means }) => `${id} ${means}`)).toEqual([
    "m1.seam under",
    "m1.foot inside",
    "hoop.seam outside",
    "hoop.mount.m1 outside",
  ]);
  const other = planned(
    { joint: "m1.foot", means: "wire" },
    { joint: "hoop.mount.m1", means: "sweat" },
    { joint: "m1.seam", means: "paste" },
  );
  expect(other.heats.map(({ joints, grade }) => [joints, grade])).toEqual(free.heats.map(({ joints, grade }) => [joints, grade]));
  const solder = (id: string) => {
    const heat = other.heats.find(({ joints }) => joints.includes(id))!;
    return heat.solder[heat.joints.indexOf(id)]!;
  };
  expect([solder("m1.foot").form, solder("hoop.mount.m1").form, solder("m1.seam").form]).toEqual(["wire", "sheet", "paste"]);
  expect(codes(other)).toEqual(["heats.not-in-hand m1.seam", "heats.not-in-hand m1.foot"]);
  const step = (id: string) => other.steps.find((each) => each.id === id)!;
  expect(step("m1.foot.check").checks).toContain("joint.noFlood");
  expect(step("m1.seam.check").checks).toContain("joint.noVoid");
  expect(step("hoop.mount.m1.check").checks).toContain("joint.sinks");
  const order = other.steps.map(({ id }) => id);
  expect(order.indexOf("hoop.mount.m1.join.sweat")).toBe(order.indexOf("hoop.mount.m1.prepare") - 1);
  expect(free.steps.some(({ code }) => code === "join.tin")).toBe(false);
  expect(codes(planned({ joint: "m1.foot", means: "inside" }, { joint: "m1.foot", means: "outside" }))).toEqual(["heats.impossible heats"]);
  expect(planned({ joint: "m1.foot", means: "inside" }, { joint: "m1.foot", means: "solder" }).heatPlan.status).toBe("best");
});

test("what is wished cold is in no heat and comes last; a joint that is heated after it, or fire on it, is a conflict by its number", () => {
  const cold = planned({ joint: "hoop.mount.m1", means: "cold" });
  expect(joint(cold, "hoop.mount.m1").means).toBe("cold");
  expect(inHeats(cold)).toEqual(["hoop.seam", "m1.foot", "m1.seam"]);
  const at = (id: string) => cold.steps.findIndex((step) => step.id === id);
  expect(at("hoop.mount.m1.cold")).toBeGreaterThan(at("m1.foot.pickle"));
  expect(at("hoop.mount.m1.cold")).toBeGreaterThan(at("hoop.seam.pickle"));
  expect(cold.steps[at("hoop.mount.m1.cold")]!.checks).toEqual(["mount.square", "joint.firm", "joint.noGlue"]);
  const conflicts = (...pins: PinEntry[]) => planned(...pins).heatPlan.conflicts;
  expect(conflicts({ shield: "m1.seam" }, { joint: "m1.foot", means: "cold" })).toEqual([{ pin: 1 }]);
  const mountCold: PinEntry = { joint: "hoop.mount.m1", means: "cold" };
  expect(conflicts(mountCold, { joint: "hoop.mount.m1", grade: "easy" })).toEqual([{ pin: 1 }]);
  expect(conflicts(mountCold, { before: ["hoop.mount.m1", "hoop.seam"] })).toEqual([{ pin: 1 }]);
  expect(conflicts(mountCold, { together: ["m1.foot", "hoop.mount.m1"] })).toEqual([{ pin: 1 }]);
  expect(conflicts(mountCold, { before: ["hoop.seam", "hoop.mount.m1"] })).toEqual([]);
});

test("a joint of one's own is made after the seams of what it ties, over the thinner part's thickness", () => {
  const plan = planned({ add: { id: "tab", parts: ["m1.wall", "hoop"], length: 4 } });
  expect(joint(plan, "tab")).toMatchObject({
    kind: "added",
    mount: null,
    parts: ["m1.wall", "hoop"],
    length: 4,
    area: 4 * tern.mounts[0]!.wall.thickness,
    after: ["m1.seam", "hoop.seam"],
    means: "outside",
  });
  expect(inHeats(plan)).toContain("tab");
  expect(plan.steps.flatMap(entriesOf)).toEqual(expect.arrayContaining(["tab.prepare", "tab.heat", "tab.pickle", "tab.check"]));
  const again = planned({ add: { id: "crack", parts: ["hoop", "hoop"], length: 2 } });
  expect(joint(again, "crack")).toMatchObject({ kind: "seam", parts: ["hoop"], after: [], mount: null });
  expect(joint(planned({ add: { id: "rim", parts: ["m1.plate", "m1.wall"], length: 2 } }), "rim").mount).toBe("m1");
  expect(codes(planned({ add: { id: "tab", parts: ["m1.wall", "bridge"], length: 4 } }))).toEqual(["heats.add-no-part heats"]);
  const twice: PinEntry = { add: { id: "tab", parts: ["hoop"], length: 1 } };
  expect(codes(planned(twice, twice))).toEqual(["heats.add-taken heats"]);
});

test("a joint left out is not made, what came after it comes after what it came after, and what nothing holds is told", () => {
  const plan = planned({ leave: "m1.foot" });
  expect(plan.joints.map(({ id }) => id)).not.toContain("m1.foot");
  expect(joint(plan, "hoop.mount.m1").after).toEqual(["m1.seam", "hoop.seam"]);
  expect(plan.steps.some(({ id }) => id.startsWith("m1.foot"))).toBe(false);
  expect(codes(plan)).toEqual(["heats.apart m1.wall"]);
  const held = planned({ leave: "m1.foot" }, { add: { id: "tab", parts: ["m1.wall", "m1.plate"], length: 9 } });
  expect(codes(held)).toEqual([]);
  expect(codes(planned({ leave: "hoop.seam" }))).toEqual([]);
  expect(codes(planned({ leave: "none.such" }))).toEqual(["heats.pin-unknown heats"]);
});

test("joints that are added count among the forty", () => {
  const added = Array.from({ length: 37 }, (_, i): PinEntry => ({ add: { id: `x${i}`, parts: ["hoop"], length: 1 } }));
  expect(faultsOf(withPins(...added.slice(1)), SHIPPED_BENCH)).toEqual([]);
  expect(faultsOf(withPins(...added), SHIPPED_BENCH)).toMatchObject([{ path: "/mounts", code: "too-many" }]);
});
