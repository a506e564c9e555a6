import { SHIPPED_BENCH } from "@/core/piece/bench";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { faultLine } from "@/words/faults";
import { readBackup } from "./backup-codec";
import { decodeBench } from "./bench-codec";
import { makeFromJson } from "./make-codec";
import { pieceFromJson } from "./piece-codec";
import { type Json, type JsonObject } from "./read-json";

type Edit = readonly [path: string, value: Json | undefined];

/** The Tern ring with values at places, by JSON pointer; undefined takes one away. */
function terns(...edits: readonly Edit[]): Json {
  const piece = JSON.parse(JSON.stringify(tern)) as Record<string, unknown>;
  for (const [path, value] of edits) {
    const steps = path.split("/").slice(1);
    const last = steps.pop()!;
    const holder = steps.reduce((at, step) => at[step] as Record<string, unknown>, piece);
    if (value === undefined) delete holder[last];
    else holder[last] = value;
  }
  return piece as Json;
}

const lines = (...edits: readonly Edit[]) => {
  const decoded = pieceFromJson(terns(...edits));
  return decoded.ok ? [] : decoded.faults.map(faultLine);
};
const codes = (...edits: readonly Edit[]) => {
  const decoded = pieceFromJson(terns(...edits));
  return decoded.ok ? [] : decoded.faults.map(({ path, code }) => `${path} ${code}`);
};

const [{ plate: _plate, place: _place, ...second }] = tern.mounts as unknown as [{ plate: object; place?: object }];
/** A stone that stands on the plate of the first. */
const shared = { ...second, id: "m2", on: "m1", at: [6, 0], turn: 90, ornament: [] } as unknown as Json;
const own: readonly Edit[] = [
  ["/mounts/0/plate/style", "own"],
  ["/mounts/0/plate/outline", { shape: "round", diameter: 24 }],
  ["/mounts/0/plate/at", [1, 0]],
  ["/mounts/0/plate/turn", 5],
];

test.each<readonly [edits: readonly Edit[], paths: readonly string[]]>([
  [[["/mounts/0/stone/picture", { jpeg: "AAAA", pxPerMm: 40, at: [0, 0], turn: 0 }]], []],
  [[["/mounts/0/stone/cost", 12.5]], []],
  [own, []],
  [[...own, ["/mounts/0/plate/domed", { rise: 2 }]], []],
  [[["/mounts/0/plate/texture", { name: "hammered" }]], []],
  [[["/carrier/stock/texture", { name: "hammered" }]], []],
  [[["/mounts/1", shared]], []],
  [[["/carrier", { type: "jump-ring", inside: 3, wire: 1, eyes: [{ mount: "m1", at: 0.25, turn: 10 }] }]], []],
  [[["/carrier", { type: "bail", bore: 4, drop: 3, thickness: 0.8, ring: { inside: 3, wire: 1 } }]], []],
  [[["/carrier", { type: "posts", metal: "sterling", wire: 0.8, length: 11, at: [0, 0] }]], []],
  [[["/carrier", { type: "ear-wires", wire: 0.8, length: 40, eye: { at: 0.25, turn: 10 } }]], []],
  [
    [
      ["/methods", { "hoop.length": "saw", "wall.length": "scribe, file" }],
      ["/count", 3],
    ],
    [],
  ],
])("what version 3 adds is read by its schema and refused by name until it is planned: %j", (edits, paths) => {
  expect(codes(...edits)).toEqual(paths.map((path) => `${path} not-planned`));
});

test("a shared plate, and one that is none, stand with nothing that does not go with them", () => {
  expect(codes()).toEqual([]);
  expect(lines(["/mounts/0/plate", { style: "none", metal: "sterling" }])).toEqual(["/mounts/0/plate: must hold at most 1"]);
  expect(lines(["/mounts/0/on", "m0"], ["/mounts/0/at", [0, 0]])).toEqual([
    "/mounts/0/plate: does not go with what stands beside it: remove it",
  ]);
  expect(lines(["/mounts/0/on", "m0"], ["/mounts/0/plate", undefined])).toEqual(["/mounts/0/at: is missing"]);
  expect(lines(["/mounts/0/plate", undefined])).toEqual(["/mounts/0/plate: is missing"]);
  expect(lines(["/mounts/0/ornament", []])).toEqual(["/mounts/0/ornament: does not go with what stands beside it: remove it"]);
  expect(lines(["/mounts/0/plate", { style: "flush" }])).toEqual([
    "/mounts/0/plate/metal: is missing",
    "/mounts/0/plate/thickness: is missing",
  ]);
});

