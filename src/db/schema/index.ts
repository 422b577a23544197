export * from "./fingering";
export * from "./history";
export * from "./passage";
export * from "./passage-change";
export * from "./pianist";
export * from "./piece";
export * from "./take";
export * from "./verdict";
