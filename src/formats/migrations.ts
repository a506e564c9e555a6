import { asList, asRecord, type Json, type JsonObject } from "./read-json";

/** `migrations[n]` turns a version-n file into version n + 1. A row is never edited once shipped. */
export type Migrations = Readonly<Record<number, (file: JsonObject) => JsonObject>>;

/** What a file says is kept as it is said wherever it is not what it should be: the schema's words for that are better than a guess. */
export const pieceMigrations: Migrations = { 1: (file) => renamedMounts(pieceOfTwo(file)), 2: pieceOfThree };
export const benchMigrations: Migrations = { 1: (file) => benchOfTwo(file), 2: (file) => ({ ...file, version: 3 }) };
export const makeMigrations: Migrations = { 1: (file) => makeOfTwo(file), 2: makeOfThree };

/** The file brought to `newest`, step by step. @throws if a step is missing. */
export function migrate(file: JsonObject, from: number, newest: number, migrations: Migrations): JsonObject {
  let current = file;
  for (let version = from; version < newest; version++) {
    const step = migrations[version];
    if (!step) throw new RangeError(`no migration from version ${version}`);
    current = step(current);
  }
  return current;
}

/** Forms of the hoop as two has them, a cup by its own field, and the bench it came with. */
function pieceOfTwo(file: JsonObject): JsonObject {
  return {
    ...file,
    version: 2,
    ...changed(file, "mounts", asList, (mounts) => mounts.map((mount) => inside(mount, "wall", wallOfTwo))),
    ...changed(file, "carrier", asRecord, carrierOfTwo),
    ...changed(file, "benchUsed", asRecord, (bench) => (bench.version === 1 ? benchOfTwo(bench) : bench)),
  };
}

/** A cup's `tube` by its outside and inside becomes a `cup` by its length outside and its thickness. */
function wallOfTwo(wall: JsonObject): JsonObject {
  const { tube, ...rest } = wall;
  const { outside, inside } = asRecord(tube) ?? {};
  if (wall.source !== "cup" || typeof outside !== "number" || typeof inside !== "number") return wall;
  return { ...rest, cup: { length: outside, thickness: (outside - inside) / 2 } };
}

/** "split" is open with a slit, "twin" closed with strands. A slit or a pair of wires left over from another form did nothing, and goes. */
function carrierOfTwo(carrier: JsonObject): JsonObject {
  if (carrier.type !== "hoop") return carrier;
  const { slit, twin, ...rest } = carrier;
  if (carrier.form === "split") return { ...rest, form: "open", ...(slit !== undefined && { slit }) };
  if (carrier.form !== "twin") return rest;
  const wires = asRecord(twin);
  return { ...rest, form: "closed", ...(twin !== undefined && { strands: wires ? { count: 2, ...wires } : twin }) };
}

/** Words that name parts since two: a mount so called has another, and so have the joints that wishes name by it. */
const NEWLY_RESERVED: readonly Json[] = ["bridge", "applied", "piece"];

function renamedMounts(file: JsonObject): JsonObject {
  const mounts = asList(file.mounts);
  const ids = (mounts ?? []).map((mount) => asRecord(mount)?.id);
  const strange = ids.filter((id): id is string => typeof id === "string" && NEWLY_RESERVED.includes(id));
  if (!mounts || strange.length === 0) return file;
  const names = new Map(strange.map((id) => [id, freeName(`${id}-setting`, ids)]));
  const joint = (name: Json): Json => (typeof name === "string" ? renamedJoint(name, names) : name);
  const pin = (each: Json): Json => {
    const wish = asRecord(each);
    if (!wish) return each;
    return Object.fromEntries(
      Object.entries(wish).map(([key, value]) => {
        if (key === "joint" || key === "shield") return [key, joint(value)];
        if (key === "forbid") return [key, asList(value)?.map((name, i) => (i === 0 ? joint(name) : name)) ?? value];
        return [key, asList(value)?.map(joint) ?? value];
      }),
    );
  };
  const renamed = (mount: Json): Json => {
    const entry = asRecord(mount);
    const name = typeof entry?.id === "string" ? names.get(entry.id) : undefined;
    return entry && name !== undefined ? { ...entry, id: name } : mount;
  };
  return {
    ...file,
    mounts: mounts.map(renamed),
    ...changed(file, "heats", asRecord, (heats) => ({ ...heats, ...changed(heats, "pins", asList, (pins) => pins.map(pin)) })),
  };
}

