import { MADE_UP_PICTURES } from "@/core/trace/made-up-pictures";
import { madeUpPicture } from "@/core/trace/made-up";
import { type Pixels } from "@/core/trace/pixels";
import { refused } from "@/core/trace/refusal";
import { outlineOfShape } from "@/core/stone/shapes/shapes";
import { type PictureFiles, answerTrace } from "./handler";
import { type TraceAsk } from "./protocol";

const NIGHT = MADE_UP_PICTURES[3]!;
const file = new Blob(["night"]);

/** A browser that decodes one picture, and writes what it is given as its size. */
const files: PictureFiles = {
  pixelsOf: (picture) => Promise.resolve(picture.id === 1 ? { ok: true, value: madeUpPicture(NIGHT.made) } : refused("picture-cut-short")),
  fileOf: ({ width, height }: Pixels) => Promise.resolve(new Blob([`${width} x ${height}`])),
};
const ask = (question: TraceAsk) => answerTrace(question, files);

test("a picture's squares, then its stone at their scale; what cannot be read is refused", async () => {
  const seen = await ask({ kind: "picture", picture: { id: 1, file } });
  if (seen.kind !== "picture" || !seen.squares) throw new Error("no squares");
  const pxPerMm = (seen.squares.pitch[0] + seen.squares.pitch[1]) / 2 / 5;
  expect(pxPerMm).toBeCloseTo(25, 1);
  const found = await ask({ kind: "stone", picture: { id: 1, file }, request: { pxPerMm } });
  if (found.kind !== "stone") throw new Error("no stone");
  expect(Math.abs(outlineOfShape(found.traced.outline).perimeter / outlineOfShape(NIGHT.outline).perimeter - 1)).toBeLessThan(0.002);
  expect(await ask({ kind: "picture", picture: { id: 2, file } })).toEqual({
    kind: "refused",
    refusal: { code: "picture-cut-short", values: {} },
  });
  expect(await ask({ kind: "stone", picture: { id: 1, file }, request: { pxPerMm: 5 } })).toMatchObject({
    refusal: { code: "too-coarse" },
  });
});

test("a drawing's outlines; a picture that nobody took, another for the next number", async () => {
  const text = '<svg width="9mm" viewBox="0 0 9 9"><circle r="4"/></svg>';
  expect(await ask({ kind: "drawing", name: "a.svg", text })).toMatchObject({
    drawing: { outlines: [{ outline: { shape: "round", diameter: 8 } }] },
  });
  expect(await ask({ kind: "drawing", name: "a.svg", text: "<svg/>" })).toMatchObject({ refusal: { code: "no-closed-outline" } });
  const made = await ask({ kind: "made-up", number: 5, view: "above" });
  if (made.kind !== "made-up") throw new Error("none");
  expect(await made.file.text()).toBe("1000 x 800");
});
