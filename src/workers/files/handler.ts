import { benchDifferences } from "@/core/piece/bench-differences";
import { type Fault, fault } from "@/core/piece/fault";
import { EMPTY_BACKUP, type ReadBackup, readBackup, kindOf } from "@/formats/backup-codec";
import { benchFromJson } from "@/formats/bench-codec";
import { tryFromJson } from "@/formats/flame-file";
import { makeFromJson } from "@/formats/make-codec";
import { isMakesCsv, readMakesCsv } from "@/formats/makes-csv";
import { pieceFromJson } from "@/formats/piece-codec";
import { type Json, type JsonObject, MOST_BACKUP_BYTES, MOST_BYTES, parsed, textOf } from "@/formats/read-json";
import { type FileAsk, type FileReply, type Opened } from "./protocol";

/** Pieces or makes handed over at a time. */
const PART = 200;

/** Reads a file and says what it is; changes nothing. */
export function answerFile({ file, bytes, bench, taken }: FileAsk, reply: (reply: FileReply) => void): void {
  const end = (opened: Opened) => reply({ kind: "opened", opened });
  const refuse = (faults: readonly Fault[]) => end({ kind: "refused", file, faults });
  const read = textOf(bytes, MOST_BACKUP_BYTES);
  if (!read.ok) return refuse(read.faults);
  if (isMakesCsv(read.text)) return openMakes({ file, bench, taken }, read.text, reply, refuse);
  const json = parsed(read.text);
  if (!json) return refuse([fault("", "not-json")]);
  const { value } = json;
  const kind = kindOf(value);
  if (kind !== "backup" && bytes.length > MOST_BYTES) return refuse([fault("", "too-large", { limit: MOST_BYTES })]);
  if (kind === "backup") return openBackup({ file, bench, taken }, value as JsonObject, reply, refuse);
  if (kind === "make") {
    const decoded = makeFromJson(value, bench);
    return decoded.ok ? handOver({ file, bench, taken }, { ...EMPTY_BACKUP, makes: [decoded.value] }, reply) : refuse(decoded.faults);
  }
  if (kind === "try") {
    const decoded = tryFromJson(value, bench);
    return decoded.ok ? handOver({ file, bench, taken }, { ...EMPTY_BACKUP, tries: [decoded.value] }, reply) : refuse(decoded.faults);
  }
  if (kind === "bench") {
    const decoded = benchFromJson(value);
    return decoded.ok ? end({ kind, file, bench: decoded.value }) : refuse(decoded.faults);
  }
  openPiece({ file, bench, taken }, value, end, refuse);
}

type About = Omit<FileAsk, "bytes">;

/** A piece that came with no bench is planned with the one here. */
function openPiece(
  { file, bench, taken }: About,
  value: Json,
  end: (opened: Opened) => void,
  refuse: (faults: readonly Fault[]) => void,
): void {
  const carriesBench = typeof value === "object" && value !== null && "benchUsed" in value;
  const decoded = pieceFromJson(value, carriesBench ? undefined : bench);
  if (!decoded.ok) return refuse(decoded.faults);
  const piece = decoded.value;
  const differences = piece.benchUsed ? benchDifferences(piece.benchUsed, bench) : [];
  end({ kind: "piece", file, piece, isTaken: taken.has(piece.id), differences });
}

/** A table of makings: what is kept already is put in its place. */
function openMakes(about: About, text: string, reply: (reply: FileReply) => void, refuse: (faults: readonly Fault[]) => void): void {
  const decoded = readMakesCsv(text, about.bench);
  return decoded.ok ? handOver(about, decoded.value, reply) : refuse(decoded.faults);
}

function openBackup(about: About, value: JsonObject, reply: (reply: FileReply) => void, refuse: (faults: readonly Fault[]) => void): void {
  const decoded = readBackup(value, (done, of) => done % PART === 0 && reply({ kind: "progress", done, of }));
  return decoded.ok ? handOver(about, decoded.value, reply) : refuse(decoded.faults);
}

/** A backup in parts, and at its end what there is to ask about it. */
function handOver({ file }: About, { pieces, makes, tries, ...rest }: ReadBackup, reply: (reply: FileReply) => void): void {
  for (let i = 0; i < pieces.length; i += PART) reply({ kind: "part", part: { pieces: pieces.slice(i, i + PART) } });
  for (let i = 0; i < makes.length; i += PART) reply({ kind: "part", part: { makes: makes.slice(i, i + PART) } });
  for (let i = 0; i < tries.length; i += PART) reply({ kind: "part", part: { tries: tries.slice(i, i + PART) } });
  reply({ kind: "opened", opened: { kind: "backup", file, backup: { ...rest, pieces: [], makes: [], tries: [] } } });
}

/** Puts the parts of a backup back into what it was opened as. */
export function collected(opened: Opened, parts: readonly Extract<FileReply, { kind: "part" }>[]): Opened {
  if (opened.kind !== "backup") return opened;
  const all = parts.map(({ part }) => part);
  const lists = {
    pieces: all.flatMap(({ pieces = [] }) => pieces),
    makes: all.flatMap(({ makes = [] }) => makes),
    tries: all.flatMap(({ tries = [] }) => tries),
  };
  return { ...opened, backup: { ...opened.backup, ...lists } };
}
