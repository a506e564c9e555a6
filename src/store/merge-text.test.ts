import fc from "fast-check";
import { caretIn, mergedText } from "./merge-text";

test("changes that lie apart both stand; at one place theirs comes first, and no word runs into another", () => {
  expect(mergedText("the seam held", "the hoop's seam held", "the seam held well")).toBe("the hoop's seam held well");
  expect(mergedText("the seam held", "the seam held well", "the hoop's seam held")).toBe("the hoop's seam held well");
  expect(mergedText("", "mine", "theirs")).toBe("theirs mine");
  expect(mergedText("a b", "a mine", "a theirs")).toBe("a theirs mine");
  expect(mergedText("one two", "one", "one three")).toBe("one three");
});

test("nothing that either has typed is dropped, and one who changed nothing changes nothing", () => {
  const words = fc.string({ unit: fc.constantFrom("a", "b", " ", "c") });
  fc.assert(
    fc.property(words, fc.nat(), fc.nat(), (base, i, j) => {
      const put = (text: string, at: number, by: string) => {
        const place = at % (text.length + 1);
        return text.slice(0, place) + by + text.slice(place);
      };
      const [mine, theirs] = [put(base, i, "<MINE>"), put(base, j, "<THEIRS>")];
      const both = mergedText(base, mine, theirs);
      expect([both.includes("<MINE>"), both.includes("<THEIRS>")]).toEqual([true, true]);
      expect([mergedText(base, mine, base), mergedText(base, base, theirs), mergedText(base, mine, mine)]).toEqual([mine, theirs, mine]);
    }),
  );
});

test("two who type letter by letter, each hearing the other in between, end with one text that holds both", () => {
  let kept = "";
  const type = (mine: string, base: string) => (kept = mergedText(base, mine, kept));
  let [one, other] = ["", ""];
  for (let i = 0; i < 6; i++) {
    const [a, b] = [one + "abcdef"[i], other + "uvwxyz"[i]];
    type(a, one);
    type(b, other);
    [one, other] = [a, b];
  }
  expect(kept.replaceAll(/[^a-f]/g, "")).toBe("abcdef");
  expect(kept.replaceAll(/[^u-z]/g, "")).toBe("uvwxyz");
});

test("the caret stays behind the words it stood behind", () => {
  expect(caretIn("ab theirs", "ab", 2)).toBe(2);
  expect(caretIn("theirs ab", "ab", 1)).toBe(8);
  expect(caretIn("x", "abc", 2)).toBe(1);
});
