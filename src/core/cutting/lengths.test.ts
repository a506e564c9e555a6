import fc from "fast-check";
import { runs } from "../../runs.testing";
import { seeded } from "../measure/seeded";
import { type CuttingWay } from "./cutting-way";
import { type LengthsPlan, type LengthsProblem, laidLengths } from "./lengths";

const WAYS: readonly CuttingWay[] = ["spoil", "ends-first", "fewest"];
const USEFUL = 30;

const plain = (
  stock: readonly number[],
  cuts: readonly number[],
  way: CuttingWay,
  kerf = 0.28,
  bought: number | null = 300,
): LengthsProblem => ({
  bars: [...stock.map((length) => ({ length, isBought: false })), ...(bought === null ? [] : [{ length: bought, isBought: true }])],
  cuts,
  trim: () => 0,
  kerf,
  useful: USEFUL,
  way,
});

/** What is compared in each way, worked out from which cut lies where. */
function costOf(
  problem: LengthsProblem,
  bars: readonly { readonly bar: number; readonly cuts: readonly number[] }[],
  leftOut: number,
): number[] {
  const begun = bars.map(({ bar, cuts }) => {
    const { length, isBought } = problem.bars[bar]!;
    const filled = cuts.reduce((sum, cut) => sum + problem.cuts[cut]!, 0);
    const left = Math.max(0, length - filled - cuts.length * problem.kerf);
    const trimmed = cuts.reduce((sum, cut) => sum + problem.trim(bar, cut)!, 0);
    return { length, isBought, isKept: left >= USEFUL - 1e-6, left, trimmed };
  });
  const sum = (of: (each: (typeof begun)[number]) => number) => begun.reduce((all, each) => all + of(each), 0);
  const spoiled = sum(({ isKept, left }) => (isKept ? 0 : left));
  const whole = sum(({ length }) => length);
  const longest = -Math.max(0, ...begun.map(({ isKept, left }) => (isKept ? left : 0)));
  const by = { spoil: [spoiled, whole], "ends-first": [whole, spoiled], fewest: [begun.length, spoiled, whole] }[problem.way];
  return [leftOut, sum(({ isBought }) => (isBought ? 1 : 0)), ...by, longest, sum(({ trimmed }) => trimmed)];
}

function isLess(a: readonly number[], b: readonly number[]): boolean {
  for (let i = 0; i < a.length; i++) if (Math.abs(a[i]! - b[i]!) > 1e-9) return a[i]! < b[i]!;
  return false;
}

/** Of every way there is to give each cut a bar, or none, the least cost. */
function leastOfAll(problem: LengthsProblem): number[] {
  let best: number[] | null = null;
  const { cuts, bars, kerf, trim } = problem;
  const into = bars.flatMap(({ pinned = [] }, bar) =>
    pinned.length > 0 ? [{ bar, cuts: [...pinned], filled: pinned.reduce((sum, cut) => sum + cuts[cut]!, 0) }] : [],
  );
  const isPinned = (cut: number) => bars.some(({ pinned = [] }) => pinned.includes(cut));
  const place = (cut: number, leftOut: number): void => {
    if (cut === cuts.length) {
      const cost = costOf(problem, into, leftOut);
      if (!best || isLess(cost, best)) best = cost;
      return;
    }
    if (isPinned(cut)) return place(cut + 1, leftOut);
    const length = cuts[cut]!;
    const isFit = (bar: number, filled: number, count: number) =>
      trim(bar, cut) !== null && filled + length + count * kerf <= bars[bar]!.length + 1e-6;
    for (const one of into) {
      if (!isFit(one.bar, one.filled, one.cuts.length)) continue;
      one.cuts.push(cut);
      one.filled += length;
      place(cut + 1, leftOut);
      one.filled -= length;
      one.cuts.pop();
    }
    bars.forEach(({ isBought, pinned }, bar) => {
      if (!isFit(bar, 0, 0) || ((!isBought || pinned) && into.some((one) => one.bar === bar))) return;
      into.push({ bar, cuts: [cut], filled: length });
      place(cut + 1, leftOut);
      into.pop();
    });
    place(cut + 1, leftOut + 1);
  };
  place(0, 0);
  return best!;
}

function isSound(problem: LengthsProblem, { bars, leftOut }: LengthsPlan): void {
  const cuts = [...bars.flatMap((each) => each.cuts), ...leftOut].sort((a, b) => a - b);
  expect(cuts).toEqual(problem.cuts.map((_, i) => i));
  const stock = bars.filter(({ bar }) => !problem.bars[bar]!.isBought || problem.bars[bar]!.pinned).map(({ bar }) => bar);
  problem.bars.forEach(({ pinned }, bar) => {
    if (pinned) expect(bars.find((each) => each.bar === bar)!.cuts).toEqual(expect.arrayContaining([...pinned]));
  });
  expect(new Set(stock).size).toBe(stock.length);
  for (const { bar, cuts: own, left, goesBack } of bars) {
    const { length } = problem.bars[bar]!;
    const filled = own.reduce((sum, cut) => sum + problem.cuts[cut]!, 0);
    expect(own.length).toBeGreaterThan(0);
    expect(filled + (own.length - 1) * problem.kerf).toBeLessThanOrEqual(length + 1e-6);
    expect(left).toBeCloseTo(Math.max(0, length - filled - own.length * problem.kerf), 9);
    expect(goesBack).toBe(left >= USEFUL - 1e-6);
    for (const cut of own) expect(problem.trim(bar, cut)).not.toBeNull();
  }
}

