import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const TERN = "demo/pieces/tern-ring.json";

function plan(args: readonly string[], input = "", cwd = process.cwd()) {
  const { status, stdout, stderr } = spawnSync("node", [join(process.cwd(), "scripts/plan.mjs"), ...args], {
    input,
    encoding: "utf8",
    env: { ...process.env, INIT_CWD: cwd },
  });
  return { status, stdout, stderr };
}

test("a file is planned as a card, from a path taken where the command was given", () => {
  const { status, stdout, stderr } = plan(["tern-ring.json"], "", join(process.cwd(), "demo/pieces"));
  expect({ status, stderr }).toEqual({ status: 0, stderr: "" });
  expect(stdout).toMatch(/Cut strip +46\.05 mm long, slit to 3\.20 mm tall/);
  expect(stdout).toMatch(/4 {2}hoop to plate: easy, 728 °C/);
  expect(stdout).toMatch(/care: torch and gas; solder and flux; hot metal/);
  expect(Math.max(...stdout.split("\n").map((line) => line.length))).toBeLessThanOrEqual(79);
});

test("standard input gives the plan as JSON, with the bench of --bench", () => {
  const folder = mkdtempSync(join(tmpdir(), "bench-"));
  const bench = join(folder, "bench.json");
  writeFileSync(bench, JSON.stringify({ format: "hoop-ledger/bench", version: 2, losses: { wall: { squaring: 0.6 } } }));
  const { status, stdout } = plan(["-", "--json", "--bench", bench], readFileSync(TERN, "utf8"));
  expect(status).toBe(0);
  const file = JSON.parse(stdout) as { format: string; figures: Record<string, { value: number }>; drawing?: unknown };
  expect(file.format).toBe("hoop-ledger/plan");
  expect(file.figures["m1.wall.cutLength"]!.value).toBeCloseTo(45.52645 + 0.6 + 0.1, 4);
  expect(file).not.toHaveProperty("drawing");
});

test("a piece is planned on the bench it came with, unless another is given", () => {
  const piece = {
    ...(JSON.parse(readFileSync(TERN, "utf8")) as object),
    benchUsed: { format: "hoop-ledger/bench", version: 3, losses: { wall: { squaring: 1 } }, units: { length: "inch" } },
  };
  const { stdout } = plan(["-"], JSON.stringify(piece));
  expect(stdout).toMatch(/Cut strip +1\.835 in long/);
});

test("what cannot be planned is refused line by line with exit code 2, and misuse with 1, never with a stack", () => {
  const refused = plan(
    ["-"],
    readFileSync(TERN, "utf8").replace('"height": 5.2', '"height": -1').replace('"EU"', "").replace('"54"', '"banana"'),
  );
  expect(refused).toEqual({ status: 2, stdout: "", stderr: "/mounts/0/stone/height: must be more than 0, got -1\n" });
  expect(plan(["-"], "{").stderr).toBe("/: is not JSON\n");
  for (const misused of [plan([]), plan(["no-such-file.json"]), plan([TERN, "--loud"]), plan([TERN, "--bench"])]) {
    expect(misused.status).toBe(1);
    expect(misused.stderr).not.toMatch(/\n\s+at /);
  }
});

