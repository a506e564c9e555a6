/** A system takes files of some kinds alone: as what it is, else as a plain text that reads the same. */
const KINDS = [
  { type: "application/json", ending: "" },
  { type: "text/plain", ending: ".txt" },
] as const;

/** The file as the system's share sheet takes it; null where it takes none. */
function shareable(name: string, parts: readonly string[]): File | null {
  for (const { type, ending } of KINDS) {
    const file = new File([...parts], name + ending, { type });
    if (navigator.canShare?.({ files: [file] })) return file;
  }
  return null;
}

export function canShareFiles(): boolean {
  return shareable("piece.json", ["{}"]) !== null;
}

/** Hands a text to the system's share sheet; false where the maker thought better of it, or the system takes it not. */
export async function shareFile(name: string, text: string | readonly string[]): Promise<boolean> {
  const file = shareable(name, typeof text === "string" ? [text] : text);
  if (!file) return false;
  try {
    await navigator.share({ files: [file] });
    return true;
  } catch (error) {
    if (error instanceof DOMException && (error.name === "AbortError" || error.name === "NotAllowedError")) return false;
    throw error;
  }
}
