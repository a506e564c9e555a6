import { type Piece } from "@/core/piece/piece";
import plover from "./pieces/plover-ring.json";
import tern from "./pieces/tern-ring.json";
import whelk from "./pieces/whelk-ring.json";

/** The Marram Workshop's pieces; a test decodes each as a file. */
export const DEMO_PIECES: readonly Piece[] = [whelk, plover, tern] as unknown as readonly Piece[];
