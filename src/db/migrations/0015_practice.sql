CREATE TYPE "public"."block_state" AS ENUM('planned', 'done', 'struck');--> statement-breakpoint
CREATE TYPE "public"."doing" AS ENUM('warm-up', 'check', 'rest', 'decide', 'review', 'learn', 'secure', 'keep', 'run');--> statement-breakpoint
CREATE TABLE "block" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"day_plan_id" uuid NOT NULL,
	"place" smallint NOT NULL,
	"doing" "doing" NOT NULL,
	"passage_id" uuid,
	"piece_id" uuid,
	"why" text NOT NULL,
	"minutes" smallint NOT NULL,
	"dose_right" double precision DEFAULT 0 NOT NULL,
	"dose_left" double precision DEFAULT 0 NOT NULL,
	"state" "block_state" DEFAULT 'planned' NOT NULL,
	"done_minutes" smallint,
	"done_at" timestamp with time zone,
	"tempo" double precision,
	"good" smallint,
	"plays" smallint,
	"loose" boolean,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "block_minutes" CHECK ("block"."minutes" between 1 and 360),
	CONSTRAINT "block_dose" CHECK ("block"."dose_right" >= 0 and "block"."dose_left" >= 0),
	CONSTRAINT "block_done" CHECK (("block"."state" = 'done') = ("block"."done_minutes" is not null and "block"."done_at" is not null)),
	CONSTRAINT "block_done_minutes" CHECK ("block"."done_minutes" between 0 and 360),
	CONSTRAINT "block_count" CHECK (("block"."good" is null) = ("block"."plays" is null) and "block"."good" between 0 and "block"."plays")
);
--> statement-breakpoint
CREATE TABLE "day_plan" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"pianist_id" uuid NOT NULL,
	"on" date NOT NULL,
	"minutes" smallint NOT NULL,
	"is_cold" boolean DEFAULT false NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "day_plan_once" UNIQUE("pianist_id","on"),
	CONSTRAINT "day_plan_minutes" CHECK ("day_plan"."minutes" between 10 and 360)
);
--> statement-breakpoint
CREATE TABLE "diary_note" (
	"id" uuid PRIMARY KEY NOT NULL,
	"pianist_id" uuid NOT NULL,
	"passage_id" uuid,
	"on" date NOT NULL,
	"text" text NOT NULL,
	"author" text,
	"gone_at" timestamp with time zone,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "diary_note_text" CHECK (length(trim("diary_note"."text")) > 0),
	CONSTRAINT "diary_note_author" CHECK ("diary_note"."author" is null or length(trim("diary_note"."author")) > 0)
);
--> statement-breakpoint
CREATE TABLE "practice_stand" (
	"passage_id" uuid PRIMARY KEY NOT NULL,
	"ladder" jsonb,
	"count" jsonb,
	"worked" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "practice_stand_ladder" CHECK ("practice_stand"."ladder" is null or ("practice_stand"."ladder"->>'tempo')::double precision > 0),
	CONSTRAINT "practice_stand_count" CHECK ("practice_stand"."count" is null or jsonb_typeof("practice_stand"."count"->'plays') = 'array'),
	CONSTRAINT "practice_stand_worked" CHECK (jsonb_typeof("practice_stand"."worked") = 'object')
);
--> statement-breakpoint
ALTER TABLE "pianist" ADD COLUMN "week_minutes" smallint[] DEFAULT '{60,60,60,60,60,60,60}' NOT NULL;--> statement-breakpoint
ALTER TABLE "pianist" ADD COLUMN "school" jsonb DEFAULT '{"basis":"passage","movement":"slow"}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "pianist" ADD COLUMN "dose_limit" double precision;--> statement-breakpoint
ALTER TABLE "block" ADD CONSTRAINT "block_day_plan_id_day_plan_id_fk" FOREIGN KEY ("day_plan_id") REFERENCES "public"."day_plan"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "block" ADD CONSTRAINT "block_passage_id_passage_id_fk" FOREIGN KEY ("passage_id") REFERENCES "public"."passage"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "block" ADD CONSTRAINT "block_piece_id_piece_id_fk" FOREIGN KEY ("piece_id") REFERENCES "public"."piece"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "day_plan" ADD CONSTRAINT "day_plan_pianist_id_pianist_id_fk" FOREIGN KEY ("pianist_id") REFERENCES "public"."pianist"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "diary_note" ADD CONSTRAINT "diary_note_pianist_id_pianist_id_fk" FOREIGN KEY ("pianist_id") REFERENCES "public"."pianist"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "diary_note" ADD CONSTRAINT "diary_note_passage_id_passage_id_fk" FOREIGN KEY ("passage_id") REFERENCES "public"."passage"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "practice_stand" ADD CONSTRAINT "practice_stand_passage_id_passage_id_fk" FOREIGN KEY ("passage_id") REFERENCES "public"."passage"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "block_of_day" ON "block" USING btree ("day_plan_id","place");--> statement-breakpoint
CREATE INDEX "block_of_passage" ON "block" USING btree ("passage_id");--> statement-breakpoint
CREATE INDEX "diary_note_of_pianist" ON "diary_note" USING btree ("pianist_id","on");--> statement-breakpoint
CREATE INDEX "diary_note_of_passage" ON "diary_note" USING btree ("passage_id");--> statement-breakpoint
ALTER TABLE "pianist" ADD CONSTRAINT "pianist_week" CHECK (cardinality("pianist"."week_minutes") = 7 and 0 <= all("pianist"."week_minutes") and 360 >= all("pianist"."week_minutes"));--> statement-breakpoint
ALTER TABLE "pianist" ADD CONSTRAINT "pianist_dose_limit" CHECK ("pianist"."dose_limit" between 1 and 2000);--> statement-breakpoint
ALTER TABLE "pianist" ADD CONSTRAINT "pianist_school" CHECK ("pianist"."school"->>'basis' in ('exercises', 'passage') and "pianist"."school"->>'movement' in ('slow', 'snips'));