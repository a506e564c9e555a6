"use client";

import { type Draft as Editable } from "immer";
import { Ruler } from "lucide-react";
import Link from "next/link";
import { type Point } from "@/core/geometry/outline";
import { toMicron } from "@/core/measure/micron";
import { METALS, metalsFor } from "@/core/metal/metals";
import { ornamentOf } from "@/core/piece/mounts";
import { type Mount, type PlateEntry } from "@/core/piece/piece";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { lengthField, optionalLengthField } from "@/ui/fields";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { capital } from "@/words/names";
import { degrees, showTemperature } from "@/words/show";
import { AppliedList } from "../applied/AppliedList";
import { OrnamentList } from "./OrnamentList";
import { OwnOutline, Worked } from "./OwnPlate";
import { PlaceOnPlate, StonesList } from "./StonesOnPlate";
import { fromBehind } from "./BackView";
import { OrnamentMeasures } from "./OrnamentMeasures";
import { Stack } from "./Stack";
import { editableMount, editablePlate, outlineAround } from "./plate-edit";
import { commonText } from "@/words/common";
import { plateMeasuresText } from "@/words/screens/plate";

const METAL_OPTIONS = metalsFor("plate").map((value) => ({ value, text: capital(METALS[value].name) }));

const STYLE_ADVICE = {
  own: plateMeasuresText.anyOutlineTheStoneAnywhere,
  flush: plateMeasuresText.filedBackToTheBezel,
  border: plateMeasuresText.aPlainBorderAllRound,
  open: plateMeasuresText.aLedgeAndNoPlate,
  none: plateMeasuresText.theTubesOwnFloor,
} as const;
/** What is asked for where nobody said: sizes that makers use (mm). */
const USUAL = {
  border: 1,
  thickness: 0.6,
  floor: 0.5,
  ledge: { width: 0.8, height: 0.8, metal: "sterling" },
  stamp: { width: 4, height: 1.5 },
  drain: { diameter: 1 },
} as const;

interface Props {
  readonly mount: Mount;
  readonly chosen: string | null;
  readonly onChoose: (id: string | null) => void;
}

/** Finishes a back another way, with the usual sizes where it has none for it yet; what only the old way has goes. */
function finish(mount: Editable<Mount>, style: PlateEntry["style"]): void {
  const { wall, stone } = mount;
  if (style === "none") {
    mount.plate = { style };
    wall.lift = Math.max(wall.lift ?? 0, USUAL.floor);
    return;
  }
  const plate: Editable<PlateEntry> = mount.plate ?? { style };
  mount.plate = plate;
  plate.style = style;
  plate.metal ??= "sterling";
  plate.thickness ??= USUAL.thickness;
  if (style === "border") plate.border = plate.border || USUAL.border;
  if (style === "own") Object.assign(plate, { outline: plate.outline ?? outlineAround(stone.outline), at: plate.at ?? [0, 0] });
  else for (const field of ["outline", "at", "turn"] as const) delete plate[field];
  if (style !== "own" && style !== "border") delete plate.domed;
  if (style !== "open") return;
  plate.ledge ??= { ...USUAL.ledge };
  // The stone stands on the ledge: a lift of less is no longer one.
  if (wall.lift !== undefined && wall.lift < plate.ledge.height) delete wall.lift;
}

export function PlateMeasures({ mount, ...choosing }: Props) {
  const { plate } = mount;
  return plate ? <OwnBack mount={mount} plate={plate} {...choosing} /> : <SharedBack mount={mount} {...choosing} />;
}

/** A setting that stands on another's plate: where it lies there, and its own ornament. */
function SharedBack({ mount, chosen, onChoose }: Props) {
  const entry = ornamentOf(mount).find((each) => each.id === chosen);
  return (
    <>
      <h2 className="section-head">{plateMeasuresText.onTheSharedPlate}</h2>
      <PlaceOnPlate mount={mount} />
      <StonesList mount={mount} />
      <h2 className="section-head">{plateMeasuresText.fromTheStoneOutward}</h2>
      <Stack mount={mount.id} />
      <OrnamentList mount={mount} chosen={chosen} onChoose={onChoose} />
      {entry && <OrnamentMeasures key={entry.id} mount={mount} entry={entry} onGone={() => onChoose(null)} />}
    </>
  );
}

interface OwnProps extends Props {
  readonly plate: PlateEntry;
}

