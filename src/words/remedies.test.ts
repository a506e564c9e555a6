import { type RemedyCode } from "@/core/piece/remedies";
import { sayRemedy } from "./remedies";
import { METRIC } from "./show";

test.each<[RemedyCode, Record<string, number | string>, string]>([
  [
    "wall.cut-out",
    { by: 1.3, from: 46.8, to: 45.5 },
    "The bezel is 1.30 mm too long. Saw 1.30 mm out at the seam, file, and solder it again: 46.80 to 45.50.",
  ],
  [
    "wall.too-short",
    { by: 1.5, from: 44, to: 45.5 },
    "The bezel is 1.50 mm too short to stretch. It is 44.00 and 45.50 mm is wanted: cut a piece in, or start again.",
  ],
  [
    "wall.stretch",
    { by: 0.006, from: 45.2, to: 45.5 },
    "The bezel is a little short: 45.20. Anneal it and stretch it by 0.6%, to 45.50 mm.",
  ],
  ["wall.take-down", { by: 0.2, from: 3.2, to: 3 }, "The bezel stands 0.20 mm too high. Take it down to 3.00 mm, trying the stone."],
  [
    "wall.too-low-now",
    { by: 0.1, from: 2.4, to: 2.5 },
    "The bezel is 0.10 mm too low to hold. It needs 2.50 mm: take the cushion out from under the stone, or make a new bezel.",
  ],
  ["hoop.will-come", { inside: 16.87, to: 17.19, size: "53.0" }, "This blank comes to 16.87 mm inside, size 53.0. 17.19 mm is wanted."],
  [
    "hoop.stretch",
    { by: 0.4, from: 16.8, to: 17.2, left: 1.56, size: "" },
    "The hoop is 0.40 mm too small inside. Stretch it to 17.20 mm; 1.56 mm of its thickness is left.",
  ],
  [
    "hoop.cut-out",
    { by: 0.63, from: 17.4, to: 17.2, size: "54.7" },
    "The hoop is large: 17.40 mm inside, size 54.7. Saw 0.63 mm out at the seam and solder it again.",
  ],
])("%s says what is so and what to do", (code, values, text) => {
  const { what, advice } = sayRemedy({ code, level: "warning", values }, METRIC);
  expect(`${what} ${advice}`).toBe(text);
});

test("past a size a hoop is no longer stretched", () => {
  const { advice } = sayRemedy({ code: "hoop.stretch", level: "error", values: { by: 1, from: 16, to: 17, left: 1.4 } }, METRIC);
  expect(advice).toBe("That is more than a size: cut a piece in. Stretched that far it would be 1.40 mm thick.");
});
