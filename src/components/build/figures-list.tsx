import { feelsTheSame, type Figure } from "@/core/figures/figure";
import { trapsOf } from "@/core/figures/traps";
import type { WayBack } from "@/core/figures/ways-back";
import type { Tying } from "@/core/figures/tying";
import type { Stay } from "@/core/fingering/search/conditions";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Note, NoteId } from "@/core/passage/note";
import { strainText } from "../strain";
import { Choice } from "../ui/choice";
import { FigureEntry } from "./figure-entry";
import { PlaceButton } from "./place-button";
import { StaysList } from "./stays-list";
import { StruckAgainList } from "./struck-again-list";
import { WaysBackList } from "./ways-back-list";
import { returnsAnything, type FiguresSeen } from "./use-figures";

interface Props {
  readonly seen: FiguresSeen;
  readonly notes: readonly Note[];
  readonly fingering: Fingering;
  readonly tying: Tying;
  readonly onTying: (tying: Tying) => void;
  readonly onGo: (note: NoteId) => void;
}

const TIES: readonly (readonly [Tying, string])[] = [
  ["none", "Free"],
  ["alike", "If alike"],
  ["all", "Always"],
];

/** Figures that return, how alike they lie, whether they keep their fingers, where two could be confused, where the hand stays or goes from chord to chord, where a line turns back, and where keys are struck again. */
export function FiguresList({ seen, notes, fingering, tying, onTying, onGo }: Props) {
  const { figures, along, broke, price } = seen;
  if (broke) return <p>Looking for figures broke off. Load the page again to look once more.</p>;
  if (figures === null) return <p className="text-soft">Looking for figures that return…</p>;
  if (!returnsAnything(seen)) return <p className="text-soft">No figure returns here.</p>;
  const traps = trapsOf(figures, fingering);
  const staying = new Set(tying === "none" ? [] : along.flatMap(({ keys }) => keys.flat()));
  return (
    <div className="flex flex-col gap-2">
      <Choice label="Same fingers" value={tying} options={TIES} onChange={onTying} />
      {tying === "alike" && figures.length > 0 && !figures.some((f) => f.returns.some(feelsTheSame)) && (
        <p>No return lies on the same keys or octaves apart, so none is tied.</p>
      )}
      {price && (returnsAnything({ ...seen, figures: [] }) || isTying(figures, tying)) && (
        <PriceText {...{ price, notes, onGo }} />
      )}
      {figures.map((figure) => (
        <FigureEntry key={figure.notes[0]} {...{ figure, staying, notes, fingering, onGo }} />
      ))}
      {tying !== "none" && <KeptLists {...{ seen, notes, fingering, onGo }} />}
      {traps.length > 0 && (
        <section aria-label="Memory traps" className="border-l-2 border-velvet pl-3">
          <h4 className="font-serif text-base">One finger apart: easily swapped on stage</h4>
          <ul>
            {traps.map(({ note, other }) => (
              <li key={other}>
                <PlaceButton notes={notes} note={note} onGo={onGo} /> has {fingering[note] ?? "no finger"},{" "}
                <PlaceButton notes={notes} note={other} onGo={onGo} /> {fingering[other] ?? "none"}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

/** What keeps its fingers beside figures. */
function KeptLists({
  seen: { figures, stays, along, waysBack, turns, struckAgain },
  ...given
}: Pick<Props, "seen" | "notes" | "fingering" | "onGo">) {
  const chords = chordsInTurn(along, figures ?? []);
  return (
    <>
      {stays.length > 0 && <StaysList stays={stays} {...given} />}
      {chords.length > 0 && <p>{chordsText(chords, given.fingering)}</p>}
      {waysBack.length > 0 && <WaysBackList ways={waysBack} {...given} />}
      {turns.length > 0 && <p>{turnsText(turns, given.fingering)}</p>}
      {struckAgain.length > 0 && <StruckAgainList found={struckAgain} {...given} />}
    </>
  );
}

/** Where the hand is set from chord to chord of an accompaniment: along no figure. */
function chordsInTurn(along: readonly Stay[], figures: readonly Figure[]): readonly Stay[] {
  const moved = new Set(
    figures.flatMap(({ notes, returns }) => [notes, ...returns.map((given) => given.notes)]).flat(),
  );
  return along.filter(({ keys }) => !keys.flat().some((note) => moved.has(note)));
}

function chordsText(chords: readonly Stay[], fingering: Fingering): string {
  const keeps = chords.filter(({ keys }) =>
    keys.every((of) => of.every((note) => fingering[note] === fingering[of[0]!])),
  );
  const all = chords.length === 1 ? "one broken chord" : `${chords.length} broken chords one after another`;
  return `The hand is set on ${all}; ${keepText(keeps.length, chords.length)}.`;
}

function turnsText(turns: readonly WayBack[], fingering: Fingering): string {
  const keeps = turns.filter(({ pairs }) => pairs.every(({ there, back }) => fingering[there] === fingering[back]));
  const all = turns.length === 1 ? "One short turn lies" : `${turns.length} short turns lie`;
  return `${all} under one hand; ${keepText(keeps.length, turns.length)}.`;
}

function keepText(keeps: number, all: number): string {
  if (keeps === all) return "every key keeps its finger";
  if (all === 1) return "not every key keeps its finger";
  return keeps === 0
    ? "in none of them does every key keep its finger"
    : `in ${keeps} of them every key keeps its finger`;
}

/** What it costs that fingers are kept, and where most of it falls. */
function PriceText({
  price,
  notes,
  onGo,
}: { readonly price: NonNullable<FiguresSeen["price"]> } & Pick<Props, "notes" | "onGo">) {
  return (
    <p>
      {price.by < 0.05
        ? "Keeping fingers costs nothing here."
        : `Keeping fingers adds ${strainText(price.by)} to the mean strain`}
      {price.where && price.by >= 0.05 && (
        <>
          , most at <PlaceButton notes={notes} note={price.where.note} onGo={onGo} />.
        </>
      )}
      {!price.exact && " A better way may exist: there were too many to try all."}
    </p>
  );
}

function isTying(figures: readonly Figure[], tying: Tying): boolean {
  return tying === "all" || figures.some((f) => f.returns.some(feelsTheSame));
}
