import * as fc from "fast-check";
import { DEMO_PIECES } from "@demo/pieces";
import { anyPiece } from "../piece/any-piece.testing";
import { SHIPPED_BENCH } from "../piece/bench";
import { planPiece } from "../piece/plan-piece";
import { bodyOf } from "./body";
import { FluxAt } from "./flux";
import { carefulHand } from "./hand";
import { PractisedHeat } from "./heat";
import { outcomeOf } from "./outcome";
import { played } from "./play";
import { type TorchMoment } from "./torch";

/** Coarser than on the screen, so that a test is quick. */
const SPACING = 0.7;
const HELD: TorchMoment = { ms: 0, x: 0, y: 0, size: 9, isOn: true, isBelow: false, distance: 90, toward: 90 };
const plans = new Map(DEMO_PIECES.map((piece) => [piece.id, planPiece(piece, SHIPPED_BENCH)]));

function bodyWith(piece: string, joint: string, spacing = SPACING) {
  const plan = plans.get(piece)!;
  const index = plan.heats.findIndex(({ joints }) => joints.includes(joint));
  return bodyOf(plan, index, spacing);
}

const WON = [
  ["tern-ring", "m1.seam"],
  ["tern-ring", "m1.foot"],
  ["tern-ring", "hoop.seam"],
  ["tern-ring", "hoop.mount.m1"],
  ["limpet-pendant", "m1.foot"],
  ["limpet-pendant", "bail.eye.m1"],
  ["kelp-ring", "hoop.mount.m1.1"],
  ["slate-ring", "m1.ledge"],
  ["curlew-ring", "bridge.1"],
  ["dotterel-ring", "applied.left"],
] as const;

test.each(WON)("the careful hand wins %s, %s, and its energy balances", (piece, joint) => {
  const body = bodyWith(piece, joint);
  const flame = carefulHand(body);
  const course = played(body, flame);
  expect(course.outcome.isWon).toBe(true);
  expect(course.outcome.result.dry).toEqual([]);
  expect(course.outcome.result.evenness).toBeLessThan(40);
  const { energy } = course;
  expect(Math.abs(energy.in - energy.lost - energy.stored)).toBeLessThan(1e-3 * energy.in);
});

test("the same flame gives the same to the bit", () => {
  const body = bodyWith("tern-ring", "m1.foot");
  const flame = carefulHand(body);
  expect(played(body, flame)).toEqual(played(bodyWith("tern-ring", "m1.foot"), flame));
});

test("a needle held on the bezel alone melts it or makes solder climb, and never joins all round", () => {
  for (const piece of ["tern-ring", "redshank-ring"]) {
    const body = bodyWith(piece, "m1.foot");
    const wall = body.parts.find(({ id }) => id === "m1.wall")!;
    for (const bit of [wall.from + 5, wall.from + 30]) {
      const needle = { ...HELD, x: body.x[bit]!, y: body.y[bit]!, size: 2, distance: 30 };
      const { outcome } = played(body, { flame: [needle], acts: [] });
      expect(outcome.isWon).toBe(false);
      expect(outcome.result.dry).toContain("m1.foot");
    }
  }
});

test("four minutes of the large flame on a foot's heat lose metal", () => {
  const body = bodyWith("tern-ring", "m1.foot");
  const { outcome } = played(body, { flame: [HELD], acts: [] });
  expect(outcome.result.lost).not.toEqual([]);
  expect(outcome.isWon).toBe(false);
});

test("a heat softens here what its plan says, when all of it is held at its working temperature for 3 s", () => {
  let softened = 0;
  for (const plan of plans.values()) {
    plan.heats.forEach((planned, index) => {
      const heat = new PractisedHeat(bodyOf(plan, index, 2));
      for (let i = 0; i < 600; i++) {
        heat.holdAt(planned.working);
        heat.step();
      }
      const { result } = outcomeOf(heat, null);
      expect([...result.softened].sort()).toEqual([...planned.softens, ...planned.runs].sort());
      expect([...result.opened].sort()).toEqual([...planned.runs].sort());
      expect(result.lost).toEqual([]);
      softened += result.softened.length;
    });
  }
  expect(softened).toBeGreaterThan(0);
});

