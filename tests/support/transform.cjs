/* What Jest runs is compiled by SWC. */
const { createTransformer } = require("@swc/jest");

const swc = createTransformer({
  jsc: {
    parser: { syntax: "typescript", tsx: true },
    transform: { react: { runtime: "automatic" } },
    target: "es2022",
  },
  module: { type: "commonjs" },
});

/** What `export *` becomes: a getter that looks the name up anew each time, and the one that it stands for. */
const LOOKED_UP = /get: function\(\) \{\s*return from\[k\];\s*\}/;
const ITSELF = "get: Object.getOwnPropertyDescriptor(from, k).get ?? (() => from[k])";

module.exports = {
  ...swc,
  process(...given) {
    const { code, ...rest } = swc.process(...given);
    return { ...rest, code: code.replace(LOOKED_UP, ITSELF) };
  },
};
