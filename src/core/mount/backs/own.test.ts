import fc from "fast-check";
import { runs } from "@/runs.testing";
import { SHIPPED_BENCH } from "../../piece/bench";
import { faultsOf } from "../../piece/faults";
import { type Mount, type Piece, type PlateEntry } from "../../piece/piece";
import { planPiece } from "../../piece/plan-piece";
import { sizePiece } from "../../piece/size-piece";
import tern from "../../piece/reference/tern-ring.piece.json";

const piece = tern as unknown as Piece;
const [first] = piece.mounts as [Mount];
const round = { ...first, stone: { ...first.stone, outline: { shape: "round", diameter: 8 } } } as Mount;
const { plate: _plate, place: _place, ...bare } = round;

const plated = (plate: Omit<PlateEntry, "metal" | "thickness">, mount: Mount = round): Mount => ({
  ...mount,
  plate: { metal: "sterling", thickness: 0.6, ...plate },
});
const own = (outline: NonNullable<PlateEntry["outline"]>, more: Partial<PlateEntry> = {}) => plated({ style: "own", outline, ...more });
const on = (id: string, at: readonly [number, number], more: Partial<Mount> = {}): Mount => ({ ...bare, id, on: "m1", at, ...more });
const made = (mounts: readonly Mount[], carrier: Piece["carrier"] = { type: "none" }): Piece => ({ ...piece, mounts, carrier });
const sized = (...mounts: readonly Mount[]) => sizePiece(made(mounts), SHIPPED_BENCH).contribution;
const planned = (mounts: readonly Mount[], carrier?: Piece["carrier"]) => planPiece(made(mounts, carrier), SHIPPED_BENCH);
const figure = (of: Pick<ReturnType<typeof sized>, "figures">, key: string) => of.figures[key]!.value;
const faults = (...mounts: readonly Mount[]) => faultsOf(made(mounts), SHIPPED_BENCH).map(({ path, code }) => `${path} ${code}`);

/** What a plate is told by. */
const OF_A_PLATE = ["length", "width", "area", "mass", "blankLength", "blankWidth"].map((name) => `m1.plate.${name}`);
/** Round the stone: fit and wall. */
const FACE = 0.05 + 0.32;

test("a round plate as wide as a border makes it has the bordered plate's figures, and its domed one that one's", () =>
  fc.assert(
    fc.property(fc.double({ min: 0.4, max: 4, noNaN: true }), fc.double({ min: 0, max: 3, noNaN: true }), (border, rise) => {
      const diameter = 8 + 2 * (FACE + border);
      const domed = rise > 0.1 ? { domed: { rise } } : {};
      const [bordered, alone] = [
        sized(plated({ style: "border", border, ...domed })),
        sized(own({ shape: "round", diameter }, { at: [0, 0], ...domed })),
      ];
      for (const key of [...OF_A_PLATE, ...(rise > 0.1 ? ["m1.plate.disc", "m1.plate.domeStep"] : [])])
        expect(figure(alone, key)).toBeCloseTo(figure(bordered, key), 9);
    }),
    { numRuns: runs(60) },
  ));

test("a plate of its own has its outline's figures, wherever the stone lies on it", () => {
  const plate = { shape: "oval", length: 25, width: 18 } as const;
  for (const [at, turn] of [[[0, 0], 0] as const, [[3, -2], 35] as const]) {
    const of = sized(own(plate, { at, turn, sawMargin: 1.2 }));
    const area = (Math.PI * 25 * 18) / 4;
    expect([25, 18, area, area * 0.6 * 0.01036, 27.4, 20.4]).toEqual(OF_A_PLATE.map((key) => expect.closeTo(figure(of, key), 6) as number));
    expect(of.findings.map(({ code }) => code)).not.toContain("plate.wall-over-edge");
  }
});

