export default {
  testEnvironment: "node",
  maxWorkers: "100%",
  // Tests run in a context of their own, where these are otherwise looked up slowly, each time anew.
  sandboxInjectedGlobals: ["Math", "Array", "Object", "Map", "Set", "Number", "Error"],
  roots: ["<rootDir>/src", "<rootDir>/cli", "<rootDir>/scripts"],
  testMatch: ["**/*.test.ts"],
  setupFiles: ["<rootDir>/jest.seed.cjs"],
  transform: {
    "^.+\\.(mjs|[tj]sx?)$": [
      "@swc/jest",
      { jsc: { target: "es2023", parser: { syntax: "typescript", tsx: true }, transform: { react: { runtime: "automatic" } } } },
    ],
  },
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1", "^@demo/(.*)$": "<rootDir>/demo/$1" },
  transformIgnorePatterns: [
    "/node_modules/(?!(d3[^/]*|polylabel|tinyqueue|internmap|delaunator|robust-predicates|idb|clipper2-ts|svg-pathdata|fast-xml-parser)/)",
  ],
};
