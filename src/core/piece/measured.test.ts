import { SHIPPED_BENCH } from "./bench";
import { inHand } from "./measured";
import { type Piece } from "./piece";
import { planPiece } from "./plan-piece";
import ternFile from "./reference/tern-ring.piece.json";

const tern = ternFile as unknown as Piece;
const read = (figure: string, value: number) => ({ figure, value });

test("stock that is read takes the place of the file's, says that it was measured, and the last reading counts", () => {
  const plan = planPiece(tern, SHIPPED_BENCH, [
    read("m1.wall.thickness", 0.5),
    read("m1.wall.thickness", 0.3),
    read("m1.plate.thickness", 0.7),
  ]);
  const mount = tern.mounts[0]!;
  const same = planPiece(
    { ...tern, mounts: [{ ...mount, wall: { ...mount.wall, thickness: 0.3 }, plate: { ...mount.plate!, thickness: 0.7 } }] },
    SHIPPED_BENCH,
  );
  const values = (of: typeof plan) => Object.entries(of.figures).map(([key, { value }]) => [key, value]);
  expect(values(plan)).toEqual(values(same));
  const wall = (of: typeof plan) => of.figures["m1.plate.length"]!.terms.find(({ label }) => label === "wall");
  expect([wall(plan), wall(same)]).toMatchObject([
    { value: 0.6, from: "measured" },
    { value: 0.6, from: "piece" },
  ]);
  expect(plan.figures["m1.plate.mass"]!.value).toBeCloseTo((plan.figures["m1.plate.area"]!.value * 0.7 * 10.36) / 1000, 9);
});

test("wire is read one way where it is even, both ways where it is not, and a piece without readings is the same piece", () => {
  const stock = (piece: Piece) => (piece.carrier.type === "hoop" ? piece.carrier.stock : null);
  const { piece } = inHand(tern, [read("hoop.thickness", 1.5), read("hoop.width", 2.9)]);
  expect(stock(piece)).toMatchObject({ width: 2.9, thickness: 1.5 });
  const round = { ...tern, carrier: { ...tern.carrier, stock: { section: "round", width: 2, thickness: 2, metal: "sterling" } } } as Piece;
  expect(stock(inHand(round, [read("hoop.thickness", 1.9)]).piece)).toMatchObject({ width: 1.9, thickness: 1.9 });
  expect(inHand(tern, []).piece).toBe(tern);
  expect(inHand(tern, [read("m1.wall.netLength", 45)]).piece).toEqual(tern);
});
