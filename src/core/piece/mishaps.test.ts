import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "./bench";
import { type MishapCode, mishapsAt } from "./mishaps";
import { type Piece } from "./piece";
import { planPiece } from "./plan-piece";
import ternFile from "./reference/tern-ring.piece.json";

const tern = ternFile as unknown as Piece;
const near = (mm: number) => expect.closeTo(mm, 9) as number;
const at = (piece: Piece, step: string) => {
  const plan = planPiece(piece, SHIPPED_BENCH);
  const found = plan.steps.find(({ id }) => id === step)!;
  return {
    plan,
    mishaps: mishapsAt(piece, plan, found),
    of: (code: MishapCode) => mishapsAt(piece, plan, found).find((each) => each.code === code),
  };
};

test("at each step stand the things that usually go wrong there, and no others", () => {
  const plan = planPiece(tern, SHIPPED_BENCH);
  const told = Object.fromEntries(
    plan.steps.flatMap((step) => {
      const codes = mishapsAt(tern, plan, step).map(({ code }) => code);
      return codes.length > 0 ? [[step.id, codes]] : [];
    }),
  );
  expect(told).toMatchObject({
    "m1.wall.wrap": ["wall.small"],
    "m1.seam.heat": ["solder.one-side", "solder.balled", "part.spoiled"],
    "m1.wall.try": ["wall.small", "wall.large", "wall.twisted", "stone.stuck", "part.spoiled"],
    "m1.foot.heat": ["solder.one-side", "solder.balled", "foot.gap", "joint.opened", "part.spoiled", "part.spoiled"],
    "hoop.round": ["hoop.small", "hoop.large", "part.spoiled"],
    "m1.set.height": ["wall.tall", "wall.low"],
    "m1.set.push": ["wall.crimps"],
  });
  expect(told["hoop.cut"]).toBeUndefined();
});

test("of what was read only what the reading says is listed: small or large, stretched or a piece cut in", () => {
  const told = (step: string, figure: string, value: number) => {
    const measured = [{ figure, value }];
    const plan = planPiece(tern, SHIPPED_BENCH, measured);
    const found = plan.steps.find(({ id }) => id === step)!;
    return mishapsAt(tern, plan, found, measured)
      .filter(({ code }) => /small|large/.test(code))
      .map(({ code, values, act }) => [code, values.way ?? "", act === null]);
  };
  const inside = planPiece(tern, SHIPPED_BENCH).figures["hoop.insideDiameter"]!.value;
  const size = (off: number) => told("hoop.round", "hoop.insideDiameter", inside + off);
  expect(size(0)).toEqual([]);
  expect(size(-0.5)).toEqual([["hoop.small", "hoop.stretch", true]]);
  expect(size(-1)).toEqual([["hoop.small", "cut-in", false]]);
  expect(size(0.3)).toEqual([["hoop.large", "hoop.cut-out", false]]);
  expect(told("m1.wall.try", "m1.wall.netLength", 45.53)).toEqual([]);
  expect(told("m1.wall.try", "m1.wall.netLength", 45.2)).toEqual([["wall.small", "", true]]);
  expect(told("m1.wall.try", "m1.wall.netLength", 46.4)).toEqual([["wall.large", "", false]]);
});

test("a wall that crimps is lowered as far as it holds; one too low loses its cushion, or is made again", () => {
  const { plan, of } = at(tern, "m1.set.push");
  const [net, lip] = [plan.figures["m1.wall.netHeight"]!.value, plan.figures["m1.wall.lip"]!.value];
  const least = 1.9 + 0.6 * lip;
  const crimps = of("wall.crimps")!;
  expect(crimps.values).toEqual({ least: near(least), by: near(net - least) });
  const lowered = crimps.act!.kind === "change" ? planPiece(crimps.act!.piece, SHIPPED_BENCH) : plan;
  expect(lowered.figures["m1.wall.netHeight"]!.value).toBeCloseTo(least, 9);
  expect(lowered.findings.filter(({ code }) => code === "wall.too-low")).toEqual([]);
  const anew = at(tern, "m1.set.height").of("wall.low")!;
  expect(anew.values).toEqual({ least: near(least), cushion: 0 });
  expect(anew.act).toEqual({
    kind: "again",
    anew: ["m1.wall"],
    entries: expect.arrayContaining(["m1.wall.cut", "m1.seam.heat", "m1.seam.pickle"]) as string[],
  });
  const [mount] = tern.mounts;
  const raised = { ...tern, mounts: [{ ...mount!, wall: { ...mount!.wall, lift: 0.6 } }] };
  const cushioned = at(raised, "m1.set.height").of("wall.low")!;
  expect(cushioned.values).toEqual({ least: near(least), cushion: 0.6 });
  expect(cushioned.act).toMatchObject({ kind: "change", piece: { mounts: [{ wall: { lift: 0 } }] } });
});

test("an earlier joint that opened is run again with its own grade, then a lower one is for the new; it and its pickle come again", () => {
  const { of, plan } = at(tern, "hoop.mount.m1.heat");
  const opened = of("joint.opened")!;
  const own = plan.heats.find(({ joints }) => joints.includes(opened.about))!;
  expect(opened.values).toMatchObject({ joint: opened.about, grade: own.grade, working: own.working, lower: "easy" });
  expect(opened.act).toEqual({ kind: "again", entries: ["prepare", "heat", "pickle", "check"].map((act) => `${opened.about}.${act}`) });
  const size = plan.heats[0]!.solder[0]!.size;
  expect(at(tern, "m1.seam.heat").of("solder.one-side")!.values).toEqual({ joint: "m1.seam", grade: "hard", long: size[0], wide: size[1] });
});

test("a hoop with a seam is opened there for what a millimetre of its diameter takes; one without is only told", () => {
  const { of, plan } = at(tern, "hoop.round");
  expect(of("hoop.small")!.values).toMatchObject({ length: near(Math.PI), inside: plan.figures["hoop.insideDiameter"]!.value });
  expect(of("hoop.large")!.act).toEqual({
    kind: "again",
    entries: ["hoop.seam.prepare", "hoop.seam.heat", "hoop.seam.pickle", "hoop.seam.check", "hoop.round"],
  });
  const kelp = demoPiece("kelp-ring");
  expect(at(kelp, "hoop.round").of("hoop.small")!.act).toBeNull();
});

test("what goes wrong with wire, paste and sweating stands where a joint is made so, and nowhere else", () => {
  const of = (means: "wire" | "paste" | "sweat") => {
    const piece: Piece = { ...tern, heats: { ...tern.heats, pins: [{ joint: "m1.foot", means }] } };
    const { mishaps } = at(piece, "m1.foot.heat");
    return mishaps.filter(({ code }) => ["solder.flooded", "paste.pitted", "part.slid"].includes(code));
  };
  const entries = ["m1.foot.prepare", "m1.foot.heat", "m1.foot.pickle", "m1.foot.check"];
  const again = { kind: "again", entries };
  expect(of("wire")).toEqual([{ code: "solder.flooded", about: "m1.foot", values: {}, act: null }]);
  expect(of("paste")).toEqual([{ code: "paste.pitted", about: "m1.foot", values: {}, act: again }]);
  expect(of("sweat")).toMatchObject([{ code: "part.slid", act: { kind: "again", entries: ["m1.foot.join.sweat", ...entries] } }]);
});
