import { demoPiece } from "@demo/pieces";
import { type Piece } from "@/core/piece/piece";
import { nameAfter, nameNow } from "./piece-name";

const tern = demoPiece("tern-ring");
const of = (name: string, material?: string, more: Partial<Piece["mounts"][number]["stone"]> = {}): Piece => {
  const { material: _own, ...stone } = tern.mounts[0]!.stone;
  const now = { ...stone, ...more, ...(material !== undefined && { material: { name: material } }) };
  return { ...tern, name, mounts: [{ ...tern.mounts[0]!, stone: now }] };
};

test("a piece is named after what its stone is of, else after its shape", () => {
  expect([nameAfter(of("x", "turquoise")), nameAfter(of("x")), nameAfter({ ...of("x", " opal "), kind: "pendant" })]).toEqual([
    "Turquoise ring",
    "Oval ring",
    "Opal pendant",
  ]);
});

test("until it is named it follows its stone; a name that was given stays, and one that is given now counts", () => {
  const pear = { outline: { shape: "pear", length: 14, width: 9 } } as const;
  expect(nameNow(of("New ring"), of("New ring", "turq"))).toBe("Turq ring");
  expect(nameNow(of("First ring"), of("First ring", undefined, pear))).toBe("Pear ring");
  expect(nameNow(of("Turq ring", "turq"), of("Turq ring", "turquoise"))).toBe("Turquoise ring");
  expect(nameNow(of("New ring"), { ...of("New ring"), copies: 2 })).toBe("New ring");
  expect(nameNow(of("For Ada", "turq"), of("For Ada", "opal"))).toBe("For Ada");
  expect(nameNow(of("New ring"), of("Mine", "opal"))).toBe("Mine");
  expect(nameNow(of("Opal ring", "opal"), { ...of("Opal ring", "opal"), kind: "pendant" })).toBe("Opal pendant");
});
