import { demoPiece } from "@demo/pieces";
import { type Allowance, type BenchEntry, SHIPPED_BENCH } from "./bench";
import { type HoopEntry, type Piece } from "./piece";
import { replay } from "../../../speed/replay";
import { sizePiece } from "./size-piece";
import ternFile from "./reference/tern-ring.piece.json";

const tern = ternFile as unknown as Piece;
const hoop = tern.carrier as HoopEntry;
const on = (...allowances: Allowance[]): BenchEntry => ({ ...SHIPPED_BENCH, allowances });
const own = (kind: string, value: number): Allowance => ({ kind, method: "file", value, spread: 0.2, count: 9 });
const figure = (piece: Piece, bench: BenchEntry, key: string) => sizePiece(piece, bench).contribution.figures[key]!;

test("what a maker agreed to takes the place of squaring, mark and saw, or foot and top, as one term that says how many makes", () => {
  const bench = on(own("hoop.length", 1.32), own("wall.length", 0.7), own("wall.height", 0.31));
  for (const [cut, net, value] of [
    ["hoop.cutLength", "hoop.netLength", 1.32],
    ["m1.wall.cutLength", "m1.wall.netLength", 0.7],
    ["m1.wall.cutHeight", "m1.wall.netHeight", 0.31],
  ] as const) {
    const { terms, value: length } = figure(tern, bench, cut);
    expect(length).toBeCloseTo(figure(tern, bench, net).value + value, 9);
    expect(terms.at(-1)).toEqual({ label: "yours", value, from: "learned", count: 9 });
    expect(terms.filter(({ label }) => ["squaring", "mark", "sawPasses", "foot", "top"].includes(label))).toEqual([]);
  }
  const { laid, figures } = sizePiece(tern, bench).contribution;
  expect([laid["m1.wall"]!.length, laid.hoop!.length]).toEqual(
    [figures["m1.wall.cutLength"]!.value, figures["hoop.cutLength"]!.value].map((mm) => expect.closeTo(mm, 9) as number),
  );
});

test("a piece that says a loss itself keeps to it; a form without a seam, a cup's closed foot and what goes round the wall know nothing of it", () => {
  const bench = on(own("hoop.length", 1.32), own("wall.height", 0.9), own("wall.length", 2));
  const said: Piece = { ...tern, carrier: { ...hoop, losses: { mark: 0.2 } } };
  expect(figure(said, bench, "hoop.cutLength")).toEqual(figure(said, SHIPPED_BENCH, "hoop.cutLength"));
  for (const [piece, key] of [
    [{ ...tern, carrier: { ...hoop, form: "adjustable" } } as Piece, "hoop.cutLength"],
    [demoPiece("samphire-ring"), "m1.wall.cutHeight"],
    [demoPiece("turnstone-ring"), "m1.ornament.rope.cutLength"],
  ] as const) {
    expect(figure(piece, SHIPPED_BENCH, key).value).toBeGreaterThan(1);
    expect(figure(piece, bench, key)).toEqual(figure(piece, SHIPPED_BENCH, key));
  }
});

test("a loss smaller than squaring takes both ends of the blank from it, and the first of a kind counts", () => {
  const bench = on(own("wall.length", 0.2), own("wall.length", 0.9));
  const { laid } = sizePiece(tern, bench).contribution;
  expect(laid["m1.wall"]!.losses.map(({ from, to }) => to - from)).toEqual([0.1, 0.1].map((mm) => expect.closeTo(mm, 9) as number));
});

test("after nine makes a maker's own figure halves the error of the size at least, over 200 makers", () => {
  const { shipped, own: mine } = replay(tern, 200, 20261126);
  expect(shipped).toBeGreaterThan(0.2);
  expect(mine / shipped).toBeLessThan(0.5);
});

test("of several of a kind the one counts whose method the piece names, else the first; a method that the bench has not is told", () => {
  const bench = on(
    { kind: "hoop.length", method: "saw", value: 1.3 },
    { kind: "hoop.length", method: "file", value: 1.1 },
    { kind: "wall.length", method: "scribe", value: 0.5 },
  );
  const cut = (methods?: Piece["methods"]) => {
    const { figures, findings } = sizePiece({ ...tern, ...(methods && { methods }) }, bench).contribution;
    const lost = figures["hoop.cutLength"]!.value - figures["hoop.netLength"]!.value;
    return {
      lost: Number(lost.toFixed(9)),
      told: findings.filter(({ code }) => code === "loss.no-such-method").map(({ values }) => values),
    };
  };
  expect(cut()).toEqual({ lost: 1.3, told: [] });
  expect(cut({ "hoop.length": "file" })).toEqual({ lost: 1.1, told: [] });
  expect(cut({ "wall.length": "scribe" })).toEqual({ lost: 1.3, told: [] });
  expect(cut({ "hoop.length": "shears" })).toEqual({ lost: 0.88, told: [{ kind: "hoop.length", method: "shears" }] });
});
