import { flattened } from "../geometry/curve";
import { type Point } from "../geometry/outline";
import { SHIPPED_BENCH } from "../piece/bench";
import { faultsOf } from "../piece/faults";
import { newPiece } from "../piece/new-piece";
import { type EarWiresEntry, type Mount, type Piece, type PostsEntry } from "../piece/piece";
import { type Plan, bailIn, postIn } from "../piece/plan";
import { planPiece } from "../piece/plan-piece";
import { bentWire } from "./ear-wire";
import { usualPost } from "./post";

const base = newPiece("e", "E", SHIPPED_BENCH, { length: 10, width: 7, height: 4, turnIn: 1.4 }, "earrings");
const [oval] = base.mounts as readonly [Mount];
const post: PostsEntry = { type: "posts", wire: 0.9, length: 11, at: [-2, 0] };
const hook: EarWiresEntry = { type: "ear-wires", wire: 0.8, length: 40, eye: { at: 0.5 } };
const asked = (carrier: Piece["carrier"], mount: Partial<Mount> = {}): Piece => ({ ...base, carrier, mounts: [{ ...oval, ...mount }] });
const planned = (carrier: Piece["carrier"], mount: Partial<Mount> = {}) => planPiece(asked(carrier, mount), SHIPPED_BENCH);
const value = ({ figures }: Plan, key: string) => figures[key]!.value;
const found = (carrier: Piece["carrier"], code: string, mount: Partial<Mount> = {}) =>
  planned(carrier, mount).findings.find((each) => each.code === code) ?? null;
const at = (plan: Plan, id: string) => plan.steps.findIndex((step) => step.id === id);

test("an ear wire is eye, front leg, bow and back leg one after the other, and as tall as they stand", () => {
  const bent = bentWire({ metal: "sterling", wire: 0.8, length: 40 });
  const [eye, bow] = [Math.PI * 2.8, (Math.PI * 8.8) / 2];
  expect(bent.runs).toEqual({
    eye,
    bow,
    front: expect.closeTo((40 - eye - bow) / 3, 12) as number,
    back: expect.closeTo(((40 - eye - bow) * 2) / 3, 12) as number,
  });
  const points = flattened(bent.middle, 0.001);
  const top = Math.max(...points.map(([, y]) => y)) + 0.4;
  expect(bent.height).toBeCloseTo(top, 3);
  // What hangs in the eye lies on its wire: half a thickness above the wire's middle.
  const eyeAlone = flattened({ from: bent.middle.from, strokes: bent.middle.strokes.slice(0, 1) }, 0.001);
  expect(Math.min(...eyeAlone.map(([, y]) => y))).toBeCloseTo(-0.4, 3);
  const walked = points.slice(1).reduce((all, [x, y], i) => all + Math.hypot(x - points[i]![0], y - points[i]![1]), 0);
  expect(walked).toBeCloseTo(40, 1);
});

test("an earring on an ear wire hangs by a ring that is soldered on; the wire is hung in it when the stone is set", () => {
  const plan = planned(hook);
  expect(plan.parts.slice(2).map(({ id, kind }) => [id, kind])).toEqual([
    ["bail", "jump-ring"],
    ["earwire", "earwire"],
  ]);
  expect(plan.joints.map(({ id, kind, means }) => `${id} ${kind} ${means}`)).toEqual([
    "m1.seam seam under",
    "m1.foot foot inside",
    "bail.seam seam outside",
    "bail.eye.m1 eye outside",
    "earwire.link link cold",
  ]);
  expect(plan.joints.at(-1)).toMatchObject({ parts: ["earwire", "bail"], after: ["bail.eye.m1"] });
  expect(plan.heats.flatMap(({ joints }) => joints)).not.toContain("earwire.link");
  expect(plan.steps.at(-1)!.id).toBe("earwire.set.close");
  expect(at(plan, "earwire.bail.cut")).toBeGreaterThan(at(plan, "m1.set.finish"));
  expect(plan.steps.filter(({ code }) => code === "join.cold")).toEqual([]);
  expect(value(plan, "earwire.cutLength")).toBe(40);
  expect(value(plan, "bail.jumpRingLength")).toBeCloseTo(Math.PI * 4 * 0.8, 12);
  const bent = bentWire({ metal: "sterling", wire: 0.8, length: 40 });
  // Ring and its wire, then the plate's whole length.
  expect(value(plan, "earring.length")).toBeCloseTo(bent.height + 0.8 * 4 + value(plan, "m1.plate.length"), 6);
  const stone = bailIn(plan)!.drawn.hangs[0]!.weights.find(({ part }) => part === "m1.stone")!.mass;
  expect(value(plan, "earring.mass")).toBeCloseTo(value(plan, "piece.mass") + stone, 9);
  expect(plan.parts.find(({ id }) => id === "earwire")!.mass).toBeCloseTo((10.36 / 1000) * 40 * Math.PI * 0.16, 9);
});

