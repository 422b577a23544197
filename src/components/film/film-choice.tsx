import type { FilmData } from "@/server/types";
import { takeAwayWithUndo } from "../belongings/belonging-changes";
import { Button } from "../ui/button";
import type { FilmOnDesk } from "./use-film";

interface Props {
  readonly film: FilmOnDesk;
  readonly films: readonly FilmData[];
  readonly onGone: (id: string) => void;
}

/** Which film lies on the desk: one of the player's own, one that is kept, or the drawn one. */
export function FilmChoice({ film, films, onGone }: Props) {
  const takeAway = async ({ id, name }: FilmData): Promise<void> => {
    if (await takeAwayWithUndo({ kind: "film", id, title: name, called: name })) onGone(id);
  };
  return (
    <section aria-label="The film">
      <label className="inline-block min-h-11 cursor-pointer py-2.5 underline focus-within:text-velvet">
        Open a clip or a photograph from above
        <input
          type="file"
          accept="video/*,image/*"
          className="sr-only"
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) film.open(file);
            target.value = "";
          }}
        />
      </label>
      <p className="text-soft">
        {film.kept
          ? "Kept with this passage."
          : film.keep
            ? "It is in this browser alone."
            : "Until you open one, a clip that the program draws from the plan stands in for it."}
      </p>
      <div className="mt-1 flex flex-wrap gap-1">
        {film.keep && <Button onClick={film.keep}>Keep it with the passage</Button>}
        {(film.keep || film.kept) && (
          <Button look="quiet" onClick={film.openDrawn}>
            The drawn clip
          </Button>
        )}
      </div>
      {films.length > 0 && (
        <ul aria-label="Films kept">
          {films.map((one) => (
            <li key={one.id} className="flex items-center justify-between border-b border-hairline">
              <button
                type="button"
                className="min-h-11 text-left underline hover:text-velvet"
                onClick={() => film.openKept(one)}
              >
                {one.name}
              </button>
              <Button look="quiet" onClick={() => void takeAway(one)}>
                Take away
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