test("a making is read with --make and checked: that it is one, whole, and of this piece", () => {
  const folder = mkdtempSync(join(tmpdir(), "make-"));
  const file = (more: object) => {
    const pieceFile = JSON.parse(readFileSync(TERN, "utf8")) as object;
    const whole = { format: "hoop-ledger/make", version: 2, id: "a-1", piece: "tern-ring", pieceFile, started: "", finished: null };
    const path = join(folder, `${JSON.stringify(more).length}.json`);
    writeFileSync(path, JSON.stringify({ ...whole, done: [], measured: [], remedies: [], notes: "", ...more }));
    return path;
  };
  expect(plan([TERN, "--json", "--make", file({})]).status).toBe(0);
  expect(plan([TERN, "--make", file({ measured: [{ figure: "hoop.cutLength", value: "x", at: "" }] })])).toEqual({
    status: 2,
    stdout: "",
    stderr: '/measured/0/by: is missing\n/measured/0/value: must be a number, got "x"\n',
  });
  expect(plan([TERN, "--make", file({ piece: "plover-ring" })]).stderr).toBe(
    "/piece: must be tern-ring, the piece that is planned, got plover-ring\n",
  );
  expect(plan([TERN, "--make"]).status).toBe(1);
  const thickness = (value: number) => ({ figure: "m1.plate.thickness", value, at: "", by: "caliper" });
  expect(plan([TERN, "--make", file({ measured: [thickness(0.7)] })]).stdout).toMatch(/blank 18\.7 x 14\.7 x 0\.70/);
  const small = { figure: "hoop.insideDiameter", value: 16.8, at: "", by: "mandrel" };
  const made = file({ measured: [small, { figure: "m1.wall.netLength", value: 45.2, at: "", by: "caliper" }] });
  const { remedies } = JSON.parse(plan([TERN, "--json", "--make", made]).stdout) as { remedies: { code: string; text: string }[] };
  expect(remedies.map(({ code }) => code)).toEqual(["wall.stretch", "hoop.stretch"]);
  expect(plan([TERN, "--make", made]).stdout).toMatch(/AS READ +The hoop is 0\.39 mm too small inside/);
  expect(plan([TERN, "--make", file({ measured: [thickness(0), thickness(-1)] })]).stderr).toMatch(
    /^\/measured\/1\/value: must be .*got -1\n$/,
  );
});

test("what cannot be read in whole, or written to, is told in a line, and no more is read than a file may hold", () => {
  expect(plan(["/dev/zero"])).toEqual({ status: 2, stdout: "", stderr: "/: must be at most 2097152 bytes\n" });
  const folder = mkdtempSync(join(tmpdir(), "bytes-"));
  writeFileSync(join(folder, "latin.json"), Buffer.concat([Buffer.from('{"name":"'), Buffer.from([0xe9]), Buffer.from('"}')]));
  expect(plan([join(folder, "latin.json")]).stderr).toBe("/: is not UTF-8: the byte at 10 belongs to no character\n");
  const full = spawnSync("sh", ["-c", `node ${join(process.cwd(), "scripts/plan.mjs")} ${TERN} > /dev/full`], { encoding: "utf8" });
  expect([full.status, full.stderr]).toEqual([1, "cannot write the plan: ENOSPC\n"]);
  const closed = spawnSync("sh", ["-c", `node ${join(process.cwd(), "scripts/plan.mjs")} ${TERN} | head -c 1`], { encoding: "utf8" });
  expect(closed.stderr).toBe("");
});

test("names and values that turn the line round, take no room or have no end are printed short and plain", () => {
  const tern = readFileSync(TERN, "utf8");
  const strange = tern
    .replace('"name":', `"a\u202eb\u200bc${"x".repeat(500)}": 1, "name":`)
    .replace('"fine-silver"', `"${"y".repeat(500)}\u2066"`);
  const { stderr } = plan(["-"], strange);
  for (const line of stderr.split("\n")) expect(line.length).toBeLessThan(420);
  expect(stderr).toMatch(/^\/abcx+… *: is not a field/m);
  expect(stderr).not.toMatch(/[\u200b\u202e\u2066]/);
  expect(plan(["-"], tern.replace('"height": 5.2', '"height": 1e999')).stderr).toBe(
    "/mounts/0/stone/height: must be a number that is finite, got Infinity\n",
  );
});

const ternPiece = JSON.parse(readFileSync(TERN, "utf8")) as object;

function ledger(backup: object, ...args: readonly string[]) {
  const path = join(mkdtempSync(join(tmpdir(), "ledger-")), "backup.json");
  writeFileSync(path, JSON.stringify(backup));
  const { status, stdout, stderr } = spawnSync("node", ["scripts/ledger.mjs", path, ...args], { encoding: "utf8" });
  return { status, stdout, stderr };
}

