import { circleSign } from "./circle-sign";

export const circleUnder = circleSign("circle-under", "under");
