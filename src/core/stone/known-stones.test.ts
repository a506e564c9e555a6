import { KNOWN_STONES, fromTable, knownStone, likelyStones, renamed } from "./known-stones";

test("some forty stones or more, each with a hardness, a density and a name of its own that can be", () => {
  expect(KNOWN_STONES.length).toBeGreaterThanOrEqual(40);
  expect(new Set(KNOWN_STONES.map(({ name }) => name)).size).toBe(KNOWN_STONES.length);
  for (const { mohs, density, tender } of KNOWN_STONES) {
    expect(mohs >= 1 && mohs <= 10 && density >= 1 && density < 10).toBe(true);
    expect(new Set(tender).size).toBe(tender.length);
  }
  const rows = KNOWN_STONES.map(({ name, mohs, density, tender }) => `${name}: ${mohs}, ${density}; ${tender.join(" ")}`);
  expect(rows).toEqual([
    "agate: 6.5, 2.6; ",
    "amazonite: 6, 2.56; heat ultrasonic",
    "amber: 2, 1.08; heat acid ultrasonic",
    "amethyst: 7, 2.65; heat",
    "aquamarine: 7.5, 2.7; heat",
    "aventurine: 6.5, 2.65; ",
    "azurite: 3.5, 3.8; heat water acid sulphur ultrasonic",
    "bloodstone: 6.5, 2.6; ",
    "carnelian: 6.5, 2.6; ",
    "charoite: 5, 2.6; heat acid ultrasonic",
    "chrysocolla: 2.5, 2.2; heat water acid ultrasonic",
    "chrysoprase: 6.5, 2.6; heat",
    "citrine: 7, 2.65; heat",
    "coin: 3, 9; acid sulphur",
    "coral: 3.5, 2.65; heat acid sulphur ultrasonic",
    "emerald: 7.5, 2.72; heat acid ultrasonic",
    "fluorite: 4, 3.18; heat acid ultrasonic",
    "garnet: 6.5, 3.9; heat",
    "glass: 5.5, 2.5; heat",
    "hematite: 5.5, 5.2; acid",
    "howlite: 3.5, 2.55; heat acid ultrasonic",
    "jadeite: 6.5, 3.33; heat acid",
    "jasper: 6.5, 2.6; ",
    "jet: 2.5, 1.3; heat ultrasonic",
    "labradorite: 6, 2.7; heat ultrasonic",
    "lapis lazuli: 5, 2.8; heat acid ultrasonic",
    "larimar: 4.5, 2.8; heat acid ultrasonic",
    "malachite: 3.5, 3.9; heat water acid sulphur ultrasonic",
    "moonstone: 6, 2.57; heat ultrasonic",
    "mother of pearl: 3.5, 2.7; heat acid sulphur ultrasonic",
    "nephrite: 6, 2.95; heat acid",
    "obsidian: 5, 2.4; heat ultrasonic",
    "onyx: 6.5, 2.6; ",
    "opal: 5.5, 2.1; heat water acid ultrasonic",
    "pearl: 2.5, 2.7; heat water acid sulphur ultrasonic",
    "peridot: 6.5, 3.35; heat acid ultrasonic",
    "prehnite: 6, 2.9; heat acid",
    "pyrite: 6, 5; heat water acid",
    "quartz: 7, 2.65; ",
    "rhodochrosite: 3.5, 3.5; heat acid ultrasonic",
    "rhodonite: 5.5, 3.6; heat acid",
    "rose quartz: 7, 2.65; heat",
    "ruby: 9, 4; ",
    "sapphire: 9, 4; ",
    "serpentine: 2.5, 2.6; heat acid ultrasonic",
    "shell: 3.5, 2.7; heat acid sulphur ultrasonic",
    "smoky quartz: 7, 2.65; heat",
    "sodalite: 5.5, 2.25; heat acid ultrasonic",
    "sunstone: 6, 2.65; heat ultrasonic",
    "tiger's eye: 6.5, 2.65; ",
    "topaz: 8, 3.55; heat ultrasonic",
    "tourmaline: 7, 3.1; heat ultrasonic",
    "turquoise: 5, 2.7; heat water acid sulphur ultrasonic",
    "variscite: 3.5, 2.5; heat water acid ultrasonic",
  ]);
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

test("a name that is not known is asked about by how it begins; one that is known, or begins like none, is not", () => {
  expect(likelyStones("turq")).toEqual(["turquoise"]);
  expect(likelyStones("Carnelion")).toEqual(["carnelian"]);
  expect(likelyStones("mala kite")).toEqual(["malachite"]);
  expect(likelyStones("ame")).toEqual(["amethyst"]);
  expect([likelyStones("turquoise"), likelyStones("blue lace agate"), likelyStones("tu"), likelyStones("zzzz")]).toEqual([[], [], [], []]);
});
