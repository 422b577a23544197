CREATE TYPE "public"."measuring_way" AS ENUM('typed', 'keys', 'midi');--> statement-breakpoint
CREATE TABLE "rest" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"pianist_id" uuid NOT NULL,
	"side" "side" NOT NULL,
	"fingers" smallint[] NOT NULL,
	"reason" text NOT NULL,
	"since" date NOT NULL,
	"review_on" date NOT NULL,
	"ended_on" date,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "rest_fingers" CHECK (cardinality("rest"."fingers") between 1 and 5 and "rest"."fingers" <@ array[1,2,3,4,5]::smallint[]),
	CONSTRAINT "rest_reason" CHECK (length(trim("rest"."reason")) > 0),
	CONSTRAINT "rest_review" CHECK ("rest"."review_on" >= "rest"."since"),
	CONSTRAINT "rest_ended" CHECK ("rest"."ended_on" is null or "rest"."ended_on" >= "rest"."since")
);
--> statement-breakpoint
ALTER TABLE "hand_measurement" ALTER COLUMN "ruler_span" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "note_mark" ADD COLUMN "remedy" jsonb;--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD COLUMN "way" "measuring_way" DEFAULT 'typed' NOT NULL;--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD COLUMN "pairs" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD COLUMN "tip_widths" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD COLUMN "behind" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "instrument" ADD COLUMN "taken_up_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "pianist" ADD COLUMN "allows" jsonb DEFAULT '{"rolls":true,"omissions":true,"pedal":true,"tuneAndBass":false}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "rest" ADD CONSTRAINT "rest_pianist_id_pianist_id_fk" FOREIGN KEY ("pianist_id") REFERENCES "public"."pianist"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "rest_of_pianist" ON "rest" USING btree ("pianist_id","ended_on");--> statement-breakpoint
ALTER TABLE "note_mark" ADD CONSTRAINT "note_mark_remedy" CHECK (("note_mark"."kind" = 'remedy') = ("note_mark"."remedy" is not null) and ("note_mark"."remedy" is null or "note_mark"."remedy"->>'kind' in ('edges', 'flat', 'lean', 'other-hand', 'roll', 'omit', 'fold', 'shorter')));--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD CONSTRAINT "hand_measurement_something" CHECK ("hand_measurement"."ruler_span" is not null or "hand_measurement"."pairs" <> '{}'::jsonb);--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD CONSTRAINT "hand_measurement_pairs" CHECK (jsonb_typeof("hand_measurement"."pairs") = 'object' and not jsonb_path_exists("hand_measurement"."pairs", '$.*.* ? (@.type() != "number" || @ < 5 || @ > 320)') and not jsonb_path_exists("hand_measurement"."pairs", '$.* ? (@.comfortable > @.widest)'));--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD CONSTRAINT "hand_measurement_tips" CHECK (not jsonb_path_exists("hand_measurement"."tip_widths", '$.* ? (@.type() != "number" || @ < 9 || @ > 27)'));--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD CONSTRAINT "hand_measurement_behind" CHECK (not jsonb_path_exists("hand_measurement"."behind", '$.* ? (@.type() != "number" || @ < 0 || @ > 120)'));--> statement-breakpoint
UPDATE "instrument" SET "taken_up_at" = "created_at";
