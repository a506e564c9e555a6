import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { EXAMPLES, examplePiece } from "@demo/examples";
import { DEMO_PIECES, demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Plan, type PlannedHeat } from "@/core/piece/plan";
import { planPiece } from "@/core/piece/plan-piece";
import { solderPlaces } from "@/core/piece/solder-places";
import { FlameBar } from "./FlameBar";
import { sideBySide } from "./Frame";
import { HeatPicture } from "./HeatPicture";
import { PiecePicture } from "./PiecePicture";
import { Push } from "./Push";
import { SectionPicture } from "./SectionPicture";
import { Through } from "./Through";

const SIZE = { width: 300, height: 200, label: "picture" } as const;
const PIECES = [
  ...DEMO_PIECES.map((piece) => [piece.name, piece] as const),
  ...EXAMPLES.map((example) => [example.name, examplePiece(example, "example", SHIPPED_BENCH)] as const),
];

/** Drawn without a number that is none, and with a path for each thing that it draws. */
function expectDrawn(markup: string): void {
  expect(markup).not.toMatch(/NaN|Infinity|undefined| d="(MZ|M?)"/);
  expect(markup).toMatch(/<path d="M[-\d]/);
}

const heatOf = (plan: Plan, heat: PlannedHeat, isLaid: boolean) =>
  renderToStaticMarkup(createElement(HeatPicture, { ...SIZE, plan, heat, isLaid }));
const pallions = (markup: string): number => markup.split("<rect").length - 1;

test.each(PIECES)("each heat of %s is drawn with something on the block, and its pallions only once they are laid", (_name, piece) => {
  const plan = planPiece(piece, SHIPPED_BENCH);
  for (const heat of plan.heats) {
    const laid = heatOf(plan, heat, true);
    expectDrawn(laid);
    expect(pallions(heatOf(plan, heat, false))).toBe(0);
    const all = plan.joints.filter(({ id }) => heat.joints.includes(id)).flatMap((joint) => solderPlaces(plan, joint));
    expect(pallions(laid)).toBeLessThanOrEqual(all.length);
  }
  expectDrawn(renderToStaticMarkup(createElement(PiecePicture, { ...SIZE, plan, fill: "stone" })));
  for (const drawing of Object.values(plan.drawing.settings)) {
    expectDrawn(renderToStaticMarkup(createElement(Through, { ...SIZE, drawing, fill: "stone", isThrough: true })));
    expectDrawn(renderToStaticMarkup(createElement(Push, { ...SIZE, drawing, fill: "stone", inTurn: true })));
    for (const stone of [null, "stone"])
      expectDrawn(renderToStaticMarkup(createElement(SectionPicture, { ...SIZE, drawing, stone, measure: null })));
  }
});

test("all pallions of the Tern ring's heats are drawn, a plate before it is sawn in dashes, a hoop before its flat is filed round", () => {
  const plan = planPiece(demoPiece("tern-ring"), SHIPPED_BENCH);
  const drawn = plan.heats.map((heat) => [heat.joints[0], heatOf(plan, heat, true)] as const);
  expect(drawn.map(([joint, markup]) => [joint, pallions(markup)])).toEqual(
    plan.heats.map(({ joints, solder }) => [joints[0], solder.reduce((all, { count }) => all + count, 0)]),
  );
  const of = (joint: string) => drawn.find(([id]) => id === joint)![1];
  expect(of("m1.foot")).toContain("stroke-dasharray");
  expect(of("hoop.mount.m1")).not.toContain("stroke-dasharray");
  // Before its flat the hoop is drawn by arcs, after it by the points of its body.
  expect(of("hoop.seam")).toMatch(/<path d="M[^"]*A/);
  expect(of("hoop.mount.m1")).not.toMatch(/<path d="M[^"]*A/);
});

test("the parts that share a flame are named and drawn from the one that takes the most, as many as are asked for", () => {
  const { heats } = planPiece(demoPiece("tern-ring"), SHIPPED_BENCH);
  const heat = heats.find(({ flame }) => flame.length === 3)!;
  const bar = (most?: number) => renderToStaticMarkup(createElement(FlameBar, { heat, part: (id: string) => `[${id}]`, most }));
  const names = (markup: string) =>
    [...markup.matchAll(/\[([^\]]+)\] <b>(\d+)%/g)].map(([, id, percent]) => [id, Number(percent)] as const);
  const all = names(bar());
  expect(all.map(([, percent]) => percent)).toEqual(all.map(([, percent]) => percent).sort((a, b) => b - a));
  expect(all.reduce((sum, [, percent]) => sum + percent, 0)).toBe(100);
  expect(names(bar(2))).toEqual(all.slice(0, 2));
  const widths = [...bar().matchAll(/width:([\d.]+)%/g)].map(([, width]) => Number(width));
  expect(widths).toEqual([...widths].sort((a, b) => b - a));
  expect(widths.reduce((sum, width) => sum + width, 0)).toBeCloseTo(100, 6);
});

test("boxes stand one beside the other, as far apart as is asked", () => {
  const { moves, box } = sideBySide(
    [
      { left: -3, right: 5, low: -1, high: 2 },
      { left: 10, right: 12, low: -4, high: 1 },
    ],
    4,
  );
  expect(moves).toEqual([3, 2]);
  expect(box).toEqual({ left: 0, right: 14, low: -4, high: 2 });
});
