import { SHIPPED_BENCH } from "./bench";
import { type Readings } from "./measured";
import { type HoopEntry, type Piece } from "./piece";
import { planPiece } from "./plan-piece";
import ternFile from "./reference/tern-ring.piece.json";

const tern = ternFile as unknown as Piece;
const hoop = tern.carrier as HoopEntry;
const planned = (readings: Readings, piece: Piece = tern) => planPiece(piece, SHIPPED_BENCH, readings);
const value = (plan: ReturnType<typeof planned>, key: string) => plan.figures[key]!.value;
const asked = (figure: string, at: number, piece?: Piece) => planned([{ figure, value: at }], piece).remedies;
const plain = planned([]);
const near = (mm: number) => expect.closeTo(mm, 9) as number;

test("a closed wall as it was read becomes the wall that all after it is planned from; what is under it follows its fit", () => {
  const net = value(plain, "m1.wall.netLength");
  const after = planned([{ figure: "m1.wall.netLength", value: net - 0.3 }]);
  expect(value(after, "m1.wall.netLength")).toBeCloseTo(net - 0.3, 6);
  expect(after.figures["m1.plate.length"]!.terms.find(({ label }) => label === "fit")).toMatchObject({
    value: near(2 * (0.05 - 0.3 / (2 * Math.PI))),
    from: "measured",
  });
  expect(value(after, "m1.plate.length")).toBeCloseTo(value(plain, "m1.plate.length") - 0.3 / Math.PI, 9);
  expect(
    planned([
      { figure: "m1.wall.netLength", value: net - 0.3 },
      { figure: "m1.wall.netLength", value: net },
    ]).remedies,
  ).toEqual([]);
});

test("a wall too long is cut out, a little short is stretched, too short is told, and where it was wanted is good", () => {
  const [net, low, high] = ["netLength", "windowLow", "windowHigh"].map((name) => value(plain, `m1.wall.${name}`)) as [
    number,
    number,
    number,
  ];
  const at = (mm: number) => asked("m1.wall.netLength", mm);
  expect(at(high + 1e-6)).toMatchObject([{ code: "wall.cut-out", mount: "m1", values: { by: near(high + 1e-6 - net) } }]);
  expect([at(high), at(net - 0.05 + 1e-9)]).toEqual([[], []]);
  expect(at(net - 0.051)).toMatchObject([{ code: "wall.stretch", level: "note", values: { by: near(net / (net - 0.051) - 1), to: net } }]);
  expect(at(low)).toMatchObject([{ code: "wall.stretch" }]);
  expect(at(low - 1e-6)).toMatchObject([{ code: "wall.too-short", level: "error", values: { by: near(net - low + 1e-6) } }]);
});

test("a wall that stands too high is taken down; one that no longer holds says by how much", () => {
  const [net, lip] = [value(plain, "m1.wall.netHeight"), value(plain, "m1.wall.lip")];
  const holds = 1.9 + 0.6 * lip;
  const at = (mm: number) => asked("m1.wall.netHeight", mm);
  expect(at(net + 0.06)).toMatchObject([{ code: "wall.take-down", values: { by: near(0.06) } }]);
  expect([at(net + 0.05 - 1e-9), at(holds + 1e-9)]).toEqual([[], []]);
  expect(at(holds - 0.1)).toMatchObject([{ code: "wall.too-low-now", values: { by: near(0.1) } }]);
});

test("a blank as it was cut says the size it comes to, in closed form", () => {
  const cut = value(plain, "hoop.cutLength");
  const [remedy] = asked("hoop.cutLength", cut - 1);
  expect(remedy).toMatchObject({ code: "hoop.will-come", figure: "hoop.cutLength", mount: null, values: { size: "53.0" } });
  expect(remedy!.values.inside).toBeCloseTo(54 / Math.PI - 1 / Math.PI, 6);
  const open = { ...tern, carrier: { ...hoop, form: "open" as const } };
  const [its] = asked("hoop.cutLength", value(planned([], open), "hoop.cutLength"), open);
  expect(its!.values.inside).toBeCloseTo(54 / Math.PI, 6);
});

test("a hoop that came out small is stretched, with what is left of it, and past a size that is wrong; a large one is cut out", () => {
  const wanted = value(plain, "hoop.insideDiameter");
  const e = value(plain, "hoop.fibre");
  const at = (mm: number) => asked("hoop.insideDiameter", mm);
  expect([at(wanted - 0.05 + 1e-9), at(wanted + 0.05 - 1e-9)]).toEqual([[], []]);
  expect(at(wanted - 0.4)).toMatchObject([
    {
      code: "hoop.stretch",
      level: "warning",
      values: { from: near(wanted - 0.4), left: near((1.6 * (wanted - 0.4 + 2 * e)) / (wanted + 2 * e)) },
    },
  ]);
  expect([at(wanted - 0.8127), at(wanted - 0.8129)].map(([remedy]) => remedy!.level)).toEqual(["warning", "error"]);
  expect(at(wanted + 0.2)).toMatchObject([{ code: "hoop.cut-out", values: { by: near(0.2 * Math.PI) } }]);
});

test("a reading that no wall round this stone can have leaves the plan as it was, and says so", () => {
  const after = planned([{ figure: "m1.wall.netLength", value: 1 }]);
  expect(value(after, "m1.plate.length")).toBe(value(plain, "m1.plate.length"));
  expect(after.remedies).toMatchObject([{ code: "wall.too-short" }]);
});
