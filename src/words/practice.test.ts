import { DEMO_PIECES } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { type Outcome } from "@/core/practice/outcome";
import { namesIn } from "./names";
import { outcomeTexts, resultText } from "./practice";
import { watchText } from "./screens/practice";
import { METRIC } from "./show";

const names = namesIn(
  planPiece(
    DEMO_PIECES.find(({ id }) => id === "tern-ring")!,
    SHIPPED_BENCH,
  ),
);
const F = { length: "inch", temperature: "F" } as const;
const result = { ran: [], dry: ["m1.foot"], softened: ["m1.seam"], opened: [], lost: ["m1.plate"], seconds: 41, evenness: null };
const lost: Outcome = {
  result,
  isWon: false,
  soft: [{ joint: "m1.seam", seconds: 4 }],
  joints: [
    { joint: "m1.foot", isMade: false, share: 0.7, isSpent: false, dry: [{ from: 3, to: 12.5, climbed: { part: "m1.wall", hotter: 62 } }] },
  ],
};

test("what happened is said plainly, the worst first, in the maker's units", () => {
  expect(outcomeTexts(lost, names, METRIC)).toEqual([
    "Plate began to melt.",
    "Bezel to plate is dry from 3.00 to 12.50 mm along it: solder climbed the bezel, which was 62° hotter.",
    "Bezel seam was soft for 4.0 s.",
  ]);
  expect(outcomeTexts(lost, names, F)[1]).toBe(
    "Bezel to plate is dry from 0.118 to 0.492 in along it: solder climbed the bezel, which was 112° hotter.",
  );
  const won = {
    ...lost,
    isWon: true,
    soft: [],
    joints: [{ ...lost.joints[0]!, isMade: true }],
    result: { ...result, lost: [], evenness: 31 },
  };
  expect(outcomeTexts(won, names, METRIC)).toEqual([
    "Bezel to plate ran from end to end.",
    "31° from the hottest to the coolest place of the joint: 25 would be even.",
  ]);
});

test("what to watch names the part that lags and the one to leave", () => {
  const said = watchText({ code: "lags", part: "m1.plate", behind: "m1.wall", degrees: 66.7 }, names, METRIC);
  expect(said.title).toBe("Plate lags by 67°");
  expect(said.text).toContain("Take the flame off the bezel");
});

test("a try in one sentence tells what counts most: melted, opened, dry, soft, then what ran", () => {
  const result = { ran: ["m1.foot"], dry: [], softened: [], opened: [], lost: [], seconds: 9, evenness: 4 };
  const said = (change: object, isWon = false) => resultText({ ...result, ...change }, isWon, names);
  const soft = { softened: ["m1.seam"] };
  expect([
    said({ lost: ["m1.wall"], ...soft, opened: ["m1.seam"] }),
    said({ ...soft, opened: ["m1.seam"], dry: ["m1.foot"] }),
    said({ ...soft, ran: [], dry: ["m1.foot"] }),
    said(soft),
    said(soft, true),
    said({ ran: ["m1.foot", "m1.seam"] }, true),
    said({ ran: [] }, true),
  ]).toEqual([
    "Bezel began to melt.",
    "Bezel seam ran again and opened.",
    "Bezel to plate did not run from end to end.",
    "Bezel seam was soft.",
    "Bezel to plate ran from end to end.",
    "All joints ran from end to end.",
    "Nothing ran.",
  ]);
});
