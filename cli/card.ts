import { type Plan, type PlannedHeat } from "@/core/piece/plan";
import { type Piece } from "@/core/piece/piece";
import { figureOf } from "@/core/measure/figure";
import { CAUTIONS, CAUTIONS_DEFER, CHECKS, roundingOf, stepText } from "@/words/steps";
import { findingText } from "@/words/findings";
import { FORM_NAMES, METAL_NAMES, SECTION_NAMES, SYSTEM_NAMES, capital, counted, gradeName, jointName, partName } from "@/words/names";
import { type Units, degrees, lengthUnit, printable, showLength, showPercent, showTemperature, withUnit } from "@/words/show";
import { sumText } from "@/words/terms";
import { wallStock } from "@/words/wall-stock";

const WIDTH = 78;

/** The plan as a card in plain text, to be read at the bench. */
export function benchCard(piece: Piece, plan: Plan, units: Units): string {
  const sections = [
    [printable(piece.name), "=".repeat(Math.min(WIDTH, Math.max(4, printable(piece.name).length)))],
    ...piece.mounts.map(({ id }) => mountLines(piece, plan, id, units)),
    hoopLines(piece, plan, units),
    heatLines(plan, units),
    findingLines(plan, units),
    stepLines(plan, units),
    cautionLines(plan),
  ];
  return `${sections
    .filter((lines) => lines.length > 0)
    .map((lines) => lines.join("\n"))
    .join("\n\n")}\n`;
}

function mountLines(piece: Piece, plan: Plan, id: string, units: Units): string[] {
  const mount = piece.mounts.find((each) => each.id === id)!;
  const figure = (name: string) => figureOf(plan.figures, `${id}.${name}`);
  const length = (name: string) => withUnit(figure(name).value, roundingOf(name), units);
  const measured = (name: string) => withUnit(figure(name).value, "measured", units);
  const { wall, plate, stone } = mount;
  const { wall: settled } = plan.settled.mounts[id]!;
  const stock = wallStock(plan, id, units);
  const name = printable(stone.name ?? stone.material?.name ?? "");
  return [
    ...(piece.mounts.length > 1 ? [`Setting ${id}`] : []),
    row("Stone", `${name ? `${name}, ` : ""}${length("outline.perimeter")} round, ${withUnit(stone.height, "measured", units)} tall`),
    row(
      stock.name === "strip" ? "Cut strip" : capital(stock.name),
      `${stock.name === "strip" ? `${length("wall.cutLength")} long, slit to ${length("wall.cutHeight")} tall` : `${stock.size.replace("×", "x")} ${lengthUnit(units)}, ${stock.sense}`}; ${METAL_NAMES[wall.metal]}, ${withUnit(settled.thickness, "measured", units)}`,
    ),
    row("", `${sumText(stock.figure, units)} ${lengthUnit(units)}`),
    ...sourceLines(plan, id, units),
    row(
      "",
      `lands at ${measured("wall.netLength")} x ${measured("wall.netHeight")}, shows ${showPercent(figure("wall.faceShown").value)} of the face`,
    ),
    row(
      "Plate",
      `${length("plate.length")} x ${withUnit(figure("plate.width").value, "blank", units)} x ${withUnit(plate.thickness, "measured", units)}, ${METAL_NAMES[plate.metal]}, ${plate.style}`,
    ),
    ...(stock.name === "cup"
      ? [row("", "the cup's own base")]
      : [
          row(
            "",
            `blank ${length("plate.blankLength")} x ${withUnit(figure("plate.blankWidth").value, "blank", units)}, ${figure("plate.mass").value.toFixed(2)} g when sawn`,
          ),
        ]),
  ];
}

/** What only a notched wall, a tube or a cup has. */
function sourceLines({ figures }: Plan, id: string, units: Units): string[] {
  const value = (name: string) => figures[`${id}.wall.${name}`]?.value;
  const said = (name: string, say: (length: string) => string) => {
    const mm = value(name);
    return mm === undefined ? [] : [say(withUnit(mm, roundingOf(`wall.${name}`), units))];
  };
  const text = [
    ...(value("notches") === undefined ? [] : [`${value("notches")} notches`]),
    ...said("notchPitch", (length) => `${length} apart`),
    ...said("seatBore", (length) => `seat cut with a burr ${length} across`),
    ...said("seatDepth", (length) => `${length} deep`),
    ...said("wallLeft", (length) => `${length} of wall left`),
    ...said("shelf", (length) => `a shelf of ${length}`),
    ...said("gap", (length) => `${length} of room in it`),
    ...said("thin", (length) => `thin the rim by ${length}`),
  ].join(", ");
  return text ? [row("", text)] : [];
}

function hoopLines({ carrier }: Piece, plan: Plan, units: Units): string[] {
  if (carrier.type !== "hoop") return [];
  const { stock, size, form } = carrier;
  const cut = figureOf(plan.figures, "hoop.cutLength");
  return [
    row(
      "Hoop",
      `${SYSTEM_NAMES[size.system]} ${printable(size.value)}, inside ${withUnit(figureOf(plan.figures, "hoop.insideDiameter").value, "measured", units)}; ${FORM_NAMES[form]}`,
    ),
    row(
      "Cut blank",
      `${withUnit(cut.value, "blank", units)} of ${SECTION_NAMES[stock.section]} ${showLength(stock.width, "measured", units)} x ${withUnit(stock.thickness, "measured", units)}, ${METAL_NAMES[stock.metal]}`,
    ),
    row("", `${sumText(cut, units)} ${lengthUnit(units)}`),
  ];
}

function heatLines({ heats }: Plan, units: Units): string[] {
  return heats.flatMap((heat, i) => [
    row(
      i === 0 ? "Heats" : "",
      `${i + 1}  ${heat.joints.map(jointName).join(" + ")}: ${gradeName(heat.grade)}, ${showTemperature(heat.working, units)} ${degrees(units)}`,
    ),
    row("", `   ${heatDetail(heat, units)}`),
  ]);
}

function heatDetail({ pallions, flame, thin }: PlannedHeat, units: Units): string {
  const pieces = pallions
    ? `${counted(pallions.count, "piece")} ${pallions.size
        .slice(0, 2)
        .map((side) => showLength(side, "blank", units))
        .join(
          " x ",
        )} ${units.length === "inch" ? "in" : "mm"}${pallions.spacing === null ? "" : `, one every ${withUnit(pallions.spacing, "blank", units)}`}`
    : "no solder";
  const shares = flame.length > 1 ? `; flame ${flame.map(({ part, share }) => `${partName(part)} ${showPercent(share)}`).join(", ")}` : "";
  return `${pieces}${shares}${thin ? `; keep the flame off the ${partName(thin)}` : ""}`;
}

const LEVELS = { error: "WRONG", warning: "TAKE CARE", note: "NOTE" } as const;

function findingLines({ findings }: Plan, units: Units): string[] {
  return findings.map((finding) => row(LEVELS[finding.level], findingText(finding, units)));
}

function stepLines(plan: Plan, units: Units): string[] {
  return plan.steps.flatMap((step, i) => [
    ...wrapped(`${String(i + 1).padStart(2)}. [ ] `, stepText(step, plan.figures, units)),
    ...(step.cautions.length > 0 ? wrapped("          care: ", step.cautions.map((caution) => CAUTIONS[caution].name).join("; ")) : []),
    ...(step.checks.length > 0 ? wrapped("          look: ", step.checks.map((check) => CHECKS[check].toLowerCase()).join("; ")) : []),
  ]);
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
