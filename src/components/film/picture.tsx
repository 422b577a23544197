"use client";

import { useEffect, useRef } from "react";
import { projected } from "@/core/film/homography";
import { MARK_NAMES, type HandMarks } from "@/core/film/hand-marked";
import type { FilmSource } from "./film-source";
import type { Marking } from "./use-marking";

interface Props {
  readonly source: FilmSource;
  readonly picture: number;
  readonly marking: Marking;
  /** The plan's hand, mm; null where it is not shown. */
  readonly planned: HandMarks | null;
}

/** One picture of a film with what is marked in it. */
export function Picture({ source, picture, marking, planned }: Props) {
  const { corners, mirrored, ruler, next, onPoint } = marking;
  const hand = marking.hand?.marks ?? {};
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (context) void source.show(context, picture).catch(() => undefined);
  }, [source, picture]);
  const inPicture = (marks: HandMarks): HandMarks =>
    ruler ? Object.fromEntries(Object.entries(marks).map(([name, p]) => [name, projected(ruler.toPicture, p)])) : {};
  return (
    <div className="relative w-full max-w-full" style={{ aspectRatio: `${source.width} / ${source.height}` }}>
      <canvas ref={canvas} width={source.width} height={source.height} className="absolute inset-0 size-full" />
      <svg
        viewBox={`0 0 ${source.width} ${source.height}`}
        className="absolute inset-0 size-full cursor-crosshair"
        role="application"
        aria-label={`Picture ${picture + 1} of ${source.pictures}. A click marks ${next}.`}
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          onPoint({
            x: ((event.clientX - box.left) * source.width) / box.width,
            y: ((event.clientY - box.top) * source.height) / box.height,
          });
        }}
      >
        {corners.length > 1 && (
          <polygon
            points={corners.map(({ x, y }) => `${x},${y}`).join(" ")}
            fill="none"
            stroke="#7a1f4b"
            strokeWidth={1.5}
          />
        )}
        {corners.map(({ x, y }, i) => (
          <g key={i} stroke="#fff" strokeWidth={3} fill="#7a1f4b" paintOrder="stroke">
            <circle cx={x} cy={y} r={4} strokeWidth={1.5} />
            <text x={x + 7} y={y - 6} fontSize={14}>
              {i + 1}
            </text>
          </g>
        ))}
        {planned && <Bones marks={inPicture(planned)} colour="#1c5b3a" dashes="5 3" name="plan" />}
        {mirrored && <Bones marks={inPicture(mirrored)} colour="#1d3f7a" dashes="2 3" name="mirrored" />}
        <Bones marks={hand} colour="#7a1f4b" dashes="" name="marked" />
      </svg>
    </div>
  );
}

interface BonesProps {
  readonly marks: HandMarks;
  readonly colour: string;
  readonly dashes: string;
  readonly name: string;
}

/** A hand's points with what joins them: tips squares, knuckles rings, the wrist a larger ring. */
function Bones({ marks, colour, dashes, name }: BonesProps) {
  return (
    <g stroke={colour} fill="none" strokeWidth={2} strokeDasharray={dashes} pointerEvents="none" data-bones={name}>
      {([1, 2, 3, 4, 5] as const).map((finger) => {
        const way = [marks[`tip ${finger}`], marks[`knuckle ${finger}`], marks.wrist].filter((p) => p !== undefined);
        return <polyline key={finger} points={way.map(({ x, y }) => `${x},${y}`).join(" ")} opacity={0.7} />;
      })}
      <g strokeDasharray="" fill="#fff">
        {MARK_NAMES.map((mark) => {
          const at = marks[mark];
          if (!at) return null;
          if (mark.startsWith("tip")) return <rect key={mark} x={at.x - 4} y={at.y - 4} width={8} height={8} />;
          return <circle key={mark} cx={at.x} cy={at.y} r={mark === "wrist" ? 6 : 4} />;
        })}
      </g>
    </g>
  );
}
