/** What the defaults of a bench are called, by where they stand in it. */
const BENCH_NAMES: Readonly<Record<string, string>> = {
  "losses.wall.squaring": "Squaring both ends of a strip",
  "losses.wall.mark": "Marking a strip",
  "losses.wall.foot": "Sanding the foot",
  "losses.wall.top": "Levelling the top",
  "losses.hoop.squaring": "Squaring both ends of a hoop",
  "losses.hoop.mark": "Marking a hoop",
  "losses.hoop.sawPasses": "Saw cuts through a hoop's seam",
  "losses.hoop.kerf": "The saw's kerf",
  "seatOf.fit": "Fit around the stone",
  "seatOf.catch": "Catch over the dome",
  overshoot: "Overshoot past the flow point",
  way: "Way of grading",
  wideBand: "Added for wide bands",
  allowances: "What your hands take off",
  mandrel: "Mandrel readings",
  strips: "Strips on the shelf",
  shelves: "Solder shelf",
};

export function benchName(key: string): string {
  return BENCH_NAMES[key] ?? key;
}
