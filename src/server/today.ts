import { format } from "date-fns";
import { day, type Day } from "@/core/time/days";

/** The day of a moment where the server is. */
export function dayOf(at: Date): Day {
  return day(format(at, "yyyy-MM-dd"));
}

export function today(): Day {
  return dayOf(new Date());
}