function OwnBack({ mount, plate, chosen, onChoose }: OwnProps) {
  const { id } = mount;
  const session = useSession();
  const units = useUnits();
  const plan = usePlan();
  const settled = plan.settled.mounts[id]!.back;
  const { plate: sawn } = plan.drawing.settings[id]!.plan.back;
  const change = (recipe: (plate: Editable<PlateEntry>) => void) => session.change((piece) => recipe(editablePlate(piece, id)));
  const field = (name: "thickness" | "border" | "sawMargin") =>
    lengthField(`${id}.plate.${name}`, units, (piece, value) => {
      editablePlate(piece, id)[name] = value;
    });
  const entry = (plate.ornament ?? []).find((each) => each.id === chosen);
  const isOpen = plate.style === "open";
  return (
    <>
      <h2 className="section-head">{plateMeasuresText.back}</h2>
      <ChoiceField
        label={plateMeasuresText.finish}
        hint={STYLE_ADVICE[plate.style]}
        value={plate.style}
        options={[
          { value: "flush", text: plateMeasuresText.flush },
          { value: "border", text: plateMeasuresText.border },
          { value: "own" as const, text: plateMeasuresText.own },
          ...(mount.wall.source === "tube"
            ? [{ value: "none" as const, text: plateMeasuresText.none }]
            : [{ value: "open" as const, text: plateMeasuresText.open }]),
        ]}
        onChoose={(style) => session.change((piece) => finish(editableMount(piece, id), style))}
      />
      {plate.style === "none" ? (
        <p className="py-1.5 text-sm text-soft">{plateMeasuresText.theSeatLeavesItsFloor}</p>
      ) : isOpen ? (
        <LedgeMeasures mount={id} plate={plate} />
      ) : (
        <>
          <ChoiceField
            label={commonText.metal}
            hint={plateMeasuresText.startsToMeltAt(showTemperature(METALS[settled.metal].solidus, units), degrees(units))}
            value={settled.metal}
            options={METAL_OPTIONS}
            onChoose={(metal) => change((each) => void (each.metal = metal))}
          />
          <div className="grid gap-x-3 wide:grid-cols-2">
            <MeasureField
              field={field("thickness")}
              label={plateMeasuresText.thick}
              value={settled.thickness}
              lights="plate"
              shape="compact"
            />
            <MeasureField
              field={field("sawMargin")}
              label={plateMeasuresText.saw}
              value={settled.sawMargin.value}
              lights="saw"
              shape="compact"
            />
          </div>
        </>
      )}
      {plate.style === "own" && (
        <>
          <OwnOutline mount={id} plate={plate} />
          <PlaceOnPlate mount={mount} />
        </>
      )}
      {sawn !== null && <Worked mount={id} plate={plate} />}
      {sawn !== null && <StonesList mount={mount} />}
      <h2 className="section-head">{plateMeasuresText.fromTheStoneOutward}</h2>
      <Stack mount={id} />
      <OrnamentList mount={mount} chosen={chosen} onChoose={onChoose} />
      {plate.style === "border" && (
        <MeasureField
          field={field("border")}
          label={plateMeasuresText.border}
          hint={plateMeasuresText.outsideTheOrnament}
          value={settled.border.value}
          lights="plate"
        />
      )}
      {sawn !== null && (plate.ornament ?? []).length > 0 && (
        <ChoiceField
          label={plateMeasuresText.edge}
          hint={settled.edge === "even" ? plateMeasuresText.theSameWidthAllRound : plateMeasuresText.cutAwayWhereThereIs}
          value={settled.edge}
          options={[
            { value: "follows", text: plateMeasuresText.follows },
            { value: "even", text: plateMeasuresText.even },
          ]}
          onChoose={(edge) => change((each) => void (each.edge = edge))}
        />
      )}
      {entry && <OrnamentMeasures key={entry.id} mount={mount} entry={entry} onGone={() => onChoose(null)} />}
      {sawn !== null && <StruckMeasures mount={id} plate={plate} />}
      <AppliedList mount={id} />
      <Templates />
    </>
  );
}

interface PlacesProps {
  readonly mount: string;
  readonly what: "stamp" | "drain";
  readonly at: Point;
}

