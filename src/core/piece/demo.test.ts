import { DEMO_PIECES } from "@demo/pieces";
import { SHIPPED_BENCH } from "./bench";
import { planPiece } from "./plan-piece";
import table from "./reference/demo.expected.json";

type Expected = Record<string, { figures: Record<string, number>; joints: string[]; heats: string[]; steps: string[]; findings: string[] }>;

test.each(DEMO_PIECES.map((piece) => [piece.name, piece] as const))("%s is planned as it always was", (_name, piece) => {
  const expected = (table as unknown as Expected)[piece.id]!;
  const { figures, steps, findings, joints, heats } = planPiece(piece, SHIPPED_BENCH);
  expect(Object.keys(figures).sort()).toEqual(Object.keys(expected.figures).sort());
  for (const [key, { value }] of Object.entries(figures)) expect(Math.abs(value - expected.figures[key]!)).toBeLessThan(1e-9);
  expect(joints.map(({ id, after }) => [id, ...after].join(" < "))).toEqual(expected.joints);
  expect(heats.map((heat) => `${heat.joints.join(" + ")}: ${heat.grade}`)).toEqual(expected.heats);
  expect(steps.map(({ id }) => id)).toEqual(expected.steps);
  expect(findings.map(({ code, at }) => `${code} ${at}`)).toEqual(expected.findings);
});
