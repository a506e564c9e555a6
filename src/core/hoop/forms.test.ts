import fc from "fast-check";
import { runs } from "@/runs.testing";
import { faultsOf } from "../piece/faults";
import { SHIPPED_BENCH } from "../piece/bench";
import { type HoopEntry, type Mount, type Piece } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import ternFile from "../piece/reference/tern-ring.piece.json";
import { boxOf } from "../geometry/curve";
import { type Bridge, archOn, usualArch } from "./forms/bridge";
import { stretchedTo, whatIfs } from "./what-if";

const tern = ternFile as unknown as Piece;
const round = { section: "round", width: 1.6, thickness: 1.6, metal: "sterling" } as const;
const half = { section: "half-round", width: 3, thickness: 1.6, metal: "sterling" } as const;
const band = { section: "rectangle", width: 3.4, thickness: 1.6, metal: "sterling" } as const;

function ring(carrier: Partial<HoopEntry>, ...mounts: Partial<Mount>[]): Piece {
  const [mount] = tern.mounts;
  const all = mounts.length === 0 ? [{}] : mounts;
  return {
    ...tern,
    mounts: all.map((more, i) => ({ ...mount!, id: `m${i + 1}`, ...more })),
    carrier: { type: "hoop", size: { system: "diameter", value: "17" }, stock: half, form: "closed", ...carrier },
  };
}
const planned = (carrier: Partial<HoopEntry>, ...mounts: Partial<Mount>[]) => planPiece(ring(carrier, ...mounts), SHIPPED_BENCH);
const value = (plan: ReturnType<typeof planned>, key: string) => plan.figures[key]!.value;
const codes = (plan: ReturnType<typeof planned>) => plan.findings.map(({ code }) => code);
const faults = (carrier: Partial<HoopEntry>) => faultsOf(ring(carrier), SHIPPED_BENCH).map(({ path, code }) => `${path}: ${code}`);

test("an open shank meets the plate where the figures say, and its blank has no saw in it", () => {
  const plan = planned({ form: "open", size: { system: "eu", value: "54" } });
  expect(value(plan, "hoop.footAngle")).toBeCloseTo(18.496967, 5);
  expect(value(plan, "hoop.netLength")).toBeCloseTo(52.27913, 5);
  expect(value(plan, "hoop.reach")).toBeCloseTo(5.155989, 5);
  expect(value(plan, "hoop.endAngle")).toBeCloseTo(90 - 18.496967, 5);
  expect(plan.figures["hoop.cutLength"]!.terms.map(({ label, value: mm }) => [label, Number(mm.toFixed(3))])).toEqual([
    ["finger", 54],
    ["fibre", 4.267],
    ["openTop", -5.988],
    ["squaring", 0.5],
    ["mark", 0.1],
    ["fitting", 0.7],
  ]);
  expect(plan.joints.filter(({ mount, kind }) => mount === null || kind === "mount").map(({ id }) => id)).toEqual([
    "hoop.mount.m1.1",
    "hoop.mount.m1.2",
  ]);
  expect(plan.steps.map(({ id }) => id).filter((id) => id.startsWith("hoop.") && !id.includes("mount"))).toEqual(
    ["cut", "square", "wrap", "round", "feet"].map((act) => `hoop.${act}`),
  );
  const stands = value(plan, "hoop.stands");
  const [angle, outside] = [(18.496967 * Math.PI) / 180, 54 / Math.PI / 2 + 1.6];
  const arc = Math.PI - angle;
  expect(stands).toBeCloseTo((Math.atan(1.5 / (54 / Math.PI / 2 + 0.2 + ((outside - 0.8) * Math.sin(arc)) / arc)) * 180) / Math.PI, 5);
});

