import { DEMO_PIECES } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { marksOf } from "./joint-marks";

const plans = DEMO_PIECES.map((piece) => planPiece(piece, SHIPPED_BENCH));
const markedIn = (kind: string, mount: "setting" | "carrier") =>
  plans.flatMap((plan) =>
    plan.joints
      .filter((joint) => joint.kind === kind && (joint.mount === null) === (mount === "carrier"))
      .map((joint) => ({ id: joint.id, marks: marksOf(plan, joint), drawing: plan.drawing.settings[joint.mount ?? ""]?.plan })),
  );

test("every joint of the demo pieces is shown where it is: a bezel's seam as a spot, what lies round as a line, a hoop's along the finger", () => {
  const unmarked = plans.flatMap((plan) => plan.joints.filter((joint) => marksOf(plan, joint).length === 0).map(({ kind }) => kind));
  expect([...new Set(unmarked)]).toEqual([]);
  for (const { id, marks, drawing } of markedIn("seam", "setting")) {
    const { seam, layers, opening } = drawing!;
    if (/^m\d+\.seam$/.test(id)) expect(marks).toEqual([{ view: "above", spot: [seam!.x, seam!.y] }]);
    else
      expect(marks[0]).toMatchObject(
        id.includes("ledge") ? { curve: opening[0] } : { runs: layers.find(({ part }) => id === `${part}.seam`)!.middles },
      );
  }
  for (const { marks, drawing } of markedIn("foot", "setting")) expect(marks).toEqual([{ view: "above", curve: drawing!.wallOutside }]);
  expect(markedIn("seam", "carrier").flatMap(({ marks }) => marks.map(({ view }) => view))).toContain("along");
  expect(new Set(markedIn("mount", "setting").flatMap(({ marks }) => marks.map(({ view }) => view)))).toEqual(new Set(["along"]));
});
