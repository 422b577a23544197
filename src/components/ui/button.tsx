import type { ComponentProps } from "react";

const LOOKS = {
  plain: "border border-hairline bg-raised hover:border-ink",
  main: "bg-velvet text-velvet-ink border border-velvet hover:opacity-90",
  quiet: "border border-transparent text-soft hover:text-ink",
} as const;

/** What a button or a link that acts like one looks like. */
export function buttonLook(look: keyof typeof LOOKS = "plain"): string {
  return `inline-flex min-h-11 items-center justify-center gap-2 rounded-sm px-4 text-sm disabled:opacity-45 ${LOOKS[look]}`;
}

export function Button({
  look = "plain",
  className = "",
  ...rest
}: ComponentProps<"button"> & { look?: keyof typeof LOOKS }) {
  return <button type="button" className={`${buttonLook(look)} ${className}`} {...rest} />;
}
