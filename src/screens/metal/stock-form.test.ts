import { METALS } from "@/core/metal/metals";
import { type StockItem } from "@/core/metal/stock";
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

test.each([strip, tube, leaf])("what lies there, opened and saved with nothing typed, is as it was, in mm and in inches: $form", (item) => {
  const { id: _id, ...own } = item;
  for (const units of [METRIC, INCH]) expect(readStock(typedOf(item, units), item, units)).toEqual({ ok: true, item: own });
});

test("what is typed takes the place of what was; a least that is emptied is gone, and what is not asked stays", () => {
  const typed = typedOf(strip, METRIC);
  const read = readStock({ ...typed, texts: { ...typed.texts, length: "99.5", least: " ", count: "1" } }, strip, METRIC);
  expect(read.ok && read.item).toEqual({ form: "strip", metal: "fine-silver", width: 3.2, thickness: 0.3234, length: 99.5, count: 1, coil: true, note: "good" }); // prettier-ignore
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
  expect(sidesAsked({ form: "wire", section: "round" }, null)).toEqual(["thickness", "length"]);
  expect(sidesAsked({ form: "wire", section: "oval" }, null)).toEqual(["width", "thickness", "length"]);
  expect(sidesAsked({ form: "sheet", section: "round" }, leaf)).toEqual(["thickness"]);
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
