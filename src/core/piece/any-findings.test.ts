import fc from "fast-check";
import { runs } from "@/runs.testing";
import { bandWidth } from "../hoop/works/works";
import { tolerance } from "../measure/tolerances";
import { greatestTurnIn } from "../stone/stone";
import { anyPiece } from "./any-piece.testing";
import { SHIPPED_BENCH } from "./bench";
import { type Mount, type WallEntry } from "./piece";
import { type Plan, hoopIn } from "./plan";
import { planPiece } from "./plan-piece";

const value = (plan: Plan, key: string) => plan.figures[key]!.value;

test("the cut is the net and its losses, and the net grows with thickness and fit where there is no notch", () => {
  fc.assert(
    fc.property(anyPiece(), fc.double({ min: 0.01, max: 1, noNaN: true }), (piece, more) => {
      const [mount, ...others] = piece.mounts as [Mount, ...Mount[]];
      fc.pre(mount.wall.source !== "tube" && mount.wall.source !== "cup");
      const plan = planPiece(piece, SHIPPED_BENCH);
      const isNotched = ["heart", "free"].includes(mount.stone.outline.shape);
      const { losses, fit } = plan.settled.mounts[mount.id]!.wall;
      const net = value(plan, "m1.wall.netLength");
      expect(value(plan, "m1.wall.cutLength")).toBeCloseTo(net + losses.squaring.value + losses.mark.value, 8);
      if (isNotched) return;
      const changed = (wall: Partial<WallEntry>) =>
        value(
          planPiece({ ...piece, mounts: [{ ...mount, wall: { ...mount.wall, ...wall } }, ...others] }, SHIPPED_BENCH),
          "m1.wall.netLength",
        );
      expect(changed({ thickness: mount.wall.thickness + more })).toBeCloseTo(net + Math.PI * more, 7);
      expect(changed({ fit: fit.value + more })).toBeCloseTo(net + 2 * Math.PI * more, 7);
    }),
    { numRuns: runs(100) },
  );
});

test("whatever the piece, each finding stands exactly where its figure is past its threshold", () => {
  fc.assert(
    fc.property(anyPiece(), (piece) => {
      const plan = planPiece(piece, SHIPPED_BENCH);
      const figure = (key: string) => plan.figures[key]?.value ?? NaN;
      const has = (code: string, at: string) => plan.findings.some((each) => each.code === code && each.at.startsWith(at));
      for (const { id, stone } of piece.mounts) {
        const { wall } = plan.settled.mounts[id]!;
        const drawing = plan.drawing.settings[id]!;
        const value = (name: string) => figure(`${id}.wall.${name}`);
        const chosen = drawing.schools.find(({ rule }) => rule === wall.height.rule)!;
        const needed = greatestTurnIn(stone) + 0.6 * value("lip");
        expect(has("wall.too-low", id)).toBe(!chosen.holds);
        const hides = value("netHeight") - wall.lift.value > Math.max(0.65 * stone.height, 1.1 * needed);
        expect(has("wall.hides-stone", id)).toBe(stone.dome !== "flat" && hides);
        const pointed = plan.findings.find(({ code, at }) => code === "wall.point" && at.startsWith(id));
        const hasPoints = Number(pointed?.values.points ?? 0) > 0;
        expect(pointed !== undefined).toBe(hasPoints || value("gather") > 0.2);
        expect(has("wall.gathers", id)).toBe(!hasPoints && value("gather") > 0.1 && value("gather") <= 0.2);
        expect(has("wall.wrapped-short", id)).toBe(value("netLength") - value("hullLength") > 0.005);
        if (wall.stripHeights.length > 0 && !wall.ready && wall.source !== "sheet")
          expect(has("wall.no-strip", id)).toBe(value("cutHeight") > Math.max(...wall.stripHeights));
      }
      const hoop = hoopIn(plan)?.settled;
      if (!hoop) return;
      expect(has("hoop.wide-band", "hoop")).toBe(bandWidth(hoop.section, hoop.works) > 6);
      const flats = piece.mounts.map(({ id }) => figure(`${id}.hoop.flatLeft`));
      expect(has("hoop.flat-too-deep", "hoop")).toBe(flats.some((left) => left < 0.6 * hoop.section.thickness - tolerance.sameLength));
    }),
    { numRuns: runs(400) },
  );
});
