import next from "eslint-config-next/core-web-vitals";
import nextTypeScript from "eslint-config-next/typescript";
import jsdoc from "eslint-plugin-jsdoc";
import prettier from "eslint-config-prettier";

/** What only asks of React, which the layers keep out of these rooms: asking there is the larger half of all linting. */
const ofReact = [...next, ...nextTypeScript]
  .flatMap(({ rules = {} }) => Object.keys(rules))
  .filter((name) => /^(react|react-hooks|jsx-a11y)\//.test(name));
const withoutReact = ["core", "db", "demo", "formats", "cli", "server", "worker"].map((room) => `src/${room}/**`);

const config = [
  {
    ignores: [
      ".next/**",
      "node_modules/**",
      "data/**",
      ".test-data/**",
      "next-env.d.ts",
      "playwright-report/**",
      "test-results/**",
    ],
  },
  ...next,
  ...nextTypeScript,
  prettier,
  {
    rules: {
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_" }],
      "@typescript-eslint/consistent-type-imports": "error",
      eqeqeq: "error",
      complexity: ["error", 15],
    },
  },
  {
    files: ["src/**"],
    rules: { "max-lines-per-function": ["error", { max: 80, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ["src/core/**"],
    rules: {
      "@typescript-eslint/no-explicit-any": "error",
      "no-console": "error",
      "max-lines-per-function": ["error", { max: 60, skipComments: true }],
    },
  },
  {
    // What the core offers says what it takes and gives: units, order, limits.
    files: ["src/core/**"],
    ignores: ["**/*.test.ts"],
    plugins: { jsdoc },
    rules: {
      "jsdoc/require-jsdoc": [
        "error",
        {
          publicOnly: true,
          require: { FunctionDeclaration: true, ArrowFunctionExpression: false, ClassDeclaration: true },
        },
      ],
    },
  },
  {
    files: ["src/**/*.ts", "src/**/*.tsx", "tests/**/*.ts", "scripts/**/*.ts", "quality/**/*.ts", "bench/**/*.ts"],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: { "@typescript-eslint/no-floating-promises": "error" },
  },
  {
    files: [...withoutReact, "tests/**/*.ts", "scripts/**", "quality/**", "bench/**"],
    ignores: ["**/*.tsx"],
    rules: Object.fromEntries(ofReact.map((name) => [name, "off"])),
  },
  { files: [".dependency-cruiser.cjs"], rules: { "@typescript-eslint/no-require-imports": "off" } },
  { files: ["**/*.test.ts", "**/*.test.tsx"], rules: { "no-console": "off", "max-lines-per-function": "off" } },
];

export default config;
