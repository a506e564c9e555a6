import fc from "fast-check";
import { runs } from "@/runs.testing";
import { Ajv2020 } from "ajv/dist/2020";
import { DEMO_PIECES } from "@demo/pieces";
import { anyBench, anyPiece } from "@/core/piece/any-piece.testing";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { planPiece } from "@/core/piece/plan-piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { faultLine } from "@/words/faults";
import { decodeBackup, encode, encodeParts, kindOf } from "./backup-codec";
import { decodeBench } from "./bench-codec";
import { decodePiece } from "./piece-codec";
import { migrate } from "./migrations";
import { planFile } from "./plan-file";
import planSchema from "./schema/plan.json";

type Json = Record<string, unknown>;

/** The Tern ring's file with what stands at a path changed, or taken away. */
function altered(path: string, value: unknown): string {
  const file = structuredClone(tern) as unknown as Json;
  const steps = path.split("/").slice(1);
  const last = steps.pop()!;
  const at = steps.reduce((inner, step) => inner[step] as Json, file);
  if (value === undefined) delete at[last];
  else at[last] = value;
  return JSON.stringify(file);
}

function lines(text: string): string[] {
  const decoded = decodePiece(text);
  return decoded.ok ? [] : decoded.faults.map(faultLine);
}

const mount = tern.mounts[0];
const stone = "/mounts/0/stone";
const oval = (length: unknown, width: unknown) => altered(`${stone}/outline`, { shape: "oval", length, width });

