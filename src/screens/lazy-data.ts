/** What makes files, and the demo's own pieces and makings: fetched when they are asked for. */
export const loadFiles = () => import("@/store/files");
export const loadExamples = () => import("@demo/examples");
export const loadDemoPieces = () => import("@demo/pieces");
export const loadDemoMakes = () => import("@demo/makes");
export const loadDemoBench = () => import("@demo/bench");
