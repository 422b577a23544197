import { turnSign } from "./turn-sign";

export const turnToLittleFinger = turnSign("turn-to-little-finger", "little finger");
