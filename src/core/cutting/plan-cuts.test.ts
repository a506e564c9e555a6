import fc from "fast-check";
import { DEMO_PIECES } from "@demo/pieces";
import { DEMO_BENCH as BENCH } from "@demo/bench";
import { runs } from "../../runs.testing";
import { type Cut, cutToLength, rectangle, roundWire } from "../metal/cut";
import { massOf } from "../metal/metals";
import { type StockItem } from "../metal/stock";
import { SHIPPED } from "../piece/bench";
import { costInputsOf } from "../piece/piece-costs";
import { planPiece } from "../piece/plan-piece";
import { type CutsPlan, type CutsRequest, planCuts } from "./plan-cuts";
import { blankMasses } from "./masses";
import { pieceCost } from "./cost";
import { polygonArea } from "../geometry/polygon";
import { drawerAfter } from "./drawer-after";
import { type Form, noMatch } from "./match";
import { type Pin } from "./pin";
import { formOf, formOfStock } from "./sources";
import { type Wanted, blankId, wantedOf } from "./wanted";

const OF = { part: "hoop", mount: null, metal: "sterling" } as const;

function wantedLength(length: number, stock: Cut["stock"] = roundWire(1), metal: Cut["metal"] = "sterling"): Wanted {
  return { piece: "a", copy: 1, cut: cutToLength({ ...OF, metal }, stock, "hoop.cutLength", length), nth: 1, isTurnedOver: false };
}

function wantedSheet(length: number, width: number): Wanted {
  const cut: Cut = { ...OF, stock: { form: "sheet", thickness: 0.6 }, figure: "l", across: "w", count: 1, shape: rectangle(length, width) };
  return { piece: "a", copy: 1, cut, nth: 1, isTurnedOver: false };
}

const wire = (length: number, more: Partial<StockItem> = {}): StockItem => ({
  ...{ id: `wire-${length}`, form: "wire", metal: "sterling", section: "round", width: 1, thickness: 1, length, count: 1 },
  ...more,
});

function request(wanted: readonly Wanted[], stock: readonly StockItem[], more: Partial<CutsRequest> = {}): CutsRequest {
  return { wanted, stock, bought: SHIPPED.bought, useful: SHIPPED.useful, kerf: 0.28, way: "spoil", ...more };
}

describe("what can come from what", () => {
  const form = (stock: Form["stock"], metal: Form["metal"] = "sterling"): Form => ({ metal, stock });
  const strip = (width: number, thickness = 0.32) => form({ form: "strip", width, thickness });

  test.each<readonly [string, Form, Form, ReturnType<typeof noMatch>]>([
    ["the same wire", form(roundWire(1)), form(roundWire(1.005)), null],
    ["a thicker wire", form(roundWire(1)), form(roundWire(1.006)), "thickness"],
    ["another metal", form(roundWire(1)), form(roundWire(1), "copper"), "metal"],
    ["sheet for wire", form(roundWire(1)), form({ form: "sheet", thickness: 1 }), "form"],
    ["another section", form(roundWire(1)), form({ form: "wire", section: "square", width: 1, thickness: 1 }), "form"],
    ["a strip a little lower", strip(3.2), strip(3.18), null],
    ["a strip that is too low", strip(3.2), strip(3.17), "width"],
    ["a taller strip", strip(3.2), strip(4), null],
    [
      "a wider band of wire",
      form({ form: "wire", section: "d", width: 3, thickness: 1.6 }),
      form({ form: "wire", section: "d", width: 3.1, thickness: 1.6 }),
      "width",
    ],
    ["a tube", form({ form: "tube", outside: 6, inside: 5 }), form({ form: "tube", outside: 6.01, inside: 5.01 }), null],
    [
      "a tube with another wall",
      form({ form: "tube", outside: 6, inside: 5 }),
      form({ form: "tube", outside: 6, inside: 4.9 }),
      "thickness",
    ],
  ])("%s", (_, wanted, there, why) => {
    expect(noMatch(wanted, there)).toBe(why);
  });
});