test("an open shank closes as its plate rises to the finger's top, and past it there is none", () => {
  const closed = value(planned({}), "hoop.netLength");
  fc.assert(
    fc.property(fc.double({ min: 0, max: 0.678, noNaN: true }), (above) => {
      const net = value(planned({ form: "open", plateAbove: above }), "hoop.netLength");
      const further = value(planned({ form: "open", plateAbove: above + 5e-4 }), "hoop.netLength");
      expect(further).toBeGreaterThan(net);
      expect(further).toBeLessThan(closed);
    }),
    { numRuns: runs(40) },
  );
  const gone = planned({ form: "open", plateAbove: 0.7 });
  expect(value(gone, "hoop.netLength")).toBeCloseTo(closed, 9);
  expect(gone.findings.find(({ code }) => code === "hoop.no-foot")!.values).toMatchObject({ height: 9.2 });
  expect(codes(planned({ form: "open", plateAbove: 0.678 }))).not.toContain("hoop.no-foot");
});

test("feet past the plate are told by how much, of every leg; on narrow feet it tips over", () => {
  const round8 = { stone: { ...tern.mounts[0]!.stone, outline: { shape: "round", diameter: 8 } as const } };
  const miss = planned({ form: "open" }, round8).findings.find(({ code }) => code === "hoop.feet-miss")!;
  expect(miss.values.over).toBeCloseTo(Math.hypot(1.5, Number(miss.values.reach)) - 4.37, 2);
  expect(codes(planned({ form: "open" }))).not.toContain("hoop.feet-miss");
  expect(codes(planned({ form: "open", stock: band, slit: { length: 12, spread: 11 } }))).toContain("hoop.feet-miss");
  const turned = { place: { turn: 90 } };
  expect(codes(planned({ form: "open", stock: band, slit: { length: 12, spread: 11 } }, turned))).not.toContain("hoop.plate-wide");
  const thin = { section: "rectangle", width: 1, thickness: 1.6, metal: "sterling" } as const;
  expect(codes(planned({ form: "open", stock: thin }))).toContain("hoop.wont-stand");
  expect(codes(planned({ form: "open" }))).not.toContain("hoop.wont-stand");
});

test("a slit loses what its legs go aside, nothing where they do not, and has a foot for each end of a leg", () => {
  const slit = { length: 9, kerf: 0.28, spread: 6 };
  const plan = planned({ form: "open", stock: band, slit });
  expect(value(plan, "hoop.slitLoss")).toBeCloseTo(0.18876759, 7);
  expect([value(plan, "hoop.legWidth"), value(plan, "hoop.slitShift")].map((mm) => mm.toFixed(9))).toEqual(["1.560000000", "1.300000000"]);
  const whole = planned({ form: "open", stock: band });
  expect(value(plan, "hoop.cutLength") - value(whole, "hoop.cutLength")).toBeCloseTo(0.18876759, 7);
  expect(value(plan, "hoop.netLength")).toBe(value(whole, "hoop.netLength"));
  expect(plan.joints.filter(({ kind }) => kind === "mount").map(({ id, parts }) => `${id} ${parts.join()}`)).toEqual(
    [1, 2, 3, 4].map((n) => `hoop.mount.m1.${n} m1.plate,hoop`),
  );
  expect(plan.heats.at(-1)!.joints).toHaveLength(4);
  expect(plan.drawing.laid.hoop!.marks.filter(({ code }) => code === "root").map(({ at }) => Number(at.toFixed(3)))).toEqual([
    9.25,
    Number((value(plan, "hoop.netLength") - 9 + 0.25).toFixed(3)),
  ]);
  const closed = planned({ form: "closed", stock: band, slit });
  const middle = 0.25 + value(closed, "hoop.netLength") / 2;
  expect(closed.drawing.laid.hoop!.marks.filter(({ code }) => code === "root").map(({ at }) => at - middle)).toEqual(
    [-9, 9].map((mm) => expect.closeTo(mm, 9) as number),
  );
  expect(closed.joints.at(-1)!.parts).toEqual(["m1.plate", "hoop"]);
  fc.assert(
    fc.property(fc.double({ min: 2, max: 20, noNaN: true }), fc.double({ min: 0.1, max: 2, noNaN: true }), (length, kerf) => {
      expect(value(planned({ form: "open", stock: band, slit: { length, kerf, spread: 3.4 } }), "hoop.slitLoss")).toBeCloseTo(0, 9);
    }),
    { numRuns: 30 },
  );
  const wide = (spread: number) => faults({ form: "open", stock: band, slit: { length: 9, spread } });
  expect([wide(9.4), wide(9.401), wide(3.399)]).toEqual([[], ["/carrier/slit/spread: at-most"], ["/carrier/slit/spread: at-least"]]);
  expect(faults({ form: "open", stock: band, slit: { length: 9, kerf: 3.4, spread: 5 } })).toContain("/carrier/slit/kerf: above-limit");
  expect(codes(planned({ form: "open", stock: band, slit: { length: 18, spread: 5 } }))).toContain("hoop.slit-long");
  expect(codes(plan)).not.toContain("hoop.slit-long");
});

