import { type ClassMaker } from "@/core/piece/class-list";
import { type KitLine } from "@/core/piece/kit";
import { METALS } from "@/core/metal/metals";
import { type SizeSystem } from "@/core/hoop/sizes";
import { SECTION_NAMES, SYSTEM_NAMES, capital, counted } from "./names";
import { type Units, lengthUnit, showLength, withUnit } from "./show";

/** What metal is cut from, by its section: "Strip 3.20 × 0.32 mm, fine silver". */
export function formText({ metal, stock }: Pick<KitLine, "metal" | "stock">, units: Units): string {
  const length = (mm: number) => showLength(mm, "measured", units);
  const unit = lengthUnit(units);
  const { name } = METALS[metal];
  switch (stock.form) {
    case "strip":
      return `Strip ${showLength(stock.width, "height", units)} × ${length(stock.thickness)} ${unit}, ${name}`;
    case "wire":
      return `${capital(SECTION_NAMES[stock.section])} wire ${length(stock.width)} × ${length(stock.thickness)} ${unit}, ${name}`;
    case "sheet":
      return `Sheet ${length(stock.thickness)} ${unit}, ${name}`;
    case "tube":
      return `Tube ${length(stock.outside)} ${unit} outside, ${length(stock.inside)} inside, ${name}`;
  }
}

/** A stock of a kit: what it is, and how much of it. */
export function kitText(line: KitLine, units: Units): { readonly stock: string; readonly amount: string } {
  const blanks = line.blanks.map(
    ({ length, width, count }) => `${count} of ${showLength(length, "blank", units)} × ${withUnit(width, "blank", units)}`,
  );
  const lengths = line.lengths > 0 ? [`${withUnit(line.total, "blank", units)} in ${counted(line.lengths, "length")}`] : [];
  return { stock: formText(line, units), amount: [...lengths, ...blanks].join(", ") };
}

/** Why a line of a class's list has no finger size, or null where nothing was refused. */
export function refusedSizeText({ name, refused }: ClassMaker, system: SizeSystem): string | null {
  if (!refused) return null;
  const who = name === "" ? "a line without a name" : name;
  if (refused.code === "no-mandrel") return `${who}: ${refused.text} cannot be read, as your mandrel has no readings yet.`;
  return `${who}: ${refused.text} is not a finger size. Type one in ${SYSTEM_NAMES[system]}, or with its system, e.g. EU 54.`;
}
