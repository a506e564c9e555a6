import { cuttingList } from "@/core/heats/cutting";
import { schedule } from "@/core/making/schedule";
import { type Plan, type PlannedHeat } from "@/core/piece/plan";
import { type Piece } from "@/core/piece/piece";
import { CAUTIONS, CAUTIONS_DEFER, CHECKS, copiesText, stepText } from "@/words/steps";
import { cardRows } from "@/words/card";
import { findingText } from "@/words/findings";
import { NO_DAY, minutesText, reckonedText, savedText } from "@/words/day";
import { cutSolderText, sayTorch } from "@/words/torch";
import { remedyText } from "@/words/remedies";
import { capital, flameName, namesIn } from "@/words/names";
import { type Units, degrees, printable, showTemperature } from "@/words/show";

const WIDTH = 78;

/** The plan as a card in plain text, to be read at the bench. */
export function benchCard(piece: Piece, plan: Plan, units: Units): string {
  const sections = [
    [printable(piece.name), "=".repeat(Math.min(WIDTH, Math.max(4, printable(piece.name).length)))],
    sizeLines(piece, plan, units),
    heatLines(plan, units),
    solderLines(plan, piece.copies ?? 1, units),
    dayLines(plan),
    findingLines(plan, units),
    remedyLines(plan, units),
    stepLines(plan, copiesText(piece.copies), units),
    cautionLines(plan),
  ];
  return `${sections
    .filter((lines) => lines.length > 0)
    .map((lines) => lines.join("\n"))
    .join("\n\n")}\n`;
}

/** What a plain printer does not have. */
function plain(text: string): string {
  return text.replaceAll("×", "x");
}

function sizeLines(piece: Piece, plan: Plan, units: Units): string[] {
  return cardRows(piece, plan, units).flatMap(({ label, text, sum }) => [
    row(label, plain(text)),
    ...(sum === undefined ? [] : [row("", sum)]),
  ]);
}

function heatLines(plan: Plan, units: Units): string[] {
  return plan.heats.flatMap((heat, i) => [
    row(
      i === 0 ? "Heats" : "",
      `${i + 1}  ${heat.joints.map(namesIn(plan).joint).join(" + ")}: ${flameName(heat)}, ${showTemperature(heat.working, units)} ${degrees(units)}`,
    ),
    row("", `   ${heatDetail(heat, plan, units)}`),
  ]);
}

function heatDetail(heat: PlannedHeat, plan: Plan, units: Units): string {
  const { solder, flame, hold, care } = sayTorch(heat, plan, units);
  const told = [`${plain(solder)}.`, `Flame: ${flame}`, ...(hold === "" ? [] : [`Hold: ${hold}`]), ...care.map(({ text }) => text)];
  return told.join(" ");
}

/** All the solder, cut before the first heat. */
function solderLines(plan: Plan, copies: number, units: Units): string[] {
  return cuttingList(plan.heats, copies).map((cut, i) => row(i === 0 ? "Solder" : "", plain(cutSolderText(cut, plan, units))));
}

function dayLines({ tasks }: Plan): string[] {
  if (tasks === null) return [row("The day", NO_DAY)];
  const day = schedule(tasks);
  const reckoned = reckonedText(tasks);
  return [row("The day", `${minutesText(day.finish)}, ${savedText(day)}${reckoned && `; ${reckoned}`}`)];
}

const LEVELS = { error: "WRONG", warning: "TAKE CARE", note: "NOTE" } as const;

function findingLines(plan: Plan, units: Units): string[] {
  return plan.findings.map((finding) => row(LEVELS[finding.level], findingText(finding, plan, units)));
}

/** What is to be done about what was read. */
function remedyLines({ remedies }: Plan, units: Units): string[] {
  return remedies.map((remedy) => row("AS READ", remedyText(remedy, units)));
}

function stepLines(plan: Plan, copies: string, units: Units): string[] {
  return [copies]
    .filter(Boolean)
    .concat(
      plan.steps.flatMap((step, i) => [
        ...wrapped(`${String(i + 1).padStart(2)}. [ ] `, stepText(step, plan, units)),
        ...(step.cautions.length > 0 ? wrapped("          care: ", step.cautions.map((caution) => CAUTIONS[caution].name).join("; ")) : []),
        ...(step.checks.length > 0 ? wrapped("          look: ", step.checks.map((check) => CHECKS[check].toLowerCase()).join("; ")) : []),
      ]),
    );
}

function cautionLines({ steps }: Plan): string[] {
  const codes = [...new Set(steps.flatMap(({ cautions }) => cautions))];
  return [
    `Cautions. ${CAUTIONS_DEFER}`,
    ...codes.flatMap((code) => wrapped("  - ", `${capital(CAUTIONS[code].name)}: ${CAUTIONS[code].text}`)),
  ];
}

function row(label: string, text: string): string {
  return wrapped(label.padEnd(11), text).join("\n");
}

/** Text broken at spaces, its first line after `lead`, the others under it. */
function wrapped(lead: string, text: string): string[] {
  const lines: string[] = [];
  let line = lead;
  for (const word of text.split(" ")) {
    if (line.length + word.length + 1 > WIDTH && line.trim() !== lead.trim()) {
      lines.push(line.trimEnd());
      line = " ".repeat(lead.length);
    }
    line += line.length === lead.length ? word : ` ${word}`;
  }
  return [...lines, line.trimEnd()];
}
