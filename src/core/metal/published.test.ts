import { danger, solderFlames } from "../heats/thermal";
import { METALS, massOf } from "./metals";
import { SHIPPED_SHELVES } from "./shelf";

test("metals have their published density, melting range, heat capacity, and those fuse that can", () => {
  const table = Object.entries(METALS).map(([name, { density, solidus, liquidus, heatCapacity, fuses }]) => [
    name,
    density,
    solidus,
    liquidus,
    heatCapacity,
    fuses,
  ]);
  expect(table).toEqual([
    ["fine-silver", 10.49, 962, 962, 0.235, true],
    ["sterling", 10.36, 802, 893, 0.245, false],
    ["sterling-935", 10.3, 766, 877, 0.245, true],
    ["copper", 8.96, 1085, 1085, 0.385, false],
    ["brass", 8.47, 905, 930, 0.38, false],
  ]);
  expect(massOf("sterling", 1000)).toBeCloseTo(10.36, 12);
});

test("the shelves that ship have their published grades, in 0.25 sheet", () => {
  const rows = SHIPPED_SHELVES.flatMap(({ id, grades }) => grades.map((grade) => [id, grade.id, grade.rank, grade.gives, grade.runs]));
  expect(rows).toEqual([
    ["typical", "hard", 1, 740, 787],
    ["typical", "medium", 2, 690, 738],
    ["typical", "easy", 3, 671, 718],
    ["typical", "extra-easy", 4, 618, 652],
    ["narrow", "hard", 1, 745, 778],
    ["narrow", "medium", 2, 720, 765],
    ["narrow", "easy", 3, 705, 723],
    ["narrow", "extra-easy", 4, 667, 709],
  ]);
  for (const { grades } of SHIPPED_SHELVES) for (const { forms } of grades) expect(forms).toEqual([{ type: "sheet", thickness: 0.25 }]);
});

test("each metal melts exactly at its solidus and is at risk within five degrees of it", () => {
  for (const [metal, { solidus }] of Object.entries(METALS)) {
    const at = (working: number) => danger(working, metal as keyof typeof METALS);
    expect([at(solidus - 5), at(solidus - 4.9), at(solidus - 0.1), at(solidus)]).toEqual([null, "at-risk", "at-risk", "melts"]);
  }
  expect(solderFlames(SHIPPED_SHELVES[0]!, 12).map(({ id, working }) => `${id} ${working}`)).toEqual([
    "hard 799",
    "medium 750",
    "easy 730",
    "extra-easy 664",
  ]);
});
