import { inOutSign } from "./in-out-sign";

export const goOut = inOutSign("go-out", "out, towards the edge", -1);
