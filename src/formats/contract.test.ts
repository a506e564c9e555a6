import { type BenchEntry } from "@/core/piece/bench";
import { faultsOf } from "@/core/piece/faults";
import { unplanned } from "@/core/piece/unplanned";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { validateBench, validateMake, validatePiece } from "./generated/validators";
import { schemaFaults } from "./validate";

/** Every field of the contract, filled in: the types and the schemas must both know each. */
const bench = {
  format: "hoop-ledger/bench",
  version: 3,
  name: "Marram Workshop",
  units: { length: "inch", temperature: "F" },
  sizeSystem: "uk",
  mandrel: [{ label: "54", diameter: 17.22 }],
  losses: { wall: { squaring: 0.44, mark: 0.1, foot: 0.1, top: 0.1 }, hoop: { squaring: 0.5, mark: 0.1, sawPasses: 1, kerf: 0.28 } },
  allowances: [{ kind: "hoop.squaring", method: "file", value: 0.62, spread: 0.11, count: 9 }],
  wideBand: [{ over: 6, add: 0.2 }],
  strips: [{ metal: "fine-silver", thickness: 0.32, heights: [2.5, 3.2] }],
  shelves: [
    {
      id: "typical",
      grades: [{ id: "hard", rank: 1, gives: 740, runs: 787, forms: [{ type: "sheet", thickness: 0.25 }, { type: "paste" }] }],
    },
  ],
  overshoot: 10,
  way: "step-down",
  seatOf: { fit: 0.05, catch: 0.25 },
  minutes: { "join.pickle": { hands: 1, wait: 8 } },
  tubes: [{ metal: "sterling", outside: 6.8, inside: 5 }],
  cups: [{ metal: "copper", length: 10.4, width: 8.4, thickness: 0.4, height: 3 }],
  screen: { pxPerMm: 3.8 },
} satisfies BenchEntry;

const mount = {
  id: "m1",
  place: { along: 2, turn: 15 },
  stone: {
    name: "Chrysoprase oval",
    outline: { shape: "oval", length: 16, width: 12 },
    measuredPerimeter: 44.3,
    height: 5.2,
    turnIn: [
      { at: 0, height: 1.9 },
      { at: 0.5, height: 2.1 },
    ],
    dome: 2,
    material: { name: "chrysoprase", mohs: 6.5, density: 2.6, tender: ["heat", "acid"] },
  },
  wall: {
    source: "notched",
    metal: "fine-silver",
    thickness: 0.32,
    fit: 0.05,
    heightRule: "fixed",
    fixedHeight: 3,
    catch: 0.25,
    lift: 1.5,
    seamAt: 0.3,
    losses: { squaring: 0.4, mark: 0.1, foot: 0.1, top: 0.1 },
    notch: { pitch: 1.2 },
    tube: { outside: 6, inside: 5 },
    cup: { length: 10.4, thickness: 0.4, height: 3 },
  },
  plate: {
    style: "open",
    metal: "sterling",
    thickness: 0.6,
    border: 1,
    sawMargin: 1,
    edge: "even",
    stamp: { width: 3, height: 1, at: [1, -2], turn: 90 },
    drain: { diameter: 1, at: [0, 0] },
    ornament: [
      {
        id: "twist",
        type: "twist",
        width: 1,
        metal: "sterling",
        extent: [[0, 0.5]],
        section: "round",
        height: 1,
        tight: 0.2,
        from: { wire: 0.5, turns: 8 },
      },
      { id: "balls", type: "granules", width: 1.2, metal: "fine-silver", extent: "all", from: { wire: 1 } },
      { id: "beads", type: "granules", width: 1.2, metal: "fine-silver", from: { strip: [0.4, 3], notches: 2, pitch: 1.1 } },
    ],
    ledge: { width: 1, height: 0.8, metal: "sterling" },
  },
} satisfies Piece["mounts"][number];