test("a post is soldered to the back by its end, hardened, and is worn by what the stone and the metal weigh", () => {
  const plan = planned(post);
  expect(plan.joints.at(-1)).toMatchObject({
    id: "m1.post",
    kind: "post",
    means: "sweat",
    parts: ["post", "m1.plate"],
    after: ["m1.foot"],
  });
  expect(plan.joints.at(-1)!.area).toBeCloseTo(Math.PI * 0.45 ** 2, 12);
  expect(plan.parts.at(-1)).toMatchObject({ id: "post", mass: expect.closeTo((10.36 / 1000) * 11 * Math.PI * 0.45 ** 2, 9) as number });
  expect(at(plan, "post.bail.harden")).toBeGreaterThan(at(plan, "m1.post.heat"));
  expect(at(plan, "post.bail.harden")).toBeLessThan(at(plan, "m1.set.push"));
  expect(value(plan, "earring.length")).toBeCloseTo(value(plan, "m1.plate.length"), 9);
  expect(value(plan, "earring.mass")).toBeCloseTo(postIn(plan)!.drawn.mass, 9);
  expect(plan.findings.map(({ code }) => code)).toEqual(["wall.gathers", "hang.stone-guessed"]);
  const open = planned({ ...post, at: [-4.6, 0] }, { plate: { style: "open", ledge: { width: 1.4, height: 0.8, metal: "sterling" } } });
  expect(open.joints.at(-1)!.parts).toEqual(["post", "m1.ledge"]);
  expect(open.findings.map(({ code }) => code)).not.toContain("post.off");
});

test("a post that misses the metal, tips the stud or lies on the stamp is told by how much", () => {
  const edge = value(planned(post), "m1.plate.length") / 2;
  expect(found({ ...post, at: [-edge + 0.45, 0] }, "post.off")).toBeNull();
  expect(found({ ...post, at: [-edge + 0.35, 0] }, "post.off")!.values.by).toBeCloseTo(0.1, 2);
  const open: Partial<Mount> = { plate: { style: "open", ledge: { width: 1.4, height: 0.8, metal: "sterling" } } };
  expect(found(post, "post.off", open)!.level).toBe("error");
  const drained: Partial<Mount> = { plate: { ...oval.plate!, drain: { diameter: 1, at: [-2, 0.5] } } };
  expect(found(post, "post.off", drained)!.values.by).toBeCloseTo(0.45, 6);
  const stamped: Partial<Mount> = { plate: { ...oval.plate!, stamp: { width: 2, height: 1, at: [-2, 0.7] } } };
  expect(found(post, "post.over-stamp", stamped)!.values.by).toBeCloseTo(0.25, 6);
  expect(found(post, "post.over-stamp", { plate: { ...oval.plate!, stamp: { width: 2, height: 1, at: [2, 0] } } })).toBeNull();
  expect(found({ ...post, at: [0.6, 0] }, "post.low")!.values.by).toBeCloseTo(0.6, 6);
  expect(found({ ...post, at: [0, 0] }, "post.low")).toBeNull();
});

test("where a post is first put it has metal all round and stands above where the stud balances, on any back that has room", () => {
  const backs: Partial<Mount>[] = [
    {},
    { plate: { style: "open", ledge: { width: 1.4, height: 0.8, metal: "sterling" } } },
    { plate: { ...oval.plate!, drain: { diameter: 2, at: [-2.5, 0] } } },
    { stone: { ...oval.stone, outline: { shape: "heart", length: 10, width: 11, cleft: 2.5 } } },
  ];
  for (const mount of backs) {
    const plan = planned(post, mount);
    const { balance } = postIn(plan)!.drawn;
    const put = usualPost(plan.drawing.settings.m1!.plan, balance, 0.9);
    const there = planned({ ...post, at: put }, mount);
    expect(there.findings.map(({ code }) => code).filter((code) => code.startsWith("post."))).toEqual([]);
    expect(put[0]).toBeLessThan(balance[0]);
  }
});

test("wire that an ear does not take, and wire that does not reach round it, are told at their limits", () => {
  const wires = (wire: number) =>
    [found({ ...post, wire }, "ear.wire-thick"), found({ ...hook, wire }, "ear.wire-thin")].map((each) => each !== null);
  expect([0.69, 0.7, 1, 1.01].map(wires)).toEqual([
    [false, true],
    [false, false],
    [false, false],
    [true, false],
  ]);
  expect(found({ ...post, metal: "brass" }, "ear.metal")!.values).toEqual({ metal: "brass" });
  expect(found({ ...hook, metal: "fine-silver" }, "ear.metal")).toBeNull();
  const least = Math.PI * 2.8 + (Math.PI * 8.8) / 2 + 8;
  expect(found({ ...hook, length: least - 0.01 }, "earwire.short")!.values.needed).toBeCloseTo(least, 9);
  expect(found({ ...hook, length: least + 0.01 }, "earwire.short")).toBeNull();
});

test("what goes through an ear carries one setting", () => {
  const two = { ...asked(hook), mounts: [oval, { ...oval, id: "m2" }] };
  expect(faultsOf(two, SHIPPED_BENCH).map(({ path, code }) => `${path} ${code}`)).toEqual(["/carrier/type one-setting"]);
  expect(faultsOf(asked(post), SHIPPED_BENCH)).toEqual([]);
});

test("an earring's weight takes what is put on it, and its post the place of its balance", () => {
  const disc = { id: "d", on: "m1.plate", metal: "copper", disc: { diameter: 3, thickness: 1 }, at: [3, 0] as Point } as const;
  const plan = planPiece({ ...asked(post), applied: [disc] }, SHIPPED_BENCH);
  const own = planned(post);
  expect(value(plan, "earring.mass") - value(own, "earring.mass")).toBeCloseTo((8.96 / 1000) * Math.PI * 1.5 ** 2, 6);
  expect(postIn(plan)!.drawn.balance[0]).toBeGreaterThan(postIn(own)!.drawn.balance[0]);
});
