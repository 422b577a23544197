import { SOURCES } from "../../hand/touch";
import { touchSign } from "./touch-sign";

export const touches = SOURCES.map(touchSign);
