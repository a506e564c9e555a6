"use client";

import { type Draft as Editable } from "immer";
import { Trash2 } from "lucide-react";
import { type ReactNode } from "react";
import { type LayerType, type WireSection } from "@/core/mount/layers/layer";
import { ballFrom } from "@/core/mount/layers/granules";
import { toMicron } from "@/core/measure/micron";
import { METALS, metalsFor } from "@/core/metal/metals";
import { type Mount, type OrnamentEntry } from "@/core/piece/piece";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { lengthField, numberField, optionalLengthField } from "@/ui/fields";
import { usePlan } from "@/ui/plan";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { LAYER_NAMES, capital } from "@/words/names";
import { TURNS_IN, TURNS_PER, showLength } from "@/words/show";
import { editable, editableOne, extentFor, lieOf } from "./ornament-edit";
import { commonText } from "@/words/common";
import { ornamentMeasuresText } from "@/words/screens/plate";

const SECTIONS: readonly { readonly value: WireSection; readonly text: string }[] = [
  { value: "round", text: ornamentMeasuresText.round },
  { value: "square", text: ornamentMeasuresText.square },
  { value: "half-round", text: "Half-round" },
];
const LIES = [
  { value: "all", text: ornamentMeasuresText.allRound },
  { value: "sides", text: ornamentMeasuresText.bothSides },
  { value: "ends", text: ornamentMeasuresText.bothEnds },
] as const;
const SNIPPED = [
  { value: "wire", text: commonText.wire },
  { value: "strip", text: commonText.strip },
  { value: "notches", text: ornamentMeasuresText.notches },
] as const;
/** What beads are snipped from where nobody said: usual wire, and the strip of a usual wall. */
const USUAL = { wire: 0.8, strip: [0.32, 3.2], pitch: 1, turns: 10 } as const;

interface Props {
  readonly mount: Mount;
  readonly entry: OrnamentEntry;
  readonly onGone: () => void;
}

/** The measures of the ornament that is chosen. */
export function OrnamentMeasures({ mount, entry, onGone }: Props) {
  const session = useSession();
  const units = useUnits();
  const { id, type } = entry;
  const key = (name: string) => `${mount.id}.plate.ornament.${id}.${name}`;
  const change = (recipe: (one: Editable<OrnamentEntry>) => void) => session.change((piece) => recipe(editableOne(piece, mount.id, id)));
  const width = lengthField(key("width"), units, (piece, value) => void (editableOne(piece, mount.id, id).width = value));
  const { across, Own } = MEASURES[type];
  const lie = lieOf(entry);
  return (
    <>
      <h2 className="section-head">{capital(LAYER_NAMES[type])}</h2>
      {across !== null && <MeasureField field={width} label={across} value={entry.width} shape="compact" />}
      {Own && <Own mount={mount.id} entry={entry} />}
      <ChoiceField
        label={commonText.metal}
        value={entry.metal}
        options={metalsFor("ornament").map((value) => ({ value, text: capital(METALS[value].name) }))}
        onChoose={(metal) => change((one) => void (one.metal = metal))}
      />
      <ChoiceField
        label={ornamentMeasuresText.lies}
        hint={lie === "all" ? ornamentMeasuresText.chooseSidesOrEndsThen : ornamentMeasuresText.dragItsEndsInThe}
        value={lie}
        options={lie === "dragged" ? [...LIES, { value: "dragged", text: ornamentMeasuresText.dragged }] : LIES}
        onChoose={(next) =>
          change((one) => {
            if (next === "dragged") return;
            one.extent = extentFor(next);
            if (next !== "all") delete one.tight;
          })
        }
      />
      <button
        type="button"
        className="btn btn-small mt-1.5"
        onClick={() => {
          const refused = session.change((piece) => {
            const ornament = editable(piece, mount.id);
            ornament.splice(
              ornament.findIndex((each) => each.id === id),
              1,
            );
          });
          if (refused === null) onGone();
        }}
      >
        <Trash2 size={13} aria-hidden="true" /> {ornamentMeasuresText.remove}
      </button>
    </>
  );
}

interface OneProps {
  readonly mount: string;
  readonly entry: OrnamentEntry;
}

/** What only one kind of ornament is measured by; `across` is what its width is called, null where that follows from the rest. */
const MEASURES: Readonly<Record<LayerType, { readonly across: string | null; readonly Own: ((props: OneProps) => ReactNode) | null }>> = {
  wire: { across: commonText.width, Own: WireMeasures },
  twist: { across: null, Own: TwistMeasures },
  "bead-wire": { across: commonText.width, Own: null },
  granules: { across: ornamentMeasuresText.across, Own: BeadMeasures },
};

function WireMeasures({ mount, entry }: OneProps) {
  const session = useSession();
  const units = useUnits();
  const { id, section = "round", extent = "all" } = entry;
  const tight = optionalLengthField(`${mount}.plate.ornament.${id}.tight`, units, (piece, value) => {
    const one = editableOne(piece, mount, id);
    if (value === null) delete one.tight;
    else one.tight = value;
  });
  const height = lengthField(
    `${mount}.plate.ornament.${id}.height`,
    units,
    (piece, value) => void (editableOne(piece, mount, id).height = value),
  );
  return (
    <>
      <ChoiceField
        label={ornamentMeasuresText.section}
        value={section}
        options={SECTIONS}
        onChoose={(next) => session.change((piece) => void (editableOne(piece, mount, id).section = next))}
      />
      {section !== "round" && <MeasureField field={height} label={commonText.height} value={entry.height ?? entry.width} shape="compact" />}
      {extent === "all" && (
        <MeasureField
          field={tight}
          label={ornamentMeasuresText.undersizeBy}
          hint={ornamentMeasuresText.fileTheInsideUntilIt}
          value={entry.tight ?? null}
        />
      )}
    </>
  );
}

