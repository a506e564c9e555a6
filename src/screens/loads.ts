/** What home and an open piece are made of, apart from their frame: it plans, and is fetched while the database is being opened. */
export const loadLedger = () => import("./tray/ledger");
export const loadOpenPiece = () => import("./piece/OpenPiece");
