import { entriesOf } from "../making/step";
import { closedFlat } from "../hoop/forms/closed-flat";
import { type FormKind } from "../hoop/forms/form";
import { FORMS } from "../hoop/forms/forms";
import { NOTHING } from "../joint/contribution";
import { step } from "../making/step";
import { single, term } from "../measure/figure";
import { METALS, type Metal, type MetalFacts, isPure, metalsFor } from "../metal/metals";
import { type LayerKind } from "../mount/layers/layer";
import { LAYERS } from "../mount/layers/layers";
import { SHIPPED_BENCH } from "./bench";
import { faultsOf } from "./faults";
import { unplanned } from "./unplanned";
import { type Piece } from "./piece";
import { planPiece } from "./plan-piece";
import ternFile from "./reference/tern-ring.piece.json";

const tern = ternFile as unknown as Piece;
const mount = tern.mounts[0]!;

/** A band with a millimetre more to cut, for a lap in place of a butted seam. */
const lapped: FormKind = {
  ...closedFlat,
  losses: (hoop) => [...closedFlat.losses(hoop), term("fit", 1, "formula")],
};

/** A cord laid round the wall, sewn on in one joint. */
const cord: LayerKind = {
  plan: ({ mount: id, layer, outline, wall, onto }) => ({
    ...NOTHING,
    figures: { [`${id}.ornament.${layer.id}.start`]: single("mm", layer.start, "parallel") },
    parts: [{ id: `${id}.ornament.${layer.id}`, kind: layer.type, mount: id, metal: layer.metal, mass: 1, thickness: layer.width }],
    joints: [
      {
        id: `${id}.ornament.${layer.id}`,
        kind: "ornament",
        mount: id,
        parts: [`${id}.ornament.${layer.id}`, onto],
        length: outline.perimeter,
        area: outline.perimeter * layer.width,
        place: "round",
        after: [],
        follows: [],
        work: { before: [], lookedFor: ["joint.allRound"], after: [step(wall.part, "wall.try")] },
      },
    ],
    drawn: {
      ...{ id: layer.id, part: `${id}.ornament.${layer.id}`, type: layer.type, width: layer.width, extent: layer.extent },
      ...{
        middles: [],
        strands: null,
        strandWidth: 0,
        balls: [],
        onRule: { balls: [], turns: 0 },
        ends: [],
        made: { pieces: [`${id}.ornament.${layer.id}.netLength`], counted: null },
        cut: { start: layer.start, height: 1, shape: "round" },
      },
    },
  }),
  faults: () => [],
};

/** A metal that melts low, fuses and is offered for plates alone. */
const moonmetal: MetalFacts = {
  ...METALS.sterling,
  ...{ name: "moon metal", density: 5, solidus: 720, liquidus: 720, fuses: true, firestains: false, isWornInEar: false },
  ...{ offeredFor: ["plate"], usualFor: ["plate"] },
};

afterEach(() => {
  Reflect.deleteProperty(METALS, "moonmetal");
  Reflect.deleteProperty(FORMS, "lapped");
  Reflect.deleteProperty(LAYERS, "cord");
});

test("a form from outside is planned whole once it stands in the registry", () => {
  const piece = { ...tern, carrier: { ...tern.carrier, form: "lapped" } } as unknown as Piece;
  Object.assign(FORMS, { lapped });
  expect([unplanned(piece), faultsOf(piece, SHIPPED_BENCH)]).toEqual([[], []]);
  const [plan, before] = [planPiece(piece, SHIPPED_BENCH), planPiece(tern, SHIPPED_BENCH)];
  const cut = (of: typeof plan) => of.figures["hoop.cutLength"]!.value;
  expect(cut(plan) - cut(before)).toBeCloseTo(1, 12);
  expect(plan.steps.map(({ id }) => id)).toEqual(before.steps.map(({ id }) => id));
});

