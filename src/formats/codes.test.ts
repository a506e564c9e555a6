import fc from "fast-check";
import { DEMO_PIECES } from "@demo/pieces";
import { withoutPictures } from "@/core/piece/pictures";
import { seeded } from "@/core/measure/seeded";
import { encode } from "./backup-codec";
import { type Code, MOST_CODES, codeFrom, codesOf, fileOf } from "./codes";

const textIn = async (codes: readonly Code[]) => {
  const file = await fileOf(codes);
  return file.ok ? new TextDecoder().decode(file.bytes) : file.faults[0]!.code;
};
/** A text that does not compress well, of so many characters. */
function scattered(length: number): string {
  const random = seeded(length);
  return Array.from({ length }, () => String.fromCharCode(33 + Math.floor(random() * 90))).join("");
}

test("every demo piece comes back from its codes, read in any order; most take two or fewer", async () => {
  const counts: number[] = [];
  for (const piece of DEMO_PIECES) {
    const text = encode(withoutPictures(piece));
    const codes = (await codesOf(text))!;
    counts.push(codes.length);
    expect(await textIn(codes.map((bytes) => codeFrom(bytes)!).reverse())).toBe(text);
  }
  expect(counts.sort((a, b) => a - b)[Math.floor(counts.length / 2)]).toBeLessThanOrEqual(2);
});

test("codes of one file share their set, and no other file has it", async () => {
  const [a, b] = [scattered(5000), scattered(5001)];
  const sets = async (text: string) => new Set((await codesOf(text))!.map((bytes) => codeFrom(bytes)!.set));
  expect((await sets(a)).size).toBe(1);
  expect([...(await sets(a))]).not.toEqual([...(await sets(b))]);
});

test("one changed byte, a part twice and one cut off are told, never taken", async () => {
  const codes = (await codesOf(scattered(3000)))!.map((bytes) => codeFrom(bytes)!);
  expect(codes.length).toBeGreaterThan(2);
  await fc.assert(
    fc.asyncProperty(fc.nat(codes.length - 1), fc.nat(500), fc.integer({ min: 1, max: 255 }), async (which, at, by) => {
      const part = codes[which]!.part.slice();
      // gzip's head holds a time and a system that change nothing of what is in it.
      const place = which === 0 ? Math.max(12, at % part.length) : at % part.length;
      part[place] = part[place]! ^ by;
      const text = await textIn(codes.map((code, i) => (i === which ? { ...code, part } : code)));
      expect(text).toBe("codes-damaged");
    }),
    { numRuns: 40 },
  );
  expect(await textIn([codes[0]!, codes[0]!, ...codes.slice(1)])).toBe("codes-damaged");
  expect(await textIn(codes.slice(0, -1))).toBe("codes-damaged");
});

test("a file that takes too many codes is not shown; one that unpacks beyond any file's length is not unpacked", async () => {
  expect(await codesOf(scattered(MOST_CODES * 800))).toBeNull();
  const bomb = (await codesOf(" ".repeat(3_000_000)))!.map((bytes) => codeFrom(bytes)!);
  expect(await textIn(bomb)).toBe("too-large");
});

test("a code of something else is none of ours", async () => {
  const [ours] = (await codesOf("{}"))!;
  expect(codeFrom(ours!)).toMatchObject({ index: 0, count: 1 });
  for (const strange of [
    new Uint8Array(),
    new TextEncoder().encode("WIFI:S:shed;;"),
    ours!.slice(0, 14),
    Uint8Array.of(...ours!.slice(0, 3), 2, ...ours!.slice(4)),
  ]) {
    expect(codeFrom(strange)).toBeNull();
  }
  const beyond = ours!.slice();
  beyond[12] = 1;
  expect(codeFrom(beyond)).toBeNull();
});
