import { demoMakes } from "@demo/makes";
import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { learnedFrom } from "@/core/piece/ledger";
import { type Make } from "@/core/piece/make";
import { planPiece } from "@/core/piece/plan-piece";
import { makeFromJson } from "./make-codec";
import { isMakesCsv, makesCsv, readMakesCsv } from "./makes-csv";
import { type Json } from "./read-json";

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
  const read = readMakesCsv(`\ufeff${table}`, SHIPPED_BENCH);
  expect(read).toMatchObject({ ok: true, value: { bench: null, pieces: [], makes: [first, strange], unread: [] } });
  const torn = readMakesCsv(`${table}\n1,2,Torn,,,,,,,,,,{`, SHIPPED_BENCH);
  expect(torn).toMatchObject({ ok: true, value: { makes: [{ id: first.id }, { id: "strange" }], unread: [{ path: "/3", name: "Torn" }] } });
  expect(readMakesCsv("begun,finished,piece\n1,2,3", SHIPPED_BENCH)).toMatchObject({
    ok: false,
    faults: [{ path: "/make", code: "missing" }],
  });
});

test("a piece taken in mid-making is held to what every piece is", () => {
  const [make] = demoMakes() as [Make];
  const bad = { ...make, taken: [{ at: "1", pieceFile: { ...make.pieceFile, mounts: [] } }] };
  expect(makeFromJson(bad as unknown as Json, SHIPPED_BENCH)).toMatchObject({
    ok: false,
    faults: expect.arrayContaining([expect.objectContaining({ path: "/taken/0/pieceFile/mounts" })]) as unknown,
  });
});
