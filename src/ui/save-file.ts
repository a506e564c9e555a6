"use client";

/** Hands a text to the browser to be saved under a name. */
export function saveFile(name: string, text: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: "application/json" }));
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
