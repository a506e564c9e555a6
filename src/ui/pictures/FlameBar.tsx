import { type PlannedHeat } from "@/core/piece/plan";
import { percentsOf } from "@/words/sums";

/** What takes the flame, from the most to the least: metal from dark to light. */
const TONES = ["var(--color-metal-edge)", "var(--color-metal)", "var(--color-metal-lit)"] as const;

interface Props {
  readonly heat: PlannedHeat;
  readonly part: (id: string) => string;
  /** How many parts are named, those that take the most. */
  readonly most?: number | undefined;
}

/** How the flame's time divides among the parts of a heat, as one bar, the most first; nothing where there is one part. */
export function FlameBar({ heat, part, most }: Props) {
  if (heat.flame.length < 2) return null;
  const percents = percentsOf(heat.flame.map(({ share }) => share));
  const order = heat.flame.map(({ part: id, share }, i) => ({ id, share, percent: percents[i]! })).sort((a, b) => b.share - a.share);
  return (
    <div className="text-xs leading-text">
      <p className="flex flex-wrap gap-x-2">
        {order.slice(0, most ?? order.length).map(({ id, percent }) => (
          <span key={id}>
            {part(id)} <b>{percent}</b>
          </span>
        ))}
      </p>
      <span aria-hidden="true" className="mt-0.5 flex h-2.5 overflow-hidden rounded-sm border border-metal-edge">
        {order.map(({ id, share }, i) => (
          <span
            key={id}
            style={{ width: `${share * 100}%`, background: TONES[Math.min(i, TONES.length - 1)]! }}
            className="border-r border-metal-edge last:border-0"
          />
        ))}
      </span>
    </div>
  );
}
