export const sumsScreenText = {
  piece: "piece",
  sums: "Sums",
  alsoByTyping: "Each by itself, without a piece. The same is answered in Find: press / and type it, for example US 7 x 1.6.",
  takenAsUsual: (what: string) => `taken as usual: ${what}`,
  cannotBe: (example: string) => `◆ That gives no sum. A line of this kind is: ${example}`,
  copy: "Copy",
};
