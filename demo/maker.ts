import { FORMS } from "@/core/hoop/forms/forms";
import { insideFor } from "@/core/hoop/what-if";
import { type BenchEntry, type LossKind } from "@/core/piece/bench";
import { type Measured } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { sizePiece } from "@/core/piece/size-piece";

/** How much a made-up maker takes off, by the kind of loss (mm). */
export type Losses = Readonly<Record<LossKind, number>>;

/** A reading to the caliper's last digit. */
export function toCaliper(mm: number): number {
  return Math.round(mm * 100) / 100;
}

export type Read = Pick<Measured, "figure" | "value">;

/** What a maker with these losses reads who cuts as planned, but for `slip` (mm): both ends of the first wall, and of the hoop where it has a seam. */
export function readingsOf(piece: Piece, bench: BenchEntry, losses: Losses, slip = 0): Read[] {
  const { settled, contribution } = sizePiece(piece, bench);
  const { id } = piece.mounts[0]!;
  const value = (key: string) => contribution.figures[key]?.value;
  const both = (cut: string, net: string, lost: number): Read[] => {
    const planned = value(cut);
    if (planned === undefined) return [];
    return [
      { figure: cut, value: toCaliper(planned + slip) },
      { figure: net, value: toCaliper(planned + slip - lost) },
    ];
  };
  const wall = piece.mounts[0]!.wall.source ?? "strip";
  const hasSeam = value(`${id}.wall.cutLength`) !== undefined;
  const { carrier } = settled;
  const cut = value("hoop.cutLength");
  const net = value("hoop.netLength");
  const closes = carrier.type === "hoop" && FORMS[carrier.form].seams(carrier).length > 0;
  return [
    ...(hasSeam ? both(`${id}.wall.cutLength`, `${id}.wall.netLength`, losses["wall.length"]) : []),
    ...(wall === "cup" ? [] : both(`${id}.wall.cutHeight`, `${id}.wall.netHeight`, losses["wall.height"])),
    ...(closes && cut !== undefined && net !== undefined
      ? [
          { figure: "hoop.cutLength", value: toCaliper(cut + slip) },
          {
            figure: "hoop.insideDiameter",
            value: toCaliper(
              insideFor(
                carrier,
                toCaliper(cut + slip) - otherLosses(contribution.figures["hoop.cutLength"]!.terms) - losses["hoop.length"],
              ),
            ),
          },
        ]
      : []),
  ];
}

/** What comes off a blank beside what the maker's hands take: padding, a slit, feet, and hammering. */
function otherLosses(terms: readonly { readonly label: string; readonly value: number }[]): number {
  return terms.filter(({ label }) => ["padding", "slit", "fitting", "hammer"].includes(label)).reduce((all, { value }) => all + value, 0);
}