test("strands that are not spread are a wide band; spread, each is longer by its way aside", () => {
  const all = planned({ stock: round, strands: { count: 4, soldered: "all" } });
  const one = planned({ stock: round });
  const wide = planned({ stock: { ...band, section: "rectangle", width: 6.4 } });
  expect(value(all, "hoop.insideDiameter")).toBeCloseTo(17.2, 9);
  expect(value(all, "hoop.insideDiameter")).toBe(value(wide, "hoop.insideDiameter"));
  expect(value(all, "hoop.netLength")).toBe(value(wide, "hoop.netLength"));
  expect(value(all, "hoop.mass") / value(all, "hoop.netLength")).toBeCloseTo(
    (4 * value(one, "hoop.mass")) / value(one, "hoop.netLength"),
    9,
  );
  expect(all.joints.find(({ id }) => id === "hoop.strands")).toMatchObject({
    parts: ["hoop.a", "hoop.b", "hoop.c", "hoop.d"],
    place: "along",
  });
  const seam = all.joints.find(({ id }) => id === "hoop.seam")!;
  expect([seam.parts.length, seam.after, seam.kind]).toEqual([4, ["hoop.strands"], "seam"]);
  expect(all.joints.at(-1)!.parts).toEqual(["m1.plate", "hoop.a", "hoop.b", "hoop.c", "hoop.d"]);
  const spread = planned({ stock: round, strands: { count: 2, soldered: 14, spread: 7 } });
  expect(value(spread, "hoop.strandExtra")).toBeCloseTo(0.16219354, 7);
  expect(value(spread, "hoop.netLength") - value(one, "hoop.netLength")).toBeCloseTo(0.16219354, 7);
  expect(spread.joints.map(({ id }) => id).filter((id) => id.startsWith("hoop"))).toEqual([
    "hoop.strands",
    "hoop.a.seam",
    "hoop.b.seam",
    "hoop.mount.m1",
  ]);
  expect(codes(spread)).toContain("hoop.seam-under");
  expect(spread.steps.filter(({ id }) => id === "hoop.round")).toHaveLength(1);
  expect(faults({ stock: round, strands: { count: 2, soldered: 14, spread: 3.1 } })).toEqual(["/carrier/strands/spread: at-least"]);
  expect(faults({ stock: round, strands: { count: 2, soldered: 14 } })).toEqual(["/carrier/strands/spread: spread-missing"]);
  const open = planned({ form: "open", stock: round, strands: { count: 2, soldered: 14, spread: 7 } });
  expect(open.joints.slice(-4).map(({ parts }) => parts[1])).toEqual(["hoop.a", "hoop.a", "hoop.b", "hoop.b"]);
  expect(open.steps.map(({ id }) => id).indexOf("hoop.wrap")).toBeGreaterThan(open.steps.map(({ id }) => id).indexOf("hoop.strands.heat"));
});

