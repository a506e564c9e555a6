import { SHIPPED_BENCH } from "./bench";
import { faultsOf } from "./faults";
import { type Piece } from "./piece";
import { planPiece } from "./plan-piece";
import { cupsFor, fromCup, fromTube, tubesFor } from "./ready-stock";
import ternFile from "./reference/tern-ring.piece.json";

const tern = ternFile as unknown as Piece;
const mount = tern.mounts[0]!;
const stone = { ...mount.stone, outline: { shape: "round", diameter: 6 } as const };
const withWall = (wall: object): Piece => ({ ...tern, mounts: [{ ...mount, stone, wall: { ...mount.wall, ...wall } }] });

const bench = {
  ...SHIPPED_BENCH,
  tubes: [
    { metal: "sterling", outside: 9, inside: 7 },
    { metal: "fine-silver", outside: 6.7, inside: 5 },
    { metal: "copper", outside: 6.5, inside: 4 },
  ],
  cups: [
    { metal: "copper", length: 7.4, width: 7.4, thickness: 0.4, height: 3 },
    { metal: "sterling", length: 6.8, width: 6.8, thickness: 0.3 },
  ],
} as const;

test("tubes and cups of the bench are offered nearest to what the stone needs first, each with how far it is off", () => {
  // 6 mm of stone, 0.05 of fit on both sides and 0.32 of bezel twice.
  const plan = planPiece(withWall({ source: "tube", fit: 0.05 }), bench);
  expect(tubesFor(bench, plan, "m1").map(({ stock, over }) => [stock.outside, Number(over.toFixed(9))])).toEqual([
    [6.7, -0.04],
    [6.5, -0.24],
    [9, 2.26],
  ]);
  const cup = planPiece(withWall({ source: "cup", fit: 0.05 }), bench);
  expect(cupsFor(bench, cup, "m1").map(({ stock, over }) => [stock.length, Number(over.toFixed(9))])).toEqual([
    [6.8, 0.1],
    [7.4, 0.5],
  ]);
  expect(tubesFor(SHIPPED_BENCH, plan, "m1")).toEqual([]);
});

test("what is used of one makes a piece that can be planned, in its metal, with a height only where the cup has one", () => {
  const [tube] = tubesFor(bench, planPiece(withWall({ source: "tube" }), bench), "m1");
  const used = withWall({ source: "tube", ...fromTube(tube!.stock) });
  expect(faultsOf(used, bench)).toEqual([]);
  expect(used.mounts[0]!.wall).toMatchObject({ metal: "fine-silver", tube: { outside: 6.7, inside: 5 } });
  expect(planPiece(used, bench).figures["m1.wall.wallLeft"]!.value).toBeCloseTo((6.7 - 6) / 2 - 0.05, 9);
  expect(fromCup(bench.cups[0])).toEqual({ metal: "copper", cup: { length: 7.4, thickness: 0.4, height: 3 } });
  expect(fromCup(bench.cups[1])).toEqual({ metal: "sterling", cup: { length: 6.8, thickness: 0.3 } });
});
