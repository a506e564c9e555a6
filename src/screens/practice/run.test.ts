import { DEMO_PIECES } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { bodyOf } from "@/core/practice/body";
import { played } from "@/core/practice/play";
import { decodeFlame, tryText } from "@/formats/flame-file";
import { PracticeRun, type Tried } from "./run";

const TERN = DEMO_PIECES.find(({ id }) => id === "tern-ring")!;
const tern = planPiece(TERN, SHIPPED_BENCH);
const body = bodyOf(tern, 0, 0.8);

/** Goes on frame by frame until it is over, or so many seconds have passed. */
function until(run: PracticeRun, seconds: number, each: (ms: number) => void = () => undefined): void {
  for (let ms = 0; ms < seconds * 1000 && run.now().outcome === null; ms += 16) {
    each(ms);
    run.advance(16);
  }
}

test("it begins with the flame, stands while it is paused, and is over once it has run and the flame is away", () => {
  const over: Tried[] = [];
  const run = new PracticeRun(body, "maker", null, (tried) => over.push(tried));
  run.advance(500);
  expect(run.now()).toMatchObject({ seconds: 0, isBegun: false });
  run.hold({ x: 0, y: 0, isOn: true, size: 9 });
  until(run, 1);
  const { seconds } = run.now();
  expect(seconds).toBeGreaterThan(0.8);
  run.pause(true);
  until(run, 1);
  expect(run.now().seconds).toBe(seconds);
  run.pause(false);
  run.end();
  expect(over).toHaveLength(1);
  expect(over[0]!.outcome.isWon).toBe(false);
  expect(over[0]!.flame.flame.at(-1)!.isOn).toBe(false);
});

test("the careful hand wins; its flame, written as a file and played again, comes to the same to the bit", () => {
  const over: Tried[] = [];
  const hand = new PracticeRun(body, "hand", null, (tried) => over.push(tried));
  until(hand, 120);
  const [tried] = over;
  expect(tried!.outcome.isWon).toBe(true);
  expect(hand.now().watch.code).toBe("ran");
  const { flame, outcome } = tried!;
  const text = tryText({ id: "t", at: "2026-12-01", pieceFile: TERN, joints: ["m1.seam"], flame, result: outcome.result });
  const decoded = decodeFlame(text);
  expect(decoded.ok && played(body, decoded.value).outcome).toEqual(tried!.outcome);
  const again = new PracticeRun(body, "again", tried!.flame, (each) => over.push(each), 4);
  until(again, 120);
  expect(over[1]!.outcome).toEqual(tried!.outcome);
});

test("a maker's flame with acts between, moved at any frame, is played again to the same", () => {
  const over: Tried[] = [];
  const run = new PracticeRun(body, "maker", null, (tried) => over.push(tried));
  run.hold({ isOn: true, size: 4.3 });
  until(run, 12, (ms) => {
    run.hold({ x: Math.sin(ms / 700) * 5, y: Math.cos(ms / 900) * 4 });
    if (ms === 3200) run.act("quench");
    if (ms === 4800) run.act("flux");
    if (ms === 8000) run.hold({ isOn: false });
  });
  run.end();
  expect(run.now().aims.map(({ code }) => code)).toEqual(["runs", "even"]);
  expect(played(body, over[0]!.flame).outcome).toEqual(over[0]!.outcome);
});

test("a flame's file says what is wrong in it", () => {
  const faults = (text: string) => {
    const decoded = decodeFlame(text);
    return decoded.ok ? [] : decoded.faults.map(({ path, code }) => `${path} ${code}`);
  };
  expect(faults("[")).toEqual([" not-json"]);
  expect(faults("[[0,0,0,12,true]]")).toEqual(["/flame/0/3 at-most"]);
  expect(faults("[[5,0,0,5,true],[4,0,0,5,true]]")).toEqual(["/flame/1 at-least"]);
  expect(faults('{"flame":[[0,0,0,5,true]],"acts":[{"ms":0,"do":"blow"}]}')).toEqual(["/acts/0/do one-of"]);
  expect(faults("[[0,0,0,5,true]]")).toEqual([]);
});
