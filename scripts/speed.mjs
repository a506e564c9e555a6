import { bundle, install } from "./prepare.mjs";

install();
await import(bundle("speed/core.ts", "speed"));
