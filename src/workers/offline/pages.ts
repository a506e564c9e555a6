/** All of a build that is cached, by its addresses. */
export interface Kept {
  readonly version: string;
  readonly files: readonly string[];
}

/** Stands for every piece: its page reads from the address which one it shows. */
const ANY_PIECE = "/pieces/any/stone";
/** Pages that are what they are by their address alone. */
const ALONE = ["/", "/ledger", "/my-bench", "/day", "/metal", "/cards", "/sums", "/practice"];

export const PAGES: readonly string[] = [...ALONE, ANY_PIECE];

/** The cached page that shows what an address asks for; null where none does. */
export function pageFor(pathname: string): string | null {
  const plain = pathname.length > 1 && pathname.endsWith("/") ? pathname.slice(0, -1) : pathname;
  if (ALONE.includes(plain)) return plain;
  return /^\/pieces\/[^/]+(\/[^/]+)*$/.test(plain) ? ANY_PIECE : null;
}
