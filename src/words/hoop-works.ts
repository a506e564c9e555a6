import { type WorkName, type WorksAsked } from "@/core/hoop/works/work";
import { type Bare } from "./backs";
import { counted } from "./names";
import { type Units, showLength, withUnit, turnsText } from "./show";

interface WorkSource {
  readonly bare: Bare;
  readonly units: Units;
}

/** What is done with a hoop's stock, as it stands on the card, and the figure it rests on. */
const WORKS: {
  readonly [Name in WorkName]: { readonly figure: string; readonly say: (asked: WorksAsked[Name], told: WorkSource) => string };
} = {
  twist: {
    figure: "hoop.wireLength",
    say: ({ wire, plies, turns }, { bare, units }) =>
      `twisted of ${counted(plies, "wire")} of ${showLength(wire, "measured", units)}, each ${bare("hoop.wireLength")}, ${turnsText(turns * 10, units)}`,
  },
  taper: { figure: "hoop.cutLength", say: ({ back }, { units }) => `tapered to ${withUnit(back, "measured", units)} at the back` },
  slit: {
    figure: "hoop.legWidth",
    say: ({ length, spread }, { bare, units }) =>
      `slit ${showLength(length, "measured", units)} to each side, legs ${bare("hoop.legWidth")} wide, spread to ${withUnit(spread, "measured", units)}`,
  },
  strands: {
    figure: "hoop.cutLength",
    say: ({ count, soldered, spread }, { units }) =>
      soldered === "all"
        ? `${count} strands soldered all along`
        : `${count} strands soldered for ${showLength(soldered, "measured", units)} at the back, spread to ${withUnit(spread, "measured", units)}`,
  },
  sleeve: {
    figure: "hoop.insideDiameter",
    say: ({ name, thickness, inlay }, { bare, units }) =>
      `sleeve${name && ` of ${name}`} ${withUnit(thickness, "measured", units)} thick, joined cold${inlay ? `; inlay ${bare("hoop.inlayLength")} long, ${withUnit(inlay.depth, "measured", units)} deep` : ""}`,
  },
};

export function sayWork<Name extends WorkName>(
  name: Name,
  asked: WorksAsked[Name],
  told: WorkSource,
): { readonly figure: string; readonly text: string } {
  const { figure, say } = WORKS[name];
  return { figure, text: say(asked, told) };
}
