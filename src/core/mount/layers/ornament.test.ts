import fc from "fast-check";
import { SHIPPED_BENCH } from "../../piece/bench";
import { faultsOf } from "../../piece/faults";
import { type Mount, type OrnamentEntry, type Piece, type PlateEntry } from "../../piece/piece";
import { planPiece } from "../../piece/plan-piece";
import ternFile from "../../piece/reference/tern-ring.piece.json";
import { METALS } from "../../metal/metals";
import { outlineOf } from "../../stone/stone";
import { ballFrom } from "./granules";

const tern = ternFile as unknown as Piece;
const [oval] = tern.mounts as [Mount];
const round: Mount = { ...oval, stone: { ...oval.stone, outline: { shape: "round", diameter: 10 } } };
/** Fit and wall of both. */
const FACE = 0.37;

function on(mount: Mount, ornament: readonly OrnamentEntry[], plate: Partial<PlateEntry> = {}): Piece {
  return { ...tern, mounts: [{ ...mount, plate: { ...mount.plate, style: "border", border: 0.4, ...plate, ornament } }] };
}

const entry = (more: Partial<OrnamentEntry>): OrnamentEntry => ({ id: "a", type: "wire", width: 1, metal: "fine-silver", ...more });
const planOf = (piece: Piece) => planPiece(piece, SHIPPED_BENCH);
function figures(piece: Piece) {
  const plan = planOf(piece);
  for (const { value, terms } of Object.values(plan.figures))
    expect(Math.abs(terms.reduce((all, each) => all + each.value, 0) - value)).toBeLessThan(1e-9);
  return (name: string, id = "a") => plan.figures[`m1.ornament.${id}.${name}`]!.value;
}
const codes = (piece: Piece) =>
  planOf(piece)
    .findings.filter(({ at }) => at.startsWith("m1.ornament"))
    .map(({ code, level }) => `${code} ${level}`);
const faults = (piece: Piece) =>
  faultsOf(piece, SHIPPED_BENCH).map(({ path, code }) => `${path.replace("/mounts/0/plate/ornament/", "")} ${code}`);

const P = outlineOf(oval.stone).outline.perimeter;

test("a wire all round is as long as the parallel curve at its middle, and is cut as the wall is; a tight one is that much shorter", () => {
  const [loose, tight] = [{}, { tight: 0.2 }].map((more) =>
    figures(on(oval, [entry({ width: 1.2, section: "square", height: 1, ...more })])),
  );
  expect(loose!("start")).toBeCloseTo(FACE, 12);
  expect(loose!("netLength")).toBeCloseTo(P + 2 * Math.PI * (FACE + 0.6), 9);
  expect(loose!("cutLength")).toBeCloseTo(loose!("netLength") + 0.54, 12);
  expect([tight!("netLength"), tight!("cutLength")].map((value, i) => value - loose!(i ? "cutLength" : "netLength"))).toEqual([
    expect.closeTo(-0.2, 9),
    expect.closeTo(-0.2, 9),
  ]);
  expect(loose!("mass")).toBeCloseTo((loose!("netLength") * 1.2 * METALS["fine-silver"].density) / 1000, 9);
  const halfRound = figures(on(oval, [entry({ section: "half-round", height: 0.5 })]));
  expect(halfRound("mass") / halfRound("netLength")).toBeCloseTo(((Math.PI / 8) * METALS["fine-silver"].density) / 1000, 9);
});

test("from the stone outward lie the wall, each band of ornament once, and what the plate has outside it; nothing outside an open back", () => {
  const bandsOf = (piece: Piece) =>
    planOf(piece).drawing.settings.m1!.plan.bands.map(({ code, from, to }) => [code, Number(from.toFixed(9)), Number(to.toFixed(9))]);
  const sides: OrnamentEntry["extent"] = [[0, 0.5]];
  const ends: OrnamentEntry["extent"] = [[0.5, 1]];
  const both = [
    entry({ extent: sides }),
    entry({ id: "b", type: "granules", width: 1.2, extent: ends }),
    entry({ id: "c", type: "bead-wire", width: 0.8 }),
  ];
  expect(bandsOf(on(oval, both, { sawMargin: 0.9 }))).toEqual([
    ["wall", 0, FACE],
    ["several", FACE, 1.57],
    ["bead-wire", 1.57, 2.37],
    ["border", 2.37, 2.77],
    ["saw", 2.77, 3.67],
  ]);
  expect(bandsOf(on(oval, [], { style: "flush" }))).toEqual([
    ["wall", 0, FACE],
    ["saw", FACE, 1.37],
  ]);
  const open = on(oval, [entry({})], { style: "open", ledge: { width: 0.8, height: 0.8, metal: "sterling" } });
  expect(bandsOf(open)).toEqual([
    ["wall", 0, FACE],
    ["wire", FACE, 1.37],
  ]);
  const { back, layers } = planOf(open).drawing.settings.m1!.plan;
  expect([back.plate, layers[0]!.made]).toEqual([null, { pieces: ["m1.ornament.a.cutLength"], counted: null }]);
  const parted = planOf(on(oval, both)).drawing.settings.m1!.plan;
  expect(parted.back.plate).toBe("m1.plate");
  expect(parted.layers[1]!.made).toEqual({ pieces: [], counted: "m1.ornament.b.count" });
});

