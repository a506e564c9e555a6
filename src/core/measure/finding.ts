type Numbers<K extends string> = Readonly<Record<K, number>>;
type Texts<K extends string> = Readonly<Record<K, string>>;
type Nothing = Readonly<Record<string, never>>;
/** A value and the range that is usual; `most` is left out where there is none. */
type Range = Numbers<"value" | "least"> & Partial<Numbers<"most">>;

/**
 * What a plan has to say about itself, by code, with the numbers and names that prove it. The sentence for each is in the catalogue of words,
 * which can ask for these values and for no others. Lengths are in mm, temperatures in degrees C.
 */
export interface FindingValues {
  "stone.tape-off": Numbers<"off">;
  "stone.unusual": Range;
  "wall.unusual": Range;
  "plate.unusual": Range;
  "hoop.unusual": Range;
  "wall.too-low": Numbers<"height" | "needed" | "turnIn"> & Texts<"rule">;
  "wall.hides-stone": Numbers<"height" | "limit" | "stone">;
  "wall.gathers": Numbers<"strain">;
  "wall.point": Numbers<"strain" | "points">;
  "wall.wrapped-short": Numbers<"short" | "wrapped" | "net">;
  "wall.seam-near-corner": Numbers<"at" | "better">;
  "wall.no-strip": Numbers<"needed" | "tallest">;
  "wall.tube-loose": Numbers<"inside" | "bore" | "over">;
  "wall.shelf-narrow": Numbers<"shelf" | "needed">;
  "wall.seat-through": Numbers<"shelf">;
  "wall.cup-small": Numbers<"inside" | "stone" | "wanted">;
  "wall.cup-large": Numbers<"gap" | "fit" | "wanted">;
  "wall.left-thin": Numbers<"left" | "wanted">;
  "wall.left-thick": Numbers<"left" | "wanted" | "thin">;
  "wall.heavy-on-soft": Numbers<"thickness" | "mohs" | "to">;
  "wall.teeth-deep": Numbers<"depth" | "lip">;
  "plate.border-thin": Numbers<"border" | "least">;
  "plate.wire-room": Numbers<"border" | "wire" | "needed">;
  "plate.stamp-off": Numbers<"over" | "width" | "height">;
  "plate.stamp-under-hoop": Numbers<"over" | "width" | "height">;
  "plate.drain-off": Numbers<"over" | "diameter">;
  "plate.drain-under-hoop": Numbers<"over" | "diameter">;
  "plate.closed-cavity": Numbers<"lift">;
  "plate.no-drain": Nothing;
  "plate.wall-over-edge": Numbers<"at" | "over" | "clear" | "least">;
  "plate.walls-close": Numbers<"apart" | "least"> & Texts<"one" | "other">;
  "loss.no-such-method": Texts<"kind" | "method">;
  "ledge.hides": Numbers<"hidden" | "most">;
  "ledge.no-plate": Nothing;
  "ornament.off-plate": Numbers<"over">;
  "ornament.too-short": Numbers<"length" | "lost">;
  "ornament.no-bead": Numbers<"width">;
  "ornament.small-bead": Numbers<"width" | "least">;
  "ornament.pits": Nothing;
  "ornament.notch-ball": Numbers<"notches" | "ball" | "width">;
  "ornament.twist-width": Numbers<"width" | "wire" | "stands">;
  "hoop.wide-band": Numbers<"width" | "add" | "sizes"> & Texts<"system">;
  "hoop.flat-too-deep": Numbers<"left" | "needed" | "width" | "widest"> & Texts<"mount">;
  "hoop.saddle-too-deep": Numbers<"left" | "needed" | "width" | "widest">;
  "hoop.saddle-no-room": Numbers<"thickness" | "needed">;
  "hoop.mounts-touch": Numbers<"apart" | "needed"> & Texts<"mount" | "other">;
  "hoop.rule-large": Numbers<"over">;
  "hoop.no-foot": Numbers<"height" | "most">;
  "hoop.feet-miss": Numbers<"over" | "reach"> & Texts<"mount">;
  "hoop.wont-stand": Numbers<"stands" | "span">;
  "hoop.slit-long": Numbers<"length" | "most" | "left">;
  "hoop.seam-under": Numbers<"apart" | "half"> & Texts<"mount">;
  "hoop.plate-wide": Numbers<"extent" | "across"> & Texts<"mount">;
  "bridge.no-meeting": Numbers<"inside" | "gap" | "outside">;
  "bridge.short-arm": Numbers<"arm" | "least" | "width">;
  "bail.bore-small": Numbers<"bore" | "chainEnd" | "needed">;
  "bail.tube-apart": Numbers<"gap" | "needed">;
  "bail.ring-thick": Numbers<"bore" | "wire" | "needed">;
  "ear.wire-thick": Numbers<"wire" | "most">;
  "ear.wire-thin": Numbers<"wire" | "least">;
  "ear.metal": Texts<"metal">;
  "earwire.short": Numbers<"length" | "needed">;
  "post.off": Numbers<"by">;
  "post.over-stamp": Numbers<"by">;
  "post.low": Numbers<"by">;
  "hang.turned-past": Numbers<"turn" | "most">;
  "bail.unequal": Numbers<"lighter" | "heavier" | "longer"> & Texts<"one" | "other">;
  "hang.crooked": Numbers<"tilt"> & Partial<Numbers<"by" | "turn">>;
  "hang.stone-guessed": Nothing;
  "applied.crushed": Numbers<"height"> & Texts<"on">;
  "applied.near-seam": Numbers<"off" | "least"> & Texts<"on">;
  "applied.overlap": Numbers<"over"> & Texts<"other">;
  "applied.under-stone": Numbers<"over">;
  "applied.under-setting": Numbers<"over"> & Texts<"mount">;
  "applied.over-ornament": Numbers<"over"> & Texts<"other">;
  "applied.over-edge": Numbers<"over">;
  "heats.runs": Numbers<"heat" | "working"> & Texts<"joint" | "seam" | "making" | "grade" | "gradeMeans">;
  "heats.softens": Numbers<"heat" | "working"> & Texts<"joint" | "seam" | "making" | "grade" | "gradeMeans">;
  "heats.at-risk": Numbers<"heat" | "working"> & Texts<"part" | "making" | "grade" | "gradeMeans">;
  "heats.overshoot": Numbers<"overshoot" | "working"> & Texts<"grade">;
  "heats.impossible": Texts<"clash" | "way">;
  "heats.unproven": Nothing;
  "heats.not-found": Nothing;
  "heats.shelf-missing": Texts<"asked" | "used">;
  "heats.pin-unknown": Texts<"joint">;
  "heats.add-no-part": Texts<"joint" | "missing">;
  "heats.add-taken": Texts<"joint">;
  "heats.apart": Texts<"part">;
  "heats.not-in-hand": Texts<"joint" | "grade" | "form">;
  "heats.sweat": Numbers<"rows" | "count"> & Texts<"joint">;
  "heats.better-unpinned": Texts<"joint" | "pinned" | "pinnedMeans" | "best" | "bestMeans">;
}

export type FindingCode = keyof FindingValues;

/** error: the piece would fail as planned. warning: it can go wrong. note: what another school would do. */
export type Level = "error" | "warning" | "note";

export interface Finding {
  readonly code: FindingCode;
  readonly level: Level;
  /** The part, joint or stage it concerns. */
  readonly at: string;
  /** The setting whose it is; null where it is the whole piece's. */
  readonly mount: string | null;
  /** The numbers and names that prove it. */
  readonly values: Readonly<Record<string, number | string>>;
}

export function finding<C extends FindingCode>(
  code: C,
  level: Level,
  at: string,
  values: FindingValues[C],
  mount: string | null = null,
): Finding {
  return { code, level, at, mount, values };
}
