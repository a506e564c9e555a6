"use client";

import { METALS } from "@/core/metal/metals";
import { type Draft as Editable } from "immer";
import { type ReactNode } from "react";
import { type WorkName } from "@/core/hoop/works/work";
import { type HoopEntry } from "@/core/piece/piece";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { TextField } from "@/ui/TextField";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { TURNS_IN, TURNS_PER } from "@/words/show";
import { capital } from "@/words/names";
import { countField, hoopOf, partField, sleeveField } from "./fields";
import { commonText } from "@/words/common";
import { worksText } from "@/words/screens/hoop";

interface WorkScreen {
  readonly name: string;
  readonly advice: string;
  /** Asks for it, in the usual sizes. */
  readonly start: (hoop: Editable<HoopEntry>) => void;
  readonly Fields: (props: { readonly hoop: HoopEntry }) => ReactNode;
}

/** What can be done with a hoop's stock: how it is begun, and its measures. */
export const WORK_SCREENS: Readonly<Record<WorkName, WorkScreen>> = {
  slit: {
    name: worksText.slit,
    advice: worksText.sawnDownTheMiddleAnd,
    start: (hoop) => void (hoop.slit = { length: 8, spread: hoop.stock.width + 2.5 }),
    Fields: SlitFields,
  },
  strands: {
    name: worksText.strands,
    advice: worksText.wiresSideBySide,
    start: (hoop) => void (hoop.strands = { count: 2, soldered: "all" }),
    Fields: StrandFields,
  },
  taper: {
    name: worksText.taper,
    advice: worksText.wideInFrontNarrowAt,
    start: ({ stock }) => void (stock.backWidth = Math.max(1, Math.round(stock.width * 6) / 10)),
    Fields: TaperFields,
  },
  twist: {
    name: worksText.twist,
    advice: worksText.wiresTwistedAsTheyAre,
    start: ({ stock }) => {
      const wire = Math.round(stock.thickness * 50) / 100;
      stock.twist = { wire, turns: 3, plies: 2, soldered: true };
    },
    Fields: TwistFields,
  },
  sleeve: {
    name: worksText.sleeve,
    advice: worksText.woodOrTheLikeOn,
    start: (hoop) => void (hoop.sleeve = { name: worksText.bogOak, thickness: 2 }),
    Fields: SleeveFields,
  },
};

/** Takes away all that is done with the stock. */
export function clearWorks(hoop: Editable<HoopEntry>): void {
  delete hoop.slit;
  delete hoop.strands;
  delete hoop.sleeve;
  delete hoop.stock.backWidth;
  delete hoop.stock.twist;
}

type Props = Parameters<WorkScreen["Fields"]>[0];

function SlitFields({ hoop: { slit } }: Props) {
  const units = useUnits();
  const field = (name: "length" | "spread") => partField(`slit.${name}`, units, (hoop, mm) => void (hoop.slit![name] = mm));
  return (
    <div className="grid gap-x-3 wide:grid-cols-2">
      <MeasureField field={field("length")} label={worksText.long} value={slit!.length} lights="slit" shape="compact" />
      <MeasureField field={field("spread")} label={worksText.spread} value={slit!.spread} lights="slit" shape="compact" />
    </div>
  );
}

/** Soldered for so much at the back where strands are first spread (mm). */
const AT_THE_BACK = 14;

function StrandFields({ hoop: { strands, stock } }: Props) {
  const session = useSession();
  const units = useUnits();
  const { count, soldered, spread } = strands!;
  const isAll = soldered === "all";
  return (
    <>
      <ChoiceField
        label={worksText.soldered}
        hint={isAll ? worksText.asOneBand : worksText.apartInFront}
        value={isAll ? "all" : "back"}
        options={[
          { value: "all", text: worksText.allAlong },
          { value: "back", text: worksText.theBack },
        ]}
        onChoose={(value) =>
          session.change((piece) => {
            const each = hoopOf(piece).strands!;
            if (value === "all") {
              each.soldered = "all";
              delete each.spread;
            } else {
              each.soldered = AT_THE_BACK;
              each.spread = Math.round((count + 2) * stock.width * 10) / 10;
            }
          })
        }
      />
      <div className="grid gap-x-3 wide:grid-cols-2">
        <MeasureField
          field={countField("strands.count", 1, (each, value) => void (each.strands!.count = value))}
          label={worksText.strands}
          value={count}
          lights="stock"
          shape="compact"
        />
        {!isAll && (
          <>
            <MeasureField
              field={partField("strands.soldered", units, (each, mm) => void (each.strands!.soldered = mm))}
              label={worksText.back}
              value={soldered}
              lights="slit"
              shape="compact"
            />
            <MeasureField
              field={partField("strands.spread", units, (each, mm) => void (each.strands!.spread = mm))}
              label={worksText.spread}
              value={spread ?? null}
              lights="slit"
              shape="compact"
            />
          </>
        )}
      </div>
    </>
  );
}

