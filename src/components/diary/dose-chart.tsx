import { format, parseISO } from "date-fns";
import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { DiaryData } from "@/server/types";
import { TICK } from "../ui/chart-tick";

/** Days that are drawn: the last six weeks. */
const DRAWN = 42;

/** Wide openings of each day, hand over hand. */
export function DoseChart({ doses }: { readonly doses: DiaryData["doses"] }) {
  const points = doses.slice(-DRAWN).map(({ day, dose }) => ({
    day: format(parseISO(day), "d MMM"),
    right: Math.round(10 * dose.right) / 10,
    left: Math.round(10 * dose.left) / 10,
  }));
  const most = points.reduce((a, b) => (b.right + b.left > a.right + a.left ? b : a));
  const said = `Most on ${most.day}: right ${most.right}, left ${most.left}.`;
  return (
    <figure aria-label="Wide openings over days">
      <h2 className="font-serif text-lg">Wide openings over days</h2>
      <div role="img" aria-label={`mm beyond comfort times minutes. ${said}`} className="h-40">
        <ResponsiveContainer>
          <BarChart data={points} accessibilityLayer={false} margin={{ top: 8, right: 4, bottom: 0, left: -24 }}>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis dataKey="day" tick={TICK} interval="preserveStartEnd" minTickGap={24} />
            <YAxis tick={TICK} />
            <Bar dataKey="right" stackId="hands" fill="var(--velvet)" isAnimationActive={false} />
            <Bar dataKey="left" stackId="hands" fill="var(--ink-soft)" isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      </div>
      <figcaption>
        <span className="text-velvet">■</span> right, <span className="text-soft">■</span> left; mm beyond comfort times
        minutes. {said}
      </figcaption>
    </figure>
  );
}
