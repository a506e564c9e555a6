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
    benchUsed: { format: "hoop-ledger/bench", version: 2, losses: { wall: { squaring: 1 } }, units: { length: "inch" } },
  };
  const { stdout } = plan(["-"], JSON.stringify(piece));
  expect(stdout).toMatch(/Cut strip +1\.835 in long/);
});

test("what cannot be planned is refused line by line with exit code 2, and misuse with 1, never with a stack", () => {
  const refused = plan(
    ["-"],
    readFileSync(TERN, "utf8").replace('"height": 5.2', '"height": -1').replace('"EU"', "").replace('"54"', '"banana"'),
  );
  expect(refused).toEqual({ status: 2, stdout: "", stderr: "/mounts/0/stone/height: must be > 0, got -1\n" });
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
