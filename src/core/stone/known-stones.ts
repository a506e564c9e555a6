import { type Material, type Tenderness } from "./stone";

/** What is commonly published of a stone: Mohs' hardness (the lower end of its range), g/cm3, and what harms it. */
export interface KnownStone {
  readonly name: string;
  readonly mohs: number;
  readonly density: number;
  readonly tender: readonly Tenderness[];
  /** Its face is what it is: nothing may be polished once it is in. */
  readonly keepsItsFace?: true;
}

const stone = (name: string, mohs: number, density: number, ...tender: readonly Tenderness[]): KnownStone => ({
  name,
  mohs,
  density,
  tender,
});

/** Common materials of cabochons. A dyed, filled or glued stone is more tender than its name says. */
export const KNOWN_STONES: readonly KnownStone[] = [
  stone("agate", 6.5, 2.6),
  stone("amazonite", 6, 2.56, "heat", "ultrasonic"),
  stone("amber", 2, 1.08, "heat", "acid", "ultrasonic"),
  stone("amethyst", 7, 2.65, "heat"),
  stone("aquamarine", 7.5, 2.7, "heat"),
  stone("aventurine", 6.5, 2.65),
  stone("azurite", 3.5, 3.8, "heat", "water", "acid", "sulphur", "ultrasonic"),
  stone("bloodstone", 6.5, 2.6),
  stone("carnelian", 6.5, 2.6),
  stone("charoite", 5, 2.6, "heat", "acid", "ultrasonic"),
  stone("chrysocolla", 2.5, 2.2, "heat", "water", "acid", "ultrasonic"),
  stone("chrysoprase", 6.5, 2.6, "heat"),
  stone("citrine", 7, 2.65, "heat"),
  { ...stone("coin", 3, 9, "acid", "sulphur"), keepsItsFace: true },
  stone("coral", 3.5, 2.65, "heat", "acid", "sulphur", "ultrasonic"),
  stone("emerald", 7.5, 2.72, "heat", "acid", "ultrasonic"),
  stone("fluorite", 4, 3.18, "heat", "acid", "ultrasonic"),
  stone("garnet", 6.5, 3.9, "heat"),
  stone("glass", 5.5, 2.5, "heat"),
  stone("hematite", 5.5, 5.2, "acid"),
  stone("howlite", 3.5, 2.55, "heat", "acid", "ultrasonic"),
  stone("jadeite", 6.5, 3.33, "heat", "acid"),
  stone("jasper", 6.5, 2.6),
  stone("jet", 2.5, 1.3, "heat", "ultrasonic"),
  stone("labradorite", 6, 2.7, "heat", "ultrasonic"),
  stone("lapis lazuli", 5, 2.8, "heat", "acid", "ultrasonic"),
  stone("larimar", 4.5, 2.8, "heat", "acid", "ultrasonic"),
  stone("malachite", 3.5, 3.9, "heat", "water", "acid", "sulphur", "ultrasonic"),
  stone("moonstone", 6, 2.57, "heat", "ultrasonic"),
  stone("mother of pearl", 3.5, 2.7, "heat", "acid", "sulphur", "ultrasonic"),
  stone("nephrite", 6, 2.95, "heat", "acid"),
  stone("obsidian", 5, 2.4, "heat", "ultrasonic"),
  stone("onyx", 6.5, 2.6),
  stone("opal", 5.5, 2.1, "heat", "water", "acid", "ultrasonic"),
  stone("pearl", 2.5, 2.7, "heat", "water", "acid", "sulphur", "ultrasonic"),
  stone("peridot", 6.5, 3.35, "heat", "acid", "ultrasonic"),
  stone("prehnite", 6, 2.9, "heat", "acid"),
  stone("pyrite", 6, 5, "heat", "water", "acid"),
  stone("quartz", 7, 2.65),
  stone("rhodochrosite", 3.5, 3.5, "heat", "acid", "ultrasonic"),
  stone("rhodonite", 5.5, 3.6, "heat", "acid"),
  stone("rose quartz", 7, 2.65, "heat"),
  stone("ruby", 9, 4),
  stone("sapphire", 9, 4),
  stone("serpentine", 2.5, 2.6, "heat", "acid", "ultrasonic"),
  stone("shell", 3.5, 2.7, "heat", "acid", "sulphur", "ultrasonic"),
  stone("smoky quartz", 7, 2.65, "heat"),
  stone("sodalite", 5.5, 2.25, "heat", "acid", "ultrasonic"),
  stone("sunstone", 6, 2.65, "heat", "ultrasonic"),
  stone("tiger's eye", 6.5, 2.65),
  stone("topaz", 8, 3.55, "heat", "ultrasonic"),
  stone("tourmaline", 7, 3.1, "heat", "ultrasonic"),
  stone("turquoise", 5, 2.7, "heat", "water", "acid", "sulphur", "ultrasonic"),
  stone("variscite", 3.5, 2.5, "heat", "water", "acid", "ultrasonic"),
];

