import { ChevronLeft, ChevronRight } from "lucide-react";
import { Slider } from "radix-ui";
import type { HandInPicture } from "@/core/film/film-marks";
import { Button } from "../ui/button";
import type { FilmSource } from "./film-source";

interface Props {
  readonly source: FilmSource;
  readonly picture: number;
  readonly marked: readonly HandInPicture[];
  readonly onPicture: (picture: number) => void;
}

/** Picture by picture through a film; one that is alone needs none of it. */
export function Transport({ source: { pictures, picturesASecond }, picture, marked, onPicture }: Props) {
  if (pictures === 1) return null;
  const to = (next: number): void => onPicture(Math.min(pictures - 1, Math.max(0, next)));
  const places = [...new Set(marked.map((one) => one.picture))];
  return (
    <div className="mt-1 flex items-center gap-2 text-sm">
      <Button className="w-11 px-0!" aria-label="One picture back" onClick={() => to(picture - 1)}>
        <ChevronLeft size={16} aria-hidden />
      </Button>
      <Button className="w-11 px-0!" aria-label="One picture on" onClick={() => to(picture + 1)}>
        <ChevronRight size={16} aria-hidden />
      </Button>
      <Slider.Root
        className="relative flex h-11 min-w-32 flex-1 touch-none items-center"
        min={0}
        max={pictures - 1}
        value={[picture]}
        onValueChange={([next]) => to(next!)}
      >
        <Slider.Track className="relative h-px w-full bg-ink">
          {places.map((place) => (
            <span
              key={place}
              className="absolute -top-1 h-2 w-px bg-velvet"
              style={{ left: `${(100 * place) / Math.max(1, pictures - 1)}%` }}
            />
          ))}
        </Slider.Track>
        <Slider.Thumb aria-label="Picture" className="block size-5 rounded-full border-2 border-velvet bg-paper" />
      </Slider.Root>
      <output className="w-24 text-right tabular-nums">{(picture / picturesASecond).toFixed(2)} s</output>
    </div>
  );
}
