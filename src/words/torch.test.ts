import { demoPiece } from "@demo/pieces";
import { cuttingList } from "@/core/heats/cutting";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type HeatsEntry } from "@/core/piece/piece";
import { planPiece } from "@/core/piece/plan-piece";
import { minutesText, reckonedText, savedText } from "./day";
import { movedText, overlapText } from "./heats";
import { METRIC } from "./show";
import { cutSolderText, sayTorch, torchLines } from "./torch";

const tern = demoPiece("tern-ring");
const planned = (heats: HeatsEntry = {}) => planPiece({ ...tern, heats: { ...tern.heats, ...heats } }, SHIPPED_BENCH);
const INCH = { length: "inch", temperature: "F" } as const;

test("at the torch: solder, what holds it, where the flame goes, what is seen, and what moves", () => {
  const plan = planned();
  const at = (id: string) =>
    torchLines(
      plan.steps.find((step) => step.id === id)!,
      plan,
      METRIC,
    ).map((line) => line.join(": "));
  expect(at("m1.foot.prepare")).toEqual([
    "Solder: 7 pallions 1.0 × 1.0 mm inside, one every 6.5 mm.",
    "Hold: On mesh and tripod, cotter pins under the plate.",
    "Take off first: Stone, glue, iron that must not go in the pickle, filings of other solder.",
  ]);
  expect(at("m1.foot.heat")).toEqual([
    "Flame: bezel 20%, plate 80%. From below, through the mesh.",
    "Watch for: The flux heaves the pallions about, so go slowly; it dries white, then turns clear and glassy: nearly there. Then a bright line runs along the join.",
  ]);
  expect([at("m1.foot.pickle"), at("m1.wall.cut")]).toEqual([[], []]);
  const fused = planned({ pins: [{ joint: "m1.seam", means: "fuse" }] });
  const seam = fused.steps.find(({ id }) => id === "m1.seam.heat")!;
  expect(torchLines(seam, fused, METRIC).map(([, text]) => text)).toContain(
    "The surface shines along the seam: take the flame away at once.",
  );
  const pinned = planned({ pins: ["m1.foot", "hoop.mount.m1"].map((joint) => ({ joint, grade: "medium" })) });
  const last = sayTorch(pinned.heats.at(-1)!, pinned, METRIC);
  expect(last.care).toEqual([{ level: "error", text: "Bezel to plate runs again: shield it." }]);
  const all = planned({ pins: ["m1.seam", "m1.foot", "hoop.mount.m1"].map((joint) => ({ joint, grade: "medium" })) });
  expect(sayTorch(all.heats.at(-1)!, all, METRIC).care[0]).toEqual({
    level: "error",
    text: "Bezel seam, bezel to plate run again: shield them.",
  });
  expect(
    sayTorch(
      plan.heats.find(({ joints }) => joints.includes("m1.foot"))!,
      plan,
      METRIC,
    ).habit,
  ).toBe("With gaps as long as the pallions: 23 to cut, 3.3 times as many, 16 too many.");
  expect(plan.heats.map((heat) => sayTorch(heat, plan, METRIC)).map(({ look }) => look)).toEqual([
    "A bright line, inside and out; no gap, pit or bubble; the piece drops flat",
    "A bright line, inside and out; no gap, pit or bubble",
    "A bright line, inside and out; it goes all the way round; no gap, pit or bubble",
    "A bright line, inside and out; the hoop stands by itself, square both ways",
  ]);
  expect(sayTorch(plan.heats[3]!, plan, METRIC).flame).toBe("bezel 11%, plate 28%, hoop 61%. The hoop first, the setting last.");
});

test("solder is said where it is put, and cut first, in the maker's unit; blanks where it cannot be trusted", () => {
  const other = planned({
    pins: [
      { joint: "m1.foot", means: "wire" },
      { joint: "m1.seam", means: "paste" },
      { joint: "hoop.seam", means: "under" },
      { joint: "hoop.mount.m1", means: "sweat" },
    ],
  });
  expect(other.heats.map((heat) => sayTorch(heat, other, METRIC).solder)).toEqual([
    "1 ball of paste 1.0 mm across laid along it",
    "2 pallions 1.0 × 1.0 mm under it: stand it on them, one every 1.5 mm",
    expect.stringMatching(/^\d+\.\d mm of 0\.5 mm wire fed by hand once it is hot$/),
    "4 pallions 1.0 × 1.0 mm melted on one face first, one every 1.8 mm",
  ]);
  const list = cuttingList(other.heats).map((cut) => cutSolderText(cut, other, METRIC));
  expect(list).toEqual([
    "Hard: 1 ball 1.0 mm across and 1 spare",
    "Hard: 3.0 mm of strip 1.0 mm wide: 2 pallions and 1 spare",
    expect.stringMatching(/^Medium: \d+\.\d mm of wire 0\.5 mm thick, a quarter of it spare$/),
    "Easy: 5.0 mm of strip 1.0 mm wide: 4 pallions and 1 spare",
  ]);
  const plan = planned();
  const [, , foot] = cuttingList(plan.heats);
  expect(cutSolderText(foot!, plan, INCH)).toBe("Medium: 0.35 in of strip 0.04 in wide: 7 pallions and 2 spare");
  expect(cutSolderText(foot!, plan, METRIC, (key) => (key.startsWith("m1.") ? "refused" : null))).toBe(
    "Medium: ______ mm of strip 1.0 mm wide: ______ and ______ spare",
  );
});

test("a day is told in hours and minutes, with what it saves and how sure that is; a move by what it moves", () => {
  expect([1, 45, 60, 159, 59.2].map(minutesText)).toEqual(["1 min", "45 min", "1 h", "2 h 39 min", "1 h"]);
  expect(savedText({ finish: 159, oneAfterAnother: 184, proven: true, bound: 159 })).toBe(
    "25 min saved by working during the waits; no order of work takes less time",
  );
  expect(savedText({ finish: 190, oneAfterAnother: 190, proven: false, bound: 189 })).toBe(
    "no time saved: nothing fits into the waits; at most 1 min longer than the shortest",
  );
  const [usual, own] = [{ isUsual: true }, { isUsual: false }];
  const shown = { isUsual: false, makes: 4 };
  expect([[usual, usual], [own, usual, usual], [own], [shown, own], [shown, usual]].map(reckonedText)).toEqual([
    "based on the usual minutes, not your own",
    "the usual minutes for 2 of 3 steps",
    "",
    "your own minutes, from your makes, for 1 of 2 steps",
    "your own minutes, from your makes, for 1 of 2 steps; the usual minutes for 1",
  ]);
  const name = (id: string) => id.toUpperCase();
  expect(movedText({ joints: ["a"], where: "with", others: ["b", "c"] }, name)).toBe("A in one heat with B and C");
  expect(movedText({ joints: ["a"], where: "before", others: ["b"] }, name)).toBe("A before B");
  expect(overlapText({ harder: "hard", softer: "medium", what: "holds", spare: 32 }, METRIC)).toBe(
    "Hard holds while medium runs, with 32 °C to spare",
  );
  expect(overlapText({ harder: "hard", softer: "medium", what: "runs", spare: -3 }, METRIC)).toBe(
    "◆ Medium runs hard again, 3 °C past where hard softens",
  );
  expect(overlapText({ harder: "hard", softer: "medium", what: "holds", spare: 10 }, INCH)).toBe(
    "Hard holds while medium runs, with 18 °F to spare",
  );
});
