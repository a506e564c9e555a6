import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { contradicting } from "./contradicts";

const plan = (figure: string, value: number) => planPiece(demoPiece("tern-ring"), SHIPPED_BENCH, [{ figure, value }]);
const told = ({ steps, remedies }: ReturnType<typeof plan>) =>
  steps.flatMap((step) => step.checks.flatMap((check) => contradicting(check, step, remedies)?.code ?? []));

test("a check is contradicted by what was read, and by nothing that says the same", () => {
  expect(told(plan("hoop.insideDiameter", 16.5))).toEqual(["hoop.stretch"]);
  expect(told(plan("hoop.insideDiameter", 17.6))).toEqual(["hoop.cut-out"]);
  expect(told(plan("hoop.insideDiameter", 17.19))).toEqual([]);
  // Where the wall is tried with the stone, and once more before the stone is set.
  expect(told(plan("m1.wall.netLength", 44))).toEqual(["wall.too-short", "wall.too-short"]);
  expect(told(plan("m1.wall.netLength", 46.4))).toEqual([]);
});

test("the bezel of another stone contradicts nothing of this one", () => {
  const redshank = planPiece(demoPiece("redshank-ring"), SHIPPED_BENCH);
  const [first, second] = redshank.drawing.settings ? Object.keys(redshank.drawing.settings) : [];
  const { steps, remedies } = planPiece(demoPiece("redshank-ring"), SHIPPED_BENCH, [
    { figure: `${first}.wall.netLength`, value: redshank.figures[`${first}.wall.netLength`]!.value * 0.9 },
  ]);
  const of = (mount: string) => steps.filter(({ part, checks }) => part === mount && checks.includes("wall.passes"));
  expect(of(first!).every((step) => contradicting("wall.passes", step, remedies)?.mount === first)).toBe(true);
  expect(of(second!).map((step) => contradicting("wall.passes", step, remedies))).toEqual(of(second!).map(() => undefined));
});
