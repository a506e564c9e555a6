"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";
import { type ReactNode } from "react";
import { NotKept } from "./NotKept";
import { commonText } from "@/words/common";
import { navBarText } from "@/words/ui";

const PLACES = [
  { href: "/", name: commonText.pieces },
  { href: "/day", name: navBarText.day },
  { href: "/metal", name: navBarText.metal },
  { href: "/ledger", name: navBarText.ledger },
  { href: "/sums", name: navBarText.sums },
  { href: "/my-bench", name: commonText.myBench },
] as const;

export function Mark() {
  return (
    <Link href="/" className="pressed inline-flex items-center text-base font-[760] tracking-tight whitespace-nowrap [font-stretch:118%]">
      <span>
        {navBarText.hoop}
        <span className="text-accent">·</span>
        {navBarText.ledger}
      </span>
    </Link>
  );
}

/** The bar of the screens that belong to no piece. */
export function NavBar({ children }: { readonly children?: ReactNode }) {
  const here = usePathname();
  return (
    <>
      <header className="flex min-h-touch items-center gap-x-3.5 gap-y-1 border-b border-line bg-sheet px-4 max-lg:flex-wrap max-lg:px-3.5 max-lg:py-1">
        <span className="max-sm:hidden">
          <Mark />
        </span>
        <nav aria-label={navBarText.places} className="flex gap-1 text-sm">
          {PLACES.map(({ href, name }) => (
            <Link
              key={href}
              href={href}
              aria-current={here === href ? "page" : undefined}
              className={`rounded-md px-2.5 py-1 max-sm:px-1.5 max-lg:min-w-touch max-lg:grid max-lg:h-touch max-lg:place-items-center ${here === href ? "bg-ink text-white" : "text-soft hover:bg-hair"}`}
            >
              {name}
            </Link>
          ))}
        </nav>
        <span className="flex-1" />
        {children}
      </header>
      <NotKept saysOnce={here === "/"} />
    </>
  );
}
