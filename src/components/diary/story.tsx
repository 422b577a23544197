"use client";

import { format, parseISO } from "date-fns";
import dynamic from "next/dynamic";
import Link from "next/link";
import type { PassageData, StoryData } from "@/server/types";
import { buttonLook } from "../ui/button";

const TensionOnScore = dynamic(() => import("./tension-on-score").then((m) => m.TensionOnScore), { ssr: false });
const TempoOverTime = dynamic(() => import("./tempo-over-time").then((m) => m.TempoOverTime), { ssr: false });
const TensionOverBars = dynamic(() => import("./tension-over-bars").then((m) => m.TensionOverBars), { ssr: false });

interface Props {
  readonly story: StoryData;
  /** The passage itself; null where it is not shown. */
  readonly score: PassageData | null;
}

/** A passage over the years: how fast it was clean, where it was tense, and what was advised, side by side. */
export function Story({ story: { passage, advice, tempi, bars }, score }: Props) {
  return (
    <div className="mt-3 flex flex-col gap-5">
      <div className="flex flex-wrap gap-2 print:hidden">
        <Link href={`/bench/${passage.id}`} className={buttonLook()}>
          Bench
        </Link>
        <Link href={`/bench/${passage.id}?aside=trials`} className={buttonLook()}>
          Takes on the score
        </Link>
        <Link href={`/practice/${passage.id}`} className={buttonLook()}>
          Practice
        </Link>
      </div>
      {(tempi.length > 0 || bars.length > 0) && (
        <div className="grid gap-6 md:grid-cols-2">
          {tempi.length > 0 && <TempoOverTime tempi={tempi} target={passage.tempo} />}
          {bars.length > 0 && <TensionOverBars bars={bars} />}
        </div>
      )}
      {score && bars.length > 0 && <TensionOnScore data={score} bars={bars} />}
      {advice.length > 0 && (
        <section aria-label="Advice">
          <h2 className="font-serif text-xl">Advice</h2>
          <div className="grid grid-cols-[repeat(auto-fit,minmax(14rem,1fr))] gap-x-6">
            {advice.map(({ author, said }) => (
              <div key={author}>
                <h3 className="border-b border-hairline text-sm text-soft">{author}</h3>
                {said.map(({ id, text, on }) => (
                  <p key={id} className="pt-1 font-serif italic">
                    {text} <span className="text-sm text-soft not-italic">{format(parseISO(on), "d MMM yyyy")}</span>
                  </p>
                ))}
              </div>
            ))}
          </div>
        </section>
      )}
    </div>
  );
}
