"use client";

/** Hands a text, or its parts, to the browser to be saved under a name. */
export function saveFile(name: string, text: string | readonly BlobPart[], type = "application/json"): void {
  const address = URL.createObjectURL(new Blob(typeof text === "string" ? [text] : [...text], { type }));
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
