import { WANTED, atRest } from "./idle";

/** What the browser says of each idle period in turn: how long it is (ms), and how long the one before it took. */
function periods(...each: readonly [left: number, took: number][]) {
  let [clock, asked] = [0, 0];
  jest.spyOn(performance, "now").mockImplementation(() => clock);
  globalThis.requestIdleCallback = (run) => {
    const [left, took] = each[Math.min(asked++, each.length - 1)]!;
    clock += took;
    queueMicrotask(() => run({ didTimeout: false, timeRemaining: () => left }));
    return asked;
  };
  return () => asked;
}

afterEach(() => jest.restoreAllMocks());

test("the page rests once no frame is to be drawn next, and is waited for no longer than is asked", async () => {
  const looked = periods([12, 16], [20, 16], [49, 16]);
  await atRest();
  expect(looked()).toBe(3);
  const drawing = periods([10, 1000]);
  await atRest(WANTED);
  expect(drawing()).toBe(6);
  const patient = periods(...Array.from({ length: 60 }, (): [number, number] => [10, 1000]), [30, 1]);
  await atRest();
  expect(patient()).toBe(61);
});
