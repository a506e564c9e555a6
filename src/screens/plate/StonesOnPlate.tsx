"use client";

import { Plus, Trash2 } from "lucide-react";
import { flattened } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { freeOnPlate } from "@/core/mount/backs/on-plate";
import { toTwentieth } from "@/core/measure/micron";
import { hostOf, outlineIn, placementOf } from "@/core/piece/mounts";
import { type Mount } from "@/core/piece/piece";
import { DragHandle } from "@/ui/DragHandle";
import { Knob, Shape } from "@/ui/Drawing";
import { MeasureField } from "@/ui/MeasureField";
import { lengthField, numberField } from "@/ui/fields";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { namesIn } from "@/words/names";
import { calledIn } from "@/words/settings";
import { withUnit } from "@/words/show";
import { stonesOnPlateText } from "@/words/screens/plate";
import { MOST_SETTINGS, removeSetting } from "../settings/settings-edit";
import { addOnPlate, putOnPlate, wholeTurn } from "./plate-edit";

/** mm and degrees that an arrow key moves and turns a stone by. */
const STEP = 0.1;
const TURN_STEP = 1;
/** A handle's room past a bezel (mm). */
const PAST = 0.8;

/** Whether a stone can be put elsewhere on the plate it stands on. */
function isMovable({ on, plate }: Mount): boolean {
  return on !== undefined || plate?.style === "own";
}

/** All that stand on the plate of a mount, the one whose it is first. */
function useOnPlate(mount: Mount): readonly Mount[] {
  const piece = useSessionState((state) => state.piece);
  const host = hostOf(piece, mount).id;
  return piece.mounts.filter(({ id, on }) => id === host || on === host);
}

/** The other stones on a plate, and where each is dragged and turned by. */
export function StonesOnPlate({ mount }: { readonly mount: Mount }) {
  const { settings } = usePlan().drawing;
  const all = useOnPlate(mount);
  return (
    <>
      {all
        .filter(({ id }) => id !== mount.id)
        .map(({ id }) => {
          const { wallOutside, wallInside, stone } = settings[id]!.plan;
          return (
            <g key={id} opacity={0.7}>
              <Shape curve={wallOutside} fill="none" stroke="var(--color-metal-edge)" />
              <Shape curve={wallInside} fill="none" stroke="var(--color-metal-edge)" />
              <Shape curve={stone} fill={`url(#stone-${id})`} fillOpacity={0.55} stroke="var(--color-shade)" />
            </g>
          );
        })}
      {all.map((each) => (
        <OverEdge key={each.id} mount={each} />
      ))}
      {all.filter(isMovable).map((each) => (
        <PlaceHandles key={each.id} mount={each} />
      ))}
    </>
  );
}

/** How long the line is that shows where a wall comes nearest to its plate's edge, or over it (mm). */
const MARK = 1.2;

/** Where a wall comes too near to its plate's edge: a line across both. */
function OverEdge({ mount }: { readonly mount: Mount }) {
  const { findings, settled } = usePlan();
  const { fit, thickness } = settled.mounts[mount.id]!.wall;
  return findings
    .filter((each) => each.code === "plate.wall-over-edge" && each.mount === mount.id)
    .map(({ values, level }) => {
      const { x, y, nx, ny } = outlineIn(mount).stationAt(Number(values.at));
      const out = (by: number): Point => {
        const far = fit.value + thickness + by;
        return [x + far * nx, y + far * ny];
      };
      return (
        <Shape
          key={mount.id}
          points={[out(-MARK / 2), out(MARK / 2)]}
          open
          stroke={level === "error" ? "var(--color-bad)" : "var(--color-warn)"}
          strokeWidth={4}
          data-over-edge={mount.id}
        />
      );
    });
}

