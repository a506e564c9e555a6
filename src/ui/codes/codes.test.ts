import { DEMO_PIECES } from "@demo/pieces";
import { encode } from "@/formats/backup-codec";
import { codesOf } from "@/formats/codes";
import { readCode } from "@/workers/codes/handler";
import { pictureOf, standInCamera } from "./camera";

test("what is drawn is what is read, square by square", async () => {
  const codes = (await codesOf(encode(DEMO_PIECES[0]!)))!;
  for (const code of codes) expect(readCode(pictureOf(code)).bytes).toEqual(code);
});

test("a stand-in says that it is one, and sees one code after the other", async () => {
  const codes = (await codesOf(encode(DEMO_PIECES[0]!)))!;
  const camera = standInCamera(() => Promise.resolve(codes));
  expect(camera.isStandIn).toBe(true);
  const seen = [];
  for (let i = 0; i <= codes.length; i += 1) seen.push(readCode(await camera.takePicture()).bytes);
  expect(seen).toEqual([...codes, codes[0]]);
});

test("a picture without a code has none", () => {
  expect(readCode({ width: 40, height: 40, data: new Uint8ClampedArray(6400).fill(255) }).bytes).toBeNull();
});