/** The known stone of that name, or whose name it ends with ("blue lace agate"): the longest that fits. Null where there is none. */
export function knownStone(name: string): KnownStone | null {
  const said = ` ${name.trim().toLowerCase().replaceAll(/\s+/g, " ")}`;
  const fits = KNOWN_STONES.filter((each) => said.endsWith(` ${each.name}`));
  return fits.reduce<KnownStone | null>((best, each) => (best === null || each.name.length > best.name.length ? each : best), null);
}

/** Of a name that begins so it can be told what is meant. */
const LEAST_ALIKE = 3;

/** What a name that is not known may be meant as: the stones whose names begin as it does for longest, the shortest first; at most three. */
export function likelyStones(name: string): readonly string[] {
  const said = name.trim().toLowerCase();
  if (said.length < LEAST_ALIKE || knownStone(name)) return [];
  const alike = ({ name: other }: KnownStone) => {
    let n = 0;
    while (n < said.length && said[n] === other[n]) n++;
    return n;
  };
  const most = Math.max(...KNOWN_STONES.map(alike));
  if (most < LEAST_ALIKE) return [];
  return KNOWN_STONES.filter((each) => alike(each) === most)
    .map((each) => each.name)
    .sort((a, b) => a.length - b.length || a.localeCompare(b))
    .slice(0, 3);
}

/** Whether a material's face is what it is, as a coin's: it is never polished. */
export function keepsItsFace(name: string | undefined): boolean {
  return knownStone(name ?? "")?.keepsItsFace === true;
}

type Facts = Pick<KnownStone, "mohs" | "density" | "tender">;

/** What a material still has of what is known of its name, as it is in the table: the maker's own values are not the table's. */
export function fromTable(material: Material | undefined): Partial<Facts> {
  const known = knownStone(material?.name ?? "");
  if (!known || !material) return {};
  return {
    ...(material.mohs === known.mohs && { mohs: known.mohs }),
    ...(material.density === known.density && { density: known.density }),
    ...(isSameTender(material.tender, known.tender) && { tender: known.tender }),
  };
}

/** A material under another name: what was the old name's in the table becomes the new one's; what the maker gave stays. */
export function renamed(material: Material | undefined, name: string): Material {
  const [old, known] = [fromTable(material), knownStone(name)];
  const { name: _name, mohs, density, tender, ...rest } = material ?? {};
  const own = {
    mohs: old.mohs === undefined ? mohs : undefined,
    density: old.density === undefined ? density : undefined,
    tender: old.tender === undefined ? tender : undefined,
  };
  const now = {
    mohs: own.mohs ?? known?.mohs,
    density: own.density ?? known?.density,
    tender: own.tender ?? known?.tender,
  };
  return {
    ...rest,
    name,
    ...(now.mohs !== undefined && { mohs: now.mohs }),
    ...(now.density !== undefined && { density: now.density }),
    ...(now.tender !== undefined && { tender: [...now.tender] }),
  };
}

function isSameTender(a: readonly Tenderness[] | undefined, b: readonly Tenderness[]): boolean {
  return a !== undefined && a.length === b.length && a.every((each) => b.includes(each));
}
