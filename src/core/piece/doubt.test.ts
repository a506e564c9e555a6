import fc from "fast-check";
import { runs } from "@/runs.testing";
import { anyPiece } from "./any-piece.testing";
import { SHIPPED_BENCH } from "./bench";
import { SURE, doubtAmong, stillUnmeasured, doubter } from "./doubt";
import { faultsOf } from "./faults";
import { unplanned } from "./unplanned";
import { type Piece } from "./piece";
import { sizePiece } from "./size-piece";

/** What the fields of a carrier's kind are called by. */
const FIELDS_OF: Readonly<Record<Piece["carrier"]["type"], string>> = {
  hoop: "hoop",
  bail: "bail",
  "jump-ring": "bail",
  posts: "post",
  "ear-wires": "earwire",
  none: "none",
};

/** Every number of a piece that is typed: its path, and the key of its field. */
function typedNumbers(piece: Piece): { readonly path: readonly (string | number)[]; readonly field: string }[] {
  const walk = (at: unknown, path: readonly (string | number)[], field: string): ReturnType<typeof typedNumbers> => {
    if (typeof at === "number") return [{ path, field }];
    if (typeof at !== "object" || at === null) return [];
    return Object.entries(at).flatMap(([name, value]) => walk(value, [...path, name], `${field}.${name}`));
  };
  return [
    ...piece.mounts.flatMap((mount, i) =>
      (["stone", "wall", "plate", "place", "at", "turn"] as const).flatMap((part) =>
        walk(mount[part], ["mounts", i, part], `${mount.id}.${part}`),
      ),
    ),
    ...walk(piece.carrier, ["carrier"], FIELDS_OF[piece.carrier.type]),
  ];
}

function changedAt(piece: Piece, path: readonly (string | number)[], by: number): Piece {
  const copy = structuredClone(piece);
  let at: Record<string | number, unknown> = copy as never;
  for (const name of path.slice(0, -1)) at = at[name] as typeof at;
  const last = path.at(-1)!;
  at[last] = (at[last] as number) * by;
  return copy;
}

test("every figure that changes with a field is doubted with it, and no other setting's or the hoop's own", () => {
  fc.assert(
    fc.property(anyPiece(), fc.nat(), (piece, pick) => {
      const numbers = typedNumbers(piece);
      const { path, field } = numbers[pick % numbers.length]!;
      const changed = changedAt(piece, path, 1.04);
      if (faultsOf(changed, SHIPPED_BENCH).length + unplanned(changed).length > 0) return;
      const [before, after] = [
        sizePiece(piece, SHIPPED_BENCH).contribution.figures,
        sizePiece(changed, SHIPPED_BENCH).contribution.figures,
      ];
      const plates = Object.fromEntries(piece.mounts.flatMap(({ id, on }) => (on === undefined ? [] : [[id, on]])));
      const doubtOf = doubter({ unmeasured: [field], refused: [], plates });
      for (const key of Object.keys(before)) {
        const isOther = !(key in after) || Math.abs(after[key]!.value - before[key]!.value) > 1e-12;
        if (isOther && doubtOf(key) === null) throw new Error(`${key} changes with ${field}`);
      }
      const [mount] = field.split(".");
      const others = Object.keys(before).filter(
        (key) =>
          !key.startsWith(`${mount}.`) &&
          plates[key.split(".")[0]!] !== mount &&
          !/^(hoop\.(flat|saddle|grip)|hang\.|earring\.|bridge\.arm|piece\.mass)/.test(key),
      );
      if (!["hoop", "bail", "post", "earwire"].includes(mount!)) expect(others.filter((key) => doubtOf(key) !== null)).toEqual([]);
    }),
    { numRuns: runs(300) },
  );
});

test("a refused entry is told before one that is not measured, and what rests on neither is sure", () => {
  const doubtOf = doubter({ unmeasured: ["m1.stone.outline.length", "hoop.size.value"], refused: ["m1.stone.height"] });
  expect(
    ["m1.wall.cutLength", "m1.wall.cutHeight", "m1.stone", "m1.plate.length", "hoop.cutLength", "hoop.flat", "m2.wall.cutLength"].map(
      doubtOf,
    ),
  ).toEqual(["unmeasured", "refused", "refused", "unmeasured", "unmeasured", "unmeasured", null]);
  expect(doubtAmong(["m2.wall", "m1.wall.cutLength", "m1.wall.cutHeight"], doubtOf)).toBe("unmeasured");
  expect([doubtAmong([], doubtOf), SURE("hoop.cutLength")]).toEqual([null, null]);
  const told = doubter({ unmeasured: [], refused: ["m1.stone.mohs", "heats.overshoot", "m1.plate.thickness"] });
  expect(["m1.wall.cutLength", "m1.plate.mass", "m1.hoop.saddle", "heats", "hoop.cutLength"].map(told)).toEqual([
    null,
    "refused",
    "refused",
    "refused",
    null,
  ]);
});

test("what was read at the bench is no guess any more; what a stand-in made up, or of a part that was made anew, still is", () => {
  const fields = ["m1.stone.outline.length", "m1.stone.height", "m1.plate.thickness"];
  const read = (figure: string, more: object = {}) => ({ figure, value: 3, at: "", by: "typed" as const, ...more });
  const measured = [read(fields[0]!), read(fields[1]!, { madeUp: true }), read(fields[2]!, { scrapped: "m1.plate" })];
  expect(stillUnmeasured(fields, measured)).toEqual(fields.slice(1));
});