test.each([
  ["x", "/: is not JSON"],
  ["[]", "/: must be an object, got a list"],
  ["{}", '/format: must be "hoop-ledger/piece", got nothing'],
  [altered("/format", "other"), '/format: must be "hoop-ledger/piece", got "other"'],
  [altered("/version", 4), "/version: was written by a newer Hoop Ledger; this one reads up to version 3, got 4"],
  [altered("/version", "1"), '/version: must be a whole number, got "1"'],
  [altered("/colour", 1), "/colour: is not a field of this file"],
  [altered(`${stone}/height`, -3), `${stone}/height: must be more than 0, got -3`],
  [altered(`${stone}/height`, 0), `${stone}/height: must be more than 0, got 0`],
  [altered(`${stone}/height`, 201), `${stone}/height: must be at most 200, got 201`],
  [altered(`${stone}/height`, "5"), `${stone}/height: must be a number, got "5"`],
  [altered(`${stone}/height`, undefined), `${stone}/height: is missing`],
  [altered(`${stone}/turnIn`, 5.2), `${stone}/turnIn: must be less than the stone's height, 5.2, got 5.2`],
  [altered(`${stone}/dome`, "flat"), `${stone}/turnIn: must be the stone's height, 5.2, on a flat face, got 1.9`],
  [altered(`${stone}/dome`, "round"), `${stone}/dome: must be flat, or an exponent, got "round"`],
  [
    altered(`${stone}/outline`, { shape: "blob" }),
    `${stone}/outline/shape: must be one of round, oval, cushion, rectangle, pear, marquise, heart, triangle, free, got "blob"`,
  ],
  [
    altered(`${stone}/outline`, { shape: "pear", length: 10, width: 11 }),
    `${stone}/outline/length: must be at least the width, 11, got 10`,
  ],
  [
    altered(`${stone}/outline`, { shape: "heart", length: 13, width: 14, cleft: 3.6 }),
    `${stone}/outline/cleft: must be at most a quarter of the width, 3.5, got 3.6`,
  ],
  [
    altered(`${stone}/outline`, {
      shape: "free",
      closed: "polyline",
      points: [
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ],
    }),
    `${stone}/outline/points: must not cross: it does at (5.00, 5.00)`,
  ],
  [
    altered(`${stone}/outline`, {
      shape: "free",
      points: [
        [0, 0],
        [10, 10],
        [10, 0],
      ],
    }),
    `${stone}/outline/points: must hold at least 4`,
  ],
  [oval(16, undefined), `${stone}/outline/width: is missing`],
  [oval(16, 1e999), `${stone}/outline/width: must be a number, got null`],
  [
    altered("/mounts/0/wall/metal", "gold"),
    '/mounts/0/wall/metal: must be one of fine-silver, sterling, sterling-935, copper, brass, got "gold"',
  ],
  [
    altered("/mounts/0/wall/catch", 6),
    "/mounts/0/wall/catch: must be less than the radius of the largest circle in the outline, 6.00, got 6",
  ],
  [altered("/mounts/0/wall/heightRule", "fixed"), "/mounts/0/wall/fixedHeight: is missing: a house height needs it"],
  [
    altered("/mounts/0/wall/source", "tube"),
    "/mounts/0/wall/source: must not be tube: a tube holds round stones, and this one is oval, got tube",
  ],
  [altered("/mounts/0/plate/style", "open"), "/mounts/0/plate/ledge: is missing: an open back has one"],
  [altered("/mounts", []), "/mounts: must hold at least 1"],
  [
    altered(
      "/mounts",
      Array.from({ length: 13 }, (_, i) => ({ ...mount, id: `m${i}` })),
    ),
    "/mounts: must hold at most 12",
  ],
  [altered("/mounts", [mount, mount]), "/mounts/1/id: must not be an id used elsewhere, got m1"],
  [altered("/mounts/0/id", "hoop"), "/mounts/0/id: must not be hoop, bail, hang, bridge, applied or piece, got hoop"],
  [altered("/id", "Tern Ring"), '/id: must be a lower-case letter, then up to 31 lower-case letters, digits or hyphens, got "Tern Ring"'],
  [altered("/name", "red\u001b[31m"), "/name: must not hold control characters"],
  [altered("/name", "x".repeat(121)), "/name: must hold at most 120"],
  [altered("/carrier/size/value", "banana"), "/carrier/size/value: must be a size in the system eu, as 54, got banana"],
  [altered("/carrier/size/system", "fr"), '/carrier/size/system: must be one of us, uk, eu, continental, jp, diameter, mandrel, got "fr"'],
  [altered("/carrier/form", "bridge"), "/carrier/bridge: is missing: give the arch's inside and thickness"],
  [altered("/carrier/slit", { length: 6, spread: 9 }), "/carrier/slit/spread: must be at most 7, got 9"],
  [
    altered("/carrier", { type: "bail", bore: 3, drop: 8, thickness: 0.5, eyes: [{ mount: "m2", at: 0 }] }),
    "/carrier/eyes: must have one for m1, which has no eye",
  ],
  [altered("/carrier", { type: "rope" }), '/carrier/type: must be one of hoop, bail, jump-ring, posts, ear-wires, none, got "rope"'],
  [
    altered("/carrier/stock", { section: "round", width: 3, thickness: 2, metal: "sterling" }),
    "/carrier/stock/width: must equal the thickness, 2: round wire is as wide as it is thick, got 3",
  ],
  [
    altered("/heats/pins", [{ joint: "m1.foot" }]),
    "/heats/pins/0: must be one of joint + grade, joint + means, before, together, shield, forbid, add, leave",
  ],
  [altered("/kind", "brooch"), '/kind: must be one of ring, pendant, earrings, got "brooch"'],
  [JSON.stringify(tern).replace('"copies":1', '"__proto__":{"polluted":1}'), "/__proto__: is not allowed as a field name"],
  [JSON.stringify({ ...tern, notes: "x".repeat(3_000_000) }), "/: must be at most 2097152 bytes"],
])("%.40s is refused by name", (text, line) => expect(lines(text)).toContain(line));

test("a file too deep is refused without falling into it, and a strange field's name is printed without control characters", () => {
  expect(lines(`{"format":"hoop-ledger/piece","a":${"[".repeat(100_000)}${"]".repeat(100_000)}}`)[0]).toMatch(
    /must be at most 32 levels deep/,
  );
  expect(lines(altered("/\u001b[31mred", 1))).toEqual(["/[31mred: is not a field of this file"]);
});

test("every fault is told at once", () => {
  expect(lines(altered(stone, { outline: { shape: "oval", length: -1, width: "x" }, height: 0, turnIn: 1 }))).toHaveLength(3);
});

