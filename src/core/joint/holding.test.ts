import fc from "fast-check";
import { DEMO_PIECES } from "@demo/pieces";
import { bestHeats } from "../heats/best";
import { SHIPPED_BENCH } from "../piece/bench";
import { type AppliedEntry, type HeatsEntry, type Piece } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import { assemblyOf } from "./contribution";
import { canBeHeldTogether } from "./holding";
import { type Hold } from "./joint";
import { sizePiece } from "../piece/size-piece";

const tern = DEMO_PIECES.find(({ id }) => id === "tern-ring")!;
const disc = (id: string, along: number): AppliedEntry => ({
  id,
  metal: "sterling",
  on: "hoop",
  along,
  disc: { diameter: 3, thickness: 0.5 },
});
const withOn = (...applied: AppliedEntry[]): Piece => ({ ...tern, applied });
const heatsOf = (piece: Piece) => planPiece(piece, SHIPPED_BENCH).heats.map(({ joints }) => joints);

test("what lies loose stays where its face lies up: on one face of a hoop, on one setting's face, and beside all that is held by hand", () => {
  const on = (up: number | null, isLoose = true, mount: string | null = null): { hold: Hold } => ({ hold: { up, isLoose, mount } });
  const quarter = Math.PI / 4;
  expect([quarter - 1e-9, quarter + 1e-9, 2 * Math.PI - quarter + 1e-9].map((up) => canBeHeldTogether(on(0), on(up)))).toEqual([
    true,
    false,
    true,
  ]);
  expect(canBeHeldTogether(on(0, false), on(Math.PI, false))).toBe(true);
  expect(canBeHeldTogether(on(0, false), on(Math.PI))).toBe(false);
  expect([
    canBeHeldTogether(on(null, true, "m1"), on(null, true, "m1")),
    canBeHeldTogether(on(null, true, "m1"), on(null, true, "m2")),
  ]).toEqual([true, false]);
  expect([canBeHeldTogether(on(null, true, "m1"), on(0)), canBeHeldTogether({}, on(0))]).toEqual([false, true]);
});

test("three discs round a band and the setting have a heat each, two on one face share one, and every heat can be held", () => {
  const third = (2 * Math.PI * (17.189 / 2 + 1.6)) / 3;
  const apart = heatsOf(withOn(disc("a", third / 2), disc("b", -third / 2), disc("c", third)));
  const last = apart.filter((joints) => joints.some((id) => id.startsWith("applied.") || id.startsWith("hoop.mount")));
  expect(last.map((joints) => joints.length)).toEqual(last.map(() => 1));
  const side = heatsOf(withOn(disc("a", 12), disc("b", 16)));
  expect(side.some((joints) => joints.includes("applied.a") && joints.includes("applied.b"))).toBe(true);
  fc.assert(
    fc.property(fc.array(fc.double({ min: -30, max: 30, noNaN: true }), { minLength: 1, maxLength: 3 }), (places) => {
      const piece = withOn(...places.map((along, i) => disc(`d${i}`, along)));
      const { joints } = assemblyOf(sizePiece(piece, SHIPPED_BENCH).contribution);
      const of = (id: string) => joints.find((joint) => joint.id === id)!;
      for (const heat of heatsOf(piece))
        for (const one of heat) for (const other of heat) expect(one === other || canBeHeldTogether(of(one), of(other))).toBe(true);
    }),
    { numRuns: 30 },
  );
});

test("joints pinned to one heat that can never be one body, or never be held so, are refused at once, naming the pin", () => {
  const conflicts = (piece: Piece, heats: HeatsEntry) =>
    planPiece({ ...piece, heats: { ...piece.heats, ...heats } }, SHIPPED_BENCH).heatPlan;
  const seams = { pins: [{ joint: "m1.foot", grade: "medium" }, { together: ["m1.seam", "hoop.seam"] as const }] };
  expect(conflicts(tern, seams)).toMatchObject({ status: "impossible", conflicts: [{ pin: 1 }] });
  const round = withOn(disc("a", 12), disc("b", -16));
  expect(conflicts(round, { pins: [{ together: ["applied.a", "applied.b"] }] })).toMatchObject({
    status: "impossible",
    conflicts: [{ pin: 0 }],
  });
  const mounts = Array.from({ length: 5 }, (_, i) => ({ ...tern.mounts[0]!, id: `m${i + 1}`, place: { along: 4 * (i - 2) } }));
  const many: Piece = { ...tern, mounts };
  let looks = 0;
  const plan = planPiece(
    { ...many, heats: { way: "one-grade", pins: [{ together: ["m1.seam", "m2.seam"] }] } },
    SHIPPED_BENCH,
    [],
    (assembly, wishes) => bestHeats(assembly, wishes, () => ++looks > 50),
  );
  expect(plan.heatPlan).toMatchObject({ status: "impossible", conflicts: [{ pin: 0 }] });
  // What cannot be one body by itself can be tied by what comes before.
  expect(conflicts(tern, { pins: [{ together: ["m1.foot", "hoop.mount.m1"] }] }).status).toBe("impossible");
  const two: Piece = { ...tern, mounts: mounts.slice(0, 2) };
  expect(conflicts(two, { pins: [{ together: ["hoop.mount.m1", "hoop.mount.m2"] }] }).status).toBe("best");
});

test("a plan that is not proven has heats and steps all the same, also where joints are pinned to one heat", () => {
  const mounts = Array.from({ length: 6 }, (_, i) => ({ ...tern.mounts[0]!, id: `m${i + 1}`, place: { along: 4 * (i - 3) } }));
  const pins = [{ together: ["hoop.mount.m1", "hoop.mount.m6"] as const }, { together: ["hoop.mount.m2", "hoop.mount.m3"] as const }];
  for (const way of ["free", "one-grade", "step-down"] as const) {
    const plan = planPiece({ ...tern, mounts, heats: { way, pins } }, SHIPPED_BENCH, [], (assembly, wishes) =>
      bestHeats(assembly, wishes, () => true),
    );
    expect(plan.heats.flatMap(({ joints }) => joints).sort()).toEqual(plan.joints.map(({ id }) => id).sort());
    expect(plan.tasks).not.toBeNull();
    // What another order may spare is no finding.
    if (plan.heatPlan.status === "unproven")
      expect(plan.findings.filter(({ code }) => ["heats.runs", "heats.softens"].includes(code))).toEqual([]);
  }
});
