ALTER TYPE "public"."edit_kind" ADD VALUE 'pin-stretch';--> statement-breakpoint
ALTER TYPE "public"."edit_kind" ADD VALUE 'clear-stretch';--> statement-breakpoint
ALTER TYPE "public"."verdict_kind" ADD VALUE 'undecided' BEFORE 'taken';--> statement-breakpoint
ALTER TYPE "public"."verdict_kind" ADD VALUE 'reviewed' BEFORE 'reopened';--> statement-breakpoint
ALTER TYPE "public"."verdict_kind" ADD VALUE 'known';--> statement-breakpoint
CREATE TABLE "practice_day" (
	"passage_id" uuid NOT NULL,
	"day" date NOT NULL,
	CONSTRAINT "practice_day_passage_id_day_pk" PRIMARY KEY("passage_id","day")
);
--> statement-breakpoint
ALTER TABLE "tied_figure" DISABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "tied_figure_place" DISABLE ROW LEVEL SECURITY;--> statement-breakpoint
DROP TABLE "tied_figure" CASCADE;--> statement-breakpoint
DROP TABLE "tied_figure_place" CASCADE;--> statement-breakpoint
ALTER TABLE "edit" DROP CONSTRAINT "edit_finger";--> statement-breakpoint
ALTER TABLE "verdict_event" DROP CONSTRAINT "verdict_taken";--> statement-breakpoint
ALTER TABLE "piece" ADD COLUMN "entry" jsonb;--> statement-breakpoint
ALTER TABLE "verdict_event" ADD COLUMN "decide_on" date;--> statement-breakpoint
ALTER TABLE "verdict_event" ADD COLUMN "review_after" smallint;--> statement-breakpoint
ALTER TABLE "practice_day" ADD CONSTRAINT "practice_day_passage_id_passage_id_fk" FOREIGN KEY ("passage_id") REFERENCES "public"."passage"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "edit" ADD CONSTRAINT "edit_finger" CHECK (("edit"."kind"::text in ('pin', 'rule-out', 'allow')) = ("edit"."finger" is not null) and ("edit"."finger" is null or "edit"."finger" between 1 and 5));--> statement-breakpoint
ALTER TABLE "piece" ADD CONSTRAINT "piece_entry" CHECK (("piece"."source_kind" = 'entered') = ("piece"."entry" is not null));--> statement-breakpoint
ALTER TABLE "verdict_event" ADD CONSTRAINT "verdict_deadline" CHECK (("verdict_event"."kind"::text = 'undecided') = ("verdict_event"."decide_on" is not null));--> statement-breakpoint
ALTER TABLE "verdict_event" ADD CONSTRAINT "verdict_review" CHECK ("verdict_event"."review_after" is null or ("verdict_event"."kind"::text in ('taken', 'reviewed') and "verdict_event"."review_after" between 1 and 365));--> statement-breakpoint
ALTER TABLE "verdict_event" ADD CONSTRAINT "verdict_taken" CHECK ("verdict_event"."kind"::text = 'known' or ("verdict_event"."kind"::text = 'taken') = ("verdict_event"."fingering_id" is not null));