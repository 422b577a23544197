import { positionsOf } from "@/core/fingering/explain/positions";
import type { NoteId } from "@/core/passage/note";
import { placeText } from "@/core/passage/place";
import { Tabs } from "radix-ui";
import { useMemo } from "react";
import type { OptionData } from "@/server/types";
import { BelongingMenu } from "../belongings/belonging-menu";
import { LaneSwitches } from "../plan/lanes/lane-switches";
import { PlanPanel } from "../plan/plan-panel";
import type { Aside } from "../plan/use-plan-shown";
import { Build } from "../build/build";
import { TabList } from "../ui/tab-list";
import { AddFingering } from "./add/add-fingering";
import { Against } from "./add/against";
import { BeyondReach } from "./remedies/beyond-reach";
import { Causes } from "../passage-in-hand/causes";
import { FingerPad } from "./gestures/finger-pad";
import { OptionCards, type OptionJudged } from "../passage-in-hand/option-cards";
import { RestingNotice } from "./remedies/resting-notice";
import { UndoButtons } from "./gestures/undo-buttons";
import { BestAtTempo } from "./tempo-slider";
import type { BenchInHand } from "./use-bench";
import { useLowering } from "../passage-in-hand/use-lowering";
import { useCardMerits } from "../passage-in-hand/use-card-merits";
import { capital } from "../passage-in-hand/words";
import { useParts } from "../trials/use-parts";
import { TrialsAside } from "../trials/trials-aside";
import { WorkingOut } from "../passage-in-hand/working-out";

/** What stands beside the score: the options and why they strain, or the hand plan. */
export function BenchAside({ bench }: { bench: BenchInHand }) {
  const { planShown, figures, sideOf, view } = bench;
  const parts = useParts(view.asked, sideOf, figures.figures);
  return (
    <Tabs.Root
      value={planShown.aside}
      onValueChange={(next) => planShown.setAside(next as Aside)}
      className="flex flex-col gap-4"
    >
      <TabList label="What stands beside the score" names={ASIDE_NAMES} />
      <Tabs.Content value="fingers">
        <FingersAside bench={bench} />
      </Tabs.Content>
      <Tabs.Content value="plan">
        <PlanAside bench={bench} />
      </Tabs.Content>
      <Tabs.Content value="trials">
        <TrialsAside
          trials={bench.trials}
          options={bench.held.options}
          option={bench.inForce}
          bars={barsOf(bench)}
          steps={bench.view.steps}
          onGo={bench.chooseNote}
          parts={parts}
          chosen={chosenOf(bench)}
          free={planShown.inHand.marks.free}
          onFree={(free) => planShown.inHand.setMarks({ ...planShown.inHand.marks, free })}
        />
      </Tabs.Content>
    </Tabs.Root>
  );
}

const ASIDE_NAMES: Readonly<Record<Aside, string>> = { fingers: "Fingers", plan: "Hand plan", trials: "Trials" };

/** The hand plan of the option in view: which option, which lanes, and everything in words. */
function PlanAside({ bench }: { bench: BenchInHand }) {
  const { view, inView, note, planShown, settings, sideOf, stretch } = bench;
  if (!inView) return null;
  return (
    <aside className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center justify-between gap-1">
        <div role="radiogroup" aria-label="The plan of option" className="flex items-center gap-1">
          <span className="mr-1 text-sm text-soft">Of option</span>
          {view.all.map(({ option }) => (
            <button
              key={option.id}
              type="button"
              role="radio"
              aria-checked={option.id === inView.option.id}
              aria-label={`Option ${option.name}`}
              onClick={() => bench.chooseOption(option.name)}
              className="size-11 border border-hairline font-serif italic aria-checked:border-2 aria-checked:border-velvet aria-checked:font-bold"
            >
              {option.name}
            </button>
          ))}
        </div>
        <div className="flex gap-1">
          <UndoButtons option={bench.inForce ?? inView.option} onWalk={bench.does.walk} />
        </div>
      </div>
      <LaneSwitches shown={settings.planLanes} onToggle={planShown.toggleLane} />
      <PlanPanel
        plan={planShown.plan}
        inHand={planShown.inHand}
        notes={view.notes}
        note={note}
        sideOf={sideOf}
        stretch={stretch.notes}
        tried={planShown.tried}
        onTry={planShown.setTried}
        onGo={bench.chooseNote}
        signs={settings.signs}
      />
    </aside>
  );
}

/** The options in a column, and why the note in hand strains in each. */
function FingersAside({ bench }: { bench: BenchInHand }) {
  const { first, inView } = bench;
  return (
    <aside className="flex flex-col gap-4">
      <WorkingOut working={first.working} onStop={first.stop} onBegin={first.begin} />
      {inView && (
        <>
          {isOutOfReach(bench) && <RemediesHere bench={bench} />}
          <OptionsAside bench={bench} inView={inView} />
          <NoteAside bench={bench} inView={inView} />
        </>
      )}
    </aside>
  );
}

