import { type MandrelMark, type SizeReading, type SizeSystem, readSize } from "../hoop/sizes";

/** A finger size as it was asked for. */
export interface FingerSize {
  readonly system: SizeSystem;
  readonly value: string;
}

/** One line of a class's list: a name, and a finger size where one was given and could be read. */
export interface ClassMaker {
  readonly name: string;
  readonly size: FingerSize | null;
  /** What stands where a size should, and why it is none; null where all could be read. */
  readonly refused: { readonly text: string; readonly code: Extract<SizeReading, { ok: false }>["code"] } | null;
}

const SYSTEMS: Readonly<Record<string, SizeSystem>> = {
  us: "us",
  uk: "uk",
  eu: "eu",
  continental: "continental",
  jp: "jp",
};
/** Words that a size can take: "UK N 1/2". */
const MOST_WORDS = 3;

/**
 * A list as it is typed or pasted from a table: a name and a finger size on each line, parted by a tab, a comma, a semicolon or spaces. A size
 * without its system is of the maker's own.
 */
export function readClassList(text: string, system: SizeSystem, mandrel: readonly MandrelMark[]): ClassMaker[] {
  const read = (size: string): FingerSize | Extract<SizeReading, { ok: false }>["code"] => {
    const [word = "", ...rest] = size.split(/\s+/);
    const named = SYSTEMS[word.toLowerCase()];
    const asked = named === undefined ? { system, value: size } : { system: named, value: rest.join(" ") };
    const reading = readSize(asked.system, asked.value, mandrel);
    return reading.ok ? asked : reading.code;
  };
  return text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter((line) => line !== "")
    .map((line) => {
      const parted = /^([^\t,;]*)[\t,;]+\s*(.*)$/.exec(line);
      return parted ? partedLine(parted[1]!.trim(), parted[2]!.trim(), read) : spacedLine(line, read);
    });
}

type Read = (size: string) => FingerSize | Extract<SizeReading, { ok: false }>["code"];

function partedLine(name: string, text: string, read: Read): ClassMaker {
  if (text === "") return { name, size: null, refused: null };
  const size = read(text);
  return typeof size === "string" ? { name, size: null, refused: { text, code: size } } : { name, size, refused: null };
}

/** The longest end of a line that is a size; a line of a size alone has no name. */
function spacedLine(line: string, read: Read): ClassMaker {
  const words = line.split(/\s+/);
  const named = words.findLastIndex((word, i) => word.toLowerCase() in SYSTEMS && i < words.length - 1);
  if (named >= 0) return partedLine(words.slice(0, named).join(" "), words.slice(named).join(" "), read);
  for (let count = Math.min(MOST_WORDS, words.length); count > 0; count--) {
    const size = read(words.slice(-count).join(" "));
    if (typeof size !== "string") return { name: words.slice(0, -count).join(" "), size, refused: null };
  }
  const last = words.at(-1)!;
  const code = read(last);
  if (/\d/.test(last) && typeof code === "string") return { name: words.slice(0, -1).join(" "), size: null, refused: { text: last, code } };
  return { name: line, size: null, refused: null };
}
