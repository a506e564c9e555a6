import { KNOWN_STONES, fromTable, knownStone, renamed } from "./known-stones";

test("some forty stones or more, each with a hardness, a density and a name of its own that can be", () => {
  expect(KNOWN_STONES.length).toBeGreaterThanOrEqual(40);
  expect(new Set(KNOWN_STONES.map(({ name }) => name)).size).toBe(KNOWN_STONES.length);
  for (const { mohs, density, tender } of KNOWN_STONES) {
    expect(mohs >= 1 && mohs <= 10 && density >= 1 && density < 6).toBe(true);
    expect(new Set(tender).size).toBe(tender.length);
  }
  const facts = Object.fromEntries(KNOWN_STONES.map(({ name, ...rest }) => [name, rest]));
  expect(facts["opal"]).toEqual({ mohs: 5.5, density: 2.1, tender: ["heat", "water", "acid", "ultrasonic"] });
  expect(facts["sapphire"]).toEqual({ mohs: 9, density: 4, tender: [] });
  expect(facts["chrysoprase"]).toEqual({ mohs: 6.5, density: 2.6, tender: ["heat"] });
  expect(["turquoise", "pearl", "shell", "malachite", "lapis lazuli", "opal"].every((name) => facts[name]!.tender.length >= 3)).toBe(true);
});

test("a stone is known by its name, also after words that say which, and by the longest that fits", () => {
  expect(knownStone(" Blue Lace  AGATE")?.name).toBe("agate");
  expect(knownStone("rose quartz")?.name).toBe("rose quartz");
  expect([knownStone(""), knownStone("fragate"), knownStone("agate slice")]).toEqual([null, null, null]);
});

test("a name fills what is known of it, another name takes it back, and the maker's own values stay", () => {
  const agate = renamed(undefined, "agate");
  expect(agate).toEqual({ name: "agate", mohs: 6.5, density: 2.6, tender: [] });
  expect(fromTable(agate)).toEqual({ mohs: 6.5, density: 2.6, tender: [] });
  expect(renamed(agate, "agat")).toEqual({ name: "agat" });
  const own = { ...agate, mohs: 6.8 };
  expect(fromTable(own)).toEqual({ density: 2.6, tender: [] });
  expect(renamed(own, "opal")).toEqual({ name: "opal", mohs: 6.8, density: 2.1, tender: ["heat", "water", "acid", "ultrasonic"] });
  expect(renamed({ name: "beach find", mohs: 5, tender: ["acid"] }, "jasper")).toEqual({
    name: "jasper",
    mohs: 5,
    density: 2.6,
    tender: ["acid"],
  });
  expect(fromTable({ name: "opal", tender: ["ultrasonic", "acid", "water", "heat"] }).tender).toHaveLength(4);
  expect(fromTable({ name: "opal", tender: ["heat"] })).toEqual({});
  expect(fromTable(undefined)).toEqual({});
});