const whole = {
  format: "hoop-ledger/piece",
  version: 3,
  id: "whole",
  name: "Whole",
  kind: "ring",
  copies: 2,
  mounts: [mount],
  carrier: {
    type: "hoop",
    size: { system: "mandrel", value: "54" },
    stock: {
      section: "d",
      width: 3,
      thickness: 1.6,
      metal: "sterling-935",
      backWidth: 2,
      twist: { wire: 1.2, turns: 3, plies: 2, soldered: true },
    },
    form: "open",
    lengthRule: { multiplier: 3.15 },
    flatWidth: 6,
    plateAbove: 0.2,
    slit: { length: 8, kerf: 0.3, spread: 9 },
    strands: { count: 2, soldered: 10, spread: 6 },
    bridge: { inside: 6, thickness: 1, gap: 0.5, metal: "sterling" },
    openGap: 2,
    sleeve: { name: "oak", thickness: 2, layers: 3, inlay: { width: 1, depth: 0.5, metal: "copper" } },
    saddleWidth: 4,
    losses: { squaring: 0.5, mark: 0.1, sawPasses: 2, kerf: 0.28, hammer: 0.2 },
  },
  applied: [
    { id: "dot", name: "Dot", metal: "copper", on: "hoop", when: "formed", disc: { diameter: 2, thickness: 0.5 }, at: [1, 2] },
    { id: "ball", metal: "sterling", on: "hoop", when: "flat", ball: { diameter: 1.5 }, along: 4 },
    { id: "ring", metal: "sterling", on: "hoop", ring: { inside: 2, wire: 0.6, section: "square" } },
    { id: "bar", metal: "brass", on: "m1.wall", strip: { length: 4, width: 1, thickness: 0.5 }, turn: 30 },
  ],
  heats: {
    shelf: "typical",
    way: "seams-hard",
    overshoot: 11,
    pins: [
      { joint: "m1.seam", grade: "hard" },
      { joint: "m1.seam", means: "fuse" },
      { before: ["m1.seam", "hoop.seam"] },
      { together: ["m1.foot", "m1.ornament.twist"] },
      { shield: "m1.seam" },
      { forbid: ["m1.foot", "hard"] },
      { joint: "m1.foot", means: "sweat" },
      { add: { id: "extra", parts: ["m1.wall", "hoop"], length: 4 } },
      { leave: "hoop.seam" },
    ],
  },
  notes: "two lines\nof notes",
  benchUsed: bench,
} satisfies Piece;

const shapes: Piece["mounts"][number]["stone"]["outline"][] = [
  { shape: "round", diameter: 10 },
  { shape: "cushion", length: 10, width: 8, exponent: 4 },
  { shape: "rectangle", length: 10, width: 8, corner: 0 },
  { shape: "pear", length: 16, width: 11 },
  { shape: "marquise", length: 20, width: 9 },
  { shape: "heart", length: 13, width: 14, cleft: 2.4 },
  { shape: "triangle", side: 12, corner: 1, bulge: 0.5 },
  {
    shape: "free",
    points: [
      [0, 0],
      [10, 0],
      [10, 8],
      [0, 8],
    ],
    closed: "polyline",
  },
];
const carriers: Piece["carrier"][] = [
  {
    type: "bail",
    style: "folded",
    widest: 6,
    foot: 3,
    eyes: [{ mount: "m1", at: 0.1 }],
    bore: 3,
    drop: 8,
    thickness: 0.5,
    chainEnd: 2.5,
    metal: "sterling",
    eye: { at: 0.1 },
    hangAxis: 0,
  },
  { type: "jump-ring", inside: 4, wire: 1, metal: "sterling", eye: { at: 0 }, hangAxis: 90 },
  { type: "none" },
];