test("a bench of version 3 keeps its drawer, scrap and rates", () => {
  const bench = {
    ...SHIPPED_BENCH,
    stock: [
      {
        ...{ id: "wire-1", form: "wire", metal: "sterling", section: "half-round", width: 3, thickness: 1.6 },
        ...{ length: 120, count: 1, coil: true, least: 50 },
      },
      {
        ...{ id: "off-cut", form: "sheet", metal: "sterling", thickness: 0.6, length: 50, width: 30, count: 1, note: "holes" },
        outline: [
          [0, 0],
          [50, 0],
          [0, 30],
        ],
        taken: [
          [
            [1, 1],
            [2, 1],
            [1, 2],
          ],
        ],
      },
    ],
    scrap: [{ metal: "sterling", grams: 12.4 }],
    bought: { length: 300, sheet: [100, 50] },
    useful: { length: 30, sheet: [15, 15] },
    rates: { currency: "EUR", hour: 30, metals: { sterling: 0.95 }, solder: 1.4, by: "typed", at: "2026-11-30" },
  };
  expect(decodeBench(JSON.stringify(bench))).toEqual({ ok: true, migratedFrom: null, value: bench });
  expect(decodeBench(JSON.stringify({ ...bench, rates: { ...bench.rates, currency: "euros" } })).ok).toBe(false);
  const [wire, sheet] = bench.stock;
  const faults = (...stock: readonly object[]) => {
    const decoded = decodeBench(JSON.stringify({ ...bench, stock }));
    return decoded.ok ? [] : decoded.faults.map(({ path, code }) => `${path} ${code}`);
  };
  const bare = { ...sheet, id: "bare", outline: undefined, width: undefined };
  expect(faults({ ...wire, section: undefined }, { ...wire, width: undefined }, bare, { ...wire, id: "tube", form: "tube" })).toEqual([
    "/stock/0/section missing",
    "/stock/1/id duplicate",
    "/stock/2/width missing",
    "/stock/3/outside missing",
    "/stock/3/inside missing",
  ]);
});

test("a make of version 3 keeps how a length was read, corrections, what was made up or scrapped, and what was gone on with", () => {
  const at = "2026-11-30T09:00:00Z";
  const make = {
    ...{ format: "hoop-ledger/make", version: 3, id: "tern-1", piece: "tern-ring", pieceFile: tern, started: at, finished: null, done: [] },
    measured: [
      {
        ...{ figure: "m1.wall.netLength", value: 45.5, at, by: "caliper", how: "extents", extents: [16.64, 12.63] },
        was: [{ value: 45.4, at }],
      },
      { figure: "hoop.cutLength", value: 59, at, by: "caliper", madeUp: true, scrapped: "hoop" },
    ],
    remedies: [{ code: "hoop.small", figure: "hoop.insideDiameter", at, level: "warning" }],
    held: [{ step: "m1.wall.cut", figure: "m1.wall.cutLength", value: 44, at }],
    result: { size: "54", was: [{ size: "53", at }] },
    notes: "",
    notesWas: [{ value: "a", at }],
    seconds: 7800,
  };
  expect(makeFromJson(make as unknown as Json, SHIPPED_BENCH)).toEqual({ ok: true, migratedFrom: null, value: make });
});

test("a backup of version 2 is read as one of 1 is; what it holds besides and is not kept yet is told by name, and hides nothing", () => {
  const backup = (more: object) =>
    ({ format: "hoop-ledger/backup", version: 2, bench: SHIPPED_BENCH, pieces: [tern], makes: [], ...more }) as unknown as JsonObject;
  const empty = { day: null, tries: [], cuts: [] };
  for (const more of [{ version: 1 }, {}, empty])
    expect(readBackup(backup(more))).toMatchObject({ ok: true, value: { pieces: [{ id: "tern-ring" }], unread: [] } });
  expect(readBackup(backup({ ...empty, day: { pieces: ["tern-ring"], start: "09:00" }, cuts: [{ id: "c1" }] }))).toMatchObject({
    ok: true,
    value: {
      pieces: [{ id: "tern-ring" }],
      unread: [
        { path: "/day", faults: [{ code: "not-planned" }] },
        { path: "/cuts/0", faults: [{ path: "/at" }, {}, {}] },
      ],
    },
  });
  expect(readBackup(backup({ version: 1, tries: [] }))).toMatchObject({ ok: false, faults: [{ path: "/tries", code: "unknown-field" }] });
  expect(readBackup(backup({ version: 3 }))).toMatchObject({ ok: false, faults: [{ code: "too-new" }] });
});