const read = (figure: string, value: number) => ({ figure, value, at: "", by: "caliper", method: "saw" });
const make = (id: string, cut: number) => ({
  ...{
    format: "hoop-ledger/make",
    version: 2,
    id,
    piece: "tern-ring",
    pieceFile: ternPiece,
    started: "2026-03-01",
    finished: null,
    done: [],
  },
  ...{ measured: [read("m1.wall.cutLength", cut), read("m1.wall.netLength", 45)], remedies: [], notes: "" },
});
const backup = (...makes: readonly object[]) => ({
  ...{ format: "hoop-ledger/backup", version: 1, bench: { format: "hoop-ledger/bench", version: 2 }, pieces: [ternPiece], makes },
});

test("what the makes of a backup show is printed as lines, as a file and as a table", () => {
  const whole = backup(make("a", 45.6), make("b", 45.7), make("c", 45.8));
  expect(ledger(whole)).toEqual({
    status: 0,
    stderr: "",
    stdout: "Off a strip's length, saw: 0.62 mm, give or take 0.10, from 3 makes; standard 0.54\n",
  });
  const file = JSON.parse(ledger(whole, "--json").stdout) as { kinds: object[] };
  expect(file).toMatchObject({
    format: "hoop-ledger/ledger",
    version: 1,
    kinds: [{ kind: "wall.length", method: "saw", count: 3, outliers: [] }],
  });
  expect(ledger(whole, "--csv").stdout.split("\r\n")[1]).toMatch(/^wall\.length,saw,a,0\.60*\d*,$/);
});

test("a backup with a part that cannot be read is refused by its path, and a wrong command line is told", () => {
  const broken = ledger(backup({ ...make("a", 45), notes: 5 }));
  expect([broken.status, broken.stdout]).toEqual([2, ""]);
  expect(broken.stderr).toBe("/makes/0/notes: must be text, got 5\n");
  expect(ledger(backup(), "--json", "--csv").status).toBe(1);
  expect(ledger({ format: "hoop-ledger/piece" }).stderr).toMatch(/^\/format: must be "hoop-ledger\/backup"/);
});

describe("cuts", () => {
  const cuts = (args: readonly string[]) => {
    const { status, stdout, stderr } = spawnSync("node", ["scripts/cuts.mjs", ...args], { encoding: "utf8", env: process.env });
    return { status, stdout, stderr };
  };
  const BENCH = ["--bench", "demo/bench.json"];

  test("where four pieces are cut from the drawer, what is ordered and what it costs, and its sheets at true size", () => {
    const folder = mkdtempSync(join(tmpdir(), "cuts-"));
    const bench = join(folder, "bench.json");
    const rates = { currency: "EUR", hour: 30, metals: { sterling: 1, "fine-silver": 1.2 }, by: "typed", at: "2026-11-30" };
    writeFileSync(bench, JSON.stringify({ ...(JSON.parse(readFileSync("demo/bench.json", "utf8")) as object), rates }));
    const { status, stdout, stderr } = cuts(["--bench", bench, TERN, "demo/pieces/dunlin-earrings.json", "--json", "--out", folder]);
    expect({ status, stderr }).toEqual({ status: 0, stderr: "" });
    const file = JSON.parse(stdout) as {
      pieces: object[];
      status: string;
      lengths: { stock: string; cuts: { piece: string; copy: number; figure: string }[] }[];
      sheets: { stock: string; placed: { piece: string; part: string; copy: number; turnedOver: boolean }[] }[];
      figures: Record<string, { value: number; terms: { value: number }[]; unknown?: string[] }>;
    };
    expect(file.pieces).toEqual([
      { id: "tern-ring", count: 1 },
      { id: "dunlin-earrings", count: 1 },
    ]);
    expect(file.lengths.map(({ stock }) => stock).sort()).toEqual(["half-round", "strip-320-coil", "wire-090"]);
    expect(file.sheets).toMatchObject([
      {
        stock: "sheet-060",
        placed: expect.arrayContaining([{ piece: "dunlin-earrings" }].map((each) => expect.objectContaining(each) as object)) as object,
      },
    ]);
    expect(file.sheets[0]!.placed.filter(({ turnedOver }) => turnedOver).map(({ copy }) => copy)).toEqual([2]);
    for (const figure of Object.values(file.figures))
      expect(figure.terms.reduce((sum, { value }) => sum + value, 0)).toBeCloseTo(figure.value, 9);
    expect(file.figures.cost!.value).toBeCloseTo(file.figures["tern-ring.cost"]!.value + file.figures["dunlin-earrings.cost"]!.value, 9);
    expect(file.figures["tern-ring.cost"]!.unknown).toEqual(["solder", "stones"]);
    const svg = readFileSync(join(folder, "cuts-sheet-1.svg"), "utf8");
    expect(svg.match(/class="cut"/g)).toHaveLength(3);
    expect(readFileSync(join(folder, "cuts.pdf"), "latin1")).toMatch(/^%PDF/);
    expect(readFileSync(join(folder, "cuts-sheet-1.dxf"), "utf8")).toContain("ENTITIES");
  });

  test("as lines to read; what cannot be followed is told", () => {
    const { stdout } = cuts([...BENCH, TERN, "--way", "fewest"]);
    expect(stdout).toContain("Laid so that the fewest are opened");
    expect(stdout).toMatch(/at 0\.00: 59\.1 mm, Tern ring hoop\.cutLength/);
    expect(stdout).toContain("Tern ring: cost not known: no price of");
    expect(cuts([...BENCH, TERN, "--way", "quickest"])).toMatchObject({ status: 1 });
    expect(cuts(BENCH).status).toBe(1);
    expect(cuts(["--bench", TERN, TERN])).toMatchObject({ status: 2 });
  });
});