test("lengths are cut one after another, a kerf apart, from what there is; the rest is ordered, and why is said", () => {
  const plan = planCuts(
    request(
      [59.1, 46.05, 33.25, 18].map((length) => wantedLength(length)),
      [wire(120), wire(80)],
    ),
  );
  expect(
    plan.lengths.map(({ stock, cuts, left, goesBack }) => [
      stock?.id,
      cuts.map(({ at }) => Number(at.toFixed(2))),
      Number(left.toFixed(2)),
      goesBack,
    ]),
  ).toEqual([
    ["wire-120", [0, 59.38], 42.34, true],
    ["wire-80", [0, 46.33], 0.14, false],
  ]);
  expect(plan).toMatchObject({ isProven: true, order: [], cannot: [] });
  const bought = planCuts(
    request([wantedLength(100), wantedLength(301)], [wire(80), wire(400, { id: "coil", thickness: 1.2, width: 1.2 })]),
  );
  expect(bought.lengths).toMatchObject([{ stock: null, item: 1, length: 300, left: expect.closeTo(199.72, 9) as number }]);
  expect(bought.order).toMatchObject([
    { length: 300, count: 1, why: null, mass: expect.closeTo(massOf("sterling", (Math.PI / 4) * 300), 9) as number },
  ]);
  expect(bought.cannot).toMatchObject([{ why: "too-long" }]);
  const why = (stock: readonly StockItem[]) => planCuts(request([wantedLength(50)], stock)).order[0]!.why;
  expect(why([])).toBe("form");
  expect(why([wire(90, { metal: "copper" })])).toBe("metal");
  expect(why([wire(90, { metal: "copper" }), wire(90, { thickness: 1.2 })])).toBe("thickness");
});

test("a strip is snipped, also from a taller one, whose trim is spoiled", () => {
  const low = { form: "strip", width: 3.2, thickness: 0.32 } as const;
  const stock: StockItem = { id: "tall", form: "strip", metal: "fine-silver", width: 4, thickness: 0.32, length: 100, count: 1 };
  const plan = planCuts(request([wantedLength(40, low, "fine-silver"), wantedLength(25, low, "fine-silver")], [stock]));
  expect(plan.lengths[0]!.cuts.map(({ at }) => at)).toEqual([0, 40]);
  const [{ blanks, drawn, spoiled }] = plan.metals as [CutsPlan["metals"][number]];
  expect(blanks).toBeCloseTo(massOf("fine-silver", 65 * 3.2 * 0.32), 9);
  expect(drawn).toBeCloseTo(massOf("fine-silver", 65 * 4 * 0.32), 9);
  expect(spoiled).toBeCloseTo(massOf("fine-silver", 65 * 0.8 * 0.32), 9);
});

test("a sheet keeps what a straight cut leaves, where it is of use", () => {
  const sheet: StockItem = { id: "sheet", form: "sheet", metal: "sterling", thickness: 0.6, length: 60, width: 40, count: 1 };
  const plan = planCuts(request([wantedSheet(20, 40)], [sheet]));
  expect(plan.sheets).toMatchObject([{ used: 20, goesBack: true, density: 1, remainder: { clear: [expect.closeTo(39.72, 9), 40] } }]);
  expect(plan.metals[0]!.spoiled).toBeCloseTo(massOf("sterling", 0.28 * 40 * 0.6), 9);
  const small = planCuts(request([wantedSheet(48, 40)], [sheet]));
  expect(small.sheets[0]!.goesBack).toBe(false);
  expect(small.metals[0]!.drawn).toBeCloseTo(massOf("sterling", 60 * 40 * 0.6), 9);
  const holed = planCuts(
    request(
      [wantedSheet(20, 20)],
      [
        {
          ...sheet,
          taken: [
            [
              [30, 5],
              [50, 5],
              [50, 35],
              [30, 35],
            ],
          ],
        },
      ],
    ),
  );
  const { remainder } = holed.sheets[0]!;
  expect(remainder!.area).toBeCloseTo((60 - 20.28) * 40 - 600, 6);
  expect(remainder!.clear[0] * remainder!.clear[1]).toBeGreaterThan(0.9 * 40 * 10);
});