function TaperFields({ hoop: { stock } }: Props) {
  const units = useUnits();
  return (
    <MeasureField
      field={partField("stock.backWidth", units, (hoop, mm) => void (hoop.stock.backWidth = mm))}
      label={worksText.widthAtTheBack}
      hint={worksText.theWidthAboveIsThe}
      value={stock.backWidth ?? null}
      lights="stock"
    />
  );
}

function TwistFields({ hoop: { stock } }: Props) {
  const session = useSession();
  const units = useUnits();
  const per = TURNS_PER[units.length];
  const { wire, turns, plies, soldered = true } = stock.twist!;
  return (
    <>
      <div className="grid gap-x-3 wide:grid-cols-2">
        <MeasureField
          field={partField("stock.twist.wire", units, (hoop, mm) => void (hoop.stock.twist!.wire = mm))}
          label={commonText.wire}
          value={wire}
          lights="stock"
          shape="compact"
        />
        <MeasureField
          field={countField("stock.twist.plies", 1, (hoop, value) => void (hoop.stock.twist!.plies = value))}
          label={worksText.wires}
          value={plies}
          lights="stock"
          shape="compact"
        />
      </div>
      <MeasureField
        field={countField("stock.twist.turns", 0.5, (hoop, value) => void (hoop.stock.twist!.turns = value / per))}
        label={TURNS_IN[units.length]}
        value={turns * per}
        lights="stock"
      />
      <ChoiceField
        label={worksText.beforeFlattening}
        hint={worksText.flattenedWhereTheStockIs}
        value={soldered ? "soldered" : "loose"}
        options={[
          { value: "soldered", text: worksText.soldered },
          { value: "loose", text: worksText.loose },
        ]}
        onChoose={(value) => session.change((piece) => void (hoopOf(piece).stock.twist!.soldered = value === "soldered"))}
      />
    </>
  );
}

function SleeveFields({ hoop: { sleeve, stock } }: Props) {
  const session = useSession();
  const units = useUnits();
  const { thickness, inlay } = sleeve!;
  return (
    <>
      <TextField
        field={sleeveField}
        label={worksText.sleeveOf}
        hint={worksText.woodHornOrTheLike}
        value={sleeve!.name ?? ""}
        shape="wide"
      />
      <MeasureField
        field={partField("sleeve.thickness", units, (hoop, mm) => void (hoop.sleeve!.thickness = mm))}
        label={worksText.sleeveThick}
        value={thickness}
        lights="sleeve"
      />
      <ChoiceField
        label={worksText.inlay}
        hint={inlay ? METALS[inlay.metal ?? stock.metal].name : worksText.aStripLetIntoIt}
        value={inlay ? "strip" : "none"}
        options={[
          { value: "none", text: capital("none") },
          { value: "strip", text: worksText.aStrip },
        ]}
        onChoose={(value) =>
          session.change((piece) => {
            const each = hoopOf(piece).sleeve!;
            if (value === "none") delete each.inlay;
            else each.inlay = { width: 1, depth: Math.min(0.8, thickness / 2) };
          })
        }
      />
      {inlay && (
        <div className="grid gap-x-3 wide:grid-cols-2">
          <MeasureField
            field={partField("sleeve.inlay.width", units, (hoop, mm) => void (hoop.sleeve!.inlay!.width = mm))}
            label={worksText.wide}
            value={inlay.width}
            lights="sleeve"
            shape="compact"
          />
          <MeasureField
            field={partField("sleeve.inlay.depth", units, (hoop, mm) => void (hoop.sleeve!.inlay!.depth = mm))}
            label={worksText.deep}
            value={inlay.depth}
            lights="sleeve"
            shape="compact"
          />
        </div>
      )}
    </>
  );
}
