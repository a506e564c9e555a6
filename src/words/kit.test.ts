import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { SURE } from "@/core/piece/doubt";
import { kitOf } from "@/core/piece/kit";
import { planPiece } from "@/core/piece/plan-piece";
import { kitText, refusedSizeText } from "./kit";
import { labelLines } from "./label";
import { METRIC } from "./show";

const tern = demoPiece("tern-ring");
const INCHES = { length: "inch", temperature: "F" } as const;

test("a kit's lines name the stock, and how much of it, in the maker's units", () => {
  const kit = kitOf([planPiece(tern, SHIPPED_BENCH), planPiece(tern, SHIPPED_BENCH)]);
  expect(kit.map((line) => Object.values(kitText(line, METRIC)).join(": "))).toEqual([
    "Strip 3.20 × 0.32 mm, fine silver: 92.1 mm in 2 lengths",
    "Sheet 0.60 mm, sterling: 2 of 18.7 × 14.7 mm",
    "Half-round wire 3.00 × 1.60 mm, sterling: 118.3 mm in 2 lengths",
  ]);
  expect(kitText(kit[1]!, INCHES)).toEqual({ stock: "Sheet 0.024 in, sterling", amount: "2 of 0.738 × 0.580 in" });
});

test("a size that could not be read is told by the name it stands with", () => {
  expect(refusedSizeText({ name: "Bo", size: null, refused: { text: "99", code: "no-finger" } }, "eu")).toBe(
    "Bo: 99 is not a finger size. Type one in EU, or with its system, e.g. EU 54.",
  );
  expect(refusedSizeText({ name: "", size: null, refused: { text: "7", code: "no-mandrel" } }, "mandrel")).toBe(
    "a line without a name: 7 cannot be read, as your mandrel has no readings yet.",
  );
  expect(refusedSizeText({ name: "Bo", size: null, refused: null }, "eu")).toBeNull();
});

test("a label tells stone, size and day, with a blank for what is not known", () => {
  expect(labelLines(tern, "2026-01-08T12:00:00Z", METRIC, SURE)).toEqual(["chrysoprase, 16.0 × 12.0", "EU 54", "made 8 January 2026"]);
  const doubtOf = (key: string) => (key === "hoop.size.value" ? "unmeasured" : null);
  expect(labelLines(tern, null, INCHES, doubtOf)).toEqual(["chrysoprase, 0.630 × 0.472", "EU ______", "made ______"]);
});
