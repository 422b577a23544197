import type { Composed } from "../compose";

/** A fast run that lies mostly on black keys. */
export const darkWater: Composed = {
  title: "Dark Water",
  fifths: -6,
  time: [4, 4],
  tempo: 112,
  words: "Presto, sotto voce",
  right: [
    `16 gb4 ab4 bb4 cb5 db5 eb5 f5 gb5 ab5 gb5 f5 eb5 db5 cb5 bb4 ab4 |
     gb4 bb4 ab4 cb5 bb4 db5 cb5 eb5 db5 f5 eb5 gb5 f5 ab5 gb5 bb5 |
     ab5 gb5 eb5 db5 bb4 ab4 gb4 eb4 db4 eb4 gb4 ab4 bb4 db5 eb5 gb5 |
     ab5 gb5 f5 eb5 db5 cb5 bb4 ab4 2 gb4`,
  ],
  left: [
    `4 gb2 [db3 gb3 bb3] db2 [ab2 f3 cb4] | gb2 [db3 bb3] eb2 [bb2 gb3] | cb2 [gb2 eb3] ab1 [eb2 cb3] | db2 [ab2 f3] 2 [gb2 db3]`,
  ],
};
