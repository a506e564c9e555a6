import { SHIPPED_SHELVES } from "@/core/metal/shelf";
import { readForms, readShelvesCsv, shelvesCsv } from "./shelves-csv";

test("shelves come back out of their table as they went in, whatever the order of its columns", () => {
  const shelves = [
    ...SHIPPED_SHELVES,
    { id: "mine", grades: [{ id: "paste", rank: 9, gives: 600.5, runs: 640, forms: [{ type: "paste" as const }] }] },
  ];
  const text = shelvesCsv(shelves);
  expect(text.split("\n")[1]).toBe("typical,hard,1,740,787,sheet 0.25");
  expect(readShelvesCsv(text)).toEqual({ ok: true, shelves });
  expect(readShelvesCsv("runs at C,grade,shelf,Rank,gives at c\n700,soft,a,1,650\n")).toEqual({
    ok: true,
    shelves: [{ id: "a", grades: [{ id: "soft", rank: 1, gives: 650, runs: 700 }] }],
  });
  expect(readShelvesCsv("shelf,grade,rank,gives at C,runs at C\nÉtagère 2,Extra easy,1,650,700\n")).toMatchObject({
    shelves: [{ id: "etagere-2", grades: [{ id: "extra-easy" }] }],
  });
});

test("what cannot be read is told by its line and column", () => {
  const head = "shelf,grade,rank,gives at C,runs at C,in hand\n";
  const read = (line: string) => readShelvesCsv(head + line);
  expect(read("a,soft,1,650,hot,")).toMatchObject({ ok: false, line: 2, column: "runs at C", got: "hot" });
  expect(read("a,soft,1,,700,")).toMatchObject({ ok: false, line: 2, column: "gives at C" });
  expect(read("a,,1,650,700,")).toMatchObject({ ok: false, line: 2, column: "grade" });
  expect(read("7,soft,1,650,700,")).toMatchObject({ ok: false, line: 2, column: "shelf" });
  expect(read("a,soft,1,650,700,\nb,soft,1,650,700,\nA,Soft,2,640,690,")).toMatchObject({
    ok: false,
    line: 4,
    column: "grade",
    got: "Soft",
    isTwice: true,
  });
  expect(read("a,soft,1,650,700,\na,b,1,1,1,brick 3")).toMatchObject({
    ok: false,
    line: 3,
    column: "in hand",
    got: "brick 3",
    isTwice: false,
  });
  expect(readShelvesCsv("shelf,grade,rank,gives at C\n")).toMatchObject({ ok: false, line: 1, column: "runs at C" });
  expect(readShelvesCsv(head)).toMatchObject({ ok: false, line: 2, column: "shelf" });
});

test("what is in hand is read by its words and thicknesses", () => {
  const mm = (text: string) => (Number.isFinite(Number(text)) ? Number(text) : null);
  expect(readForms("Sheet 0.25, wire 0.5; paste", mm)).toEqual([
    { type: "sheet", thickness: 0.25 },
    { type: "wire", thickness: 0.5 },
    { type: "paste" },
  ]);
  expect([readForms("sheet thick", mm), readForms("rod 1", mm), readForms("wire 0", mm)]).toEqual([null, null, null]);
  expect(readForms(" ", mm)).toEqual([]);
});

test("a table longer than any bench's shelves is refused by its lines before it is read, however they end", () => {
  const head = "shelf,grade,rank,gives at C,runs at C,in hand";
  const table = (lines: number, end = "\n") =>
    [head, ...Array.from({ length: lines - 1 }, (_, i) => `s${i % 20},g${i},1,700,740,`)].join(end);
  expect(readShelvesCsv(table(242))).toEqual({ ok: false, tooMany: 242, limit: 241 });
  expect(readShelvesCsv(`${table(100_000, "\r\n")}\r\n`)).toEqual({ ok: false, tooMany: 100_000, limit: 241 });
  expect(readShelvesCsv(table(242, "\r"))).toMatchObject({ tooMany: 242 });
  expect(readShelvesCsv(table(241)).ok).toBe(true);
});