interface Props {
  readonly bench: BenchInHand;
  readonly inView: OptionJudged;
}

/** The options, one against the others, and another beside them. */
function OptionsAside({ bench, inView }: Props) {
  const { data, held, view, tempo, figures } = bench;
  const merits = useCardMerits(view.study, view.all, figures.figures);
  const least = tempo.all.reduce((a, b) => (b.judged.strain < a.judged.strain ? b : a), tempo.all[0]!);
  return (
    <>
      <RestingNotice
        passageId={data.id}
        study={view.study}
        rests={data.rests}
        fingering={inView.option.digits}
        onOptions={held.setOptions}
      />
      <OptionsHead option={bench.inForce ?? inView.option} />
      <OptionCards
        all={tempo.all}
        chosen={inView.option.name}
        previewed={bench.previewed}
        taken={takenOf(bench)}
        merits={merits}
        least={least.option.name}
        onPreview={bench.preview}
        onChoose={bench.chooseOption}
      />
      <BestAtTempo passageId={data.id} inHand={tempo} asked={view.asked} onOptions={held.setOptions} />
      <Against study={view.study} all={tempo.all} inView={inView} />
      <AddFingering
        passageId={data.id}
        names={view.all.map((o) => o.option.name)}
        onAdded={(options, name) => {
          held.setOptions(options);
          bench.chooseOption(name);
        }}
      />
    </>
  );
}

/** The note in hand: its finger, why it strains, what helps; and what the whole option is built of. */
function NoteAside({ bench, inView }: Props) {
  const { view, tempo, wishes, note, at, does, figures } = bench;
  const lowering = useLowering(view.study, inView.option, wishes, note);
  const step = view.steps[at];
  const isOut = isOutOfReach(bench);
  const positions = useMemo(() => positionsOf(view.study, inView.option.digits), [view.study, inView]);
  return (
    <>
      {note && (
        <FingerPad
          option={bench.inForce ?? inView.option}
          note={note}
          onPin={does.pin}
          onRuleOut={does.ruleOut}
          onWalk={does.walk}
        />
      )}
      <Causes
        all={tempo.all}
        note={note}
        title={step ? capital(placeText(step.bar, step.beat)) : ""}
        lowering={{
          option: inView.option.id,
          notes: view.notes,
          found: lowering,
          onPin: (other, finger) => does.pin(finger, other),
        }}
      />
      {!isOut && <RemediesHere bench={bench} />}
      <Build
        study={view.study}
        option={inView.option}
        positions={positions}
        figures={figures}
        inHand={bench.inHand}
        notes={view.notes}
        note={note}
        onGo={bench.chooseNote}
      />
    </>
  );
}

/** Whether no finger of the option in view reaches the note in hand: what helps is then the first thing to see. */
function isOutOfReach({ inView, note }: BenchInHand): boolean {
  return inView !== undefined && note !== null && inView.option.digits[note] === null;
}

/** What helps where the note in hand cannot be held. */
function RemediesHere({ bench }: { bench: BenchInHand }) {
  const { data, held, view, note } = bench;
  return (
    <BeyondReach
      passageId={data.id}
      study={view.study}
      note={note}
      allows={data.allows}
      onOptions={(options) => {
        held.setOptions(options);
        // A remedy may change which note comes first: the one in hand stays so.
        if (note) bench.chooseNote(note);
      }}
    />
  );
}

/** Over the options, what can be done with the one in force. */
function OptionsHead({ option: { id, name, title } }: { option: OptionData }) {
  return (
    <div className="-mb-4 flex items-center justify-between">
      <h2 className="text-sm text-soft">Options</h2>
      <BelongingMenu of={{ kind: "option", id, title, called: title ? `${name}, ${title}` : `Option ${name}` }} />
    </div>
  );
}

/** The option taken for the passage, unless the verdict was reopened or is not made yet. */
function takenOf({ data }: BenchInHand): string | null {
  const last = data.verdicts.findLast((v) => v.kind === "taken" || v.kind === "reopened" || v.kind === "undecided");
  return last?.kind === "taken" ? last.fingeringId : null;
}

/** The bars of the stretch chosen, as numbered on paper; null where none is. */
function barsOf({ stretch, view }: BenchInHand): { readonly from: string; readonly to: string } | null {
  const [from, to] = [view.steps[stretch.from], view.steps[stretch.to]];
  return stretch.notes.length > 0 && from && to ? { from: from.bar, to: to.bar } : null;
}

/** The notes of the stretch chosen, else the one in hand. */
function chosenOf({ stretch, note }: BenchInHand): readonly NoteId[] {
  return stretch.notes.length > 0 ? stretch.notes : note ? [note] : [];
}
