"use client";

import Link from "next/link";
import { useEffect } from "react";
import { commonText } from "@/words/common";
import { errorText } from "@/words/app";

/** Shown where a screen could not be drawn; what was typed is kept all the same. */
export default function ScreenError({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  useEffect(() => console.error(error), [error]);
  return (
    <main className="p-6">
      <h1 className="mb-2 text-lg font-bold">{errorText.thisScreenCouldNotBe}</h1>
      <p className="mb-1 text-soft">{errorText.whatYouTypedIsKept}</p>
      <p className="mb-4 text-soft">{error.message}</p>
      <button type="button" className="btn btn-main" onClick={reset}>
        {errorText.tryAgain}
      </button>{" "}
      <Link href="/" className="btn">
        {commonText.backToTheTray}
      </Link>
    </main>
  );
}