/** Where it lies on the back as that is drawn, from behind: from the middle to the right, and up. */
function Places({ mount, what, at }: PlacesProps) {
  const units = useUnits();
  const seen = fromBehind(at);
  return ([0, 1] as const).map((i) => (
    <MeasureField
      key={i}
      field={lengthField(`${mount}.plate.${what}.at.${i}`, units, (piece, value) => {
        const own = editablePlate(piece, mount)[what];
        if (own) own.at = [...fromBehind(i === 0 ? [value, seen[1]] : [seen[0], value])];
      })}
      label={i === 0 ? plateMeasuresText.right : plateMeasuresText.up}
      value={seen[i]}
      lights={what}
      shape="compact"
    />
  ));
}

/** The way to what is printed. */
function Templates() {
  const piece = useSessionState((state) => state.piece.id);
  return (
    <Link href={`/pieces/${piece}/templates`} className="btn btn-small mt-2">
      <Ruler size={13} aria-hidden="true" /> {plateMeasuresText.templatesAtTrueSize}
    </Link>
  );
}

function LedgeMeasures({ mount: id, plate }: { readonly mount: string; readonly plate: PlateEntry }) {
  const session = useSession();
  const units = useUnits();
  const { ledge } = plate;
  if (!ledge) return null;
  const field = (name: "width" | "height") =>
    lengthField(`${id}.plate.ledge.${name}`, units, (piece, value) => {
      const own = editablePlate(piece, id).ledge;
      if (own) own[name] = value;
    });
  return (
    <>
      <MeasureField
        field={field("width")}
        label={plateMeasuresText.ledgeWide}
        hint={plateMeasuresText.reachesInFromTheBezel}
        value={ledge.width}
        lights="ledge"
      />
      <MeasureField
        field={field("height")}
        label={plateMeasuresText.ledgeTall}
        hint={plateMeasuresText.raisesTheStone}
        value={ledge.height}
        lights="ledge"
      />
      <ChoiceField
        label={commonText.metal}
        value={ledge.metal}
        options={METAL_OPTIONS}
        onChoose={(metal) =>
          session.change((piece) => {
            const own = editablePlate(piece, id).ledge;
            if (own) own.metal = metal;
          })
        }
      />
    </>
  );
}

/** A stamp of which one side is known: as long to its height as is usual. */
function usualStamp(known: "width" | "height", value: number) {
  const { width, height } = USUAL.stamp;
  return known === "width"
    ? { width: value, height: toMicron((value * height) / width) }
    : { width: toMicron((value * width) / height), height: value };
}

/** Stamp and drain: an empty size takes it away. */
function StruckMeasures({ mount: id, plate }: { readonly mount: string; readonly plate: PlateEntry }) {
  const units = useUnits();
  const { stamp, drain } = plate;
  const placed = usePlan().drawing.settings[id]!.plan.back;
  const stampField = (name: "width" | "height") =>
    optionalLengthField(`${id}.plate.stamp.${name}`, units, (piece, value) => {
      const own = editablePlate(piece, id);
      if (value === null) delete own.stamp;
      else own.stamp = { ...(own.stamp ?? usualStamp(name, value)), [name]: value };
    });
  const drainField = optionalLengthField(`${id}.plate.drain.diameter`, units, (piece, value) => {
    const own = editablePlate(piece, id);
    if (value === null) delete own.drain;
    else own.drain = { ...(own.drain ?? USUAL.drain), diameter: value };
  });
  return (
    <>
      <h2 className="section-head">{plateMeasuresText.onTheBack}</h2>
      <div className="grid gap-x-3 wide:grid-cols-2">
        <div role="group" aria-label={plateMeasuresText.stamp} className="contents">
          <MeasureField
            field={stampField("width")}
            label={plateMeasuresText.stamp}
            value={stamp?.width ?? null}
            lights="stamp"
            shape="compact"
          />
          <MeasureField
            field={stampField("height")}
            label={plateMeasuresText.by}
            value={stamp?.height ?? null}
            lights="stamp"
            shape="compact"
          />
          {placed.stamp && <Places mount={id} what="stamp" at={placed.stamp.at} />}
        </div>
        <div role="group" aria-label={plateMeasuresText.drain} className="contents">
          <MeasureField field={drainField} label={plateMeasuresText.drain} value={drain?.diameter ?? null} lights="drain" shape="compact" />
          {placed.drain && <Places mount={id} what="drain" at={placed.drain.at} />}
        </div>
      </div>
    </>
  );
}