test("an ornament from outside starts where the one under it ends, moves the plate's edge, and is joined and worked like any part", () => {
  const layer = (id: string, width: number, extent?: readonly (readonly [number, number])[]) =>
    ({ id, type: "cord", width, metal: "copper", ...(extent && { extent }) }) as const;
  const with_ = (...ornament: ReturnType<typeof layer>[]) =>
    ({ ...tern, mounts: [{ ...mount, plate: { ...mount.plate, ornament } }] }) as unknown as Piece;
  expect(unplanned(with_(layer("a", 1)))).toMatchObject([{ path: "/mounts/0/plate/ornament" }]);
  Object.assign(LAYERS, { cord });
  const stretches = [
    layer("a", 1, [
      [0, 0.25],
      [0.5, 0.75],
    ]),
    layer("b", 0.8, [[0.3, 0.45]]),
  ];
  const piece = with_(...stretches);
  expect(unplanned(piece)).toEqual([]);
  const start = (of: Piece) =>
    Object.entries(planPiece(of, SHIPPED_BENCH).figures).flatMap(([key, { value }]) =>
      key.endsWith(".start") ? [Number(value.toFixed(9))] : [],
    );
  expect(start(with_(...stretches, layer("c", 0.5), layer("d", 0.3, [[0.46, 0.49]])))).toEqual([0.37, 0.37, 1.37, 1.87]);
  expect(start(with_(...stretches, layer("e", 0.5, [[0.26, 0.46]])))).toEqual([0.37, 0.37, 1.17]);
  const plan = planPiece(piece, SHIPPED_BENCH);
  const plain = planPiece(tern, SHIPPED_BENCH);
  const grown = (key: string) => plan.figures[key]!.value - plain.figures[key]!.value;
  const evenly = planPiece(with_(layer("a", 1)), SHIPPED_BENCH);
  expect(evenly.figures["m1.plate.length"]!.value - plain.figures["m1.plate.length"]!.value).toBeCloseTo(2, 9);
  expect(evenly.figures["m1.plate.length"]!.terms.map(({ label }) => label)).toEqual(["stone", "fit", "wall", "ornament", "border"]);
  expect(grown("m1.plate.area")).toBeLessThan(evenly.figures["m1.plate.area"]!.value - plain.figures["m1.plate.area"]!.value);
  expect(grown("m1.plate.area")).toBeGreaterThan(0);
  for (const { terms, value } of Object.values(plan.figures))
    expect(terms.reduce((sum, each) => sum + each.value, 0)).toBeCloseTo(value, 9);
  expect(plan.heats.flatMap(({ joints }) => joints).sort()).toEqual(plan.joints.map(({ id }) => id).sort());
  expect(plan.steps.flatMap(entriesOf)).toContain("m1.ornament.a.heat");
  const even = { ...piece, mounts: [{ ...piece.mounts[0]!, plate: { ...piece.mounts[0]!.plate, edge: "even" } }] } as Piece;
  const areaOf = (of: Piece) => planPiece(of, SHIPPED_BENCH).figures["m1.plate.area"]!.value;
  expect(areaOf(even)).toBeGreaterThan(areaOf(piece));
});

test("a metal from outside is offered where it is used, weighed, kept from heats it would melt in, and told where it does not belong", () => {
  const metal = "moonmetal" as Metal;
  Object.assign(METALS, { moonmetal });
  expect([metalsFor("plate").includes(metal), metalsFor("hoop").includes(metal), isPure(metal)]).toEqual([true, false, true]);
  const plated = { ...tern, mounts: [{ ...mount, plate: { ...mount.plate, metal } }] } as unknown as Piece;
  const [plan, before] = [planPiece(plated, SHIPPED_BENCH), planPiece(tern, SHIPPED_BENCH)];
  const mass = (of: typeof plan) => of.figures["m1.plate.mass"]!.value;
  expect(mass(plan) / mass(before)).toBeCloseTo(5 / METALS.sterling.density, 12);
  const heatOf = (of: typeof plan, joint: string) => of.heats.find(({ joints }) => joints.includes(joint))!;
  expect(before.heats.filter(({ joints }) => joints.includes("m1.foot")).every(({ working }) => working > 720)).toBe(true);
  expect(plan.heatPlan.status === "impossible" || heatOf(plan, "m1.foot").working < 720).toBe(true);
  expect(plan.drawing.settings.m1!.plan).toEqual(before.drawing.settings.m1!.plan);
  const overheated = (stains: boolean) => {
    Object.assign(METALS, { moonmetal: { ...moonmetal, firestains: stains } });
    const hot = { ...plated, heats: { ...tern.heats, overshoot: 14 } };
    return planPiece(hot, SHIPPED_BENCH).findings.filter(({ code }) => code === "heats.overshoot").length;
  };
  expect(overheated(true)).toBeGreaterThan(overheated(false));
  const worn = { ...tern, kind: "earrings", carrier: { type: "posts", wire: 0.8, length: 10, at: [0, 0], metal } } as unknown as Piece;
  expect(planPiece(worn, SHIPPED_BENCH).findings.map(({ code }) => code)).toContain("ear.metal");
});
