import { heightSign } from "./height-sign";

export const rise = heightSign("rise", "let the wrist rise", 1);
