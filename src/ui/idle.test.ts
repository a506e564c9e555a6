import { IDLE_TIMEOUT, whenIdle } from "./idle";

let clock = 0;
const heard: (() => void)[] = [];
globalThis.addEventListener = (_: string, hear: EventListenerOrEventListenerObject) => void heard.push(hear as () => void);
const touch = () => heard.forEach((hear) => hear());

/** What the browser says of each idle period in turn: how long it is (ms), and how long the one before it took; `during` happens in each. */
function periods(each: readonly (readonly [left: number, took: number])[], during?: () => void) {
  const [start, asked] = [clock, [] as number[]];
  jest.spyOn(performance, "now").mockImplementation(() => clock);
  jest.spyOn(globalThis, "setTimeout").mockImplementation((run, ms = 0) => {
    clock += ms;
    queueMicrotask(run);
    return 0 as unknown as ReturnType<typeof setTimeout>;
  });
  globalThis.requestIdleCallback = (run) => {
    const [left, took] = each[Math.min(asked.length, each.length - 1)]!;
    clock += took;
    asked.push(clock - start);
    during?.();
    queueMicrotask(() => run({ didTimeout: false, timeRemaining: () => left }));
    return asked.length;
  };
  return asked;
}

afterEach(() => jest.restoreAllMocks());

test("the page rests once no frame is to be drawn next, and is waited for no longer than is asked", async () => {
  const looked = periods([[12, 16] as const, [20, 16] as const, [49, 16] as const]);
  await whenIdle();
  expect(looked).toHaveLength(3);
  const drawing = periods([[10, 1000]]);
  await whenIdle(IDLE_TIMEOUT);
  expect(drawing).toHaveLength(6);
  const patient = periods([...Array.from({ length: 60 }, () => [10, 1000] as const), [30, 1]]);
  await whenIdle();
  expect(patient).toHaveLength(61);
});

test("between two keys or moves of the hand the page does not rest, unless it is wanted by then", async () => {
  let moves = 4;
  const typing = periods([[49, 16]], () => moves-- > 0 && touch());
  await whenIdle();
  expect(typing).toEqual([16, 432, 848, 1264, 1680]);
  const dragging = periods([[49, 100]], touch);
  await whenIdle(IDLE_TIMEOUT);
  expect(dragging.at(-1)).toBe(5100);
});