test("a pair is cut twice, its second turned over; a piece as often as it is meant", () => {
  const cut = wantedSheet(8, 5).cut;
  const wanted = wantedOf([{ id: "pair", count: 2, copies: 2, cuts: [cut, { ...cut, count: 3 }] }]);
  expect(wanted).toHaveLength(16);
  expect(wanted.map(({ copy, isTurnedOver }) => [copy, isTurnedOver])).toEqual(
    [1, 2, 3, 4].flatMap((copy) => Array.from({ length: 4 }, () => [copy, copy % 2 === 0])),
  );
});

const PLANNED = ["tern-ring", "limpet-pendant", "dunlin-earrings", "redshank-ring"].map((id) => {
  const piece = DEMO_PIECES.find((each) => each.id === id)!;
  return { piece, plan: planPiece(piece, BENCH) };
});

test("the workshop's four pieces: what is drawn is blanks and spoiled, and each blank is cut once", () => {
  const wanted = wantedOf(PLANNED.map(({ piece, plan }) => ({ id: piece.id, count: 1, copies: piece.copies ?? 1, cuts: plan.cuts })));
  for (const way of ["spoil", "ends-first", "fewest"] as const) {
    const plan = planCuts(request(wanted, BENCH.stock!, { way }));
    const cut = [
      ...plan.lengths.flatMap(({ cuts }) => cuts.map((each) => each.wanted)),
      ...plan.sheets.flatMap(({ placed }) => placed.map((each) => each.wanted)),
    ];
    expect(new Set(cut).size).toBe(wanted.length);
    expect(plan.cannot).toEqual([]);
    for (const { metal, drawn, blanks, spoiled } of plan.metals) {
      expect(drawn - blanks - spoiled).toBeCloseTo(0, 9);
      expect(spoiled).toBeGreaterThanOrEqual(0);
      const own = PLANNED.reduce((sum, { piece }) => sum + (blankMasses(plan, piece.id).get(metal) ?? 0), 0);
      expect(own).toBeCloseTo(blanks, 9);
    }
    expect(plan.order.map(({ form: { stock } }) => stock)).toMatchObject([{ form: "wire" }, { form: "wire", section: "d" }]);
  }
});

