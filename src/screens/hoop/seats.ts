import { type Seat } from "@/core/hoop/seat";
import { type Figure } from "@/core/measure/figure";
import { type Units, lengthUnit, showFigure, showLength, withUnit } from "@/words/show";

/** How a mount's seat is told: the figure to work to, and the words beside it. */
export interface SaidSeat {
  /** The figure's name without the mount's, and what it is called. */
  readonly figure: string;
  readonly name: string;
  readonly lead: string;
  readonly text: string;
  readonly unit: string;
  /** At the drawing. */
  readonly words: readonly [string, string];
  /** The field of its width; null where it has none. */
  readonly width: { readonly field: "flatWidth" | "saddleWidth"; readonly label: string; readonly usual: string } | null;
}

interface SeatSource {
  readonly figure: (name: string) => Figure;
  readonly units: Units;
}

const SEATS: Readonly<Record<Seat["act"], (told: SeatSource) => SaidSeat>> = {
  flat: (told) => filed(told, "flat", "wire"),
  saddle: (told) => filed(told, "saddle", "plate"),
  feet: ({ figure, units }) => ({
    figure: "footAngle",
    name: "Angle of the feet",
    lead: "ends meet the plate at",
    text: showFigure(figure("footAngle"), units).replace("°", ""),
    unit: "°",
    words: [
      `meets the plate at ${showFigure(figure("footAngle"), units)}`,
      `file ${showFigure(figure("endAngle"), units)} off square; feet reach ${showLength(figure("reach").value, "blank", units)}`,
    ],
    width: null,
  }),
  grip: ({ figure, units }) => ({
    figure: "gripWidth",
    name: "Opening for the setting",
    lead: "opening",
    text: showLength(figure("gripWidth").value, "blank", units),
    unit: lengthUnit(units),
    words: [`opening ${withUnit(figure("gripWidth").value, "blank", units)}`, "cut small, the arms lifted to it"],
    width: null,
  }),
};

function filed({ figure, units }: SeatSource, act: "flat" | "saddle", of: string): SaidSeat {
  const depth = showLength(figure(act).value, "measured", units);
  const width = showLength(figure(`${act}Width`).value, "blank", units);
  return {
    figure: act,
    name: `Depth of the ${act}`,
    lead: `file the ${act}`,
    text: depth,
    unit: `${lengthUnit(units)} deep`,
    words: [`${act} ${width} wide, ${depth} deep`, `leaves ${withUnit(figure(`${act}Left`).value, "measured", units)} of the ${of}`],
    width: { field: `${act}Width`, label: act === "flat" ? "Flat's width" : "Saddle's width", usual: width },
  };
}

export function saySeat(act: Seat["act"], figure: SeatSource["figure"], units: Units): SaidSeat {
  return SEATS[act]({ figure, units });
}
