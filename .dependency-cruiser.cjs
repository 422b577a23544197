/** Layers: who may import whom. Checked by `npm run layers` and in `npm test`. */
const only = (name, from, mayUse) => ({
  name,
  severity: "error",
  from: { path: from, pathNot: "\\.test\\.tsx?$" },
  to: { path: "^(src|quality|bench|tests)/", pathNot: mayUse },
});

/** Rooms in one order: what stands in one may use those before it, and none behind. */
const inOrder = (name, base, rooms) =>
  rooms.slice(0, -1).map((room, i) => ({
    name: `${name}-${room}`,
    severity: "error",
    from: { path: `^${base}/${room}/`, pathNot: "\\.test\\.tsx?$" },
    to: { path: `^${base}/(${rooms.slice(i + 1).join("|")})/` },
  }));

const CORE = [
  "time",
  "hand",
  "keyboard",
  "passage",
  "entry",
  "placement",
  "fingering",
  "figures",
  "options",
  "reach",
  "motion",
  "film",
  "merits",
  "verdict",
  "trials",
  "practice",
];
const SCREENS = [
  "ui",
  "keeping",
  "belongings",
  "keyboard",
  "piano",
  "playing",
  "score",
  "passage-in-hand",
  "plan",
  "trials",
  "film",
  "practice",
  "today",
  "diary",
  "build",
  "hands",
  "reach",
  "repertoire",
  "enter",
  "players",
  "bench",
  "side-by-side",
  "door",
  "shell",
];
const SERVER = [
  "doors",
  "threads",
  "players",
  "belongings",
  "hands",
  "verdicts",
  "passages",
  "trials",
  "options",
  "pieces",
  "practice",
  "export",
  "archive",
];

module.exports = {
  forbidden: [
    ...inOrder("core-in-order", "src/core", CORE),
    ...inOrder("screens-in-order", "src/components", SCREENS),
    ...inOrder("server-in-order", "src/server", SERVER),
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true } },
    {
      name: "no-orphans",
      severity: "error",
      from: { orphan: true, path: "^src/", pathNot: ["\\.test\\.tsx?$", "^src/app/", "\\.d\\.ts$"] },
      to: {},
    },
    only("core-stands-alone", "^src/core/", "^src/core/"),
    {
      name: "core-is-pure",
      severity: "error",
      from: { path: "^src/core/", pathNot: "\\.test\\.ts$" },
      to: { dependencyTypes: ["npm", "core"], pathNot: "node_modules/fraction\\.js" },
    },
    only("formats-know-the-core", "^src/formats/", "^src/(formats|core)/"),
    only("database-knows-the-core", "^src/db/", "^src/(db|core)/"),
    only("demo-composes-in-formats", "^src/demo/", "^src/(demo|formats|core)/"),
    only("command-line-knows-no-screen", "^src/cli/(?!archive)", "^src/(cli|formats|core)/"),
    only("archives-are-the-servers", "^src/cli/archive", "^src/(cli|db|server/archive)/"),
    only("workers-know-no-screen", "^src/worker/", "^src/(worker|formats|core)/"),
    only("server-knows-no-screen", "^src/server/", "^src/(server|db|formats|core|demo)/"),
    only("screens-go-through-the-server", "^src/components/", "^src/(components|worker|core|server/(types|actions))"),
    only("pages-go-through-the-server", "^src/app/", "^src/(app|components|server|core)/"),
    only("the-door-knows-doors", "^src/proxy\\.ts$", "^src/(proxy\\.ts|server/doors/)"),
    {
      name: "no-react-below-screens",
      severity: "error",
      from: { path: "^src/(core|formats|db|cli|worker|demo)/" },
      to: { path: "node_modules/react" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
      mainFields: ["module", "main", "types"],
    },
  },
};
