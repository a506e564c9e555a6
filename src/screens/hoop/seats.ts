import { type Seat } from "@/core/hoop/seat";
import { type Figure } from "@/core/measure/figure";
import { type Units, lengthUnit, showFigure, showLength, withUnit } from "@/words/show";
import { seatsText } from "@/words/screens/hoop";

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
    name: seatsText.angleOfTheFeet,
    lead: seatsText.endsMeetThePlateAt,
    text: showFigure(figure("footAngle"), units).replace("°", ""),
    unit: "°",
    words: [
      seatsText.meetsThePlateAt(showFigure(figure("footAngle"), units)),
      seatsText.fileOffSquareFeetReach(showFigure(figure("endAngle"), units), showLength(figure("reach").value, "blank", units)),
    ],
    width: null,
  }),
  grip: ({ figure, units }) => ({
    figure: "gripWidth",
    name: seatsText.openingForTheSetting,
    lead: seatsText.openingLead,
    text: showLength(figure("gripWidth").value, "blank", units),
    unit: lengthUnit(units),
    words: [seatsText.opening(withUnit(figure("gripWidth").value, "blank", units)), seatsText.cutSmallTheArmsLifted],
    width: null,
  }),
};

function filed({ figure, units }: SeatSource, act: "flat" | "saddle", of: string): SaidSeat {
  const depth = showLength(figure(act).value, "measured", units);
  const width = showLength(figure(seatsText.width(act)).value, "blank", units);
  return {
    figure: act,
    name: seatsText.depthOfThe(act),
    lead: seatsText.fileThe(act),
    text: depth,
    unit: seatsText.deep(lengthUnit(units)),
    words: [
      seatsText.wideDeep(act, width, depth),
      seatsText.leavesOfThe(withUnit(figure(seatsText.left(act)).value, "measured", units), of),
    ],
    width: { field: `${act}Width`, label: act === "flat" ? seatsText.flatsWidth : seatsText.saddlesWidth, usual: width },
  };
}

export function saySeat(act: Seat["act"], figure: SeatSource["figure"], units: Units): SaidSeat {
  return SEATS[act]({ figure, units });
}
