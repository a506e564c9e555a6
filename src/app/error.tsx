"use client";

import Link from "next/link";
import { useEffect } from "react";

/** Shown where a screen could not be drawn; what was typed is kept all the same. */
export default function ScreenError({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  useEffect(() => console.error(error), [error]);
  return (
    <main className="p-6">
      <h1 className="mb-2 text-lg font-bold">This screen could not be shown.</h1>
      <p className="mb-1 text-soft">What you typed is kept on this device.</p>
      <p className="mb-4 text-soft">{error.message}</p>
      <button type="button" className="btn btn-main" onClick={reset}>
        Try again
      </button>{" "}
      <Link href="/" className="btn">
        Back to the tray
      </Link>
    </main>
  );
}
