"use client";

import Link from "next/link";
import { useTrayState } from "@/ui/tray";

export function TrayScreen() {
  const pieces = useTrayState((state) => state.pieces);
  return (
    <main className="p-4">
      {pieces.map(({ id, piece }) => (
        <Link key={id} href={`/pieces/${id}/wall`} className="btn">
          {piece.name}
        </Link>
      ))}
    </main>
  );
}
