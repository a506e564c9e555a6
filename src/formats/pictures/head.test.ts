import { readFileSync } from "node:fs";
import { PNG } from "pngjs";
import { pictureHead } from "./head";

function told(bytes: Uint8Array): string {
  const head = pictureHead(bytes);
  return head.ok ? `${head.value.type} ${head.value.width} x ${head.value.height}` : head.refusal.code;
}

function png(width: number, height: number): Buffer {
  return PNG.sync.write(new PNG({ width, height }));
}

test("kind and size stand in a picture's first bytes", () => {
  expect(told(readFileSync("demo/photographs/ember.jpg"))).toBe("jpeg 1000 x 800");
  expect(told(png(120, 64))).toBe("png 120 x 64");
  const webp = (kind: string, rest: readonly number[]) =>
    Uint8Array.from([
      ...Buffer.from("RIFF"),
      40,
      0,
      0,
      0,
      ...Buffer.from("WEBP"),
      ...Buffer.from(kind),
      20,
      0,
      0,
      0,
      ...rest,
      ...new Array<number>(28 - rest.length).fill(0),
    ]);
  expect(told(webp("VP8X", [0, 0, 0, 0, 0x2b, 1, 0, 0xc7, 0, 0]))).toBe("webp 300 x 200");
  expect(told(webp("VP8 ", [0, 0, 0, 0x9d, 0x01, 0x2a, 0x2c, 1, 0xc8, 0]))).toBe("webp 300 x 200");
  expect(told(webp("VP8L", [0x2f, 0x2b, 0xc1, 0x31, 0]))).toBe("webp 300 x 200");
});

test("what is no picture, cut short, too small or too large is refused before it is decoded", () => {
  expect(told(Buffer.from("hello"))).toBe("not-a-picture");
  expect(told(readFileSync("demo/photographs/ember.jpg").subarray(0, 40_000))).toBe("picture-cut-short");
  expect(told(png(120, 64).subarray(0, 60))).toBe("picture-cut-short");
  expect(told(png(1, 1))).toBe("picture-too-small");
  const wide = png(100, 60);
  wide.writeUInt32BE(30_000, 16);
  expect(told(wide)).toBe("picture-too-large");
  wide.writeUInt32BE(6000, 16);
  wide.writeUInt32BE(4001, 20);
  expect(told(wide)).toBe("picture-too-large");
  wide.writeUInt32BE(4000, 20);
  expect(told(wide)).toBe("png 6000 x 4000");
});
