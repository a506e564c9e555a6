/** Why what was typed is not kept, and what to do about it. */
export const TROUBLE_WORDS = {
  full: "Not kept: this device is full. Save a file",
  blocked: "Not kept: close Hoop Ledger's other windows and reload, or save a file",
  unavailable: "Not kept: this browser keeps nothing. Save a file before closing",
  failed: "Not kept: the browser refused. Save a file",
} as const;
