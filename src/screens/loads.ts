/** What home, an open piece and My bench are made of, apart from their frame: it is fetched while the database is being opened. */
export const loadLedger = () => import("./tray/ledger");
export const loadDefaults = () => import("./my-bench/Defaults");
export const loadOpenPiece = () => import("./piece/OpenPiece");

/** What makes files, and the demo's own pieces and makings, are fetched when they are asked for. */
export const loadFiles = () => import("@/store/files");
export const loadExamples = () => import("@demo/examples");
export const loadDemoPieces = () => import("@demo/pieces");
export const loadDemoMakes = () => import("@demo/makes");
