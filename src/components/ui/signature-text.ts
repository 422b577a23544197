import { counted } from "@/core/counted";

/** A key signature in words. @param fifths sharps positive, flats negative */
export function signatureText(fifths: number): string {
  if (fifths === 0) return "no sharps or flats";
  return counted(Math.abs(fifths), fifths > 0 ? "sharp" : "flat");
}
