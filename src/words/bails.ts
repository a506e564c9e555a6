import { type Bail, type BailStyle } from "@/core/bail/bail";

/** What an earring is worn by, as it is chosen. */
export const WORN_WORDS = {
  earWire: { name: "Ear wire", hint: "a hook that hangs in the ear, through a ring at the eye" },
  post: { name: "Post", hint: "straight wire on the back, through the ear" },
} as const;

interface BailWords {
  readonly name: string;
  readonly hint: string;
  /** What is cut: "blank 18.0". */
  readonly stock: string;
  /** What is done to the stock first, before its length: "Cut wire". */
  readonly cut: string;
  /** One word for it. */
  readonly short: string;
  /** What its width is called. */
  readonly width: string;
  /** What stands past the cut; `rod` is the bore with its unit. */
  beyond(rod: string): string;
  /** As the card has it; `cut` is the figure, `length` says mm as they are measured. */
  said(bail: Bail, cut: string, length: (mm: number) => string): string;
}

/** What is said of everything that a setting can hang by. */
export const BAIL_WORDS: Readonly<Record<BailStyle, BailWords>> = {
  folded: {
    name: "Folded bail",
    hint: "sheet over a rod, its feet on the edge",
    stock: "blank",
    cut: "Cut blank",
    short: "bail",
    width: "Widest",
    beyond: (rod) => `fold it over a rod of ${rod}`,
    said: ({ widest, foot, thickness }, cut, length) =>
      `folded of ${cut}, ${length(widest.value)} at its widest, ${length(foot.value)} at its feet, sheet ${length(thickness)}`,
  },
  tube: {
    name: "Tube",
    hint: "along the edge, the chain through it",
    stock: "tube",
    cut: "Saw tube",
    short: "bail",
    width: "Long",
    beyond: () => "tube goes on",
    said: ({ bore, thickness }, cut, length) => `tube ${cut} long, ${length(bore)} inside, ${length(thickness)} thick`,
  },
  ring: {
    name: "Jump ring",
    hint: "closed, soldered to the edge",
    stock: "wire",
    cut: "Cut wire",
    short: "ring",
    width: "Wire",
    beyond: (rod) => `wind it on a rod of ${rod}`,
    said: ({ bore, thickness }, cut, length) => `jump ring of ${cut} of wire ${length(thickness)}, ${length(bore)} inside`,
  },
};
