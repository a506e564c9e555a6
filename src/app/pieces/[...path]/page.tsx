import { PieceAtAddress } from "@/screens/piece/PieceScreen";

/** Which piece it is stands in the address, and is read there: without the server one page stands for all of them. */
export default function Page() {
  return <PieceAtAddress />;
}
