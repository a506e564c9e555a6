import { type Piece } from "@/core/piece/piece";
import tern from "./pieces/tern-ring.json";

/** The Marram Workshop's pieces; a test decodes each as a file. */
export const DEMO_PIECES: readonly Piece[] = [tern] as unknown as readonly Piece[];
