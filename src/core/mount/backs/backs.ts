import { type BackKind, type BackType } from "./back";
import { base } from "./base";
import { none } from "./none";
import { open } from "./open";
import { own } from "./own";
import { plate } from "./plate";
import { shared } from "./shared";

/** Every kind of back that is planned. */
export const BACKS: Readonly<Record<BackKind, BackType>> = { plate, own, shared, base, open, none };