/** The wire sets the width: two of them side by side. */
function TwistMeasures({ mount, entry }: OneProps) {
  const units = useUnits();
  const { id, width, from } = entry;
  const twisted = from && "wire" in from ? from : { wire: width / 2 };
  const key = (name: string) => `${mount}.plate.ornament.${id}.from.${name}`;
  const wire = lengthField(key("wire"), units, (piece, value) => {
    const one = editableOne(piece, mount, id);
    one.from = { ...twisted, wire: value };
    one.width = toMicron(2 * value);
  });
  const turns = numberField(key("turns"), "", 0.1, 2, (piece, value) => {
    editableOne(piece, mount, id).from = { ...twisted, turns: value / per };
  });
  const per = TURNS_PER[units.length];
  return (
    <>
      <MeasureField field={wire} label={ornamentMeasuresText.wireEach} value={twisted.wire} />
      <MeasureField
        field={turns}
        label={TURNS_IN[units.length]}
        hint={ornamentMeasuresText.usualOnePerSixWire}
        value={per * (twisted.turns ?? USUAL.turns / (6 * twisted.wire))}
      />
    </>
  );
}

function BeadMeasures({ mount, entry }: OneProps) {
  const session = useSession();
  const units = useUnits();
  const { figures } = usePlan();
  const { id, from } = entry;
  const told = (name: string) => figures[`${mount}.ornament.${id}.${name}`]?.value;
  const key = (name: string) => `${mount}.plate.ornament.${id}.from.${name}`;
  const snipped = !from || "wire" in from ? "wire" : from.notches === undefined ? "strip" : "notches";
  const strip = from && "strip" in from ? from.strip : USUAL.strip;
  const change = (recipe: (one: Editable<OrnamentEntry>) => void) => session.change((piece) => recipe(editableOne(piece, mount, id)));
  const choose = (next: (typeof SNIPPED)[number]["value"]) =>
    change((one) => {
      if (next === "wire") one.from = { wire: USUAL.wire };
      else if (next === "strip") one.from = { strip: [strip[0], strip[1]] };
      else takeNotches(one, strip, 1, USUAL.pitch);
    });
  const closes = told("closes");
  const snippet = told("snippet");
  const isClosed = closes !== undefined && Math.abs(closes - entry.width) < CLOSED;
  const length = (name: string, write: (one: Editable<OrnamentEntry>, value: number) => void) =>
    lengthField(key(name), units, (piece, value) => write(editableOne(piece, mount, id), value));
  return (
    <>
      {closes !== undefined && !isClosed && (
        <button type="button" className="btn btn-small my-1" onClick={() => change((one) => void (one.width = closes))}>
          {ornamentMeasuresText.useTheyCloseExactly(showLength(closes, "measured", units))}
        </button>
      )}
      <ChoiceField label={ornamentMeasuresText.snippedFrom} value={snipped} options={SNIPPED} onChoose={choose} />
      {from && snippet !== undefined && snipped !== "notches" && (
        <MeasureField
          field={length("snippet", (one, value) => void (one.width = toMicron(ballFrom(from, value))))}
          label={ornamentMeasuresText.snippet}
          hint={ornamentMeasuresText.setsTheBead}
          value={Math.round(snippet * 1000) / 1000}
        />
      )}
      {snipped === "wire" && from && "wire" in from && (
        <MeasureField field={length("wire", (one, value) => void (one.from = { wire: value }))} label={commonText.wire} value={from.wire} />
      )}
      {from && "strip" in from && (
        <>
          <MeasureField
            field={length("thickness", (one, value) => void (one.from = { ...from, strip: [value, from.strip[1]] }))}
            label={ornamentMeasuresText.stripThick}
            value={from.strip[0]}
          />
          <MeasureField
            field={length("height", (one, value) => void (one.from = { ...from, strip: [from.strip[0], value] }))}
            label={ornamentMeasuresText.stripTall}
            value={from.strip[1]}
          />
          {from.notches !== undefined && from.pitch !== undefined && (
            <>
              <MeasureField
                field={numberField(key("notches"), "", 1, 0, (piece, value) =>
                  takeNotches(editableOne(piece, mount, id), from.strip, Math.max(1, Math.round(value)), from.pitch!),
                )}
                label={ornamentMeasuresText.notchesEach}
                hint={ornamentMeasuresText.setsTheBead}
                value={from.notches}
              />
              <MeasureField
                field={length("pitch", (one, value) => takeNotches(one, from.strip, from.notches!, value))}
                label={ornamentMeasuresText.pitch}
                value={from.pitch}
              />
            </>
          )}
        </>
      )}
    </>
  );
}

/** Beads nearer than this to the size that closes are that size (mm). */
const CLOSED = 1e-9;

/** So many notches of a strip, and the bead they melt to. */
function takeNotches(one: Editable<OrnamentEntry>, strip: readonly [number, number], notches: number, pitch: number): void {
  const from = { strip: [strip[0], strip[1]] as [number, number], notches, pitch };
  one.from = from;
  one.width = toMicron(ballFrom(from, notches * pitch));
}
