const rooms = ["core", "words", "formats", "workers", "store", "ui", "screens", "app"];

/** A room may import itself and the rooms before it. */
const oneWay = rooms.map((room, i) => ({
  name: `${room}-looks-back-only`,
  severity: "error",
  from: { path: `^src/${room}/` },
  to: { path: `^src/(${rooms.slice(i + 1).join("|") || "none"})/` },
}));

/** Inside the core: what each room may know of the others. */
const core = [
  ["measure", []],
  ["geometry", ["measure"]],
  ["metal", ["measure", "geometry"]],
  ["stone", ["measure", "geometry"]],
  ["mount", ["measure", "geometry", "metal", "stone"]],
  ["hoop", ["measure", "geometry", "metal"]],
  ["heats", ["measure", "metal"]],
  ["making", ["heats", "stone", "metal", "measure"]],
];
const insideCore = core.map(([room, known]) => ({
  name: `core-${room}-knows-only-${known.join("-") || "itself"}`,
  severity: "error",
  from: { path: `^src/core/${room}/`, pathNot: "\\.(test|testing)\\.ts$" },
  to: { path: "^src/core/", pathNot: `^src/core/(${[room, ...known].join("|")})/` },
}));

module.exports = {
  forbidden: [
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } } },
    ...oneWay,
    ...insideCore,
    {
      name: "core-is-pure",
      severity: "error",
      from: { path: "^src/core/", pathNot: "(\\.(test|testing)\\.ts|^src/core/geometry/polygon\\.ts)$" },
      to: { pathNot: "^src/core/" },
    },
    {
      name: "polygons-know-clipping",
      severity: "error",
      from: { path: "^src/core/geometry/polygon\\.ts$" },
      to: { pathNot: "^(src/core/|node_modules/clipper2-ts/)" },
    },
    { name: "only-the-store-knows-idb", severity: "error", from: { pathNot: "^src/store/" }, to: { path: "node_modules/idb/" } },
    {
      name: "cli-knows-core-words-formats",
      severity: "error",
      from: { path: "^cli/" },
      to: { path: "^src/", pathNot: "^src/(core|words|formats)/" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "src/formats/generated" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
  },
};
