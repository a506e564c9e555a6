import { type Learned } from "@/core/piece/ledger";

/** What makings teach, as its file has it. */
export function ledgerFile(learned: readonly Learned[]): object {
  return {
    format: "hoop-ledger/ledger",
    version: 1,
    kinds: learned.map(({ kind, method, prior, kept, outliers, estimate, spread, observed }) => ({
      ...{ kind, method, prior, count: kept.length },
      outliers: outliers.map((i) => told(observed[i]!)),
      ...{ estimate, spread },
      observed: observed.map(told),
    })),
  };
}

function told({ make, value }: Learned["observed"][number]) {
  return { make, value };
}

/** One line an observation. */
export function ledgerCsv(learned: readonly Learned[]): string {
  const rows = learned.flatMap(({ kind, method, observed, outliers }) =>
    observed.map(({ make, value }, i) => [kind, method, make, String(value), outliers.includes(i) ? "left out" : ""]),
  );
  return [["kind", "method", "make", "mm", "left out"], ...rows].map((cells) => `${cells.map(quoted).join(",")}\r\n`).join("");
}

/** A cell that a sheet would take for a formula, or for a call of another program, is shown as text; a number stays one. */
export function asText(cell: string): string {
  if (/^-?\d+(\.\d+)?$/.test(cell)) return cell;
  return /^\s*[=+\-@\uff1d\uff0b\uff0d\uff20]|^[\t\r\n]|[|\uff5c]/.test(cell) ? `'${cell}` : cell;
}

/** A cell with a comma, a quote or a break stands in quotes. */
function quoted(cell: string): string {
  const safe = asText(cell);
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}