/** A stone is moved by its middle, and turned by the handle past the end of its length. */
function PlaceHandles({ mount }: { readonly mount: Mount }) {
  const session = useSession();
  const plan = usePlan();
  const units = useUnits();
  const { at, turn } = placementOf(mount);
  const name = namesIn(plan).setting(mount.id);
  const { wall } = plan.settled.mounts[mount.id]!;
  const angle = (turn * Math.PI) / 180;
  const out = outlineIn(mount).extent(angle) / 2 + wall.fit.value + wall.thickness + PAST;
  const end: Point = [at[0] + out * Math.cos(angle), at[1] + out * Math.sin(angle)];
  const key = mount.on === undefined ? `${mount.id}.plate` : mount.id;
  const move = ([x, y]: Point) =>
    session.change((piece) => putOnPlate(piece, mount.id, { at: [toTwentieth(x), toTwentieth(y)] }), `${key}.at`);
  const turnTo = (degrees: number) => session.change((piece) => putOnPlate(piece, mount.id, { turn: wholeTurn(degrees) }), `${key}.turn`);
  return (
    <>
      <DragHandle
        label={stonesOnPlateText.placeOf(name)}
        now={at[0]}
        most={100}
        told={stonesOnPlateText.rightAndUp(withUnit(at[0], "measured", units), withUnit(at[1], "measured", units))}
        lights={`${mount.id}.place`}
        onDrag={move}
        onStep={(_by, way) => move([at[0] + way[0] * STEP, at[1] + way[1] * STEP])}
      >
        {(isHighlighted) => <Knob at={at} isHighlighted={isHighlighted} />}
      </DragHandle>
      {mount.stone.outline.shape !== "round" && (
        <DragHandle
          label={stonesOnPlateText.turnOf(name)}
          now={turn}
          most={180}
          told={stonesOnPlateText.degrees(turn)}
          lights={`${mount.id}.turn`}
          onDrag={([x, y]) => turnTo((Math.atan2(y - at[1], x - at[0]) * 180) / Math.PI)}
          onStep={(by) => turnTo(turn + by * TURN_STEP)}
        >
          {(isHighlighted) => <Knob at={end} isHighlighted={isHighlighted} />}
        </DragHandle>
      )}
    </>
  );
}

/** Where a stone lies on its plate, from its middle to the right and up, and how it is turned. */
export function PlaceOnPlate({ mount }: { readonly mount: Mount }) {
  const units = useUnits();
  const { at, turn } = placementOf(mount);
  const key = mount.on === undefined ? `${mount.id}.plate` : mount.id;
  return (
    <div role="group" aria-label={stonesOnPlateText.theStoneOnThePlate} className="grid gap-x-3 wide:grid-cols-2">
      {([0, 1] as const).map((i) => (
        <MeasureField
          key={i}
          field={lengthField(`${key}.at.${i}`, units, (piece, value) =>
            putOnPlate(piece, mount.id, { at: i === 0 ? [value, at[1]] : [at[0], value] }),
          )}
          label={i === 0 ? stonesOnPlateText.right : stonesOnPlateText.up}
          value={at[i]}
          lights={`${mount.id}.place`}
          shape="compact"
        />
      ))}
      <MeasureField
        field={numberField(`${key}.turn`, "°", 1, 1, (piece, value) => putOnPlate(piece, mount.id, { turn: value }))}
        label={stonesOnPlateText.turned}
        value={turn}
        lights={`${mount.id}.turn`}
        shape="compact"
      />
    </div>
  );
}

/** How closely an edge is followed (mm). */
const DRAWN = 0.05;

/** The stones on one plate: one more, or one taken off. */
export function StonesList({ mount }: { readonly mount: Mount }) {
  const session = useSession();
  const plan = usePlan();
  const mounts = useSessionState(({ piece }) => piece.mounts);
  const all = useOnPlate(mount);
  const [host] = all as readonly [Mount];
  const names = namesIn(plan);
  const add = () => {
    const standing = all.map((each) => {
      const { wall } = plan.settled.mounts[each.id]!;
      return { mount: each.id, outline: outlineIn(each), face: wall.fit.value + wall.thickness };
    });
    const like = standing.find((each) => each.mount === mount.id)!;
    const [x, y] = freeOnPlate(flattened(plan.drawing.settings[host.id]!.plan.plateEdge, DRAWN), standing, like);
    session.change((piece) => void addOnPlate(piece, host.id, mount.id, [toTwentieth(x), toTwentieth(y)]));
  };
  return (
    <>
      <h2 className="section-head">{stonesOnPlateText.stonesOnThisPlate}</h2>
      <ul className="text-sm">
        {all.map((each) => (
          <li key={each.id} className="flex items-center justify-between border-t border-hair py-1">
            <span className={each.id === mount.id ? "font-semibold" : "text-soft"}>{calledIn(mounts, each)}</span>
            {each.on !== undefined && (
              <button
                type="button"
                className="btn !px-1.5"
                aria-label={stonesOnPlateText.takeOff(names.setting(each.id))}
                onClick={() => session.change((piece) => removeSetting(piece, each.id))}
              >
                <Trash2 size={14} aria-hidden="true" />
              </button>
            )}
          </li>
        ))}
      </ul>
      {mounts.length < MOST_SETTINGS && (
        <button type="button" className="btn my-1" onClick={add}>
          <Plus size={14} aria-hidden="true" /> {stonesOnPlateText.addAStone}
        </button>
      )}
    </>
  );
}