test("reading and writing again changes nothing, and the plan of what was written is the same", () => {
  fc.assert(
    fc.property(anyPiece(), anyBench(), (piece, bench) => {
      const file = { ...piece, benchUsed: bench };
      const decoded = decodePiece(encode(file));
      if (!decoded.ok) throw new Error(decoded.faults.map(faultLine).join("; "));
      expect(decoded.value).toEqual(JSON.parse(JSON.stringify(file)));
      expect(JSON.stringify(planFile(planPiece(decoded.value, decoded.value.benchUsed!)))).toBe(
        JSON.stringify(planFile(planPiece(file, bench))),
      );
    }),
    { numRuns: runs(60) },
  );
});

test("a plan's file fits its schema, whatever the piece", () => {
  const ajv = new Ajv2020({ allErrors: true, strict: false });
  const validate = ajv.compile(planSchema);
  const check = (piece: Piece) => {
    if (!validate(JSON.parse(JSON.stringify(planFile(planPiece(piece, SHIPPED_BENCH)))))) throw new Error(ajv.errorsText(validate.errors));
  };
  DEMO_PIECES.forEach(check);
  fc.assert(fc.property(anyPiece(), check), { numRuns: runs(40) });
});

test("the demo's pieces are files like any other, and one has a wall too low, one a joint that softens", () => {
  const codes = DEMO_PIECES.map((piece) => {
    const decoded = decodePiece(JSON.stringify(piece));
    if (!decoded.ok) throw new Error(decoded.faults.map(faultLine).join("; "));
    return planPiece(decoded.value, SHIPPED_BENCH).findings.map(({ code }) => code);
  });
  expect(codes.flat()).toEqual(expect.arrayContaining(["wall.too-low", "heats.softens"]));
});

test("a bench is a file too, and its shelf must make sense", () => {
  const grade = { id: "hard", rank: 1, gives: 740, runs: 787 };
  const bench = (shelves: unknown) => JSON.stringify({ ...SHIPPED_BENCH, shelves });
  expect(decodeBench(bench([{ id: "mine", grades: [grade] }])).ok).toBe(true);
  const refused = decodeBench(bench([{ id: "mine", grades: [grade, { ...grade, gives: 800 }] }]));
  expect(!refused.ok && refused.faults.map(faultLine)).toEqual([
    "/shelves/0/grades/1/id: must not be an id used elsewhere, got hard",
    "/shelves/0/grades/1/gives: must be at most runs, 787, got 800",
  ]);
  expect(decodePiece(altered("/benchUsed", { ...SHIPPED_BENCH, overshoot: 99 })).ok).toBe(false);
});

test("everything saved at once is read again, or refused by the path of what is wrong in it", () => {
  const backup = {
    format: "hoop-ledger/backup",
    version: 2,
    bench: SHIPPED_BENCH,
    pieces: [tern as unknown as Piece],
    makes: [],
    tries: [],
    cuts: [],
  } as const;
  const { bench, pieces, makes } = JSON.parse(JSON.stringify(backup)) as typeof backup;
  for (const text of [encode(backup), [...encodeParts(backup)].join("")])
    expect(decodeBackup(text)).toMatchObject({ ok: true, value: { bench, pieces, makes, unread: [] } });
  const broken = decodeBackup(JSON.stringify({ ...backup, pieces: [JSON.parse(altered(`${stone}/height`, -1))], makes: undefined }));
  expect(!broken.ok && broken.faults.map(faultLine)).toEqual(["/makes: is missing"]);
  expect(
    [JSON.stringify(backup), JSON.stringify(SHIPPED_BENCH), altered("/benchUsed", SHIPPED_BENCH), "x"].map((text) =>
      kindOf(text === "x" ? "x" : (JSON.parse(text) as object as Parameters<typeof kindOf>[0])),
    ),
  ).toEqual(["backup", "bench", "piece", "piece"]);
});

test("an older file is brought up step by step", () => {
  const steps = { 1: (file: object) => ({ ...file, b: 2 }), 2: (file: object) => ({ ...file, c: 3 }) };
  expect(migrate({ a: 1 }, 1, 3, steps)).toEqual({ a: 1, b: 2, c: 3 });
  expect(() => migrate({}, 1, 2, {})).toThrow(/no migration from version 1/);
});