test("stretches are cut one by one, each with its own losses, and their lengths add up to the whole however they are parted", () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 999 }), { minLength: 2, maxLength: 8 }), (cuts) => {
      const places = cuts.map((cut) => cut / 1000).sort((a, b) => a - b);
      const extent = places.map((from, i): [number, number] => [from, places[(i + 1) % places.length]!]);
      const [parted, whole] = [figures(on(oval, [entry({ extent })])), figures(on(oval, [entry({})]))];
      expect(parted("netLength")).toBeCloseTo(whole("netLength"), 6);
      expect(parted("cutLength") - parted("netLength")).toBeCloseTo(0.54 * extent.length, 9);
      expect(extent.reduce((all, _, i) => all + parted(`piece${i + 1}`), 0)).toBeCloseTo(parted("cutLength"), 9);
    }),
    { numRuns: 25 },
  );
});

test("a stretch of a smooth outline is its share of the length, and d times the angle that it turns by", () => {
  const outline = outlineOf(oval.stone).outline;
  const turned = (from: number, to: number) => {
    const [a, b] = [from, to].map((at) => outline.stationAt(at)).map(({ nx, ny }) => Math.atan2(ny, nx)) as [number, number];
    return (b - a + 2 * Math.PI) % (2 * Math.PI);
  };
  for (const [from, to] of [
    [0.05, 0.3],
    [0.9, 0.1],
    [0.4, 0.6],
  ] as const) {
    const share = to > from ? to - from : to + 1 - from;
    expect(figures(on(oval, [entry({ extent: [[from, to]] })]))("netLength")).toBeCloseTo(share * P + (FACE + 0.5) * turned(from, to), 5);
  }
});

test("each wire of a twist is the cut length times the root of 1 + (pi d n)^2, by default one turn in six wires; more turns never shorten it", () => {
  const told = figures(on(oval, [entry({ type: "twist", width: 1.2, from: { wire: 0.6 } })]));
  expect(told("wire")).toBeCloseTo(told("cutLength") * Math.sqrt(1 + (Math.PI / 6) ** 2), 9);
  const wires = [1, 2, 4, 8].map((turns) => figures(on(oval, [entry({ type: "twist", width: 1.2, from: { wire: 0.6, turns } })]))("wire"));
  expect(wires).toEqual([...wires].sort((a, b) => a - b));
  expect(wires[1]! / told("cutLength")).toBeCloseTo(Math.hypot(1, Math.PI * 0.6 * 0.2), 9);
  expect(codes(on(oval, [entry({ type: "twist", width: 1.2, from: { wire: 0.6 } })]))).toEqual([]);
  expect(codes(on(oval, [entry({ type: "twist", width: 1.4, from: { wire: 0.6 } })]))).toEqual(["ornament.twist-width warning"]);
});

test("beads round a circle: as many chords as fit, what is left over, and the size that closes with nothing left", () => {
  for (const width of [0.7, 1.1, 2.3]) {
    const bead = (size: number) => figures(on(round, [entry({ type: "granules", width: size })]));
    const told = bead(width);
    const middle = 5 + FACE + width / 2;
    const step = 2 * middle * Math.asin(width / (2 * middle));
    const count = Math.floor((2 * Math.PI * middle) / step);
    expect([told("count"), told("gap")]).toEqual([count, expect.closeTo(2 * Math.PI * middle - count * step, 9)]);
    const sine = Math.sin(Math.PI / count);
    expect(told("closes")).toBeCloseTo((2 * (5 + FACE) * sine) / (1 - sine), 9);
    const closed = bead(told("closes"));
    expect([closed("count"), closed("closes")]).toEqual([count, expect.closeTo(told("closes"), 9)]);
    expect(closed("gap")).toBeLessThan(1e-9);
    expect(told("mass")).toBeCloseTo((count * (Math.PI / 6) * width ** 3 * METALS["fine-silver"].density) / 1000, 9);
  }
});