describe("blanks where the maker wants them", () => {
  const wanted = wantedOf(PLANNED.map(({ piece, plan }) => ({ id: piece.id, count: 1, copies: piece.copies ?? 1, cuts: plan.cuts })));
  const cutAll = (pins: readonly Pin[]) => planCuts(request(wanted, BENCH.stock!, { pins, tries: 1 }));
  const free = cutAll([]);
  const whereOf = (plan: CutsPlan, blank: Wanted) =>
    [...plan.lengths, ...plan.sheets].find((each) =>
      ("cuts" in each ? each.cuts : each.placed).some((one) => blankId(one.wanted) === blankId(blank)),
    )!;

  test("every blank of the demo's pieces has an id of its own", () => {
    const all = wantedOf(
      DEMO_PIECES.map((piece) => ({ id: piece.id, count: 2, copies: piece.copies ?? 1, cuts: planPiece(piece, BENCH).cuts })),
    );
    expect(new Set(all.map(blankId)).size).toBe(all.length);
  });

  test("each can be pinned where it lies, and then lies there whatever else is pinned", () => {
    const pins = [...free.lengths, ...free.sheets].flatMap(({ stock, item, form, ...each }) =>
      ("cuts" in each ? each.cuts : each.placed).map((one): Pin => ({
        ...{ blank: blankId(one.wanted), from: stock?.id ?? form, item },
        at: "x" in one ? { x: one.x, y: one.y, turn: one.turn } : null,
      })),
    );
    const pinned = cutAll(pins);
    expect(pinned.notThere).toEqual([]);
    const told = (plan: CutsPlan) =>
      [...plan.lengths, ...plan.sheets]
        .flatMap(({ stock, item, ...each }) =>
          ("cuts" in each ? each.cuts : each.placed).map((one) => `${blankId(one.wanted)} ${stock?.id} ${item}`),
        )
        .sort();
    expect(told(pinned)).toEqual(told(free));
    for (const sheet of pinned.sheets)
      for (const { wanted: blank, x, y, turn, isPinned } of sheet.placed) {
        const before = free.sheets.flatMap(({ placed }) => placed).find((each) => each.wanted === blank)!;
        expect(isPinned).toBe(true);
        expect([x, y, turn]).toEqual([expect.closeTo(before.x, 3), expect.closeTo(before.y, 3), before.turn]);
      }
    expect(pinned.lengths.flatMap(({ cuts }) => cuts).every(({ isPinned }) => isPinned)).toBe(true);
  });

  test("one is pinned to another length, the rest is laid round it; what cannot be is told and laid elsewhere", () => {
    const bezel = wanted.find(({ piece, cut }) => piece === "tern-ring" && cut.stock.form === "strip")!;
    const from = whereOf(free, bezel).stock!.id;
    const other = BENCH.stock!.find((item) => item.id !== from && noMatch(formOf(bezel), formOfStock(item)) === null)!;
    const pin: Pin = { blank: blankId(bezel), from: other.id, item: 1, at: null };
    const moved = cutAll([pin]);
    expect(whereOf(moved, bezel).stock!.id).toBe(other.id);
    expect(moved.notThere).toEqual([]);
    for (const wrong of [
      { ...pin, from: "no-such" },
      { ...pin, item: other.count + 1 },
      { ...pin, from: "sheet" },
    ]) {
      const plan = cutAll([wrong]);
      expect(plan.notThere).toEqual([bezel]);
      expect(whereOf(plan, bezel).stock!.id).toBe(from);
    }
    expect(cutAll([{ ...pin, blank: "no such blank" }])).toEqual(free);
    expect(cutAll([{ ...pin, from }, pin])).toEqual(moved);
  });

  test("what is bought for a pinned blank keeps its number and its form, and is ordered once", () => {
    const [a, b] = [wantedLength(40), { ...wantedLength(50), copy: 2 }];
    const form = { metal: "sterling", stock: roundWire(1) } as const;
    const long = { ...wantedLength(280), copy: 3 };
    const pins: readonly Pin[] = [{ blank: blankId(b), from: form, item: 2, at: null }];
    const plan = planCuts(request([a, b, long], [wire(200)], { pins }));
    expect(plan.lengths.map(({ stock, item, cuts }) => [stock, item, cuts.map(({ length }) => length)])).toEqual([
      [null, 2, [50, 40]],
      [null, 1, [280]],
    ]);
    expect(plan.order).toMatchObject([{ count: 2, length: 300 }]);
    const tooLong = planCuts(
      request([a, b], [wire(80), wire(95)], {
        pins: [
          { blank: blankId(a), from: "wire-80", item: 1, at: null },
          { blank: blankId(b), from: "wire-80", item: 1, at: null },
        ],
      }),
    );
    expect(tooLong.notThere).toEqual([b]);
    expect(tooLong.lengths.map(({ stock, cuts }) => [stock?.id, cuts.map(({ isPinned }) => isPinned)])).toEqual([
      ["wire-80", [true]],
      ["wire-95", [false]],
    ]);
  });
});

test("a cost is the sum of its terms; spoil is shared by mass; what has no price is named, and counts nothing", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 5, noNaN: true }), fc.double({ min: 1, max: 90, noNaN: true }), (gram, hour) => {
      const wanted = [wantedLength(40), { ...wantedLength(60), piece: "b" }];
      const plan = planCuts(request(wanted, [wire(120)]));
      const inputs = { solder: 0.02, stones: [4, null], hours: 1.5 };
      const prices = { hour, metals: { sterling: gram } };
      const [a, b] = ["a", "b"].map((piece) => pieceCost(plan, piece, inputs, prices));
      const { drawn, blanks } = plan.metals[0]!;
      expect(a!.value).toBeCloseTo(drawn * 0.4 * gram + 4 + 1.5 * hour, 9);
      expect(a!.value + b!.value).toBeCloseTo(drawn * gram + 8 + 3 * hour, 9);
      expect(a!.terms.map(({ of, value }) => [of, value])).toEqual([
        ["metal", expect.closeTo(blanks * 0.4 * gram, 9)],
        ["spoil", expect.closeTo((drawn - blanks) * 0.4 * gram, 9)],
        ["stones", 4],
        ["hours", expect.closeTo(1.5 * hour, 9)],
      ]);
      expect(a!.unknown.map(({ of }) => of)).toEqual(["solder", "stones"]);
    }),
    { numRuns: runs(50) },
  );
});