test("a bridge spans what the figures say, lies on the hoop as its gap goes, and tells what does not meet or grip", () => {
  const arch = archOn({ inside: 15, thickness: 1, gap: 1.2 }, 10)!;
  expect([arch.centre, arch.half]).toEqual([expect.closeTo(3.7, 9) as number, expect.closeTo(0.99843134, 7) as number]);
  const stone = { ...tern.mounts[0]!.stone, outline: { shape: "round", diameter: 7.26 } as const };
  const flatBand = { section: "rectangle", width: 4, thickness: 1.5, metal: "sterling" } as const;
  const bridge = { inside: 15, thickness: 1, gap: 1.2 };
  const plan = planned({ form: "bridge", stock: flatBand, bridge }, { stone });
  expect(["blankLength", "reach", "arm"].map((name) => value(plan, `bridge.${name}`))).toEqual(
    [15.9749015, 6.304668, 3.7986605].map((mm) => expect.closeTo(mm, 5) as number),
  );
  expect(
    plan.joints.filter(({ kind }) => kind === "bridge" || kind === "mount").map(({ id, parts, after }) => [id, parts, after.length]),
  ).toEqual([
    ["bridge.1", ["bridge", "hoop"], 1],
    ["bridge.2", ["bridge", "hoop"], 1],
    ["hoop.mount.m1", ["m1.plate", "bridge"], 4],
  ]);
  fc.assert(
    fc.property(fc.double({ min: 6, max: 12, noNaN: true }), fc.double({ min: 1e-6, max: 1, noNaN: true }), (outside, gap) => {
      const own = archOn({ inside: 2 * outside, thickness: 1, gap }, outside)!;
      const apart = [0, 0.3, 0.7, 1].map((share) => {
        const angle = share * own.half;
        return Math.hypot(own.radius * Math.sin(angle), own.centre + own.radius * Math.cos(angle)) - outside;
      });
      for (const each of apart) expect(each).toBeLessThanOrEqual(gap + 1e-9);
      expect(Math.min(...apart)).toBeGreaterThan(-1e-9);
    }),
  );
  const none = planned({ form: "bridge", stock: flatBand, bridge: { inside: 30, thickness: 1, gap: 1 } }, { stone });
  expect([codes(none).includes("bridge.no-meeting"), "bridge.blankLength" in none.figures]).toEqual([true, false]);
  expect(none.joints.map(({ kind }) => kind)).not.toContain("bridge");
  const wide = { ...stone, outline: { shape: "round", diameter: 10.4 } as const };
  expect(codes(planned({ form: "bridge", stock: flatBand, bridge }, { stone: wide }))).toContain("bridge.short-arm");
  expect(faults({ form: "bridge" })).toEqual(["/carrier/bridge: bridge-missing"]);
  const began = [7.26, 10.4, 13].map((diameter) => {
    const under = { ...stone, outline: { shape: "round", diameter } as const };
    const grip = (arch: Omit<Bridge, "metal">) => planned({ form: "bridge", stock: flatBand, bridge: arch }, { stone: under });
    const { settings, carrier } = grip(bridge).drawing;
    if (carrier.type !== "hoop") throw new Error("no hoop");
    const { low, high } = boxOf(settings.m1!.plan.plateEdge);
    const arch = usualArch(carrier.outside, high - low);
    expect(codes(grip(arch))).not.toContain("bridge.short-arm");
    if (arch.inside > 15) expect(codes(grip({ ...arch, inside: arch.inside - 0.5 }))).toContain("bridge.short-arm");
    return arch.inside;
  });
  expect(began).toEqual([15, 15.5, 17]);
  expect(usualArch(10, 40)).toEqual(bridge);
});

test("open ends leave their gap out; a taper weighs by its mean width; hammering is taken off the cut", () => {
  const gap = planned({ form: "adjustable", stock: round, openGap: 5 });
  expect(value(gap, "hoop.netLength")).toBeCloseTo(53.4336234, 6);
  expect(gap.figures["hoop.cutLength"]!.terms.map(({ label }) => label)).toEqual(["finger", "fibre", "openGap", "squaring", "mark"]);
  expect(gap.joints.map(({ id }) => id)).not.toContain("hoop.seam");
  const taper = planned({ stock: { ...band, width: 5, backWidth: 2 } });
  expect(value(taper, "hoop.mass")).toBeCloseTo(value(planned({ stock: { ...band, width: 3.5 } }), "hoop.mass"), 9);
  expect(value(planned({ stock: { ...band, backWidth: 7 } }), "hoop.insideDiameter")).toBeCloseTo(17.2, 9);
  const pattern = taper.drawing.carrier.type === "hoop" && taper.drawing.carrier.pattern!;
  const widths = pattern ? pattern.map(([, wide]) => wide) : [];
  expect([Math.min(...widths), Math.max(...widths), widths[12]]).toEqual([2, 5, 3.5].map((mm) => expect.closeTo(mm, 1) as number));
  expect(faults({ stock: { ...round, backWidth: 1 } })).toEqual(["/carrier/stock/backWidth: taper-even"]);
  const hammered = planned({ losses: { hammer: 0.8 } });
  expect(value(planned({}), "hoop.cutLength") - value(hammered, "hoop.cutLength")).toBeCloseTo(0.8, 12);
});

