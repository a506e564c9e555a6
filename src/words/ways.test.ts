import { demoPiece } from "@demo/pieces";
import { type Way } from "@/core/heats/problem";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type PinEntry } from "@/core/heats/pins";
import { planPiece } from "@/core/piece/plan-piece";
import { sayWay } from "./ways";

const tern = demoPiece("tern-ring");
const said = (way: Way, pins: readonly PinEntry[] = []) => {
  const plan = planPiece({ ...tern, heats: { ...tern.heats, way, pins } }, SHIPPED_BENCH);
  return sayWay(plan, (joint) => String.fromCharCode(97 + plan.joints.findIndex(({ id }) => id === joint)));
};

test("each way says its heats and what it moves, with what would be right; one that holds says nothing", () => {
  expect(said("free")).toEqual({ heats: "4 heats", moves: [], isProven: true });
  const one = said("one-grade");
  expect(one.moves.length).toBeGreaterThan(0);
  expect(one.moves.every(({ text }) => /^[a-d]( and [a-d])* (runs?|softens?) [a-d]/.test(text))).toBe(true);
  const hard = said(
    "free",
    ["m1.seam", "m1.foot", "hoop.seam", "hoop.mount.m1"].map((joint) => ({ joint, grade: "hard" })),
  );
  expect(hard.moves.filter(({ what }) => what === "runs").at(-1)!.text).toMatch(/ again: shield (it|them), or take medium$/);
  const together = planPiece({ ...demoPiece("turnstone-ring"), heats: { way: "one-grade" } }, SHIPPED_BENCH);
  const letters = sayWay(together, (joint) => joint.slice(-1));
  expect(letters.moves.map(({ text }) => text)).toEqual(expect.arrayContaining([expect.stringMatching(/^\w, \w and \w run \w/) as string]));
  const clash = said("free", [{ before: ["m1.foot", "m1.seam"] }]);
  expect(clash).toEqual({ heats: "no order works", moves: [], isProven: true });
});
