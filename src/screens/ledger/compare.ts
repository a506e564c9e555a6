import { type Step } from "@/core/making/step";
import { LOSS_KINDS, type LossKind } from "@/core/piece/bench";
import { inUse } from "@/core/piece/make";
import { type Plan } from "@/core/piece/plan";
import { fullDayText } from "@/words/dates";
import { FIGURE_NAMES } from "@/words/figures";
import { LOSS_NAMES } from "@/words/ledger";
import { ASKED, mishapName, readingWithUnit } from "@/words/making";
import { settingName } from "@/words/names";
import { type Units, withUnit } from "@/words/show";
import { STAGE_TITLES, figureText } from "@/words/steps";
import { type Entry } from "./entries";
import { commonText } from "@/words/common";
import { compareText } from "@/words/screens/ledger";

/** A making with its plan as it stands; null where it cannot be planned, or is not yet. */
export interface Compared {
  readonly entry: Entry;
  readonly plan: Plan | null;
}

/** One thing about several makings: what it is in each, empty where it is not known, and whether they differ. */
export interface CompareRow {
  readonly name: string;
  readonly cells: readonly string[];
  readonly differs: boolean;
}

export interface CompareGroup {
  readonly title: string;
  readonly rows: readonly CompareRow[];
}

/** What came of makings, what was read of them, and what of their plans differs as it is shown. */
export function compared(makes: readonly Compared[], units: Units): CompareGroup[] {
  const row = (name: string, of: (make: Compared) => string): CompareRow => {
    const cells = makes.map(of);
    return { name, cells, differs: new Set(cells).size > 1 };
  };
  const lost = (kind: LossKind) =>
    row(compareText.lost(LOSS_NAMES[kind]), ({ entry }) => {
      const value = entry.lost[kind]?.value;
      return value === undefined ? "" : withUnit(value, "measured", units);
    });
  const told = [
    row(compareText.begun, ({ entry }) => fullDayText(entry.make.started)),
    row(compareText.stones, ({ entry }) => entry.stones.join(", ")),
    row(compareText.metals, ({ entry }) => entry.metals.join(", ")),
    row(compareText.sizeWanted, ({ entry }) => entry.wanted),
    row(compareText.sizeReached, ({ entry }) => entry.reached),
    row(compareText.minutes, ({ entry }) => (entry.minutes === null ? "" : String(entry.minutes))),
    ...LOSS_KINDS.map(lost),
    row(compareText.wentWrong, ({ entry }) => entry.make.remedies.map(({ code }) => mishapName(code)).join(", ")),
    row(compareText.note, ({ entry }) => entry.note),
  ];
  const read = union(makes.map(({ entry }) => inUse(entry.make.measured).map(({ figure }) => figure)));
  const steps = makes.flatMap(({ plan }) => plan?.steps ?? []);
  const readings = read.map((figure) => row(readingName(figure, steps), ({ entry }) => readingIn(entry, figure, units)));
  const planned = union(makes.map(({ plan }) => Object.keys(plan?.figures ?? {})));
  const plans = planned.map((key) =>
    row(figureName(key, makes), ({ plan }) => {
      const figure = plan?.figures[key];
      return figure ? figureText(key, figure, units) : "";
    }),
  );
  return [
    { title: compareText.whatCameOfIt, rows: told.filter(isKnown) },
    { title: commonText.measured, rows: readings },
    { title: compareText.plannedOtherwise, rows: plans.filter(({ name, differs }) => differs && name !== "") },
  ].filter(({ rows }) => rows.length > 0);
}

function isKnown({ cells }: CompareRow): boolean {
  return cells.some((cell) => cell !== "");
}

function readingIn({ make }: Entry, figure: string, units: Units): string {
  const last = inUse(make.measured).findLast((each) => each.figure === figure);
  if (!last) return "";
  return [readingWithUnit(last, units), ...(last.method ? [last.method] : []), ...(last.madeUp ? [compareText.madeUp] : [])].join(", ");
}

/** Each once, in the order in which they are first met. */
function union(lists: readonly (readonly string[])[]): string[] {
  return [...new Set(lists.flat())];
}

/** A figure by its name, with its stone's number where any of the pieces has several; empty where it has none to be told by. */
function figureName(key: string, makes: readonly Compared[]): string {
  const own = FIGURE_NAMES.find((each) => each.key === key);
  if (own) return own.name;
  for (const { entry } of makes) {
    const mount = entry.piece.mounts.find(({ id }) => key.startsWith(`${id}.`));
    const name = mount && FIGURE_NAMES.find((each) => key === `${mount.id}.${each.key}`)?.name;
    const ids = entry.piece.mounts.map(({ id }) => id);
    if (name) return ids.length > 1 ? `${name}, ${settingName(ids, mount.id)}` : name;
  }
  return "";
}

/** What was read is called by the figure it is of, else by the step that asks for it. */
export function readingName(key: string, steps: readonly Step[]): string {
  const asking = steps.find(({ reads }) => reads.some(({ figure }) => figure === key));
  const read = asking?.reads.find(({ figure }) => figure === key);
  const known = FIGURE_NAMES.find((each) => key === each.key || (read?.mount && key === `${read.mount}.${each.key}`));
  return known?.name ?? (asking && read ? `${STAGE_TITLES[asking.stage]}, ${ASKED[read.kind].toLowerCase()}` : key);
}
