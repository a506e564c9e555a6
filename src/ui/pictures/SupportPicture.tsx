import { type Support } from "@/words/heats";

/** Lines of what a piece rests on, or is held by, 24 wide and 16 tall; what is filled first, then what is drawn. */
const SHAPES: Readonly<Record<Support, { readonly fill: string; readonly line: string }>> = {
  charcoal: { fill: "M2 9h20v6H2z", line: "M8 9a4 4 0 0 1 8 0" },
  mesh: { fill: "M2 6h20v1.6H2z", line: "M5 7.6L2 15M19 7.6L22 15M12 7.6V15M4 6V4M8 6V4M12 6V4M16 6V4M20 6V4" },
  board: { fill: "M1 11h22v4H1z", line: "M6 9.6a6 1.6 0 1 0 12 0a6 1.6 0 1 0 -12 0" },
  thirdHand: { fill: "M1 13h9v2.4H1z", line: "M5.5 13V4M5.5 4h8M13.5 4l7 2.2M13.5 4l7 5M20.5 6.2v2.8" },
  wire: { fill: "", line: "M3 5h18v7H3zM7 3l2.4 11M11 3l2.4 11M15 3l2.4 11" },
};

/** A small picture of what holds a piece in a heat; its word stands beside it. */
export function SupportPicture({ support }: { readonly support: Support }) {
  const { fill, line } = SHAPES[support];
  return (
    <svg viewBox="0 0 24 16" aria-hidden="true" className="h-4 w-6 shrink-0">
      <path d={fill} fill="var(--color-metal-deep)" />
      <path d={line} fill="none" stroke="var(--color-metal-deep)" strokeWidth={1.2} />
    </svg>
  );
}
