import { bestHeats } from "@/core/heats/best";
import { type Assembly, type Joint, type Part } from "@/core/joint/joint";
import { METALS, type Metal } from "@/core/metal/metals";
import { seeded } from "@/core/measure/seeded";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { settleHeats } from "@/core/piece/settle";
import { row, share } from "./measure";

// The best heats of joints tied at random among parts of all five metals: far more tangled than any piece.

const TASKS = 200;
/** After this a search is given up (ms). */
const LONGEST = 20_000;

/** So many joints of six to nine parts, each after none, one or two of those before it. */
function tangled(random: () => number, count: number): Assembly {
  const below = (n: number) => Math.floor(random() * n);
  const metals = Object.keys(METALS) as Metal[];
  const parts = Array.from({ length: 6 + below(4) }, (_, i): Part => {
    return { id: `p${i}`, kind: "wall", mount: null, metal: metals[i] ?? metals[below(metals.length)]!, mass: 1, thickness: 1 };
  });
  const joints = Array.from({ length: count }, (_, i): Joint => {
    const [a, b] = [below(parts.length), below(parts.length)];
    const tied = below(4) === 0 || a === b ? [a] : [a, b];
    return {
      id: `j${i}`,
      kind: tied.length === 1 ? "seam" : "foot",
      mount: null,
      parts: tied.map((part) => `p${part}`) as unknown as [string],
      ...{ length: 1, area: 1, place: "", follows: [] },
      after: i === 0 ? [] : [...new Set(Array.from({ length: below(3) }, () => `j${below(i)}`))],
    };
  });
  return { parts, joints };
}

for (const way of ["step-down", "free", "one-grade"] as const) {
  const times: { readonly seed: number; readonly ms: number; readonly status: string }[] = [];
  for (let seed = 1; seed <= TASKS; seed++) {
    const random = seeded(seed);
    const assembly = tangled(random, 14);
    const shelf = random() < 0.5 ? "narrow" : "typical";
    const wishes = settleHeats({ way, shelf, overshoot: Math.floor(random() * 13), pins: [] }, SHIPPED_BENCH);
    const start = performance.now();
    const { status } = bestHeats(assembly, wishes, () => performance.now() > start + LONGEST);
    times.push({ seed, ms: performance.now() - start, status });
  }
  const each = times.map(({ ms }) => ms);
  const worst = times.reduce((a, b) => (b.ms > a.ms ? b : a));
  const open = times.filter(({ status }) => status === "unproven").length;
  row(
    `best heats, 14 joints, five metals, ${way}`,
    share(each, 0.5),
    "ms",
    `${TASKS} random: 95 of 100 within ${share(each, 0.95).toFixed(0)} ms, worst ${worst.ms.toFixed(0)} ms (seed ${worst.seed}), ${open} not proven; target under 300`,
  );
}
