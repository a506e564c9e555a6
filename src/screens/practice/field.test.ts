import { type Grid } from "@/core/practice/laid";
import { fieldOf, isOnPlate, isotherms } from "./field";

/** A plane of so many cells of half a mm, without those at its corners. */
function plane(wide: number, tall: number): Grid {
  let bit = 0;
  const bits = Int32Array.from({ length: wide * tall }, (_, cell) => {
    const [i, j] = [cell % wide, Math.floor(cell / wide)];
    const isCorner = (i === 0 || i === wide - 1) && (j === 0 || j === tall - 1);
    return isCorner ? -1 : bit++;
  });
  return { left: -3, low: 1, spacing: 0.5, wide, tall, bits, outline: [] };
}
const grid = plane(12, 6);
const field = fieldOf(grid);
/** What rises along x: so many degrees from one cell to the next. */
const rising = (each: number, from = 600) => {
  const temperatures = new Float64Array(grid.bits.length - 4);
  grid.bits.forEach((bit, cell) => {
    if (bit >= 0) temperatures[bit] = from + (cell % grid.wide) * each;
  });
  return temperatures;
};
const same = (celsius: number) => celsius;

test("a cell outside the plate has a neighbour's bit; all others have their own", () => {
  expect(field.bitOf[0]).toBe(Math.min(grid.bits[1]!, grid.bits[12]!));
  expect([...field.bitOf].every((bit) => bit >= 0)).toBe(true);
  grid.bits.forEach((bit, cell) => bit >= 0 && expect(field.bitOf[cell]).toBe(bit));
});

test("a place is on the plate where a cell of it lies", () => {
  expect([isOnPlate(field, [-2.2, 1.1]), isOnPlate(field, [-2.9, 1.1]), isOnPlate(field, [3.1, 2]), isOnPlate(field, [0, 0.9])]).toEqual([
    true,
    false,
    false,
    false,
  ]);
});

test("over a plane that rises evenly the lines stand across it, each at its own temperature, at round degrees, at most six", () => {
  const found = isotherms(field, rising(2), same);
  expect(found.map(({ degrees }) => degrees)).toEqual([600, 605, 610, 615, 620]);
  for (const { degrees, lines } of found.slice(1)) {
    expect(lines).toHaveLength(1);
    for (const [x] of lines[0]!) expect(x).toBeCloseTo(grid.left + ((degrees - 600) / 2 + 0.5) * grid.spacing, 6);
  }
  expect(isotherms(field, rising(40), same).map(({ degrees }) => degrees)).toEqual([600, 700, 800, 900, 1000]);
  expect(isotherms(field, rising(0), same).length).toBeLessThan(2);
});

test("lines stand at round degrees of the unit they are shown in", () => {
  const found = isotherms(field, rising(2), (celsius) => (celsius * 9) / 5 + 32);
  expect(found.map(({ degrees }) => degrees)).toEqual([1120, 1130, 1140, 1150]);
});
