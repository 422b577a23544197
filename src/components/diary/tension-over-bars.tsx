import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { StoryData } from "@/server/types";
import { TICK } from "../ui/chart-tick";

/** Tension felt by bar: the mean of the takes that named it. */
export function TensionOverBars({ bars }: { readonly bars: StoryData["bars"] }) {
  const most = bars.reduce((a, b) => (b.tension > a.tension ? b : a));
  const said = `Most tension was felt in bar ${most.bar}: ${Math.round(10 * most.tension) / 10} of 10 in the mean of ${most.takes} ${most.takes === 1 ? "take" : "takes"}.`;
  return (
    <figure>
      <div role="img" aria-label={`Tension by bar. ${said}`} className="h-48">
        <ResponsiveContainer>
          <BarChart data={[...bars]} accessibilityLayer={false} margin={{ top: 12, right: 12, bottom: 4, left: -24 }}>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis dataKey="bar" tick={TICK} />
            <YAxis tick={TICK} domain={[0, 10]} />
            <Bar dataKey="tension" fill="var(--velvet)" isAnimationActive={false} maxBarSize={28} />
          </BarChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-sm">{said}</figcaption>
    </figure>
  );
}
