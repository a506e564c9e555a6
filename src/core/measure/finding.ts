/** What a plan has to say about itself. The sentence for each stands in the catalogue of words. */
export type FindingCode =
  | "stone.tape-off"
  | "stone.unusual"
  | "wall.unusual"
  | "plate.unusual"
  | "hoop.unusual"
  | "wall.too-low"
  | "wall.hides-stone"
  | "wall.gathers"
  | "wall.point"
  | "wall.wrapped-short"
  | "wall.seam-near-corner"
  | "wall.no-strip"
  | "wall.tube-loose"
  | "wall.shelf-narrow"
  | "wall.seat-through"
  | "wall.cup-small"
  | "wall.cup-large"
  | "wall.left-thin"
  | "wall.left-thick"
  | "wall.heavy-on-soft"
  | "wall.teeth-deep"
  | "plate.border-thin"
  | "plate.wire-room"
  | "plate.stamp-off"
  | "plate.stamp-under-hoop"
  | "plate.drain-off"
  | "plate.drain-under-hoop"
  | "plate.closed-cavity"
  | "plate.no-drain"
  | "ledge.hides"
  | "ledge.no-plate"
  | "ornament.off-plate"
  | "ornament.too-short"
  | "ornament.no-bead"
  | "ornament.small-bead"
  | "ornament.pits"
  | "ornament.notch-ball"
  | "ornament.twist-width"
  | "hoop.wide-band"
  | "hoop.flat-too-deep"
  | "hoop.saddle-too-deep"
  | "hoop.saddle-no-room"
  | "hoop.mounts-touch"
  | "hoop.rule-large"
  | "hoop.no-foot"
  | "hoop.feet-miss"
  | "hoop.wont-stand"
  | "hoop.slit-long"
  | "hoop.seam-under"
  | "hoop.plate-wide"
  | "bridge.no-meeting"
  | "bridge.short-arm"
  | "bail.bore-small"
  | "bail.tube-apart"
  | "bail.ring-thick"
  | "ear.wire-thick"
  | "ear.wire-thin"
  | "ear.metal"
  | "earwire.short"
  | "post.off"
  | "post.over-stamp"
  | "post.low"
  | "hang.turned-past"
  | "bail.unequal"
  | "hang.crooked"
  | "hang.stone-guessed"
  | "applied.crushed"
  | "applied.near-seam"
  | "applied.overlap"
  | "applied.under-stone"
  | "applied.under-setting"
  | "applied.over-ornament"
  | "applied.over-edge"
  | "heats.runs"
  | "heats.softens"
  | "heats.at-risk"
  | "heats.overshoot"
  | "heats.impossible"
  | "heats.unproven"
  | "heats.not-found"
  | "heats.shelf-missing"
  | "heats.pin-unknown"
  | "heats.add-no-part"
  | "heats.add-taken"
  | "heats.apart"
  | "heats.not-in-hand"
  | "heats.sweat"
  | "heats.better-unpinned";

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

export function finding(code: FindingCode, level: Level, at: string, values: Finding["values"], mount: string | null = null): Finding {
  return { code, level, at, mount, values };
}