test("every field of the contract is known to the schema, whatever is planned", () => {
  expect(schemaFaults(validateBench, bench)).toEqual([]);
  expect(schemaFaults(validatePiece, whole)).toEqual([]);
  for (const outline of shapes)
    expect(schemaFaults(validatePiece, { ...whole, mounts: [{ ...mount, stone: { ...mount.stone, outline } }] })).toEqual([]);
  for (const carrier of carriers) expect(schemaFaults(validatePiece, { ...whole, carrier })).toEqual([]);
  const make = {
    format: "hoop-ledger/make",
    version: 3,
    id: "whole-1112094100",
    piece: "whole",
    pieceFile: whole,
    started: "2026-11-12",
    finished: null,
    done: [{ step: "m1.wall.cut", at: "2026-11-12" }],
    measured: [{ figure: "m1.wall.cutLength", value: 46.05, at: "2026-11-12", by: "caliper", method: "scribe, file" }],
    remedies: [{ code: "hoop.stretch", figure: "hoop.insideDiameter", at: "2026-11-12" }],
    result: { size: "54", minutes: 95, words: "a good one" },
    photos: [{ name: "front", at: "2026-11-12", jpeg: "AAAA" }],
    notes: "",
  } satisfies Make;
  expect(schemaFaults(validateMake, make)).toEqual([]);
});

test("what of it is not planned yet is refused by name, each thing once", () => {
  expect(unplanned(whole).map(({ path }) => path)).toEqual(["/mounts/0/wall/cup/height"]);
});

test("forty joints are the limit, and double ids are found among ornaments too", () => {
  const faults = (piece: Piece) =>
    faultsOf(piece, bench)
      .filter(({ path }) => path.startsWith("/mounts"))
      .map(({ path, code }) => `${path} ${code}`);
  const ornament = Array.from({ length: 24 }, (_, i) => ({ id: `o${i}`, type: "wire" as const, width: 1, metal: "sterling" as const }));
  const laden = { ...whole, mounts: [{ ...mount, plate: { ...mount.plate, ornament } }] } as Piece;
  expect(faults(laden)).toEqual(["/mounts too-many"]);
  const double = { ...whole, mounts: [{ ...mount, plate: { ...mount.plate, ornament: [ornament[0]!, ornament[0]!] } }] } as Piece;
  expect(faults(double)).toEqual(["/mounts/0/plate/ornament/1/id duplicate"]);
});

test("a flaw in any corner is told by its path", () => {
  const told = (change: (copy: { [K in keyof typeof whole]: unknown }) => void) => {
    const copy = structuredClone(whole) as { [K in keyof typeof whole]: unknown };
    change(copy);
    return schemaFaults(validatePiece, copy).map(({ path, code }) => `${path} ${code}`);
  };
  const at = (value: unknown, ...steps: (string | number)[]) =>
    steps.reduce((inner, step) => (inner as Record<string | number, unknown>)[step], value) as Record<string, unknown>;
  expect(told((copy) => void (at(copy.mounts, 0, "stone", "turnIn", 0).at = 2))).toEqual(["/mounts/0/stone/turnIn/0/at at-most"]);
  expect(told((copy) => void (at(copy.mounts, 0, "wall").seamAt = "somewhere"))).toEqual(["/mounts/0/wall/seamAt not-a-word"]);
  expect(told((copy) => void (at(copy.mounts, 0, "plate", "ornament", 1).from = { wire: 1, turns: 2, strip: [1, 2], notches: 2 }))).toEqual(
    ["/mounts/0/plate/ornament/1/from too-many"],
  );
  expect(told((copy) => void (at(copy.mounts, 0, "stone", "material").tender = ["heat", "heat"]))).toEqual([
    "/mounts/0/stone/material/tender duplicate",
  ]);
  expect(told((copy) => void (at(copy, "carrier").lengthRule = { multiplier: 9 }))).toEqual(["/carrier/lengthRule/multiplier at-most"]);
  expect(told((copy) => void (at(copy, "carrier", "losses").sawPasses = 1.5))).toEqual(["/carrier/losses/sawPasses whole-number"]);
  expect(told((copy) => void (at(copy, "benchUsed", "shelves", 0).grades = []))).toEqual(["/benchUsed/shelves/0/grades too-few"]);
  expect(told((copy) => void delete (at(copy.mounts, 0, "plate", "ledge") as { width?: number }).width)).toEqual([
    "/mounts/0/plate/ledge/width missing",
  ]);
  expect(told((copy) => void (copy.notes = 5))).toEqual(["/notes wrong-type"]);
});
