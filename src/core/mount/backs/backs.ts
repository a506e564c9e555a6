import { type BackKind, type BackType } from "./back";
import { none } from "./none";
import { open } from "./open";
import { own } from "./own";
import { plate } from "./plate";

/** Every kind of back that is planned. */
export const BACKS: Readonly<Record<BackKind, BackType>> = { plate, own, open, none };
