import { isPlannedLayer } from "../mount/layers/layers";
import { type Fault, fault } from "./fault";
import { ornamentOf } from "./mounts";
import { type Piece } from "./piece";

/** Any part of a file, as it was read. */
type Part = Readonly<Record<string, unknown>>;

/** What the contract has and this build does not plan, by where it stands in a file; a list is looked through. */
interface Later {
  /** Fields that are not planned whatever they hold. */
  readonly fields?: readonly string[];
  /** Fields of which some values are not planned. */
  readonly values?: Readonly<Record<string, readonly unknown[]>>;
  readonly in?: Readonly<Record<string, Later>>;
}

const LATER: Later = {
  in: {
    mounts: {
      in: {
        wall: { in: { cup: { fields: ["height"] } } },
      },
    },
  },
};

/** Each thing of a piece that is not planned is refused by name, so that nothing is planned by half. */
export function unplanned(piece: Piece): Fault[] {
  return [...laterIn(piece as unknown as Part, LATER, ""), ...strangeLayers(piece)];
}

function laterIn(part: Part, { fields = [], values = {}, in: within = {} }: Later, path: string): Fault[] {
  return [
    ...fields.filter((field) => part[field] !== undefined).map((field) => fault(`${path}/${field}`, "not-planned", { got: field })),
    ...Object.entries(values).flatMap(([field, later]) =>
      later.includes(part[field]) ? [fault(`${path}/${field}`, "not-planned", { got: String(part[field]) })] : [],
    ),
    ...Object.entries(within).flatMap(([field, later]) => {
      const inner = part[field];
      if (Array.isArray(inner)) return inner.flatMap((each, i) => laterIn(each as Part, later, `${path}/${field}/${i}`));
      return typeof inner === "object" && inner !== null ? laterIn(inner as Part, later, `${path}/${field}`) : [];
    }),
  ];
}

function strangeLayers({ mounts }: Piece): Fault[] {
  return mounts.flatMap((mount, i) =>
    ornamentOf(mount).some(({ type }) => !isPlannedLayer(type))
      ? [fault(`/mounts/${i}${mount.plate ? "/plate" : ""}/ornament`, "not-planned", { got: "ornament" })]
      : [],
  );
}
