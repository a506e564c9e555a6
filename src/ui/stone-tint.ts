import { knownStone } from "@/core/stone/known-stones";

/** The three tones a stone is drawn in: lit, body, shade. */
export type Tint = readonly [lit: string, body: string, shade: string];

const TINTS: Readonly<Record<string, Tint>> = {
  green: ["#cfeecb", "#86c9a0", "#3f8f72"],
  rose: ["#f4c7cc", "#c8667a", "#7e2f45"],
  moss: ["#e5ead9", "#8fa07a", "#47573b"],
  blue: ["#c4d0ee", "#4b66ab", "#233463"],
  deep: ["#a9bdf0", "#2e4fb0", "#16265f"],
  amber: ["#fbe3b0", "#d99a3f", "#87501a"],
  grey: ["#f1f2ee", "#b4b8b2", "#6b706d"],
  slate: ["#cfd6da", "#7d8a93", "#3c464d"],
  mist: ["#d6e2ea", "#7f9bb0", "#3d5468"],
  ochre: ["#ecd9c0", "#b07a4a", "#633a1d"],
  violet: ["#e2d3ef", "#9a78b8", "#553a73"],
};

const KNOWN: Readonly<Record<string, keyof typeof TINTS>> = {
  chrysoprase: "green",
  malachite: "green",
  turquoise: "green",
  aventurine: "green",
  rhodonite: "rose",
  garnet: "rose",
  "moss agate": "moss",
  sodalite: "blue",
  lapis: "deep",
  amber: "amber",
  carnelian: "amber",
  moonstone: "grey",
  slate: "slate",
  labradorite: "mist",
  jasper: "ochre",
  agate: "grey",
  amethyst: "violet",
};

/** What nobody has named, and what is not known by its name. */
const UNKNOWN: Tint = ["#f0f2f2", "#b3babd", "#6c7479"];

/** The tint of a known material: its own, else one of them by its name, always the same. What is not known is plain grey. */
export function stoneTint(material: string): Tint {
  const name = material.toLowerCase();
  const own = Object.keys(KNOWN).find((each) => name.includes(each));
  if (own) return TINTS[KNOWN[own]!]!;
  const known = knownStone(name);
  if (!known) return UNKNOWN;
  const all = Object.values(TINTS);
  const sum = [...known.name].reduce((total, letter) => total + letter.charCodeAt(0), 0);
  return all[sum % all.length]!;
}