/** "bridge.seam" and "hoop.mount.bridge" are joints of the mount "bridge". */
function renamedJoint(joint: string, names: ReadonlyMap<string, string>): string {
  for (const [from, to] of names) {
    if (joint === from || joint.startsWith(`${from}.`)) return to + joint.slice(from.length);
    if (joint === `hoop.mount.${from}`) return `hoop.mount.${to}`;
  }
  return joint;
}

function freeName(like: string, taken: readonly (Json | undefined)[]): string {
  let name = like;
  for (let i = 2; taken.includes(name); i++) name = `${like}-${i}`;
  return name;
}

/** Minutes by step: what the pickle took is the wait of that step. */
function benchOfTwo(bench: JsonObject): JsonObject {
  const { minutes, ...rest } = bench;
  const pickle = asRecord(minutes)?.pickle;
  if (minutes === undefined) return { ...bench, version: 2 };
  return { ...rest, version: 2, minutes: pickle === undefined ? minutes : { "join.pickle": { hands: 1, wait: pickle } } };
}

/** Steps with the time they were done at, which one did not keep; what was measured was typed; its own copy of the piece as two has it. */
function makeOfTwo(make: JsonObject): JsonObject {
  return {
    ...make,
    version: 2,
    ...changed(make, "pieceFile", asRecord, (piece) => (piece.version === 1 ? renamedMounts(pieceOfTwo(piece)) : piece)),
    ...changed(make, "done", asList, (done) => done.map((step): Json => (typeof step === "string" ? { step, at: "" } : step))),
    ...changed(make, "measured", asList, (measured) =>
      measured.map((each): Json => (asRecord(each) ? { ...asRecord(each), by: "typed" } : each)),
    ),
    remedies: [],
  };
}

/** A field changed where it is what it should be; nothing where it is not there or is something else. */
function changed<T>(file: JsonObject, key: string, read: (value: Json | undefined) => T | null, change: (value: T) => Json): JsonObject {
  const value = read(file[key]);
  return value === null ? {} : { [key]: change(value) };
}

function inside(value: Json, key: string, change: (value: JsonObject) => Json): Json {
  const record = asRecord(value);
  return record ? { ...record, ...changed(record, key, asRecord, change) } : value;
}

/** Three only adds: the bench it came with is brought up with it. */
function pieceOfThree(file: JsonObject): JsonObject {
  return {
    ...file,
    version: 3,
    ...changed(file, "benchUsed", asRecord, (bench) => (bench.version === 2 ? { ...bench, version: 3 } : bench)),
  };
}

/**
 * Its own copy of the piece, and those taken since, are brought up with it. Two had no step for making a heat ready and none for looking at its joints:
 * what was heated had been made ready, what was pickled had been looked at.
 */
function makeOfThree(make: JsonObject): JsonObject {
  const ofThree = (piece: JsonObject) => (piece.version === 2 ? pieceOfThree(piece) : piece);
  return {
    ...make,
    version: 3,
    ...changed(make, "pieceFile", asRecord, ofThree),
    ...changed(make, "done", asList, withPartedHeats),
    ...changed(make, "taken", asList, (taken) => taken.map((each) => inside(each, "pieceFile", ofThree))),
  };
}

/** The act of a heat that an entry of two stood for as well. */
const ALSO_DONE: readonly (readonly [of: string, also: string])[] = [
  [".heat", ".prepare"],
  [".pickle", ".check"],
];

function withPartedHeats(done: readonly Json[]): Json[] {
  return done.flatMap((entry) => {
    const { step, at } = asRecord(entry) ?? {};
    const parted = ALSO_DONE.find(([of]) => typeof step === "string" && step.endsWith(of));
    return parted && at !== undefined ? [entry, { step: (step as string).slice(0, -parted[0].length) + parted[1], at }] : [entry];
  });
}
