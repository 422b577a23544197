import type { TakeReport } from "@/core/trials/report";

const UNITS: Readonly<Record<string, string>> = {
  ms: " ms",
  notes: "",
  "quarter notes a minute": "",
  velocity: " of 127",
};

/** The figures of a take, those that count faults only where there are any. */
export function TakeFigures({ report }: { readonly report: TakeReport }) {
  const shown = report.figures.filter(({ id, unit, amount }) => (unit !== "notes" && id !== "held-long") || amount > 0);
  return (
    <>
      {report.why.length > 0 && report.why[0] !== report.first && (
        <ul className="mt-1 text-sm">
          {report.why.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      {report.doubtful > 0 && (
        <p className="mt-1 text-sm text-soft">
          {report.doubtful === 1 ? "One key" : `${report.doubtful} keys`} could be read otherwise as well.
        </p>
      )}
      <dl className="mt-2 grid grid-cols-[1fr_auto] text-sm">
        {shown.map(({ id, label, unit, amount }) => (
          <div key={id} className="col-span-2 grid grid-cols-subgrid gap-x-3 border-b border-hairline py-1">
            <dt>{label}</dt>
            <dd className="text-right tabular-nums">
              {said(amount)}
              {UNITS[unit]}
            </dd>
          </div>
        ))}
      </dl>
    </>
  );
}

function said(amount: number): string {
  const whole = Math.round(amount);
  return whole < 0 ? `−${-whole}` : String(whole);
}
