import { type Fault, fault } from "@/core/piece/fault";
import { MOST_BYTES } from "./read-json";

/** One of the codes that a file is shown as: `set` is the same in all of them, and in no other file's. */
export interface Code {
  readonly set: string;
  /** From 0. */
  readonly index: number;
  readonly count: number;
  readonly part: Uint8Array;
}

/** First bytes of each: whose it is, and the version of what follows. */
const HEAD = [0x48, 0x6c, 0x63, 1] as const;
/** gzip ends with the checksum and the length of what it holds: that tells one file's codes from another's. */
const SET_BYTES = 8;
const HEAD_BYTES = HEAD.length + SET_BYTES + 2;
/** Bytes of a file in one code: more, and a camera cannot tell its squares apart. */
const PART_BYTES = 540;
/** More codes than these nobody holds a camera before. */
export const MOST_CODES = 24;

async function through(bytes: Uint8Array, stream: CompressionStream | DecompressionStream, most: number): Promise<Uint8Array | null> {
  const reader = new Blob([bytes.slice()]).stream().pipeThrough(stream).getReader();
  const parts: Uint8Array[] = [];
  let length = 0;
  for (let read = await reader.read(); !read.done; read = await reader.read()) {
    length += read.value.length;
    if (length > most) {
      await reader.cancel();
      return null;
    }
    parts.push(read.value);
  }
  return joinedUp(parts);
}

function joinedUp(parts: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  parts.reduce((at, part) => {
    all.set(part, at);
    return at + part.length;
  }, 0);
  return all;
}

/** A file's text as the bytes of a few codes, compressed; null where it takes too many. */
export async function codesOf(text: string): Promise<Uint8Array[] | null> {
  const packed = await through(new TextEncoder().encode(text), new CompressionStream("gzip"), Infinity);
  const count = Math.ceil(packed!.length / PART_BYTES);
  if (count > MOST_CODES) return null;
  const set = packed!.slice(-SET_BYTES);
  return Array.from({ length: count }, (_, i) =>
    joinedUp([Uint8Array.from(HEAD), set, Uint8Array.of(i, count), packed!.slice(i * PART_BYTES, (i + 1) * PART_BYTES)]),
  );
}

/** What was read in a picture as one of the codes; null for a code of something else. */
export function codeFrom(bytes: Uint8Array): Code | null {
  const [index, count] = [bytes[HEAD_BYTES - 2], bytes[HEAD_BYTES - 1]];
  const isOurs = bytes.length > HEAD_BYTES && HEAD.every((byte, i) => bytes[i] === byte);
  if (!isOurs || index === undefined || count === undefined || count > MOST_CODES || index >= count) return null;
  const set = [...bytes.subarray(HEAD.length, HEAD.length + SET_BYTES)].map((byte) => byte.toString(16).padStart(2, "0")).join("");
  return { set, index, count, part: bytes.slice(HEAD_BYTES) };
}

export type Joined = { readonly ok: true; readonly bytes: Uint8Array } | { readonly ok: false; readonly faults: readonly Fault[] };

/** The file that all codes of one set hold; refused where it is damaged or larger than any piece. Expects every index of the set once. */
export async function fileOf(codes: readonly Code[]): Promise<Joined> {
  const packed = joinedUp([...codes].sort((a, b) => a.index - b.index).map(({ part }) => part));
  try {
    const bytes = await through(packed, new DecompressionStream("gzip"), MOST_BYTES);
    return bytes ? { ok: true, bytes } : { ok: false, faults: [fault("", "too-large", { limit: MOST_BYTES })] };
  } catch {
    // Nothing but the stream is read here; browsers name what is wrong with it differently.
    return { ok: false, faults: [fault("", "codes-damaged")] };
  }
}