test.each(WAYS)("four lengths of one wire from 120 and 80, %s", (way) => {
  const problem = plain([120, 80], [59.1, 46.05, 33.25, 18], way);
  const plan = laidLengths(problem);
  expect(plan).toEqual({
    bars: [
      { bar: 0, cuts: [0, 3], left: expect.closeTo(42.34, 9) as number, goesBack: true },
      { bar: 1, cuts: [1, 2], left: expect.closeTo(0.14, 9) as number, goesBack: false },
    ],
    leftOut: [],
    isProven: true,
  });
});

const small = fc.record({
  stock: fc.array(fc.integer({ min: 20, max: 140 }), { maxLength: 3 }),
  cuts: fc.array(
    fc.integer({ min: 16, max: 180 }).map((half) => half / 2),
    { minLength: 1, maxLength: 5 },
  ),
  widths: fc.array(fc.constantFrom(2, 3), { minLength: 9, maxLength: 9 }),
  kerf: fc.constantFrom(0, 0.28),
  bought: fc.constantFrom(60, 100, null),
});

test.each(WAYS)("nothing is better, of every way there is, %s", (way) => {
  fc.assert(
    fc.property(small, ({ stock, cuts, widths, kerf, bought }) => {
      const trim = (bar: number, cut: number) => {
        const [wide, needed] = [bar < stock.length ? widths[bar]! : 3, widths[4 + cut]!];
        return wide < needed ? null : (wide - needed) * cuts[cut]!;
      };
      const problem = { ...plain(stock, cuts, way, kerf, bought), trim };
      const plan = laidLengths(problem);
      isSound(problem, plan);
      expect(plan.isProven).toBe(true);
      const cost = costOf(problem, plan.bars, plan.leftOut.length);
      leastOfAll(problem).forEach((value, i) => expect(cost[i]).toBeCloseTo(value, 9));
    }),
    { numRuns: runs(300), endOnFailure: true },
  );
});

test.each(WAYS)("round what is pinned nothing is better, of every way there is, %s", (way) => {
  const pinnedTo = fc.record({ small, bars: fc.array(fc.nat({ max: 5 }), { minLength: 2, maxLength: 2 }) });
  let pinnedCount = 0;
  fc.assert(
    fc.property(pinnedTo, ({ small: { stock, cuts, kerf }, bars }) => {
      const bought = 100;
      const whole = plain([...stock, bought], cuts, way, kerf, bought);
      const pinned = whole.bars.map((): number[] => []);
      bars.slice(0, cuts.length).forEach((bar, cut) => {
        const own = pinned[bar % stock.length] ?? pinned[stock.length]!;
        const filled = own.reduce((sum, each) => sum + cuts[each]! + kerf, 0);
        if (filled + cuts[cut]! <= whole.bars[pinned.indexOf(own)]!.length) own.push(cut);
      });
      pinnedCount += pinned.flat().length;
      const problem = {
        ...whole,
        bars: whole.bars.map((bar, i) => ({
          ...bar,
          isBought: i >= stock.length,
          ...(pinned[i]!.length > 0 && { pinned: pinned[i]! }),
        })),
      };
      const plan = laidLengths(problem);
      isSound(problem, plan);
      expect(plan.isProven).toBe(true);
      const cost = costOf(problem, plan.bars, plan.leftOut.length);
      leastOfAll(problem).forEach((value, i) => expect(cost[i]).toBeCloseTo(value, 9));
    }),
    { numRuns: runs(200), endOnFailure: true },
  );
  expect(pinnedCount).toBeGreaterThan(50);
});

test("cuts that do not go into the bar they are pinned to are refused", () => {
  const problem = plain([60, 80], [40, 30], "spoil");
  const pinnedTo = (bar: number) => ({ ...problem, bars: problem.bars.map((each, i) => (i === bar ? { ...each, pinned: [0, 1] } : each)) });
  expect(() => laidLengths(pinnedTo(0))).toThrow("cuts of 70 mm are pinned to a bar of 60");
  expect(laidLengths(pinnedTo(1)).bars).toEqual([{ bar: 1, cuts: [0, 1], left: expect.closeTo(9.44, 9) as number, goesBack: false }]);
});

/** The longest cuts first, each into the first length that has room. */
function firstFit({ bars, cuts, kerf }: LengthsProblem) {
  const open = bars.map((_, bar) => ({ bar, cuts: [] as number[], filled: 0 }));
  const bought = open.pop()!.bar;
  for (const cut of cuts.map((_, i) => i).sort((a, b) => cuts[b]! - cuts[a]!)) {
    let into = open.find((one) => one.filled + cuts[cut]! + one.cuts.length * kerf <= bars[one.bar]!.length);
    if (!into) open.push((into = { bar: bought, cuts: [], filled: 0 }));
    into.cuts.push(cut);
    into.filled += cuts[cut]!;
  }
  return open.filter((one) => one.cuts.length > 0);
}

/** Sixty cuts of twelve lengths, and twenty lengths of the drawer. */
export function large(seed: number, way: CuttingWay, step: number): LengthsProblem {
  const random = seeded(seed);
  const between = (from: number, to: number) => Math.round((from + random() * (to - from)) / step) * step;
  const lengths = Array.from({ length: 12 }, () => between(8, 80));
  const cuts = Array.from({ length: 60 }, (_, i) => lengths[i % 12]!);
  return plain(
    Array.from({ length: 20 }, () => between(40, 300)),
    cuts,
    way,
  );
}

test.each(WAYS)("sixty cuts from twenty lengths are never worse than first fit, %s", (way) => {
  for (let seed = 1; seed <= 12; seed++) {
    const problem = large(seed, way, 0.05);
    const plan = laidLengths(problem);
    isSound(problem, plan);
    expect(isLess(costOf(problem, firstFit(problem), 0), costOf(problem, plan.bars, plan.leftOut.length))).toBe(false);
  }
});
