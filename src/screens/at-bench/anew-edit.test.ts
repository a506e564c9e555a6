import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Make, inUse } from "@/core/piece/make";
import { planPiece } from "@/core/piece/plan-piece";
import { edited, takenBack } from "@/store/make-edits";
import { anewEdit } from "./anew-edit";
import { outOf } from "./timers";

const piece = demoPiece("tern-ring");
const plan = planPiece(piece, SHIPPED_BENCH);
const at = (minute: number) => `2026-11-20T10:${String(minute).padStart(2, "0")}:00.000Z`;
const make: Make = {
  ...{ format: "hoop-ledger/make", version: 3, id: "a", piece: piece.id, pieceFile: piece, started: at(0), finished: null },
  ...{ remedies: [], notes: "" },
  done: ["m1.wall.cut", "m1.seam.pickle", outOf("m1.seam.pickle"), "m1.plate.cut", "hoop.cut"].map((step, i) => ({ step, at: at(i) })),
  measured: [
    { figure: "m1.wall.cutLength", value: 44, at: at(1), by: "typed" },
    { figure: "hoop.cutLength", value: 59.1, at: at(2), by: "typed" },
  ],
};

test("a bezel made anew loses its ticks and waits, keeps its readings as the old one's, and all of it comes back when that is undone", () => {
  const edit = anewEdit(make, plan, ["m1.wall"]);
  const after = edited(make, edit);
  expect(after.done.map(({ step }) => step)).toEqual(["m1.plate.cut", "hoop.cut"]);
  expect(inUse(after.measured).map(({ figure }) => figure)).toEqual(["hoop.cutLength"]);
  expect(after.measured.find(({ figure }) => figure === "m1.wall.cutLength")).toMatchObject({ value: 44, scrapped: "m1.wall" });
  const back = edited(after, takenBack(edit));
  expect(new Set(back.measured)).toEqual(new Set(make.measured));
  expect(new Set(back.done)).toEqual(new Set(make.done));
  expect(() => anewEdit(make, plan, [])).toThrow(RangeError);
});
