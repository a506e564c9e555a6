import { DEMO_BENCH } from "@demo/bench";
import { readStockCsv, stockCsv } from "./stock-csv";

test("a drawer goes out as a table and comes in again, outlines and what is taken out of sheets too", () => {
  const text = stockCsv(DEMO_BENCH.stock!);
  expect(text.split("\n")[0]).toBe("form,metal,section,width,thickness,outside,inside,length,count,coil,least,outline,taken,note");
  const read = readStockCsv(text);
  expect(read).toEqual({ ok: true, items: DEMO_BENCH.stock!.map(({ id: _id, ...item }) => item) });
  const { taken } = DEMO_BENCH.stock!.find((item) => item.taken)!;
  const [outline, sheet] = [[[0, 0], [90, 0], [0, 90]] as const, { form: "sheet", metal: "sterling", thickness: 0.6, count: 1 } as const]; // prettier-ignore
  const leaf = { ...sheet, length: 90, width: 90, outline, taken: taken!.slice(0, 1) };
  expect(readStockCsv(stockCsv([{ id: "leaf", ...leaf }]))).toEqual({ ok: true, items: [leaf] });
});

test("columns in any order, metals as they are said, a tube's thickness from its sides, a note that looks like a formula", () => {
  const text = "\ufeffLength, Metal,form,inside,outside,note\n40,Fine Silver,TUBE,5,6.8,'=1+1\n";
  expect(readStockCsv(text.replace(" Metal", "Metal"))).toEqual({
    ok: true,
    items: [
      {
        form: "tube",
        metal: "fine-silver",
        length: 40,
        count: 1,
        thickness: expect.closeTo(0.9, 9) as number,
        outside: 6.8,
        inside: 5,
        note: "=1+1",
      },
    ],
  });
  const wire = { ...DEMO_BENCH.stock![8]!, note: "=cmd()" };
  expect(stockCsv([wire])).toContain("'=cmd()");
});

test.each<readonly [row: string, line: number, column: string]>([
  ["strop,sterling,,3,0.3,,,90,1", 2, "form"],
  ["strip,tin,,3,0.3,,,90,1", 2, "metal"],
  ["strip,sterling,,wide,0.3,,,90,1", 2, "width"],
  ["strip,sterling,,,0.3,,,90,1", 2, "width"],
  ["strip,sterling,,3,0.3,,,-90,1", 2, "length"],
  ["wire,sterling,,,1,,,90,1", 2, "section"],
  ["wire,sterling,bent,,1,,,90,1", 2, "section"],
  ["tube,sterling,,,,5,6,90,1", 2, "inside"],
  ["strip,sterling,,3,0.3,,,90,1.5", 2, "count"],
  ["strip,sterling,,3,0.3,,,90,1\nsheet,sterling,,3,,,,90,1", 3, "thickness"],
])("a wrong line is told by its column, and nothing of the table is read: %s", (row, line, column) => {
  const text = `form,metal,section,width,thickness,outside,inside,length,count\n${row}`;
  expect(readStockCsv(text)).toMatchObject({ ok: false, line, column });
});

test.each([
  ["0 0; 30 0", "", "outline"],
  ["0 0; 30 0; 0 20 | 1 1; 2 1; 1 2", "", "outline"],
  ["0 0; 30 0; 0 20", "round 24", "taken"],
  ["0 0; 30 0; 0 20", "round 4, 1", "taken"],
  ["", "round 4, 30 20", "taken"],
  ["0 0; 30.2 0; 0 20", "", "length"],
  ["0 0; 30 0; 0 19.8", "round 4", "width"],
])("corners that make no sheet, or one of another size, are told by their column: %s with %s", (outline, taken, column) => {
  const text = `form,metal,width,thickness,length,outline,taken\nsheet,sterling,20,0.6,30,${outline},"${taken}"`;
  expect(readStockCsv(text)).toMatchObject({ ok: false, line: 2, column });
});

test("a table of another kind, an empty one and one that is too long are told", () => {
  expect(readStockCsv("name,price\na,1")).toMatchObject({ ok: false, line: 1, column: "form" });
  expect(readStockCsv("form,metal,length\n")).toMatchObject({ ok: false, line: 2 });
  const long = `form,metal,section,thickness,length\n${"wire,copper,round,1,50\n".repeat(1001)}`;
  expect(readStockCsv(long)).toEqual({ ok: false, tooMany: 1001, limit: 1000 });
});
