import { type LayerKind } from "./layer";

/** A kind that is bought as it is: what it is made from says nothing of it. */
export const noStock: LayerKind["faults"] = ({ type, from }) =>
  from ? [{ field: "from", code: "not-of-ornament", values: { got: type } }] : [];
