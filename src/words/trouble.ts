/** Why what was typed is not kept, and what to do about it. */
export const TROUBLE_WORDS = {
  full: "Not kept: this device is full. Save a file",
  blocked: "Not kept: close Hoop Ledger's other windows and reload, or save a file",
  newer: "Not kept: this device holds data of a newer Hoop Ledger. Reload to get it; the data is untouched",
  unavailable: "Not kept: this browser keeps nothing. Save a file before closing",
  failed: "Not kept: the browser refused. Save a file",
  cleared: "This browser has cleared what was kept here. This page still holds what it shows: keep it again, or save a file",
  stopped: "Stopped: nothing was changed",
} as const;

/** The journal, which holds the last moment before a crash, takes nothing more. */
export const JOURNAL_FULL =
  "This browser's journal is full: a crash could lose the last second of what you type. Save everything, then restart the browser";

/** The browser may throw away what is kept. */
export const NOT_PERSISTENT =
  "This browser may clear your pieces when its disk is full. Save everything to a file now and then, or add this page to your bookmarks or home screen and reload";
