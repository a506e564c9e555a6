import { polygonArea } from "@/core/geometry/polygon";
import { cornersCell, cornersText, readCorners } from "./corners";

test("corners as they are typed: spaces, a comma, tabs, decimal commas, fractions and units; an empty line begins what is taken out", () => {
  expect(readCorners("0 0\n60,5 0\n60.5, 20\n0\t20\n\n\n 1 1 \n5 1\n5mm 6-1/4\n", "mm")).toEqual({
    ok: true,
    lines: [
      [[0, 0], [60.5, 0], [60.5, 20], [0, 20]], // prettier-ignore
      [[1, 1], [5, 1], [5, 6.25]], // prettier-ignore
    ],
  });
  const inches = readCorners("0 0\n2 0\n1 3/4, 1", "inch");
  expect(inches.ok && inches.lines[0]!.map(([x, y]) => [x / 25.4, y / 25.4])).toEqual([[0, 0], [2, 0], [1.75, 1]]); // prettier-ignore
});

test("a round line by its diameter, in its own corner or about its middle", () => {
  const read = readCorners("round 40\n\nround 12,5, 30 20", "mm");
  const [disc = [], hole = []] = read.ok ? read.lines : [];
  expect(polygonArea(disc)).toBeCloseTo(Math.PI * 400, -0.5);
  expect(Math.min(...disc.map(([x]) => x))).toBeCloseTo(0, 1);
  for (const [x, y] of hole) expect(Math.hypot(x - 30, y - 20)).toBeCloseTo(6.25, 9);
  expect(hole.length).toBeGreaterThan(20);
});

test.each([
  ["0 0\n60", 2, "60"],
  ["0 0\nsixty 4", 2, "sixty 4"],
  ["1 2 3", 1, "1 2 3"],
  ["0 0\n5 0\nround 12, 3 3", 3, "round 12, 3 3"],
  ["round 0", 1, "round 0"],
  ["round 20000", 1, "round 20000"],
  ["round 12, 3", 1, "round 12, 3"],
  ["0 0\n".repeat(2001), 2001, "0 0"],
])("what is no corner is told by its line", (text, line, got) => {
  expect(readCorners(text, "mm")).toEqual({ ok: false, line, got });
});

test("what is written is read again, as a text and in a table's cell", () => {
  const lines = [
    [[0, 0], [60.125, 0], [0, 20]], // prettier-ignore
    [[1, 1], [5, 1], [5, 6.25]], // prettier-ignore
  ] as const;
  expect(readCorners(cornersText(lines, String), "mm")).toEqual({ ok: true, lines });
  expect(cornersCell(lines)).toBe("0 0; 60.125 0; 0 20 | 1 1; 5 1; 5 6.25");
  expect(readCorners(cornersCell(lines), "mm")).toEqual({ ok: true, lines });
});
