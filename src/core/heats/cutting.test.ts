import { SHIPPED_SHELVES } from "../metal/shelf";
import { cuttingList } from "./cutting";
import { overlapsOf } from "./overlaps";
import { type Pallions } from "./solder";

const sheet = (count: number, side: number): Pallions => ({
  form: "sheet",
  count,
  size: [side, side, 0.25],
  spacing: null,
  rows: 1,
  evenGap: null,
});
const wire = (length: number): Pallions => ({ form: "wire", count: 1, size: [length, 0.5, 0.5], spacing: null, rows: 1, evenGap: null });
const paste = (count: number): Pallions => ({ form: "paste", count, size: [1, 1, 1], spacing: null, rows: 1, evenGap: null });

test("solder is cut by grade and size, with a quarter spare: strips so wide, so many snips", () => {
  const heats = [
    { joints: ["a", "b"], grade: "hard", solder: [sheet(1, 0.7), sheet(2, 1)] },
    { joints: ["c"], grade: "hard", solder: [sheet(4, 1)] },
    { joints: ["d", "e"], grade: "easy", solder: [wire(4), paste(3)] },
    { joints: ["f"], grade: "easy", solder: [wire(2)] },
    { joints: ["g"], grade: "fuse", solder: [] },
  ];
  const list = cuttingList(heats);
  expect(list.map(({ grade, form, width, count, spare, joints }) => [grade, form, width, count, spare, joints.join()])).toEqual([
    ["hard", "sheet", 0.7, 1, 1, "a"],
    ["hard", "sheet", 1, 6, 2, "b,c"],
    ["easy", "wire", 0.5, 0, 0, "d,f"],
    ["easy", "paste", 1, 3, 1, "e"],
  ]);
  expect(list.map(({ length }) => length)).toEqual([expect.closeTo(1.4, 9), 8, 7.5, 4]);
  const [first, second, third] = cuttingList(heats, 2);
  expect([first!.count, second!.count, second!.spare, third!.length]).toEqual([2, 12, 3, 15]);
});

test("a grade's heat against joints of the next harder one: it holds by so much, softens or runs it", () => {
  const [typical, narrow] = SHIPPED_SHELVES;
  expect(overlapsOf(typical!, 10).map(({ harder, softer, what, spare }) => `${softer} ${what} ${harder} ${spare}`)).toEqual([
    "medium holds hard 32",
    "easy holds medium 2",
    "extra-easy holds easy 49",
  ]);
  expect(overlapsOf(narrow!, 13)[0]).toEqual({ harder: "hard", softer: "medium", what: "runs", spare: 0 });
  expect(overlapsOf(typical!, 13)[1]).toEqual({ harder: "medium", softer: "easy", what: "softens", spare: -1 });
});