test("a dome of 0.1 mm is nearly the flat plate; a disc keeps its metal, and the ends of what stands on it come clear by the sphere", () => {
  const [flat, low, high] = [undefined, 0.1, 3].map((rise) =>
    sized(own({ shape: "round", diameter: 20 }, { ...(rise && { domed: { rise } }), sawMargin: 0 })),
  );
  expect(figure(low!, "m1.plate.blankLength")).toBeCloseTo(figure(flat!, "m1.plate.blankLength"), 2);
  const disc = 2 * Math.hypot(10, 3);
  expect(figure(high!, "m1.plate.blankLength")).toBeCloseTo(disc, 9);
  expect(figure(high!, "m1.plate.disc")).toBeCloseTo(disc, 9);
  expect(figure(high!, "m1.plate.area")).toBeCloseTo((Math.PI * disc * disc) / 4, 9);
  expect(figure(high!, "m1.plate.length")).toBeCloseTo(20, 9);
  const [sphere, b] = [109 / 6, 8 + 2 * FACE];
  expect(figure(high!, "m1.plate.domeStep")).toBeCloseTo(sphere - Math.sqrt(sphere * sphere - (b * b) / 4), 9);
  expect(flat!.figures["m1.plate.domeStep"]).toBeUndefined();
});

test("a wall that comes over the edge is told with its place and by how much; 0.3 inside it is not", () => {
  const at = (x: number) =>
    sized(own({ shape: "round", diameter: 20 }, { at: [x, 0] })).findings.find(({ code }) => code === "plate.wall-over-edge");
  const clear = 10 - (4 + FACE);
  expect(at(clear - 0.3)).toBeUndefined();
  expect(at(clear - 0.2)).toMatchObject({ level: "warning", mount: "m1", values: { at: 0, over: expect.closeTo(0.1, 2) as number } });
  expect(at(clear + 0.5)).toMatchObject({ level: "error", values: { over: expect.closeTo(0.8, 2) as number } });
});

test("settings on one plate stand clear of each other by both walls and half a millimetre", () => {
  const apart = (away: number) =>
    sized(own({ shape: "oval", length: 40, width: 20 }, { at: [-8, 0] }), on("m2", [-8 + 8 + 2 * FACE + away, 0])).findings.find(
      ({ code }) => code === "plate.walls-close",
    );
  expect(apart(0.51)).toBeUndefined();
  expect(apart(0.3)).toMatchObject({
    level: "warning",
    mount: null,
    values: { apart: expect.closeTo(0.3, 2) as number, one: "m1", other: "m2" },
  });
  expect(apart(-1)).toMatchObject({ level: "error" });
});

test("a plate that one stone shares with none is that stone's; more stones add walls and feet to it and no other plate", () => {
  const plate = own({ shape: "oval", length: 40, width: 20 }, { at: [-8, 0] });
  const [alone, two] = [planned([plate]), planned([plate, on("m2", [8, 0])])];
  for (const key of OF_A_PLATE) expect(two.figures[key]).toEqual(alone.figures[key]);
  expect(two.figures["m2.wall.netLength"]!.value).toBeCloseTo(two.figures["m1.wall.netLength"]!.value, 9);
  expect(two.parts.map(({ id }) => id)).toEqual(["m1.wall", "m1.plate", "m2.wall"]);
  expect(two.joints.filter(({ kind }) => kind === "foot").map(({ id, parts }) => [id, ...parts])).toEqual([
    ["m1.foot", "m1.wall", "m1.plate"],
    ["m2.foot", "m2.wall", "m1.plate"],
  ]);
  expect(two.cuts.filter(({ part }) => part === "m1.plate")).toHaveLength(1);
  expect(two.heats.some(({ joints }) => joints.includes("m1.foot") && joints.includes("m2.foot"))).toBe(true);
  const codes = two.steps.map(({ code }) => code);
  for (const once of ["plate.cut", "plate.stamp", "plate.saw"]) expect(codes.filter((code) => code === once)).toHaveLength(1);
  expect(codes.lastIndexOf("join.solder")).toBeLessThan(codes.indexOf("plate.saw"));
});

