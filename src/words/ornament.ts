import { METALS } from "@/core/metal/metals";
import { type LayerType } from "@/core/mount/layers/layer";
import { type OrnamentEntry } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { type Bare } from "./backs";
import { LAYER_NAMES, capital, counted } from "./names";
import { type Units, lengthUnit, showLength } from "./show";

/** Ornament as it is told in a list and on the card. */
export interface SaidOrnament {
  readonly name: string;
  /** What it is, and what is cut or counted for it. */
  readonly what: string;
  readonly cut: string;
  /** The figure that is cut to, or counted. */
  readonly figure: string;
  readonly isCounted: boolean;
}

interface OrnamentSource {
  readonly entry: OrnamentEntry;
  readonly figures: Plan["figures"];
  readonly pieces: readonly string[];
  readonly key: (name: string) => string;
  readonly bare: Bare;
  readonly units: Units;
}

const TYPES: Readonly<Record<LayerType, (told: OrnamentSource) => Omit<SaidOrnament, "name" | "isCounted">>> = {
  wire: (told) => ({ what: `${told.entry.section ?? "round"}, ${size(told)}`, ...bentCut(told) }),
  twist: (told) => {
    const { entry, units, bare, key } = told;
    const wire = entry.from && "wire" in entry.from ? entry.from.wire : entry.width / 2;
    return { what: `two wires of ${showLength(wire, "measured", units)}, ${bare(key("wire"))} each, ${metal(entry)}`, ...bentCut(told) };
  },
  "bead-wire": (told) => ({ what: size(told), ...bentCut(told) }),
  granules: ({ entry, figures, key, bare, units }) => {
    const count = figures[key("count")]?.value ?? 0;
    const width = showLength(entry.width, "measured", units);
    const from = entry.from
      ? "wire" in entry.from
        ? `, each ${bare(key("snippet"))} of ${showLength(entry.from.wire, "measured", units)} wire`
        : entry.from.notches === undefined
          ? `, each ${bare(key("snippet"))} of strip`
          : `, each ${counted(entry.from.notches, "notch", "notches")} of strip`
      : "";
    return {
      what: `${metal(entry)}${from}, ${bare(key("gap"))} left over`,
      cut: `${count} × ${width}`,
      figure: key("count"),
    };
  },
};

const metal = ({ metal }: OrnamentEntry) => METALS[metal].name;

function size({ entry, units }: OrnamentSource): string {
  return `${showLength(entry.width, "measured", units)} wide, ${metal(entry)}`;
}

/** The length that is cut, or of several the pieces. */
function bentCut({ pieces, key, bare }: OrnamentSource): Pick<SaidOrnament, "cut" | "figure"> {
  const lengths = pieces.map(bare);
  const [first] = lengths;
  if (pieces.length === 1) return { cut: first!, figure: pieces[0]! };
  const isAlike = lengths.every((each) => each === first);
  return { cut: isAlike ? `${lengths.length} × ${first}` : lengths.join(" + "), figure: isAlike ? pieces[0]! : key("cutLength") };
}

export function sayOrnament(
  { figures, drawing }: Pick<Plan, "figures" | "drawing">,
  mount: string,
  entry: OrnamentEntry,
  bare: Bare,
  units: Units,
): SaidOrnament {
  const { part, made } = drawing.settings[mount]!.plan.layers.find(({ id }) => id === entry.id)!;
  return {
    name: capital(LAYER_NAMES[entry.type]),
    isCounted: made.counted !== null,
    ...TYPES[entry.type]({ entry, figures, pieces: made.pieces, key: (name) => `${part}.${name}`, bare, units }),
  };
}

/** What is cut, with its unit; a number of beads has its width's. */
export function ornamentText(said: SaidOrnament, units: Units): string {
  return `${said.cut} ${lengthUnit(units)}; ${said.what}`;
}