test("beads touch their neighbours wherever the outline goes, stand inside their stretches, and close there too", () => {
  const piece = on(oval, [
    entry({
      type: "granules",
      width: 1.2,
      extent: [
        [0.9, 0.1],
        [0.45, 0.55],
      ],
    }),
  ]);
  const [layer] = planOf(piece).drawing.settings.m1!.plan.layers;
  const told = figures(piece);
  expect(told("count")).toBe(layer!.balls.length);
  const apart = layer!.balls.slice(1).map(({ at: [x, y] }, i) => Math.hypot(x - layer!.balls[i]!.at[0], y - layer!.balls[i]!.at[1]));
  expect(apart.filter((each) => Math.abs(each - 1.2) < 1e-9)).toHaveLength(told("count") - 2);
  const ends = layer!.ends.flatMap(({ from, to }) => [from, to]);
  for (const { at } of layer!.balls) for (const [x, y] of ends) expect(Math.hypot(at[0] - x, at[1] - y)).toBeGreaterThan(0.59);
  const all = figures(on(oval, [entry({ type: "granules", width: 1.2 })]));
  expect(figures(on(oval, [entry({ type: "granules", width: all("closes") })]))("gap")).toBeLessThan(1e-9);
});

test("a ball and its snippet hold as much metal, of wire, of strip and of notches", () => {
  const of = (from: NonNullable<OrnamentEntry["from"]>) => figures(on(oval, [entry({ type: "granules", width: 1.2, from })]))("snippet");
  expect(of({ wire: 0.8 })).toBeCloseTo((2 * 1.2 ** 3) / (3 * 0.64), 12);
  expect(of({ strip: [0.32, 3.2] })).toBeCloseTo((Math.PI * 1.2 ** 3) / (6 * 0.32 * 3.2), 12);
  expect(ballFrom({ wire: 0.8 }, of({ wire: 0.8 }))).toBeCloseTo(1.2, 12);
  expect(ballFrom({ strip: [0.32, 3.2] }, of({ strip: [0.32, 3.2] }))).toBeCloseTo(1.2, 12);
  const notched = (pitch: number) =>
    codes(on(oval, [entry({ type: "granules", width: 1.2, from: { strip: [0.32, 3.2], notches: 1, pitch } })]));
  expect([0.82, 0.88, 0.94].map(notched)).toEqual([["ornament.notch-ball warning"], [], ["ornament.notch-ball warning"]]);
});

test("beads at each end and a rope along each side lie on one band; what overlaps lies outside; moved between equal bands they keep the blank", () => {
  const side = [
    [0.1, 0.4],
    [0.6, 0.9],
  ] as const;
  const end = [
    [0.9, 0.1],
    [0.4, 0.6],
  ] as const;
  const piece = on(oval, [entry({ extent: side }), entry({ id: "b", type: "granules", extent: end }), entry({ id: "c", width: 0.5 })]);
  const told = figures(piece);
  expect([told("start"), told("start", "b"), told("start", "c")]).toEqual([
    expect.closeTo(FACE, 12),
    expect.closeTo(FACE, 12),
    expect.closeTo(FACE + 1, 12),
  ]);
  const blank = (...ornament: OrnamentEntry[]) => planOf(on(oval, ornament)).figures["m1.plate.blankLength"]!.value;
  expect(blank(entry({ width: 0.6 }), entry({ id: "b", width: 1.1 }))).toBeCloseTo(
    blank(entry({ width: 1.1 }), entry({ id: "b", width: 0.6 })),
    9,
  );
  expect(planOf(piece).joints.map(({ id }) => id)).toEqual([
    "m1.seam",
    "m1.foot",
    "m1.ornament.a",
    "m1.ornament.b",
    "m1.ornament.c.seam",
    "m1.ornament.c",
    "hoop.seam",
    "hoop.mount.m1",
  ]);
});

