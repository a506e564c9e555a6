import { DEMO_BENCH } from "@demo/bench";
import { readStockCsv, stockCsv } from "./stock-csv";

test("a drawer goes out as a table and comes in again, but for what no table holds", () => {
  const text = stockCsv(DEMO_BENCH.stock!);
  expect(text.split("\n")[0]).toBe("form,metal,section,width,thickness,outside,inside,length,count,coil,least,note");
  const read = readStockCsv(text);
  const plain = DEMO_BENCH.stock!.map(({ id: _id, outline: _outline, taken: _taken, ...item }) => item);
  expect(read).toEqual({ ok: true, items: plain });
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

test("a table of another kind, an empty one and one that is too long are told", () => {
  expect(readStockCsv("name,price\na,1")).toMatchObject({ ok: false, line: 1, column: "form" });
  expect(readStockCsv("form,metal,length\n")).toMatchObject({ ok: false, line: 2 });
  const long = `form,metal,section,thickness,length\n${"wire,copper,round,1,50\n".repeat(1001)}`;
  expect(readStockCsv(long)).toEqual({ ok: false, tooMany: 1001, limit: 1000 });
});