test("a twist takes up wire by its turns, and flattened by the metal of its section", () => {
  const twist = { wire: 1, turns: 2.5, plies: 2 };
  const plan = planned({ stock: { section: "round", width: 2, thickness: 2, metal: "sterling", twist } });
  const cut = value(plan, "hoop.cutLength");
  expect(value(plan, "hoop.wireLength") / cut).toBeCloseTo(76.29325652 / 60, 8);
  const three = planned({ stock: { section: "round", width: 3, thickness: 3, metal: "sterling", twist: { ...twist, plies: 3 } } });
  expect(value(three, "hoop.wireLength") / value(three, "hoop.cutLength")).toBeCloseTo(80.99926741 / 60, 8);
  const flat = (soldered: boolean) =>
    planned({ stock: { section: "rectangle", width: 2.4, thickness: 1.2, metal: "sterling", twist: { ...twist, soldered } } });
  const perMm = (each: typeof plan) => value(each, "hoop.wireLength") / value(each, "hoop.cutLength");
  expect([perMm(flat(true)), perMm(flat(false))]).toEqual(
    [110.00789667 / 60, 101.20726493 / 60].map((mm) => expect.closeTo(mm, 8) as number),
  );
  expect(value(plan, "hoop.mass")).toBeCloseTo(
    (10.36 / 1000) * value(plan, "hoop.netLength") * ((2 * Math.PI) / 4) * (76.29325652 / 60),
    6,
  );
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 20, noNaN: true }),
      fc.double({ min: 0.01, max: 5, noNaN: true }),
      fc.integer({ min: 2, max: 6 }),
      (turns, more, plies) => {
        const wire = (n: number) => {
          const stock = { section: "round", width: 9, thickness: 9, metal: "sterling", twist: { wire: 1, turns: n, plies } } as const;
          return value(planned({ stock }), "hoop.wireLength");
        };
        expect(wire(turns + more)).toBeGreaterThan(wire(turns));
      },
    ),
    { numRuns: 30 },
  );
});

test("a sleeve goes on cold, its mounts after it, with an inlay round its groove", () => {
  const liner = { section: "rectangle", width: 5, thickness: 1, metal: "sterling" } as const;
  const sleeve = { name: "bog oak", thickness: 2.5, inlay: { width: 1, depth: 0.8 } };
  const plan = planned({ stock: liner, sleeve });
  expect(value(plan, "hoop.inlayLength")).toBeCloseTo(72.88494956, 6);
  const cold = plan.joints.filter(({ means }) => means === "cold").map(({ id }) => id);
  expect(cold).toEqual(["hoop.sleeve", "hoop.mount.m1"]);
  expect(plan.joints.at(-1)!.after).toContain("hoop.sleeve");
  expect(plan.heats.flatMap(({ joints }) => joints)).not.toContain("hoop.mount.m1");
  const ids = plan.steps.map(({ id }) => id);
  const lastHeat = plan.steps.findLastIndex(({ heat }) => heat !== null);
  expect(ids.indexOf("hoop.sleeve.cold")).toBeGreaterThan(lastHeat);
  expect(ids.indexOf("hoop.mount.m1.cold")).toBeGreaterThan(ids.indexOf("hoop.sleeve.cold"));
  expect(plan.parts.map(({ id }) => id)).toContain("hoop.inlay");
  const deep = { ...sleeve, inlay: { width: 1, depth: 2.5 } };
  expect(faults({ stock: liner, sleeve: deep })).toEqual(["/carrier/sleeve/inlay/depth: above-limit"]);
});

