"use client";

import { type PlateEntry } from "@/core/piece/piece";
import { reshaped } from "@/core/stone/reshape";
import { type OutlineShape } from "@/core/stone/shapes/shapes";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { TextField } from "@/ui/TextField";
import { lengthField, numberField, optionalLengthField, wordsField } from "@/ui/fields";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { SHAPE_NAMES, capital } from "@/words/names";
import { commonText } from "@/words/common";
import { ownPlateText } from "@/words/screens/plate";
import { DIMENSIONS, dimensionOf } from "../stone/fields";
import { editablePlate } from "./plate-edit";

const SHAPES = ["round", "oval", "cushion", "rectangle", "pear", "marquise", "heart", "triangle"] as const;

interface Props {
  readonly mount: string;
  readonly plate: PlateEntry;
}

/** The outline of a plate of its own: its shape and sizes. One of points comes with its file, and keeps them. */
export function OwnOutline({ mount, plate: { outline } }: Props) {
  const session = useSession();
  const units = useUnits();
  if (!outline) return null;
  const shapes: readonly OutlineShape["shape"][] = outline.shape === "free" ? [...SHAPES, "free"] : SHAPES;
  return (
    <>
      <ChoiceField
        label={ownPlateText.shape}
        value={outline.shape}
        options={shapes.map((value) => ({ value, text: capital(SHAPE_NAMES[value]) }))}
        onChoose={(shape) =>
          session.change((piece) => void Object.assign(editablePlate(piece, mount), { outline: reshaped(outline, shape) }))
        }
      />
      {DIMENSIONS[outline.shape].map(({ name, label, hint }) => {
        const key = `${mount}.plate.outline.${name}`;
        const write = (piece: Parameters<typeof editablePlate>[0], value: number) =>
          void Object.assign(editablePlate(piece, mount), { outline: { ...outline, [name]: value } });
        return (
          <MeasureField
            key={`${outline.shape} ${name}`}
            field={name === "exponent" ? numberField(key, "", 0.1, 1, write) : lengthField(key, units, write)}
            label={label}
            hint={hint}
            value={dimensionOf(outline, name)}
            lights="plate"
          />
        );
      })}
      {outline.shape === "free" && <p className="py-1 text-sm text-soft">{ownPlateText.points(outline.points.length)}</p>}
    </>
  );
}

/** What is done to a plate before anything stands on it: a texture, and of a round one a dome. */
export function Worked({ mount, plate }: Props) {
  const units = useUnits();
  const canBeDomed = plate.style === "own" || plate.style === "border";
  return (
    <>
      <TextField
        field={wordsField(`${mount}.plate.texture.name`, (piece, text) => {
          const own = editablePlate(piece, mount);
          if (text.trim() === "") delete own.texture;
          else own.texture = { name: text.trim() };
        })}
        label={commonText.texture}
        hint={ownPlateText.workedInWhileFlat}
        value={plate.texture?.name ?? ""}
        shape="wide"
      />
      {canBeDomed && (
        <MeasureField
          field={optionalLengthField(`${mount}.plate.domed.rise`, units, (piece, value) => {
            const own = editablePlate(piece, mount);
            if (value === null) delete own.domed;
            else own.domed = { rise: value };
          })}
          label={ownPlateText.domedBy}
          hint={ownPlateText.roundPlatesOnly}
          value={plate.domed?.rise ?? null}
          lights="plate"
        />
      )}
    </>
  );
}
