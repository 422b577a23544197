/** Unit tests beside what they test; tests/ for what crosses layers; database tests in *.db.test.ts. */
const transform = { "^.+\\.(t|j)sx?$": "<rootDir>/tests/support/transform.js" };
/** Names that code in a test would else look up through its sandbox each time: the core's arithmetic is many times slower then. */
const sandboxInjectedGlobals = [
  ...["Math", "Infinity", "Number", "Object", "Array", "Map", "Set", "WeakMap", "Symbol", "JSON", "String"],
  ...[
    "Int8Array",
    "Uint8Array",
    "Int16Array",
    "Uint16Array",
    "Int32Array",
    "Uint32Array",
    "Float32Array",
    "Float64Array",
  ],
  ...["BigInt", "Error", "Promise"],
];
const shared = {
  transform,
  setupFilesAfterEnv: ["<rootDir>/tests/support/patience.ts"],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1" },
  transformIgnorePatterns: [
    "/node_modules/(?!(nuqs|react-hotkeys-hook|lru-cache|iron-session|iron-webcrypto|uncrypto|cookie)/)",
  ],
  modulePathIgnorePatterns: ["<rootDir>/.next/", "<rootDir>/data/", "<rootDir>/.test-data/"],
};

/** @type {import("jest").Config} */
const config = {
  projects: [
    {
      ...shared,
      sandboxInjectedGlobals,
      displayName: "unit",
      testEnvironment: "node",
      testMatch: [
        "<rootDir>/src/**/*.test.ts",
        "<rootDir>/quality/**/*.test.ts",
        "<rootDir>/bench/**/*.test.ts",
        "<rootDir>/tests/*.test.ts",
        "<rootDir>/tests/quality/*.test.ts",
      ],
      testPathIgnorePatterns: ["\\.db\\.test\\.ts$", "/node_modules/"],
    },
    {
      ...shared,
      displayName: "screen",
      testEnvironment: "jsdom",
      testMatch: ["<rootDir>/src/**/*.test.tsx"],
      setupFilesAfterEnv: ["<rootDir>/tests/support/patience.ts", "<rootDir>/tests/support/screen.ts"],
    },
    {
      ...shared,
      sandboxInjectedGlobals,
      displayName: "database",
      testEnvironment: "node",
      testMatch: ["<rootDir>/src/**/*.db.test.ts", "<rootDir>/tests/**/*.db.test.ts"],
      // The server's threads run code that is built beforehand; here it runs as it stands.
      moduleNameMapper: { "/threads/pool$": "<rootDir>/tests/support/threads-here.ts", ...shared.moduleNameMapper },
    },
  ],
};
export default config;
