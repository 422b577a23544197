import { memo, useMemo } from "react";
import { allKeys, type KeyShape } from "@/core/keyboard/geometry";
import type { Instrument } from "@/core/keyboard/instrument";
import type { Pitch } from "@/core/keyboard/pitch";
import { KEYBOARD } from "@/core/physics";

/** A drawing in millimetres: x along the keys, y turned so that the fallboard is on top. */
export function flipped(y: number): number {
  return KEYBOARD.whiteLength - y;
}

interface Props {
  readonly instrument: Instrument;
  /** Keys to show whole, with some room beside them. */
  readonly lowest: Pitch;
  readonly highest: Pitch;
  /** mm shown in front of the keys, for the hands. */
  readonly front: number;
  /** mm shown beside the outer keys. */
  readonly beside: number;
  readonly label: string;
  readonly className?: string;
  /** Whether what is drawn over it can be worked, so that it is more than a picture. */
  readonly isGroup?: boolean;
  readonly children?: React.ReactNode;
}

/** Part of the keyboard to scale; what is drawn over it is in the same millimetres. */
export function Keyboard({ instrument, lowest, highest, front, beside, label, className, isGroup, children }: Props) {
  const { left, right, shown } = useMemo(() => {
    const all = allKeys(instrument);
    const left = all.find((k) => k.key === lowest)!.left - beside;
    const right = all.find((k) => k.key === highest)!.right + beside;
    return { left, right, shown: all.filter((k) => k.right > left && k.left < right) };
  }, [instrument, lowest, highest, beside]);
  return (
    <svg
      viewBox={`${left} 0 ${right - left} ${KEYBOARD.whiteLength + front}`}
      className={className}
      role={isGroup ? "group" : "img"}
      aria-label={label}
      preserveAspectRatio="xMidYMin meet"
    >
      <Keys shown={shown} />
      {children}
    </svg>
  );
}

/** Drawn once: what moves over the keys does not draw them anew. */
const Keys = memo(function Keys({ shown }: { shown: readonly KeyShape[] }) {
  return (
    <>
      {shown
        .filter((k) => !k.black)
        .map((k) => (
          <WhiteKey key={k.key} shape={k} />
        ))}
      {shown
        .filter((k) => k.black)
        .map((k) => (
          <BlackKey key={k.key} shape={k} />
        ))}
    </>
  );
});

function WhiteKey({ shape: { key, left, right } }: { shape: KeyShape }) {
  return (
    <g>
      <rect
        x={left}
        y={0}
        width={right - left}
        height={KEYBOARD.whiteLength}
        fill="var(--key-white)"
        stroke="#8c7f70"
        strokeWidth={0.5}
        rx={1}
      />
      {key % 12 === 0 && (
        <text
          x={(left + right) / 2}
          y={KEYBOARD.whiteLength - 4}
          fontSize={7}
          textAnchor="middle"
          fill="#6b6156"
          fontFamily="var(--font-serif)"
          fontStyle="italic"
        >
          {`C${key / 12 - 1}`}
        </text>
      )}
    </g>
  );
}

function BlackKey({ shape: { left, right } }: { shape: KeyShape }) {
  const front = flipped(KEYBOARD.blackStart);
  return (
    <rect
      x={left}
      y={0}
      width={right - left}
      height={front}
      fill="var(--key-black)"
      stroke="#000"
      strokeWidth={0.3}
      rx={0.8}
    />
  );
}