describe("torch", () => {
  const torch = (args: readonly string[]) => {
    const { status, stdout, stderr } = spawnSync("node", ["scripts/torch.mjs", ...args], { encoding: "utf8", env: process.env });
    return { status, stdout, stderr };
  };

  test("a heat under the careful hand, and under a flame's file; what cannot be played is told", () => {
    const folder = mkdtempSync(join(tmpdir(), "torch-"));
    const file = (name: string, content: unknown) => {
      writeFileSync(join(folder, name), JSON.stringify(content));
      return join(folder, name);
    };
    const won = torch([TERN, "--joints", "m1.seam", "--json"]);
    expect({ status: won.status, stderr: won.stderr }).toEqual({ status: 0, stderr: "" });
    const course = JSON.parse(won.stdout) as {
      every: number;
      parts: Record<string, { mass: number; mean: number[] }>;
      energy: Record<"in" | "lost" | "stored", number>;
      result: { ran: string[]; dry: string[]; seconds: number; evenness: number };
    };
    expect(course.result).toMatchObject({ ran: ["m1.seam"], dry: [], lost: [] });
    expect(course.parts["m1.wall"]!.mean.length).toBe(Math.floor((course.result.seconds * 1000) / course.every) + 1);
    expect(Math.abs(course.energy.in - course.energy.lost - course.energy.stored)).toBeLessThan(1e-3 * course.energy.in);
    const large = torch([TERN, "--joints", "m1.foot", "--flame", file("large.json", [[0, 0, 0, 9, true]])]);
    expect(large.stdout).toContain("Plate began to melt.");
    expect(large.stdout).toContain("Practice only: real metal, flux and flames differ.");
    expect(torch([TERN, "--joints", "m1.foot", "--flame", file("wrong.json", [[0, 0, 0, 12, true]])])).toEqual({
      ...{ status: 2, stdout: "" },
      stderr: "/flame/0/3: must be at most 9, got 12\n",
    });
    expect(torch([TERN, "--joints", "m1.feet"])).toMatchObject({
      status: 1,
      stderr: expect.stringContaining("the heats are m1.seam") as string,
    });
    expect(torch([TERN]).status).toBe(1);
  });
});
