import { SHIPPED_BENCH } from "../piece/bench";
import { type Piece } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import ternFile from "../piece/reference/tern-ring.piece.json";
import { unusualFindings } from "./usual";

const tern = ternFile as unknown as Piece;

test.each([
  ["stone.unusual", 3, 60],
  ["wall.unusual", 0.2, 1.6],
  ["plate.unusual", 0.4, null],
  ["hoop.unusual", 0.8, null],
] as const)("%s from just under %d and just over %d", (code, least, most) => {
  const codes = (value: number) => unusualFindings(code, value, "m1").map((each) => [each.code, each.level]);
  expect([codes(least), codes(least - 1e-6)]).toEqual([[], [[code, "note"]]]);
  expect(codes(most ?? 1e6)).toEqual([]);
  if (most !== null) expect(codes(most + 1e-6)).toEqual([[code, "note"]]);
});

test("each is looked for on the size it is of", () => {
  const mount = tern.mounts[0]!;
  const codes = (more: Partial<typeof mount>, stock = {}) =>
    planPiece(
      {
        ...tern,
        mounts: [{ ...mount, ...more }],
        carrier: { ...tern.carrier, stock: { ...(tern.carrier as { stock: object }).stock, ...stock } },
      } as unknown as Piece,
      SHIPPED_BENCH,
    )
      .findings.map(({ code, at }) => `${code} ${at}`)
      .filter((each) => each.includes("unusual"));
  expect(codes({})).toEqual([]);
  expect(codes({ wall: { ...mount.wall, thickness: 0.15 } })).toEqual(["wall.unusual m1.wall"]);
  expect(codes({ plate: { ...mount.plate!, thickness: 0.3 } })).toEqual(["plate.unusual m1.plate"]);
  expect(codes({}, { thickness: 0.7 })).toEqual(["hoop.unusual hoop"]);
  expect(codes({ stone: { ...mount.stone, outline: { shape: "oval", length: 61, width: 40 } } })).toEqual(["stone.unusual m1.stone"]);
});