test("a plate is textured flat, cut, and domed, and every foot on it is filed to the dome before it is soldered", () => {
  const plate = own({ shape: "round", diameter: 30 }, { at: [-7, 0], domed: { rise: 2 }, texture: { name: "hammered" } });
  const order = planned([plate, on("m2", [7, 0])]).steps.map(({ id }) => id);
  const places = ["m1.plate.texture", "m1.plate.cut", "m1.plate.dome", "m1.wall.dome", "m1.foot.heat", "m1.plate.saw"].map((id) =>
    order.indexOf(id),
  );
  expect(places).toEqual([...places].sort((a, b) => a - b));
  expect(places).not.toContain(-1);
  expect(order).toContain("m2.wall.dome");
});

test("what is carried is joined after every foot on its plate, and hangs with all that stands on it", () => {
  const ring = { type: "jump-ring", inside: 3, wire: 1, eye: { at: 0.5 } } as const;
  const plate = own({ shape: "oval", length: 30, width: 20 }, { at: [0, 5], turn: 20 });
  const oval = { ...bare, stone: { ...bare.stone, outline: { shape: "oval", length: 8, width: 6 } as const } };
  const host = { ...plate, stone: oval.stone };
  const pair = planned([host, { ...oval, id: "m2", on: "m1", at: [0, -5], turn: -20 }], ring);
  expect(pair.joints.find(({ kind }) => kind === "eye")!.after).toEqual(expect.arrayContaining(["m1.foot", "m2.foot"]));
  expect(pair.figures["hang.tilt"]!.value).toBeCloseTo(0, 6);
  expect(Math.abs(planned([host], ring).figures["hang.tilt"]!.value)).toBeGreaterThan(1);
});

test("masses by parts are mass by area, and a hoop's seat goes by the plate", () => {
  const plate = own({ shape: "round", diameter: 14 }, { at: [1, 0] });
  const plan = planPiece({ ...piece, mounts: [plate] }, SHIPPED_BENCH);
  const weighs = plan.parts.find(({ id }) => id === "m1.plate")!.mass;
  expect(weighs).toBeCloseTo(Math.PI * 49 * 0.6 * 0.01036, 9);
  const wide = (mount: Mount) =>
    planPiece({ ...piece, mounts: [mount], carrier: { ...piece.carrier, form: "closed" } as Piece["carrier"] }, SHIPPED_BENCH);
  expect(figure(wide(plate), "hoop.saddleWidth")).toBeCloseTo(
    figure(wide(plated({ style: "border", border: 3 - FACE })), "hoop.saddleWidth"),
    6,
  );
});

test("what cannot be is refused by name", () => {
  expect(faults(plated({ style: "own" }))).toEqual(["/mounts/0/plate/outline own-outline-missing"]);
  expect(faults(plated({ style: "flush", outline: { shape: "round", diameter: 9 }, turn: 3 }))).toEqual([
    "/mounts/0/plate/outline only-of-own",
    "/mounts/0/plate/turn only-of-own",
  ]);
  expect(faults(own({ shape: "pear", length: 9, width: 12 }))).toEqual([expect.stringContaining("/mounts/0/plate/outline/")]);
  expect(faults(own({ shape: "oval", length: 20, width: 16 }, { domed: { rise: 1 } }))).toEqual(["/mounts/0/plate/domed dome-not-round"]);
  expect(faults(plated({ style: "flush", domed: { rise: 1 } }))).toEqual(["/mounts/0/plate/domed dome-not-round"]);
  expect(faults(own({ shape: "round", diameter: 20 }, { domed: { rise: 9.9 } }))).toEqual([]);
  expect(faults(own({ shape: "round", diameter: 20 }, { domed: { rise: 10 } }))).toEqual(["/mounts/0/plate/domed/rise above-limit"]);
  expect(faults(round, on("m2", [1, 0], { on: "m3" }))).toEqual(["/mounts/1/on no-such-mount"]);
  expect(faults(round, on("m2", [1, 0]), on("m3", [2, 0], { on: "m2" }))).toEqual(["/mounts/2/on no-plate-there"]);
  const open = plated({ style: "open", ledge: { width: 0.8, height: first.wall.lift ?? 0.8, metal: "sterling" } });
  expect(faults(open, on("m2", [1, 0]))).toEqual(["/mounts/1/on no-plate-there"]);
});
