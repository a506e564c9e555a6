"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";
import { type ReactNode } from "react";
import { NotKept } from "./NotKept";

const PLACES = [
  { href: "/", name: "Pieces" },
  { href: "/ledger", name: "Ledger" },
  { href: "/my-bench", name: "My bench" },
] as const;

export function Mark() {
  return (
    <Link
      href="/"
      className="pressed inline-flex items-center text-[15px] font-[760] tracking-[-0.01em] whitespace-nowrap [font-stretch:118%]"
    >
      <span>
        Hoop<span className="text-accent">·</span>Ledger
      </span>
    </Link>
  );
}

/** The bar of the screens that belong to no piece. */
export function NavBar({ children }: { readonly children?: ReactNode }) {
  const here = usePathname();
  return (
    <>
      <header className="flex min-h-[46px] items-center gap-x-3.5 gap-y-1 border-b border-line bg-sheet px-4 max-lg:flex-wrap max-lg:px-3.5 max-lg:py-1">
        <Mark />
        <nav aria-label="Places" className="flex gap-1 text-[12.5px]">
          {PLACES.map(({ href, name }) => (
            <Link
              key={href}
              href={href}
              aria-current={here === href ? "page" : undefined}
              className={`rounded-[5px] px-[9px] py-1 max-lg:grid max-lg:h-[44px] max-lg:place-items-center ${here === href ? "bg-ink text-white" : "text-soft hover:bg-hair"}`}
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
