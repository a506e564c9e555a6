import { guessedOf, reshaped } from "./reshape";
import { type OutlineShape } from "./shapes/shapes";

const oval: OutlineShape = { shape: "oval", length: 16, width: 12 };

test("a shape that is newly chosen keeps what was measured, and what is only usual is not measured yet", () => {
  const to = (shape: OutlineShape["shape"], guessed: readonly string[] = []) => guessedOf(oval, reshaped(oval, shape), guessed);
  expect([to("pear"), to("marquise"), to("cushion"), to("rectangle"), to("round"), to("triangle")]).toEqual([
    [],
    [],
    ["exponent"],
    ["corner"],
    ["diameter"],
    ["side", "corner", "bulge"],
  ]);
  expect(to("pear", ["width"])).toEqual(["width"]);
  expect([to("free"), to("free", ["length"])]).toEqual([[], ["points"]]);
});

test("length and width can be read off a free-form that was measured, off a guessed one nothing", () => {
  const free = reshaped(oval, "free");
  expect(guessedOf(free, reshaped(free, "oval"), [])).toEqual([]);
  expect(guessedOf(free, reshaped(free, "cushion"), [])).toEqual(["exponent"]);
  expect(guessedOf(free, reshaped(free, "oval"), ["points"])).toEqual(["length", "width"]);
});

test("a pear chosen for a wide oval lies the other way round, and its measures are known all the same", () => {
  const wide: OutlineShape = { shape: "oval", length: 10, width: 14 };
  expect(guessedOf(wide, reshaped(wide, "pear"), [])).toEqual([]);
  expect(guessedOf(wide, reshaped(wide, "pear"), ["length"])).toEqual(["width"]);
});