test("the plate is sawn back once the wall and everything round it are on, and until then takes the heat of its blank", () => {
  const piece: Piece = {
    ...on(oval, [entry({ extent: [[0.1, 0.4]] }), entry({ id: "b", extent: [[0.5, 0.9]] })]),
    heats: {
      pins: [
        { before: ["m1.ornament.a", "m1.foot"] },
        { before: ["m1.foot", "m1.ornament.b"] },
        { before: ["m1.ornament.b", "hoop.mount.m1"] },
      ],
    },
  };
  const { steps, heats } = planOf(piece);
  const at = (id: string) => steps.findIndex((each) => each.id === id);
  const order = ["m1.ornament.a.heat", "m1.foot.heat", "m1.ornament.b.pickle", "m1.plate.saw", "hoop.mount.m1.heat"].map(at);
  expect(order).toEqual([...order].sort((a, b) => a - b));
  expect(steps.filter(({ id }) => id === "m1.plate.saw")).toHaveLength(1);
  const plate = (joint: string) => heats.find(({ joints }) => joints.includes(joint))!.flame.find(({ part }) => part === "m1.plate")!.share;
  expect(plate("m1.ornament.b")).toBeGreaterThan(2 * plate("hoop.mount.m1"));
});

test("a plan with ornament can be handed from a worker to the page", () => {
  const plan = planOf(on(oval, [entry({ type: "twist", width: 1, extent: [[0.1, 0.4]] }), entry({ id: "b", type: "granules" })]));
  expect(structuredClone(plan.drawing)).toEqual(plan.drawing);
});

test("each finding exactly at its threshold", () => {
  const beads = (width: number, metal: OrnamentEntry["metal"] = "fine-silver") =>
    codes(on(oval, [entry({ type: "granules", width, metal })]));
  expect([beads(0.6), beads(0.599)]).toEqual([[], ["ornament.small-bead warning"]]);
  expect(codes(on(oval, [entry({ type: "bead-wire", width: 0.5 })]))).toEqual(["ornament.small-bead warning"]);
  expect(beads(1, "sterling")).toEqual(["ornament.pits note"]);
  const stretch = (to: number, more: Partial<OrnamentEntry> = {}) => codes(on(oval, [entry({ extent: [[0.2, 0.2 + to]], ...more })]));
  expect([stretch(0.013), stretch(0.01)]).toEqual([[], ["ornament.too-short error"]]);
  expect(stretch(0.01, { type: "granules" })).toEqual(["ornament.no-bead error"]);
  const border = (width: number, ornament: OrnamentEntry[] = []) =>
    planOf(on(oval, ornament, { border: width }))
      .findings.filter(({ at }) => at === "m1.plate")
      .map(({ code }) => code);
  expect([0.29, 0.3, 1.09, 1.1].map((width) => border(width))).toEqual([
    ["plate.border-thin"],
    ["plate.wire-room"],
    ["plate.wire-room"],
    [],
  ]);
  expect([border(0.5, [entry({})]), border(0, [entry({})])]).toEqual([[], []]);
});

test("what an ornament cannot be is refused by its path", () => {
  const refused = (more: Partial<OrnamentEntry>) => faults(on(oval, [entry(more)]));
  const extent = (...stretches: [number, number][]) => refused({ extent: stretches });
  expect(extent([0.1, 0.4], [0.4, 0.6])).toEqual([]);
  expect(extent([0.1, 0.4], [0.39, 0.6])).toEqual(["0/extent/1 stretch-overlap"]);
  expect(extent([0.8, 0.2], [0.1, 0.3])).toEqual(["0/extent/1 stretch-overlap"]);
  expect(extent([0.8, 0.1], [0.1, 0.3])).toEqual([]);
  expect(extent([0.3, 0.3])).toEqual(["0/extent/0 stretch-empty"]);
  expect(refused({ tight: 0.1, extent: [[0, 0.5]] })).toEqual(["0/tight tight-not-round"]);
  expect(refused({ from: { wire: 1 } })).toEqual(["0/from not-of-ornament"]);
  expect(refused({ type: "bead-wire", from: { wire: 1 } })).toEqual(["0/from not-of-ornament"]);
  expect(refused({ type: "twist", from: { strip: [1, 2] } })).toEqual(["0/from/strip not-of-ornament"]);
  expect(refused({ type: "granules", from: { wire: 1, turns: 2 } })).toEqual(["0/from/turns not-of-ornament"]);
  expect(refused({ type: "granules", from: { notches: 1, pitch: 0.7 } as never })).toEqual(["0/from made-of-nothing"]);
  expect(refused({ type: "granules", from: { strip: [1, 2], notches: 2 } })).toEqual(["0/from/pitch notch-pair"]);
  expect(refused({ type: "granules", from: { strip: [1, 2], pitch: 2 } })).toEqual(["0/from/notches notch-pair"]);
  expect(refused({ type: "granules", from: { strip: [1, 2], pitch: 2, notches: 1 } })).toEqual([]);
});
