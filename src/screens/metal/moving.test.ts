import { DEMO_BENCH as BENCH } from "@demo/bench";
import { DEMO_PIECES } from "@demo/pieces";
import { type Pin } from "@/core/cutting/pin";
import { type CutsPlan, planCuts } from "@/core/cutting/plan-cuts";
import { wantedOf } from "@/core/cutting/wanted";
import { SHIPPED } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { cutChoicesFrom } from "./cut-choices";
import { type BlankBox, type DrawerLayout, isSheetBox, layoutOf } from "./drawer-layout";
import { type Move, dragged, nudged, onNext, pinHere, turned, withPin } from "./moving";

const stock = BENCH.stock!;
const wanted = wantedOf(
  ["tern-ring", "limpet-pendant"].map((id) => {
    const piece = DEMO_PIECES.find((each) => each.id === id)!;
    return { id, count: 1, copies: 1, cuts: planPiece(piece, BENCH).cuts };
  }),
);
const laidWith = (pins: readonly Pin[]): CutsPlan =>
  planCuts({ wanted, stock, pins, bought: SHIPPED.bought, useful: SHIPPED.useful, kerf: 0.28, way: "spoil", tries: 1 });
const free = laidWith([]);
const layout = layoutOf(free, stock, 900);
const blankOf = (piece: string, isOnSheet: boolean, of: DrawerLayout = layout): BlankBox =>
  of.blanks.find((each) => each.wanted.piece === piece && isSheetBox(each.on) === isOnSheet && each.wanted.cut.stock.form !== "wire")!;
const middleOf = ({ box }: BlankBox): readonly [number, number] => [box.left + box.width / 2, box.top + box.height / 2];
/** The same blank once its move is laid. */
const after = (blank: BlankBox, move: Move) => {
  if (move === null || "why" in move) throw new Error("nothing was moved");
  return layoutOf(laidWith([move]), stock, 900).blanks.find(({ id }) => id === blank.id)!;
};

test("a plate that is dragged lies where it is let go, in millimetres of the picture's scale", () => {
  const plate = blankOf("tern-ring", true);
  const [x, y] = middleOf(plate);
  const moved = after(plate, dragged(layout, plate, [70, -14], [x + 70, y - 14]));
  expect(moved.isPinned).toBe(true);
  expect(moved.on.form).toEqual(plate.on.form);
  expect(moved.at!.x - plate.at!.x).toBeCloseTo(70 / layout.perMm, 6);
  expect(moved.at!.y - plate.at!.y).toBeCloseTo(14 / layout.perMm, 6);
  expect(dragged(layout, plate, [0, 900], [x, 900])).toBeNull();
});

test("a turn is about a blank's middle, back and forth; an arrow moves it by a millimetre", () => {
  const plate = blankOf("tern-ring", true);
  const there = turned(layout, plate, 90) as Pin;
  expect(there.at!.turn).toBe((plate.at!.turn + 90) % 360);
  const spun = { ...plate, at: there.at };
  const back = turned(layout, spun, -90) as Pin;
  expect(back.at).toEqual({
    x: expect.closeTo(plate.at!.x, 9) as number,
    y: expect.closeTo(plate.at!.y, 9) as number,
    turn: plate.at!.turn,
  });
  const [across, up] = [plate.at!.x, plate.at!.y];
  expect((nudged(plate, [1, -0.1]) as Pin).at).toEqual({ ...plate.at, x: across + 1, y: up - 0.1 });
  const outside = middleOf(after({ ...plate }, turned(layout, plate, 30)));
  const before = middleOf(plate);
  expect(Math.hypot(outside[0] - before[0], outside[1] - before[1])).toBeLessThan(60);
});

test("a bezel goes to the next length that is its own, and is told where it cannot be cut", () => {
  const bezel = blankOf("tern-ring", false);
  const next = onNext(layout, bezel, 1);
  const moved = after(bezel, next);
  expect(moved.on.from).not.toEqual(bezel.on.from);
  expect(moved.on.form.metal).toBe(bezel.on.form.metal);
  expect(moved.isPinned).toBe(true);
  const sheet = layout.sheets[0]!;
  expect(dragged(layout, bezel, [0, 0], [sheet.x + 5, sheet.foot - 5])).toEqual({ why: "form" });
  const wrong = layout.lengths.find(({ form }) => form.stock.form === "wire")!;
  expect(dragged(layout, bezel, [0, 0], [wrong.left + 5, wrong.y + 5])).toEqual({ why: "form" });
  const row = layout.lengths.find((each) => each === bezel.on)!;
  expect(dragged(layout, bezel, [9, 0], [row.left + 20, row.y + 5])).toBeNull();
});

test("nothing changes its row when a blank is moved: things lie as in the drawer, what is bought after them", () => {
  const ids = (of: DrawerLayout) => of.lengths.map(({ from }) => (typeof from.from === "string" ? from.from : "bought"));
  const bezel = blankOf("tern-ring", false);
  const moved = layoutOf(laidWith([onNext(layout, bezel, 1) as Pin]), stock, 900);
  const inHand = stock.filter(({ form }) => form !== "sheet").map(({ id }) => id);
  expect(ids(layout).filter((id) => id !== "bought")).toEqual(inHand);
  expect(ids(moved)).toEqual(ids(layout));
  expect(ids(layout).at(-1)).toBe("bought");
});

test("what lies on the only sheet of its kind is told so; a blank has one pin, its last", () => {
  const alone = layoutOf(
    planCuts({ ...{ wanted, stock: [], bought: SHIPPED.bought, useful: SHIPPED.useful }, kerf: 0.28, way: "spoil" }),
    [],
    900,
  );
  const plate = blankOf("tern-ring", true, alone);
  expect(typeof plate.on.from.from).toBe("object");
  expect(onNext(alone, plate, 1)).toEqual({ why: "only" });
  const here = pinHere(plate);
  const there = nudged(plate, [2, 0]) as Pin;
  expect(withPin(withPin([], here), there)).toEqual([there]);
});

test("choices are read as they were kept, also of what is bought; what cannot be read is left out", () => {
  expect(cutChoicesFrom(null)).toEqual({ way: "spoil", pins: [] });
  const pins = layout.blanks.map(pinHere);
  expect(cutChoicesFrom(JSON.stringify({ way: "fewest", pins }))).toEqual({ way: "fewest", pins });
  const [first] = pins;
  const ofTin = { metal: "tin", stock: { form: "sheet", thickness: 1 } };
  const ofNoWidth = { metal: "copper", stock: { form: "strip", thickness: 1 } };
  for (const wrong of [{ ...first, item: 0 }, { ...first, from: ofTin }, { ...first, from: ofNoWidth }, { ...first, at: { x: 1 } }, 7])
    expect(cutChoicesFrom(JSON.stringify({ way: "gold", pins: [wrong, first] }))).toEqual({ way: "spoil", pins: [first] });
  for (const text of ["{", "3", "null"]) expect(cutChoicesFrom(text)).toEqual({ way: "spoil", pins: [] });
});
