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
  ["trace", ["measure", "geometry", "stone"]],
  ["making", ["measure"]],
  ["joint", ["measure", "metal", "making"]],
  ["mount", ["measure", "geometry", "metal", "stone", "making", "joint"]],
  ["hoop", ["measure", "geometry", "metal", "making", "joint"]],
  ["applied", ["measure", "geometry", "metal", "making", "joint", "mount", "hoop"]],
  ["bail", ["measure", "geometry", "metal", "making", "joint", "mount"]],
  ["cutting", ["measure", "geometry", "metal"]],
  ["heats", ["measure", "metal", "joint"]],
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
      name: "polygons-know-packages",
      severity: "error",
      from: { path: "^src/core/geometry/polygon\\.ts$" },
      to: { pathNot: "^(src/core/|node_modules/(clipper2-ts|d3-polygon|polylabel|@types/d3-polygon)/)" },
    },
    {
      name: "long-lists-go-through-one-hook",
      comment: "asked anywhere else, its rows would be remembered as they first stood",
      severity: "error",
      from: { pathNot: "^src/ui/useRowsInView\\.ts$" },
      to: { path: "node_modules/@tanstack/" },
    },
    { name: "only-the-store-knows-idb", severity: "error", from: { pathNot: "^src/store/" }, to: { path: "node_modules/idb/" } },
    {
      name: "the-app-knows-nothing-outside",
      severity: "error",
      from: { path: "^(src|demo)/", pathNot: "\\.(test|testing)\\.ts$" },
      to: { path: "^(cli|e2e|speed|attack|scripts)/" },
    },
    {
      name: "the-demo-is-fetched-late",
      severity: "error",
      from: { path: "^src/(core|words|formats|workers|store)/", pathNot: "\\.test\\.ts$" },
      to: { path: "^demo/" },
    },
    {
      name: "what-helps-tests-is-for-tests",
      severity: "error",
      from: { pathNot: "\\.(test|testing)\\.ts$" },
      to: { path: "\\.(test|testing)\\.ts$" },
    },
    {
      name: "a-person-drives-the-page-not-the-code",
      severity: "error",
      from: { path: "^e2e/" },
      to: { path: "^(src|cli|speed|attack)/" },
    },
    {
      name: "attack-and-speed-look-in-from-outside",
      severity: "error",
      from: { path: "^(attack|speed)/" },
      to: { path: "^src/(store|ui|screens|app)/" },
    },
    {
      name: "scripts-run-what-is-built",
      severity: "error",
      from: { path: "^scripts/" },
      to: { path: "^(src|cli|e2e|speed|attack|demo)/" },
    },
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
