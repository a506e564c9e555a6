/** Why what was typed is not kept, and what to do about it. */
export const TROUBLE_WORDS = {
  full: "Not kept: this device is full. Save a file",
  blocked: "Not kept: close Hoop Ledger's other windows and reload, or save a file",
  newer: "Not kept: a newer Hoop Ledger was here. Reload to get it; what it keeps is untouched",
  unavailable: "Not kept: this browser keeps nothing. Save a file before closing",
  failed: "Not kept: the browser refused. Save a file",
  stopped: "Stopped: nothing was changed",
} as const;
