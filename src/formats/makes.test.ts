import { csvFormatRows, csvParseRows } from "d3-dsv";
import { runs } from "@/runs.testing";
import fc from "fast-check";
import { demoMakes } from "@demo/makes";
import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { learnedFrom } from "@/core/piece/ledger";
import { type Make } from "@/core/piece/make";
import { planPiece } from "@/core/piece/plan-piece";
import { makeFromJson } from "./make-codec";
import { isMakesCsv, makesCsv, readMakesCsv } from "./makes-csv";
import { type Json } from "./read-json";
import { cellsOf, valueOf } from "./flat-table";

test("the workshop's ledger is 24 makes over a year, the same each time, each readable, with two far out and one that came out small", () => {
  const makes = demoMakes();
  expect(makes).toHaveLength(24);
  expect(demoMakes()).toEqual(makes);
  for (const make of makes) expect(makeFromJson(JSON.parse(JSON.stringify(make)) as Json, SHIPPED_BENCH)).toMatchObject({ ok: true });
  expect(learnedFrom(makes).flatMap(({ kind, observed, outliers }) => outliers.map((i) => [kind, observed[i]!.make]))).toEqual([
    ["wall.length", "turnstone-ring-20260512"],
    ["hoop.length", "thrift-ring-20260216"],
  ]);
  expect(makes.flatMap(({ id, remedies }) => remedies.map(({ code }) => [id, code]))).toEqual([["tern-ring-20260108", "hoop.small"]]);
  const steps = new Set(planPiece(demoPiece("tern-ring"), SHIPPED_BENCH).steps.map(({ id }) => id));
  expect(makes.find(({ piece }) => piece === "tern-ring")!.done.every(({ step }) => steps.has(step))).toBe(true);
});

test("a table of makings comes back as it went out, whatever stands in it, and a line that cannot be read keeps no other out", () => {
  const [first, second] = demoMakes() as [Make, Make];
  const strange: Make = {
    ...second,
    id: "strange",
    result: { words: '=1+1, "said", \n"so" \ufeff' },
    notes: "@x",
    taken: [{ at: "1", pieceFile: first.pieceFile }],
  };
  const table = makesCsv([first, strange]);
  expect(isMakesCsv(table)).toBe(true);
  expect(isMakesCsv('{"format":"hoop-ledger/backup"}')).toBe(false);
  expect(table).toContain("'=1+1");
  expect(table).not.toMatch(/[{}[\]]/);
  const read = readMakesCsv(`\ufeff${table}`, SHIPPED_BENCH);
  expect(read).toMatchObject({ ok: true, value: { bench: null, pieces: [], makes: [first, strange], unread: [] } });
  expect(makesCsv(read.ok ? read.value.makes : [])).toBe(table);
  const torn = readMakesCsv(`${table}\n1,2,Torn,,,,,,,,,,so`, SHIPPED_BENCH);
  expect(torn).toMatchObject({ ok: true, value: { makes: [{ id: first.id }, { id: "strange" }], unread: [{ path: "/3", name: "Torn" }] } });
  expect(readMakesCsv("begun,finished,piece\n1,2,3", SHIPPED_BENCH)).toMatchObject({
    ok: false,
    faults: [{ path: "/id", code: "missing" }],
  });
});

test("each reading has a column of its own, in mm or g; what is put right in the table is read so", () => {
  const [make] = demoMakes() as [Make];
  const [first, second] = [16.9, 17.19].map((value, i) => ({ figure: "hoop.insideDiameter", value, at: `t${i}`, by: "mandrel" as const }));
  const weighed = { figure: "piece.mass", value: 3.83, at: "t2", by: "scale" as const, madeUp: true };
  const read: Make = { ...make, measured: [first!, weighed, second!] };
  const [heads = [], row = []] = csvParseRows(makesCsv([read]));
  const at = heads.indexOf("read hoop.insideDiameter 2 mm");
  expect(row[at]).toBe("17.19");
  expect(heads).toContain("read piece.mass g");
  expect(readMakesCsv(csvFormatRows([heads, row.with(at, "17.25")]), SHIPPED_BENCH)).toMatchObject({
    value: { makes: [{ ...read, measured: [first, weighed, { ...second, value: 17.25 }] }] },
  });
});

test("a table of before, with each making whole in its last column, is still read", () => {
  const [make] = demoMakes() as [Make];
  const table = csvFormatRows([
    ["begun", "finished", "piece", "make"],
    ["", "", "x", JSON.stringify(make)],
  ]);
  expect(readMakesCsv(table, SHIPPED_BENCH)).toMatchObject({ ok: true, value: { makes: [make], unread: [] } });
});

test("whatever a value holds, its cells give it again, and none holds another notation", () => {
  const strange = fc.oneof(fc.string(), fc.constantFrom("=1", "'x", "", "#1", "a/b", " (number)", "__proto__", "1"));
  const name = strange.filter((each) => each !== "");
  const { tree } = fc.letrec<{ tree: Json }>((tie) => ({
    tree: fc.oneof(
      { depthSize: "small" },
      strange,
      fc.double({ noNaN: true, noDefaultInfinity: true }).map((n) => n + 0),
      fc.boolean(),
      fc.constant(null),
      fc.array(tie("tree"), { maxLength: 4 }),
      fc.dictionary(name, tie("tree"), { maxKeys: 4 }),
    ),
  }));
  fc.assert(
    fc.property(fc.dictionary(name, tree, { minKeys: 1, maxKeys: 4 }), (value) => {
      const table = csvFormatRows([[...cellsOf(value).keys()], [...cellsOf(value).values()]]);
      const [heads, cells] = csvParseRows(table);
      expect(JSON.stringify(valueOf(heads!.map((head, i) => [head, cells![i]!] as const)))).toBe(JSON.stringify(value));
    }),
    { numRuns: runs(300) },
  );
});

test("cells that contradict each other, leave a gap or go too deep are no value", () => {
  const of = (...cells: [string, string][]) => valueOf(cells);
  expect(of(["a", "x"], ["a/b", "y"])).toBeNull();
  expect(of(["a/#1", "x"], ["a/#3", "y"])).toBeNull();
  expect(of(["a/#1", "x"], ["a/b", "y"])).toBeNull();
  expect(of(["a (number)", "three"])).toBeNull();
  expect(of(["a (something)", "x"])).toBeNull();
  expect(of([Array.from({ length: 50 }, () => "a").join("/"), "x"])).toBeNull();
  expect(of(["#1", "x"])).toBeNull();
});

test("a piece taken in mid-making is held to what every piece is", () => {
  const [make] = demoMakes() as [Make];
  const bad = { ...make, taken: [{ at: "1", pieceFile: { ...make.pieceFile, mounts: [] } }] };
  expect(makeFromJson(bad as unknown as Json, SHIPPED_BENCH)).toMatchObject({
    ok: false,
    faults: expect.arrayContaining([expect.objectContaining({ path: "/taken/0/pieceFile/mounts" })]) as unknown,
  });
});
