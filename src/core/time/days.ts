/** A day of the calendar as "2026-11-25". Sorts as text. */
export type Day = string & { readonly __unit: "day" };

const MS_A_DAY = 86_400_000;

/** A day that is one. @throws RangeError for a text that names no day, such as "2026-02-30" */
export function day(text: string): Day {
  const at = new Date(`${text}T00:00:00Z`);
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text) || Number.isNaN(at.getTime()) || !at.toISOString().startsWith(text))
    throw new RangeError(`"${text}" is not a day.`);
  return text as Day;
}

/** The day so many days after another; before it where negative. */
export function dayAfter(from: Day, days: number): Day {
  return new Date(Date.parse(`${from}T00:00:00Z`) + days * MS_A_DAY).toISOString().slice(0, 10) as Day;
}

/** Days from one day to another; negative where the other comes first. */
export function daysBetween(from: Day, to: Day): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / MS_A_DAY);
}

/** Monday 0 to Sunday 6. */
export function weekdayOf(day: Day): number {
  return (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;
}
