import { circleSign } from "./circle-sign";

export const circleOver = circleSign("circle-over", "over");
