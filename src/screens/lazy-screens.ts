/** What home, an open piece and My bench are made of, apart from their frame: it is fetched while the database is being opened. */
export const loadLedger = () => import("./tray/ledger");
export const loadDefaults = () => import("./my-bench/Defaults");
export const loadOpenPiece = () => import("./piece/OpenPiece");
