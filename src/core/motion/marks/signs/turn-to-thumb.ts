import { turnSign } from "./turn-sign";

export const turnToThumb = turnSign("turn-to-thumb", "thumb");
