import { type MetadataRoute } from "next";
import { layoutText, manifestText } from "@/words/app";

/** How it is put on a device: its name and icons, where it starts, and the files that it opens. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: "/",
    name: layoutText.hoopLedger,
    short_name: layoutText.hoopLedger,
    description: layoutText.sizesBezelStripsPlatesAnd,
    start_url: "/",
    scope: "/",
    display: "standalone",
    background_color: "#eef0ef",
    theme_color: "#0b5d66",
    icons: [
      { src: "/icons/icon-192.png", sizes: "192x192", type: "image/png" },
      { src: "/icons/icon-512.png", sizes: "512x512", type: "image/png" },
      { src: "/icons/maskable-512.png", sizes: "512x512", type: "image/png", purpose: "maskable" },
    ],
    shortcuts: [
      { name: manifestText.newPiece, url: "/?new" },
      { name: manifestText.atTheBench, url: "/?bench" },
      { name: manifestText.ledger, url: "/ledger" },
    ],
    file_handlers: [{ action: "/", accept: { "application/json": [".json"], "text/csv": [".csv"] } }],
  };
}
