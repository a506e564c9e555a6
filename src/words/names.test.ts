import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { planPiece } from "@/core/piece/plan-piece";
import ternFile from "@/core/piece/reference/tern-ring.piece.json";
import { namesIn } from "./names";

const tern = ternFile as unknown as Piece;
const [mount] = tern.mounts;
const small = { ...mount!, stone: { ...mount!.stone, outline: { shape: "round", diameter: 5 } as const } };
const three = planPiece(
  { ...tern, mounts: ["m1", "m2", "m3"].map((id, i) => ({ ...small, id, place: { along: 8 * (i - 1) } })) },
  SHIPPED_BENCH,
);

test("alike parts and joints of several settings are said as one, others each by its name", () => {
  const names = namesIn(three);
  expect(names.parts(["m1.wall", "m2.wall", "m3.plate", "hoop", "m3.wall"])).toEqual([
    "bezel of stones 1, 2 and 3",
    "plate of stone 3",
    "hoop",
  ]);
  expect(names.joints(["m1.seam", "hoop.seam", "m3.seam", "m2.foot"])).toEqual([
    "bezel seam, stones 1 and 3",
    "hoop seam",
    "bezel to plate, stone 2",
  ]);
  expect([names.part("m2.wall"), names.joint("m2.seam"), names.part("none"), names.joint("none")]).toEqual([
    "bezel of stone 2",
    "bezel seam, stone 2",
    "none",
    "none",
  ]);
  const one = namesIn(planPiece(tern, SHIPPED_BENCH));
  expect([...one.parts(["m1.wall", "hoop"]), ...one.joints(["m1.seam"])]).toEqual(["bezel", "hoop", "bezel seam"]);
});