test("flux dries, puffs, clears and is spent; spent flux works again once it is cleaned and laid anew", () => {
  const flux = new FluxAt();
  flux.heat(700, 700, 1);
  expect(flux.stage).toBe("none");
  flux.flux(20, 20);
  const stages = [110, 130, 410, 600].map((t) => {
    flux.heat(t, t, 0.1);
    return flux.stage;
  });
  expect(stages).toEqual(["wet", "white", "honey", "clear"]);
  flux.heat(710, 710, 59);
  expect(flux.stage).toBe("clear");
  flux.heat(710, 710, 2);
  flux.flux(20, 20);
  expect(flux.stage).toBe("spent");
  flux.clean();
  flux.flux(20, 20);
  flux.heat(600, 860, 7);
  expect(flux.stage).toBe("clear");
  flux.heat(600, 860, 2);
  expect(flux.stage).toBe("spent");
});

test("any piece's heats can be practised: every joint lies somewhere, and all of it warms", () => {
  fc.assert(
    fc.property(anyPiece(), (piece) => {
      const plan = planPiece(piece, SHIPPED_BENCH);
      plan.heats.forEach((_, index) => {
        const body = bodyOf(plan, index, 1.2);
        for (const { places } of body.joints) expect(places.length).toBeGreaterThan(0);
        const heat = new PractisedHeat(body);
        heat.setTorch({ ...HELD, x: body.x[0]!, y: body.y[0]! });
        for (let i = 0; i < 8; i++) heat.step();
        expect(heat.temperatures.every((t) => Number.isFinite(t) && t > 19)).toBe(true);
      });
    }),
    { numRuns: 25 },
  );
});

test("without flux nothing runs; quenched, all is cold again", () => {
  const body = bodyWith("tern-ring", "m1.seam");
  const flame = carefulHand(body);
  const bare = played(body, { flame: flame.flame, acts: [{ ms: 0, do: "clean" }] });
  expect(bare.outcome.result.dry).toEqual(["m1.seam"]);
  const heat = new PractisedHeat(body);
  heat.setTorch(HELD);
  for (let i = 0; i < 400; i++) heat.step();
  expect(heat.stored).toBeGreaterThan(10);
  heat.act("quench");
  expect(heat.stored).toBe(0);
  expect(heat.energy.lost).toBeCloseTo(heat.energy.in, 9);
});

test("solder climbs the hotter side where that is more than 30 ahead, and says by how much", () => {
  const body = bodyWith("tern-ring", "m1.foot");
  const heat = new PractisedHeat(body);
  const foot = body.joints.findIndex(({ id }) => id === "m1.foot");
  const { places, pallions, runs } = body.joints[foot]!;
  const hold = (wall: number, plate: number) => {
    heat.holdAt(plate);
    for (const { sides } of places) heat.temperatures[sides[0]!] = wall;
  };
  for (let i = 0; i < 8; i++) {
    hold(620, 620);
    heat.step();
  }
  for (let i = 0; i < 4; i++) {
    hold(runs + 20, runs - 40);
    heat.step();
  }
  const outcome = outcomeOf(heat, null).joints[0]!;
  expect(outcome.isMade).toBe(false);
  expect(heat.solder[foot]!.pallions).toEqual(pallions.map(() => "climbed"));
  expect(outcome.dry[0]!.climbed!.part).toBe("m1.wall");
  expect(outcome.dry[0]!.climbed!.hotter).toBeGreaterThan(30);
});

test("a body is as heavy as its parts are at that heat: a plate as it lies within its saw line until it is sawn", () => {
  const plan = plans.get("tern-ring")!;
  const massOf = (body: ReturnType<typeof bodyOf>, part: string) => body.parts.find(({ id }) => id === part)!.mass;
  const foot = bodyWith("tern-ring", "m1.foot");
  const mount = bodyWith("tern-ring", "hoop.mount.m1");
  const plate = plan.parts.find(({ id }) => id === "m1.plate")!.mass;
  expect(massOf(mount, "m1.plate")).toBeCloseTo(plate, 3);
  expect(massOf(foot, "m1.plate")).toBeGreaterThan(1.1 * plate);
  expect([foot.view, foot.support, mount.view, mount.support]).toEqual(["above", "mesh", "along", "hand"]);
});
