import type { TakeReport } from "@/core/trials/report";

const UNITS: Readonly<Record<string, string>> = {
  ms: " ms",
  notes: "",
  "quarter notes a minute": "",
  velocity: " of 127",
};

interface Props {
  readonly report: TakeReport;
  /** The take it is held against; null for none. */
  readonly other: TakeReport | null;
}

/** The figures of a take, those that count faults only where there are any. */
export function TakeFigures({ report, other }: Props) {
  const beside = new Map(other?.figures.map(({ id, amount }) => [id, amount]));
  const shown = report.figures.filter(
    ({ id, unit, amount }) => (unit !== "notes" && id !== "held-long") || amount > 0 || (beside.get(id) ?? 0) > 0,
  );
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
      <dl className={`mt-2 grid text-sm ${other ? "grid-cols-[1fr_auto_auto]" : "grid-cols-[1fr_auto]"}`}>
        {other && (
          <div className="col-span-3 grid grid-cols-subgrid gap-x-3 text-soft">
            <dt className="sr-only">Figure</dt>
            <dd className="col-start-2 text-right">this</dd>
            <dd className="text-right">other</dd>
          </div>
        )}
        {shown.map(({ id, label, unit, amount }) => (
          <div
            key={id}
            className={`${other ? "col-span-3" : "col-span-2"} grid grid-cols-subgrid gap-x-3 border-b border-hairline py-1`}
          >
            <dt>{label}</dt>
            <dd className="text-right tabular-nums">
              {said(amount)}
              {UNITS[unit]}
            </dd>
            {other && (
              <dd className="text-right tabular-nums">
                {beside.has(id) ? `${said(beside.get(id)!)}${UNITS[unit]}` : "–"}
              </dd>
            )}
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
