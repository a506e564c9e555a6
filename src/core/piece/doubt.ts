import { type Measured, inUse } from "./make";

/** Why a number cannot be trusted: what it rests on is a guess nobody measured, or an entry that was refused. */
export type Doubt = "unmeasured" | "refused";

/** Keys of the fields that a piece has only guessed, and of those whose entry was refused. */
export interface Unsure {
  readonly unmeasured: readonly string[];
  readonly refused: readonly string[];
  /** By a mount that stands on another's plate, whose; none where it is left out. */
  readonly plates?: Readonly<Record<string, string>>;
}

/** Tells of a figure, by its key, whether it can be trusted; of a finding by where it stands, of a stone as "m1.stone". */
export type DoubtOf = (key: string) => Doubt | null;

export const SURE: DoubtOf = () => null;

export function doubter({ unmeasured, refused, plates = {} }: Unsure): DoubtOf {
  const rests = (fields: readonly string[], key: string) => fields.some((field) => restsOn(key, field) || restsOnHost(key, field, plates));
  return (key) => (rests(refused, key) ? "refused" : rests(unmeasured, key) ? "unmeasured" : null);
}

/** What a piece has only guessed and nobody read at the bench since: a reading bears the name of its field. What a stand-in made up says nothing. */
export function stillUnmeasured(unmeasured: readonly string[], measured: readonly Measured[]): readonly string[] {
  const read = new Set(inUse(measured).flatMap(({ figure, madeUp }) => (madeUp ? [] : [figure])));
  return unmeasured.filter((field) => !read.has(field));
}

/** The first doubt about any of these keys. */
export function doubtAmong(keys: readonly string[], doubtOf: DoubtOf): Doubt | null {
  for (const key of keys) {
    const doubt = doubtOf(key);
    if (doubt) return doubt;
  }
  return null;
}

const OUTLINE = ["stone.outline", "stone.measuredPerimeter"];
const PROFILE = ["stone.height", "stone.turnIn", "stone.dome"];
/** Fields of a stone that no figure of the making follows from. */
const TOLD_ONLY = ["stone.material", "stone.mohs", "stone.density", "stone.name"];
/** Figures of a wall that do not hang on how high it stands. */
const OF_THE_LENGTH: ReadonlySet<string> = new Set(
  ["netLength", "cutLength", "hullLength", "windowLow", "windowHigh", "seamAt", "notches", "notchPitch", "notchGap", "faceShown"]
    .concat(["tubeOutside", "seatBore", "wallLeft", "shelf", "cupLength", "cupWidth", "gap"])
    .map((name) => `wall.${name}`),
);

/** Whether a figure, or a part of the piece, can be another when a field is; both by their keys. */
function restsOn(key: string, field: string): boolean {
  if (key === field) return true;
  if (field.startsWith("heats.")) return key === "heats";
  if (key === "piece.mass") return !within(TOLD_ONLY, parted(field)[1]);
  if (field.startsWith("applied.")) return key === "heats" || key.startsWith("applied.") || isHang(key);
  if (field.startsWith("hoop.")) return isOfHoop(key, field);
  if (field.startsWith("bail.")) return isWithin(key, "bail") || isHang(key);
  if (field.startsWith("post.") || field.startsWith("earwire."))
    return isWithin(key, parted(field)[0]) || isWithin(key, "bail") || isHang(key);
  const [mount, changed] = parted(field);
  const [owner, name] = parted(key);
  if (isHang(key) && (owner === mount || owner === "hang" || owner === "earring")) return !within(NEVER_WEIGHED, changed);
  if (within(TOLD_ONLY, changed)) return false;
  const isSeat = SEATED.some((group) => isWithin(key, group));
  if (within(ON_PLATE, changed)) return owner === mount && name === SEAM_AT;
  if (changed.startsWith("place.")) return isSeat || (owner === mount && (name.startsWith("hoop.") || name.endsWith("seamAt")));
  if (within(PROFILE, changed)) return owner === mount && !OF_THE_LENGTH.has(name) && (isWithin(name, "wall") || name === "stone");
  if (isWithin(changed, "plate")) return isSeat || (owner === mount && restsOnBack(name, changed));
  if (within(OUTLINE, changed)) return isSeat || owner === mount;
  return isWithin(changed, "wall") && (isSeat || (owner === mount && !isWithin(name, "stone") && !isWithin(name, "outline")));
}

const SEAM_AT = "wall.seamAt";
/** Where a stone lies on a plate that it shares. */
const ON_PLATE = ["at", "turn"];
/** Fields by which a plate of its own, and the stone on it, lie as they do. */
const OWN_PLATE = ["plate.outline", "plate.at", "plate.turn"];

/** What of a setting follows from the one whose plate it stands on: what its foot is filed to, and where its seam keeps clear of the carrier. */
function restsOnHost(key: string, field: string, plates: NonNullable<Unsure["plates"]>): boolean {
  const [owner, name] = parted(key);
  const [mount, changed] = parted(field);
  if (plates[owner] !== mount || within(TOLD_ONLY, changed) || within(PROFILE, changed)) return false;
  return name === SEAM_AT || name === "plate.domeStep";
}

/** Figures of a hoop that follow from the setting on it. */
const SEATED = ["hoop.flat", "hoop.saddle", "hoop.grip", "bridge.arm"];
const NEVER_WEIGHED = ["stone.mohs", "stone.name"];

/** How a setting hangs: by its own name, or of the only one without; what an earring weighs, and how long it is. */
function isHang(key: string): boolean {
  return key === "hang" || key.startsWith("hang.") || key.includes(".hang.") || isWithin(key, "earring");
}

/** Ornament lies one outside the other; a ledge raises the stone, and the wall with it. */
function restsOnBack(name: string, changed: string): boolean {
  const onPlate = isWithin(name, "plate") || isWithin(name, "hoop");
  if (within(OWN_PLATE, changed)) return onPlate || name === SEAM_AT;
  if (isWithin(changed, "plate.ornament")) return onPlate || isWithin(name, "ornament");
  if (isWithin(changed, "plate.ledge")) return onPlate || isWithin(name, "ledge") || (isWithin(name, "wall") && !OF_THE_LENGTH.has(name));
  return onPlate || isWithin(name, "ledge");
}

/** The wire's section is its stock's alone. */
function isOfHoop(key: string, field: string): boolean {
  return key === "hoop.fibre" ? field.startsWith("hoop.stock.") : isWithin(key, "hoop") || isWithin(key, "bridge") || key.includes(".hoop");
}

function within(fields: readonly string[], field: string): boolean {
  return fields.some((each) => isWithin(field, each));
}

/** Whether a key is a group, or stands in it, or begins with its name: "hoop.flatWidth" with "hoop.flat". */
function isWithin(key: string, group: string): boolean {
  return key.startsWith(group);
}

/** A key as the mount it belongs to and the rest. */
function parted(key: string): readonly [mount: string, name: string] {
  const dot = key.indexOf(".");
  return [key.slice(0, dot), key.slice(dot + 1)];
}
