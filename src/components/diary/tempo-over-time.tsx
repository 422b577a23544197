import { format, parseISO } from "date-fns";
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { StoryData } from "@/server/types";
import { TICK } from "../ui/chart-tick";

interface Props {
  readonly tempi: StoryData["tempi"];
  /** Quarter notes a minute. */
  readonly target: number;
}

const MS_A_DAY = 86_400_000;

/** The fastest clean take of each day, against the target. */
export function TempoOverTime({ tempi, target }: Props) {
  const points = tempi.map(({ day, takes }) => ({ at: Date.parse(day) / MS_A_DAY, tempo: takes.cleanTempo }));
  const [first, last] = [tempi.find(({ takes }) => takes.cleanTempo), tempi.findLast(({ takes }) => takes.cleanTempo)];
  const said =
    first && last
      ? `The fastest clean take was at ${Math.round(first.takes.cleanTempo!)} on ${dayShort(first.day)} and at ${Math.round(last.takes.cleanTempo!)} on ${dayShort(last.day)}; the target is ${Math.round(target)}.`
      : "No take was clean yet.";
  return (
    <figure>
      <div role="img" aria-label={`Tempo over time. ${said}`} className="h-48">
        <ResponsiveContainer>
          <LineChart data={points} accessibilityLayer={false} margin={{ top: 12, right: 12, bottom: 4, left: -12 }}>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={["dataMin", "dataMax"]}
              tick={TICK}
              tickFormatter={(at: number) => format(new Date(at * MS_A_DAY), "d MMM")}
            />
            <YAxis tick={TICK} domain={[0, "auto"]} />
            <ReferenceLine y={target} stroke="var(--velvet)" strokeDasharray="3 3" />
            <Line
              dataKey="tempo"
              stroke="var(--ink)"
              dot={{ r: 2 }}
              connectNulls
              isAnimationActive={false}
              type="stepAfter"
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-sm">{said}</figcaption>
    </figure>
  );
}

function dayShort(day: string): string {
  return format(parseISO(day), "d MMM");
}
