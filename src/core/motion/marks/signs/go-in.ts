import { inOutSign } from "./in-out-sign";

export const goIn = inOutSign("go-in", "in, towards the fallboard", 1);
