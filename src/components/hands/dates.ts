import { format, parseISO } from "date-fns";

/** "2 Nov 2026" from an ISO date. */
export function dayText(date: string): string {
  return format(parseISO(date), "d MMM yyyy");
}
