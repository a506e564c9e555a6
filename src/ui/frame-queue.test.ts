import { FrameQueue } from "./frame-queue";

/** Frames that come when asked for, a clock that each piece of work moves on, and a view that asks anew for what it shows whenever it is told. */
function stage(takes: number) {
  let clock = 0;
  const frames: (() => void)[] = [];
  jest.spyOn(performance, "now").mockImplementation(() => clock);
  globalThis.requestAnimationFrame = (run) => frames.push(() => run(clock));
  jest.spyOn(globalThis, "setTimeout").mockImplementation(((run: () => void) => void run()) as unknown as typeof setTimeout);
  const told: number[][] = [[]];
  let shown: readonly number[] = [];
  const queue = new FrameQueue<string, number>(
    (each) => {
      clock += takes;
      told.at(-1)!.push(each);
    },
    () => {
      told.push([]);
      show(shown);
    },
  );
  const show = (these: readonly number[]) => {
    shown = these;
    these.filter((each) => !told.flat().includes(each)).forEach((each) => queue.ask(`piece ${each}`, each));
  };
  return { show, told, frame: () => frames.shift()?.(), waits: () => frames.length };
}

afterEach(() => jest.restoreAllMocks());

test("what was asked for last is worked off first, as much to a frame as it may take, and each frame is told", () => {
  const { show, told, frame, waits } = stage(2.5);
  show([1, 2, 3, 4, 5]);
  expect(waits()).toBe(1);
  frame();
  expect(told).toEqual([[]]);
  frame();
  expect(told).toEqual([[5, 4, 3], []]);
  frame();
  expect(told).toEqual([[5, 4, 3], [2, 1], []]);
  expect(waits()).toBe(0);
});

test("while each frame brings something new nothing is done, and what has left the view by then never is", () => {
  const { show, told, frame, waits } = stage(2.5);
  for (let i = 1; i <= 50; i++) {
    show([i, i + 1, i + 2, i + 3, i + 4]);
    frame();
  }
  expect(told).toEqual([[]]);
  while (waits() > 0) frame();
  expect(told).toEqual([[54, 53, 52], [51, 50], []]);
  show([3, 4, 5]);
  frame();
  expect(told.at(-1)).toEqual([]);
  frame();
  expect(told.at(-2)).toEqual([5, 4, 3]);
});

test("one that takes longer than a frame is done all the same", () => {
  const { show, told, frame, waits } = stage(50);
  show([1, 2, 3]);
  while (waits() > 0) frame();
  expect(told).toEqual([[3], [2], [1], []]);
});
