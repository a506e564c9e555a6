import { DEMO_PIECES } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { bodyOf } from "@/core/practice/body";
import { played } from "@/core/practice/play";
import { decodeFlame, pieceOfTry, tryFile, tryFromJson } from "@/formats/flame-file";
import { type Json } from "@/formats/read-json";
import { PracticeRun, type Tried, linesOf } from "./run";
import { isOf, isWonAt, sceneOf, sceneOfTry } from "./scene";

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
  run.pause(true);
  const { seconds } = run.now();
  expect(seconds).toBeGreaterThan(0.9);
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
  const ended = { id: "t", at: "2026-12-01", pieceFile: pieceOfTry(TERN, SHIPPED_BENCH), joints: ["m1.seam"], flame };
  const file = tryFile({ ...ended, result: outcome.result });
  const decoded = decodeFlame(JSON.stringify(file));
  expect(decoded.ok && played(body, decoded.value).outcome).toEqual(tried!.outcome);
  expect(tryFromJson(JSON.parse(JSON.stringify(file)) as Json, SHIPPED_BENCH)).toEqual({ ok: true, migratedFrom: null, value: file });
  const scene = sceneOfTry(file)!;
  expect([scene.index, scene.body]).toEqual([0, bodyOf(tern, 0)]);
  expect(sceneOfTry({ ...file, model: 2 })).toBeNull();
  expect(sceneOfTry({ ...file, joints: ["m9.seam"] })).toBeNull();
  const now = sceneOf(TERN, tern, 0);
  expect([isOf(file, now, SHIPPED_BENCH), isWonAt(file, now)]).toEqual([true, true]);
  expect(isOf(file, now, { ...SHIPPED_BENCH, overshoot: 20 })).toBe(false);
  expect(isOf(file, { ...now, piece: { ...TERN, name: "x", notes: "y", count: 3 } }, { ...SHIPPED_BENCH, name: "z" })).toBe(true);
  const wider = { ...TERN, mounts: TERN.mounts.map((mount) => ({ ...mount, wall: { ...mount.wall, thickness: 0.4 } })) };
  expect(isOf(file, { ...now, piece: wider }, SHIPPED_BENCH)).toBe(false);
  expect(isOf(file, { ...now, index: 1 }, SHIPPED_BENCH)).toBe(false);
  const lines = linesOf(tried!.course);
  expect(lines).toHaveLength(tern.parts.filter(({ id }) => scene.body.parts.some((part) => part.id === id)).length);
  expect(lines[0]).toHaveLength(Math.floor(tried!.course.at(-1)!.seconds) + 2);
  expect(lines[0]![1]).toBe(Math.round(tried!.course[10]!.parts[0]!.mean));
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

test("the careful hand goes before as a flame to follow, in step, until its own heat is over", () => {
  const alone: Tried[] = [];
  until(new PracticeRun(body, "hand", null, (tried) => alone.push(tried)), 120);
  const led = new PracticeRun(body, "maker", null, undefined, 1, true);
  expect(led.now().hasGhost).toBe(true);
  expect(led.ghostTorch).not.toBeNull();
  const seen: (number | null)[] = [];
  led.hold({ x: 40, y: 40, isOn: true, size: 2 });
  const { seconds } = alone[0]!.outcome.result;
  until(led, seconds - 0.5, () => seen.push(led.ghostTorch?.x ?? null));
  expect(seen).not.toContain(null);
  expect(new Set(seen).size).toBeGreaterThan(1);
  until(led, 2);
  expect(led.ghostTorch).toBeNull();
});

test.each([1, 8])(
  "played %d times as fast, the page is told ten times a second at most, in no frame in which is looked where one is free",
  (speed) => {
    const run = new PracticeRun(body, "hand", null, undefined, speed);
    const frames: { told: number; busy: boolean }[] = [];
    let told = 0;
    run.subscribe(() => told++);
    for (let ms = 0; ms < 1600; ms += 16) {
      const before = told;
      const busy = run.advance(16);
      frames.push({ told: told - before, busy });
    }
    expect(run.now().outcome).toBeNull();
    const tellings = frames.filter((frame) => frame.told > 0);
    expect(tellings.every((frame) => frame.told === 1 && frame.busy)).toBe(true);
    const looks = speed === 1 ? 16 : 8;
    expect(Math.abs(tellings.length - looks)).toBeLessThanOrEqual(1);
    const idle = frames.filter(({ busy }) => !busy).length;
    // at its own speed a frame is told or looked in, never both
    expect(idle).toBe(speed === 1 ? frames.length - 2 * looks : 0);
  },
);

test("a flame is held no further off than a file takes, and by hundredths of a mm", () => {
  const run = new PracticeRun(body);
  run.hold({ x: 700, y: -1e6, isOn: true, distance: 1000 });
  expect(run.torchNow).toMatchObject({ x: 500, y: -500, distance: 300 });
  run.hold({ x: 1.23456, y: -2.005001 });
  expect([run.torchNow.x, run.torchNow.y]).toEqual([1.23, -2.01]);
});