test("what cannot be built together is refused by name, and what can be is planned", () => {
  const slit = { length: 9, spread: 6 };
  const strands = { count: 2, soldered: "all" } as const;
  expect([
    faults({ form: "bridge", stock: band, slit, bridge: { inside: 15, thickness: 1 } }),
    faults({ stock: band, slit, strands }),
  ]).toEqual([["/carrier/slit: cannot-go-with"], ["/carrier/strands: cannot-go-with"]]);
  expect(faults({ form: "open", sleeve: { thickness: 2 } })).toEqual(["/carrier/sleeve: cannot-go-with"]);
  expect(faults({ form: "adjustable", stock: round, strands: { count: 2, soldered: 9, spread: 6 } })).toEqual([
    "/carrier/strands/soldered: cannot-go-with",
  ]);
  for (const form of ["closed", "closed-flat", "open", "adjustable"] as const) {
    expect([faults({ form, stock: band, slit }), faults({ form, stock: round, strands })]).toEqual([[], []]);
    expect(codes(planned({ form, stock: band, slit }))).not.toContain("heats.not-found");
  }
});

test("what is lost lands at another size in every form: its length is the net less what was lost", () => {
  fc.assert(
    fc.property(
      fc.constantFrom("closed" as const, "open" as const, "adjustable" as const),
      fc.double({ min: 14, max: 21, noNaN: true }),
      (form, size) => {
        const plan = planned({ form, stock: round, size: { system: "diameter", value: String(size) } });
        const { settled } = plan;
        if (settled.carrier.type !== "hoop") throw new Error("no hoop");
        const ifs = whatIfs(settled.carrier, value(plan, "hoop.insideDiameter"), 1);
        const [saw, hammered, short] = (["saw", "hammered", "short"] as const).map((code) => ifs.find((each) => each.code === code));
        expect(saw === undefined).toBe(form !== "closed");
        const net = (inside: number) =>
          value(planned({ form, stock: round, size: { system: "diameter", value: String(inside) } }), "hoop.netLength");
        expect(value(plan, "hoop.netLength") - net(short!.inside)).toBeCloseTo(1, 6);
        expect(net(hammered!.inside) - value(plan, "hoop.netLength")).toBeCloseTo(1, 6);
        if (saw) expect(value(plan, "hoop.netLength") - net(saw.inside)).toBeCloseTo(0.28, 6);
        expect(size - short!.inside).toBeCloseTo(value(plan, "hoop.lostPerMillimetre"), 2);
        expect([short!.left === null, hammered!.left, short!.isFar]).toEqual([false, null, false]);
      },
    ),
    { numRuns: 20 },
  );
  const section = { shape: "half-round", width: 3, thickness: 1.6 } as const;
  expect(stretchedTo({ section }, 16.5, 17.2)).toBeCloseTo(1.5396, 3);
});

test("several mounts sit by their own names; a seam or a neighbour under one, and a plate too wide, are told", () => {
  const small = { ...tern.mounts[0]!.stone, outline: { shape: "round", diameter: 5 } as const };
  const two = planned({ form: "open" }, { place: { along: 0 } }, { stone: small, place: { along: 14 } });
  expect(two.joints.filter(({ kind }) => kind === "mount").map(({ id }) => id)).toEqual([
    "hoop.mount.m1.1",
    "hoop.mount.m1.2",
    "hoop.mount.m2",
  ]);
  expect(["m1.hoop.reach", "m2.hoop.saddle", "hoop.reach"].map((key) => key in two.figures)).toEqual([true, true, false]);
  const drawn = two.drawing.carrier;
  if (drawn.type !== "hoop") throw new Error("no hoop");
  expect(drawn.seats.m2!.angle).toBeCloseTo(14 / drawn.outside, 9);
  expect(drawn.seats.m2!.covers).toBeCloseTo((2 * Math.atan(2.87 / drawn.seats.m2!.level) * 180) / Math.PI, 9);
  const back = planned({}, {}, { stone: small, place: { along: 30 } });
  expect(back.findings.find(({ code }) => code === "hoop.seam-under")).toMatchObject({ mount: "m2" });
  expect(codes(planned({}))).not.toContain("hoop.seam-under");
  const large = { ...tern.mounts[0]!.stone, outline: { shape: "round", diameter: 20 } as const };
  expect([codes(planned({}, { stone: large })), codes(planned({}))].map((each) => each.includes("hoop.plate-wide"))).toEqual([true, false]);
});
