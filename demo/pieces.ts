import { type Piece } from "@/core/piece/piece";
import avocet from "./pieces/avocet-earrings.json";
import cockle from "./pieces/cockle-ring.json";
import curlew from "./pieces/curlew-ring.json";
import dotterel from "./pieces/dotterel-ring.json";
import dunlin from "./pieces/dunlin-earrings.json";
import kelp from "./pieces/kelp-ring.json";
import knot from "./pieces/knot-ring.json";
import limpetPendant from "./pieces/limpet-pendant.json";
import limpet from "./pieces/limpet-ring.json";
import marram from "./pieces/marram-ring.json";
import plover from "./pieces/plover-ring.json";
import redshank from "./pieces/redshank-ring.json";
import samphire from "./pieces/samphire-ring.json";
import saltgrass from "./pieces/saltgrass-pendant.json";
import sanderling from "./pieces/sanderling-pendant.json";
import slate from "./pieces/slate-ring.json";
import strand from "./pieces/strand-ring.json";
import tern from "./pieces/tern-ring.json";
import thrift from "./pieces/thrift-ring.json";
import turnstone from "./pieces/turnstone-ring.json";
import wagtail from "./pieces/wagtail-ring.json";
import whelk from "./pieces/whelk-ring.json";
import whimbrel from "./pieces/whimbrel-ring.json";

/** The Marram Workshop's pieces; a test decodes each as a file. */
export const DEMO_PIECES: readonly Piece[] = [
  sanderling,
  whimbrel,
  curlew,
  wagtail,
  avocet,
  marram,
  redshank,
  samphire,
  knot,
  slate,
  strand,
  thrift,
  kelp,
  cockle,
  dotterel,
  turnstone,
  limpet,
  saltgrass,
  whelk,
  plover,
  dunlin,
  limpetPendant,
  tern,
] as unknown as readonly Piece[];

export function demoPiece(id: string): Piece {
  const found = DEMO_PIECES.find((piece) => piece.id === id);
  if (!found) throw new Error(`no demo piece ${id}`);
  return found;
}
