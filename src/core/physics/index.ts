/**
 * Every physical constant of the model, once, with unit and source. Figures marked "starting value"
 * are to be calibrated against the standard fingerings and teaching practice; they are not truths.
 */
export * from "./figure";
export * from "./hand";
export * from "./keyboard";
export * from "./learning";
export * from "./motion";
export * from "./offer";
export * from "./placement";
export * from "./plan";
export * from "./playing";
export * from "./practice";
export * from "./reach";
export * from "./told";
export * from "./transcription";
export * from "./trials";
export * from "./warnings";