test("solder, stones and hours of a piece, for so many of it", () => {
  const { piece, plan } = PLANNED[2]!;
  const one = costInputsOf(piece, plan, 1);
  const three = costInputsOf(piece, plan, 3);
  expect(one.stones).toEqual([null, null]);
  expect(three.stones).toHaveLength(6);
  expect(one.solder).toBeGreaterThan(0.002);
  expect(one.solder).toBeLessThan(0.2);
  expect(three.solder).toBeCloseTo(3 * one.solder, 9);
  expect(three.hours).toBeCloseTo(3 * one.hours!, 9);
});

describe("once everything is cut", () => {
  const sheet: StockItem = { id: "sheet", form: "sheet", metal: "sterling", thickness: 0.6, length: 60, width: 40, count: 2, note: "old" };

  test("useful ends lie in their places, shorter ones and kerfs are scrap; what was bought leaves its ends too", () => {
    const stock = [wire(120), wire(60, { count: 2 }), sheet];
    const plan = planCuts(
      request([wantedLength(59.9), wantedLength(59.1), wantedLength(59.2), wantedLength(299), wantedSheet(20, 39)], stock),
    );
    const after = drawerAfter(stock, [{ metal: "copper", grams: 1 }], plan);
    expect(after.stock.map(({ id, length, count }) => [id, length, count])).toEqual([
      ["wire-120-end2", 60.62, 1],
      ["sheet", 60, 1],
      ["sheet-end2", 39.72, 1],
    ]);
    const { drawn, spoiled } = plan.metals[0]!;
    expect(after.scrap).toEqual([
      { metal: "copper", grams: 1 },
      { metal: "sterling", grams: expect.closeTo(spoiled, 3) as number },
    ]);
    expect(drawn).toBeGreaterThan(spoiled);
  });

  test("metal is neither won nor lost: what lay there and was bought is what lies there, the blanks and the scrap", () => {
    const weigh = (stock: readonly StockItem[]) =>
      stock.reduce(
        (sum, item) => sum + item.count * massOf(item.metal, item.form === "sheet" ? sheetVolume(item) : (item.length * Math.PI) / 4),
        0,
      );
    const sheetVolume = ({ length, width, taken = [], thickness }: StockItem) =>
      (length * width! - taken.reduce((sum, each) => sum + Math.abs(polygonArea(each)), 0)) * thickness;
    const lengths = fc.array(fc.double({ min: 5, max: 90, noNaN: true }), { minLength: 1, maxLength: 6 });
    const sides = fc.array(fc.tuple(fc.double({ min: 5, max: 18, noNaN: true }), fc.double({ min: 5, max: 18, noNaN: true })), {
      maxLength: 4,
    });
    const hole = {
      ...sheet,
      count: 1,
      taken: [
        [
          [45, 10],
          [55, 10],
          [55, 30],
          [45, 30],
        ],
      ] as const,
    };
    fc.assert(
      fc.property(lengths, sides, (long, flat) => {
        const stock = [wire(120), wire(95), hole];
        const plan = planCuts(request([...long.map((length) => wantedLength(length)), ...flat.map(([a, b]) => wantedSheet(a, b))], stock));
        const after = drawerAfter(stock, [], plan);
        const bought = plan.order.reduce((sum, { mass }) => sum + mass, 0);
        const blanks = plan.metals.reduce((sum, each) => sum + each.blanks, 0);
        const scrap = after.scrap.reduce((sum, { grams }) => sum + grams, 0);
        expect(weigh(stock) + bought).toBeCloseTo(weigh(after.stock) + blanks + scrap, 1.5);
        expect(new Set(after.stock.map(({ id }) => id)).size).toBe(after.stock.length);
      }),
      { numRuns: runs(60) },
    );
  });
});
