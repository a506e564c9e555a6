import { InFrames } from "./in-frames";

/** Frames that come when asked for, and a clock that each piece of work moves on. */
function stage(takes: number) {
  let clock = 0;
  const frames: (() => void)[] = [];
  jest.spyOn(performance, "now").mockImplementation(() => clock);
  globalThis.requestAnimationFrame = (run) => frames.push(() => run(clock));
  jest.spyOn(globalThis, "setTimeout").mockImplementation(((run: () => void) => void run()) as unknown as typeof setTimeout);
  const told: number[][] = [[]];
  const queue = new InFrames<number>(
    (each) => {
      clock += takes;
      told.at(-1)!.push(each);
    },
    () => told.push([]),
  );
  const frame = () => frames.shift()?.();
  return { queue, told, frame, waits: () => frames.length };
}

afterEach(() => jest.restoreAllMocks());

test("what was asked for last is worked off first, as much to a frame as it may take, and each frame is told", () => {
  const { queue, told, frame, waits } = stage(2.5);
  [1, 2, 3, 4, 5].forEach((each) => queue.ask(each));
  expect(waits()).toBe(1);
  frame();
  expect(told).toEqual([[5, 4, 3], []]);
  queue.ask(6);
  frame();
  expect(told).toEqual([[5, 4, 3], [6, 2, 1], []]);
  expect(waits()).toBe(0);
});

test("one that takes longer than a frame is done all the same; of very many the oldest are forgotten", () => {
  const { queue, told, frame, waits } = stage(50);
  for (let i = 1; i <= 65; i++) queue.ask(i);
  while (waits() > 0) frame();
  expect(told.flat()).toEqual(Array.from({ length: 64 }, (_, i) => 65 - i));
  expect(told[0]).toEqual([65]);
});
