import { DEMO_PIECES } from "@demo/pieces";
import { SHIPPED_BENCH } from "../piece/bench";
import { planPiece } from "../piece/plan-piece";
import { LESSONS } from "./lessons";

test.each(LESSONS.map((lesson) => [lesson.id, lesson] as const))("lesson %s is a heat of a worked piece", (_id, { piece, joint }) => {
  const { heats } = planPiece(
    DEMO_PIECES.find(({ id }) => id === piece)!,
    SHIPPED_BENCH,
  );
  expect(heats.filter(({ joints }) => joints.includes(joint))).toHaveLength(1);
});
