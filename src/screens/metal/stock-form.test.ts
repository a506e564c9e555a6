import { METALS } from "@/core/metal/metals";
import { type StockItem } from "@/core/metal/stock";
import { readCorners } from "@/formats/corners";
import { stockFormText } from "@/words/screens/metal";
import { METRIC, type Units } from "@/words/show";
import { readStock, sidesAsked, typedOf, typedWeight } from "./stock-form";

const INCH: Units = { length: "inch", temperature: "F" };
const strip: StockItem = {
  ...{ id: "s", form: "strip", metal: "fine-silver", width: 3.2, thickness: 0.3234, length: 212.0049, count: 2, least: 50, coil: true },
  note: "good",
};
const tube: StockItem = { id: "t", form: "tube", metal: "sterling", outside: 6.8, inside: 5, thickness: 0.9, length: 40, count: 1 };
const leaf: StockItem = {
  ...{ id: "l", form: "sheet", metal: "copper", width: 20, thickness: 0.7, length: 30, count: 1 },
  outline: [[0, 0], [30, 0], [0, 20]], // prettier-ignore
};
const holed: StockItem = {
  ...{ id: "h", form: "sheet", metal: "copper", width: 20.0049, thickness: 0.7, length: 30.0049, count: 1 },
  taken: [[[1.0049, 1], [9, 1], [1, 9]]], // prettier-ignore
};

test.each([strip, tube, leaf, holed])(
  "what lies there, opened and saved with nothing typed, is as it was, in mm and in inches: $form",
  (item) => {
    const { id: _id, ...own } = item;
    for (const units of [METRIC, INCH]) expect(readStock(typedOf(item, units), item, units)).toEqual({ ok: true, item: own });
  },
);

test("what is typed takes the place of what was; a least that is emptied is gone, and what is not asked stays", () => {
  const typed = typedOf(strip, METRIC);
  const read = readStock({ ...typed, texts: { ...typed.texts, length: "99.5", least: " ", count: "1" } }, strip, METRIC);
  expect(read.ok && read.item).toEqual({ form: "strip", metal: "fine-silver", width: 3.2, thickness: 0.3234, length: 99.5, count: 1, coil: true, note: "good" }); // prettier-ignore
});

test("a sheet by its corners, in mm and in inches; a rectangle again once they are emptied, or no sheet", () => {
  const corners = (text: string, units = METRIC, item: StockItem | null = null) => {
    const typed = typedOf(item, units);
    return readStock({ ...typed, form: "sheet", texts: { ...typed.texts, thickness: "0.6mm", corners: text } }, item, units);
  };
  const sheet = { form: "sheet", metal: "sterling", thickness: 0.6, count: 1 };
  const outline = [[0, 0], [50, 0], [0, 20]]; // prettier-ignore
  expect(corners("1 1\n51 1\n1 21")).toEqual({ ok: true, item: { ...sheet, length: 50, width: 20, outline } });
  expect(corners("0 0\n1 0\n0 1/2", INCH)).toMatchObject({ ok: true, item: { length: 25.4, width: 12.7 } });
  expect(corners("0 0\n9")).toEqual({ ok: false, problem: 'Corners, line 2: "9" is no corner: type two lengths, e.g. 60 0' });
  expect(corners("0 0\n9", INCH)).toMatchObject({ problem: expect.stringMatching(/e\.g\. 2 3\/8, 0$/) as string });
  for (const units of [METRIC, INCH]) {
    const [, typed = ""] = /\): (.+?)\. After/.exec(stockFormText.cornersHow(units)) ?? [];
    const [, round = ""] = / or (round .+?) by/.exec(stockFormText.cornersHow(units)) ?? [];
    expect([readCorners(typed, units.length).ok, readCorners(round, units.length).ok]).toEqual([true, true]);
  }
  expect(corners("0 0\n9 0\n0 9\n\nround 4, 8 8")).toMatchObject({
    problem: expect.stringMatching(/^Corners of hole 1: it lies outside/) as string,
  });
  const bare = typedOf(leaf, METRIC);
  const again = readStock({ ...bare, texts: { ...bare.texts, corners: "", length: "30", width: "20" } }, leaf, METRIC);
  expect(again.ok && again.item).not.toHaveProperty("outline");
  const strap = readStock({ ...bare, form: "strip", texts: { ...bare.texts, length: "30", width: "2" } }, leaf, METRIC);
  expect(strap.ok && strap.item).toEqual({ form: "strip", metal: "copper", thickness: 0.7, count: 1, length: 30, width: 2 });
});

test("what is wrong is told by its label", () => {
  const told = (texts: object, item: StockItem | null = strip) => {
    const typed = typedOf(item, METRIC);
    const read = readStock({ ...typed, texts: { ...typed.texts, ...texts } }, item, METRIC);
    return read.ok ? null : read.problem.split(":")[0];
  };
  expect([
    told({ width: "0" }),
    told({ length: "long" }),
    told({ count: "1.5" }),
    told({ least: "much" }),
    told({ inside: "7" }, tube),
  ]).toEqual(["Width", "Length", "How many", "Keep at least", "Inside"]);
  expect(told({}, null)).toBe("Width");
});

test("a round wire is asked no width, a sheet with an outline only its thickness", () => {
  const asked = (form: StockItem["form"], section: NonNullable<StockItem["section"]>) =>
    sidesAsked({ ...typedOf(null, METRIC), form, section });
  expect(asked("wire", "round")).toEqual(["thickness", "length"]);
  expect(asked("wire", "oval")).toEqual(["width", "thickness", "length"]);
  expect(asked("sheet", "round")).toEqual(["length", "width", "thickness"]);
  expect(sidesAsked(typedOf(leaf, METRIC))).toEqual(["thickness"]);
});

test("grams give the length by section and metal; nothing where a size is wanting, none are typed, or it is a sheet", () => {
  const weighing = (item: StockItem | null, grams: string, more: object = {}) => {
    const typed = typedOf(item, METRIC);
    return typedWeight({ ...typed, texts: { ...typed.texts, grams, ...more } }, item, METRIC);
  };
  expect(weighing(strip, "1")).toBeCloseTo(1000 / (METALS["fine-silver"].density * 3.2 * 0.3234), 9);
  expect(weighing(tube, "2", { length: "" })).toBeCloseTo(2000 / (METALS.sterling.density * (Math.PI / 4) * (6.8 ** 2 - 5 ** 2)), 9);
  expect([
    weighing(strip, ""),
    weighing(strip, "-1"),
    weighing(strip, "1", { width: "" }),
    weighing(leaf, "5"),
    weighing(null, "1"),
  ]).toEqual([null, null, null, null, null]);
});
