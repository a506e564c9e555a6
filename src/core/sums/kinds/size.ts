import { type SizeSystem, readSize, sizeText } from "../../hoop/sizes";
import { single } from "../../measure/figure";
import { mandrelOf } from "../../piece/bench";
import { newPiece, UNMEASURED, UNMEASURED_FIELDS } from "../../piece/new-piece";
import { type HoopEntry } from "../../piece/piece";
import { type QuickSum, type SumKind, type SumLine, answerAlong } from "../sum";

/** Systems as they are written in a line. */
const SYSTEMS: Readonly<Record<string, SizeSystem>> = {
  us: "us",
  uk: "uk",
  eu: "eu",
  iso: "eu",
  jp: "jp",
  japan: "jp",
  continental: "continental",
  inside: "diameter",
  diameter: "diameter",
  mandrel: "mandrel",
};
export const SYSTEM_WORDS = ["US", "UK", "EU", "JP", "continental", "inside", "mandrel"] as const;

/** Systems that a size is told in. */
const TOLD = ["us", "uk", "eu", "continental", "jp"] as const;

/** A size at the start of a line, and what follows it. */
export interface SizeStart {
  readonly system: SizeSystem;
  /** As it is written in a piece. */
  readonly value: string;
  /** Inside diameter (mm); null for what fits no finger. */
  readonly diameter: number | null;
  readonly rest: string;
}

const START = new RegExp(
  String.raw`^(${Object.keys(SYSTEMS).join("|")})\s+((?:[a-z](?:\s*\+\s*[1-6])?|\d[\d.,]*)(?:\s+\d\/\d|\/\d+|[¼½¾])?)(?:\s*mm)?(?:\s+(.*))?$`,
);

/** null for a line that begins otherwise. */
export function sizeStart({ text, bench }: SumLine): SizeStart | null {
  const found = START.exec(text.replace(/(\d)\s*x/g, "$1 x"));
  if (!found) return null;
  const [, word, size, rest = ""] = found as unknown as [string, string, string, string?];
  const system = SYSTEMS[word]!;
  const value = size.toUpperCase();
  const read = readSize(system, value, mandrelOf(bench));
  return { system, value, diameter: read.ok ? read.diameter : null, rest: rest.trim() };
}

/** A size in every system. */
export function sizesOf(diameter: number): QuickSum["sizes"] {
  return TOLD.flatMap((system) => {
    const text = sizeText(system, diameter);
    return text === null ? [] : [{ system, text }];
  });
}

/** A ring of this size, and of this stock where it is said. */
export function ringOf({ bench }: SumLine, { system, value }: SizeStart, stock?: HoopEntry["stock"]): NonNullable<QuickSum["begin"]> {
  return (id, name) => {
    const piece = newPiece(id, name, bench, UNMEASURED);
    const { carrier } = piece;
    const unmeasured = UNMEASURED_FIELDS.ring.filter((field) => field !== "hoop.size.value");
    return carrier.type === "hoop"
      ? { piece: { ...piece, carrier: { ...carrier, size: { system, value }, ...(stock && { stock }) } }, unmeasured }
      : { piece, unmeasured };
  };
}

/** A size in every system: "US 7", "UK N 1/2", "EU 54", "inside 17.3". */
export const size: SumKind = {
  read: (line) => {
    const start = sizeStart(line);
    if (!start) return /^(us|uk|eu|iso|jp)\b/.test(line.text) ? "misread" : null;
    if (start.rest !== "") return null;
    const { diameter, system, value } = start;
    if (diameter === null) return "misread";
    return {
      code: "size",
      asked: { system, size: value },
      assumed: [],
      answers: [
        { code: "inside", figure: single("mm", diameter, "size.inside") },
        { code: "circumference", figure: single("mm", Math.PI * diameter, "size.round") },
      ],
      sizes: sizesOf(diameter).filter((each) => each.system !== system),
      begin: ringOf(line, start),
    };
  },
  along: (sum) => answerAlong(sum, "circumference"),
  fields: [
    { name: "system", as: SYSTEM_WORDS, start: "EU" },
    { name: "size", as: "words", start: "54" },
  ],
  line: ({ system = "", size: value = "" }) => `${system} ${value}`,
};
