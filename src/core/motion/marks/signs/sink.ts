import { heightSign } from "./height-sign";

export const sink = heightSign("sink", "let the wrist sink", -1);
