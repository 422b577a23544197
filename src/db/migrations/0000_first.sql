CREATE TYPE "public"."edit_kind" AS ENUM('pin', 'lift');--> statement-breakpoint
CREATE TYPE "public"."edit_state" AS ENUM('applied', 'undone', 'set-aside');--> statement-breakpoint
CREATE TYPE "public"."origin" AS ENUM('solved', 'printed', 'typed');--> statement-breakpoint
CREATE TYPE "public"."hands" AS ENUM('right', 'left', 'both');--> statement-breakpoint
CREATE TYPE "public"."mark_kind" AS ENUM('tune', 'accent', 'shared', 'remedy');--> statement-breakpoint
CREATE TYPE "public"."touch" AS ENUM('legato', 'detached');--> statement-breakpoint
CREATE TYPE "public"."side" AS ENUM('right', 'left');--> statement-breakpoint
CREATE TYPE "public"."source_kind" AS ENUM('file', 'entered');--> statement-breakpoint
CREATE TYPE "public"."verdict_kind" AS ENUM('taken', 'reopened');--> statement-breakpoint
CREATE TABLE "edit" (
	"id" uuid PRIMARY KEY NOT NULL,
	"fingering_id" uuid NOT NULL,
	"order" integer NOT NULL,
	"kind" "edit_kind" NOT NULL,
	"note_id" text NOT NULL,
	"finger" smallint,
	"before" integer NOT NULL,
	"after" integer NOT NULL,
	"state" "edit_state" DEFAULT 'applied' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "edit_order" UNIQUE("fingering_id","order"),
	CONSTRAINT "edit_finger" CHECK (("edit"."kind" = 'pin') = ("edit"."finger" is not null) and ("edit"."finger" is null or "edit"."finger" between 1 and 5))
);
--> statement-breakpoint
CREATE TABLE "fingering" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"passage_id" uuid NOT NULL,
	"name" text NOT NULL,
	"origin" "origin" NOT NULL,
	"version" integer NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "fingering_name" UNIQUE("passage_id","name"),
	CONSTRAINT "fingering_version_positive" CHECK ("fingering"."version" >= 1)
);
--> statement-breakpoint
CREATE TABLE "fingering_version" (
	"fingering_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"digits" jsonb NOT NULL,
	"pins" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "fingering_version_fingering_id_version_pk" PRIMARY KEY("fingering_id","version"),
	CONSTRAINT "fingering_version_digits" CHECK (jsonb_typeof("fingering_version"."digits") = 'object' and jsonb_typeof("fingering_version"."pins") = 'object'),
	CONSTRAINT "fingering_version_fingers" CHECK (not jsonb_path_exists("fingering_version"."digits", '$.* ? (@ != null && (@ < 1 || @ > 5))')),
	CONSTRAINT "fingering_version_pins" CHECK (not jsonb_path_exists("fingering_version"."pins", '$.* ? (@ == null || @ < 1 || @ > 5)'))
);
--> statement-breakpoint
CREATE TABLE "note_mark" (
	"passage_id" uuid NOT NULL,
	"note_id" text NOT NULL,
	"kind" "mark_kind" NOT NULL,
	"detail" text,
	CONSTRAINT "note_mark_passage_id_note_id_kind_pk" PRIMARY KEY("passage_id","note_id","kind"),
	CONSTRAINT "note_mark_note" CHECK ("note_mark"."note_id" ~ '^b[0-9]+-s[0-9]+-v[A-Za-z0-9]+-n[0-9]+$')
);
--> statement-breakpoint
CREATE TABLE "passage" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"piece_id" uuid NOT NULL,
	"title" text NOT NULL,
	"from_bar" integer NOT NULL,
	"to_bar" integer NOT NULL,
	"hands" "hands" NOT NULL,
	"tempo" double precision NOT NULL,
	"touch" "touch" DEFAULT 'legato' NOT NULL,
	"pedal" boolean DEFAULT false NOT NULL,
	"school" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "passage_title" CHECK (length(trim("passage"."title")) > 0),
	CONSTRAINT "passage_bars" CHECK ("passage"."from_bar" >= 1 and "passage"."to_bar" >= "passage"."from_bar"),
	CONSTRAINT "passage_tempo" CHECK ("passage"."tempo" between 10 and 480)
);
--> statement-breakpoint
CREATE TABLE "hand_measurement" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"pianist_id" uuid NOT NULL,
	"side" "side" NOT NULL,
	"measured_on" date NOT NULL,
	"ruler_span" double precision NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "hand_measurement_span" CHECK ("hand_measurement"."ruler_span" between 130 and 290)
);
--> statement-breakpoint
CREATE TABLE "instrument" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"pianist_id" uuid NOT NULL,
	"name" text NOT NULL,
	"octave_width" double precision NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "instrument_octave" CHECK ("instrument"."octave_width" between 120 and 180)
);
--> statement-breakpoint
CREATE TABLE "pianist" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "recital" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"pianist_id" uuid NOT NULL,
	"title" text NOT NULL,
	"held_on" date NOT NULL
);
--> statement-breakpoint
CREATE TABLE "piece" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"pianist_id" uuid NOT NULL,
	"recital_id" uuid,
	"title" text NOT NULL,
	"source_kind" "source_kind" NOT NULL,
	"file_name" text,
	"source" "bytea" NOT NULL,
	"part_id" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "piece_title" CHECK (length(trim("piece"."title")) > 0),
	CONSTRAINT "piece_file" CHECK (("piece"."source_kind" = 'file') = ("piece"."file_name" is not null)),
	CONSTRAINT "piece_source" CHECK (length("piece"."source") > 0)
);
--> statement-breakpoint
CREATE TABLE "tied_figure" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"piece_id" uuid NOT NULL,
	"name" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "tied_figure_place" (
	"figure_id" uuid NOT NULL,
	"place" integer NOT NULL,
	"notes" jsonb NOT NULL,
	CONSTRAINT "tied_figure_place_figure_id_place_pk" PRIMARY KEY("figure_id","place"),
	CONSTRAINT "tied_figure_place_number" CHECK ("tied_figure_place"."place" >= 0),
	CONSTRAINT "tied_figure_place_notes" CHECK (jsonb_typeof("tied_figure_place"."notes") = 'array' and jsonb_array_length("tied_figure_place"."notes") > 0)
);
--> statement-breakpoint
CREATE TABLE "verdict_event" (
	"id" uuid PRIMARY KEY NOT NULL,
	"passage_id" uuid NOT NULL,
	"kind" "verdict_kind" NOT NULL,
	"fingering_id" uuid,
	"reason" text DEFAULT '' NOT NULL,
	"author" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "verdict_taken" CHECK (("verdict_event"."kind" = 'taken') = ("verdict_event"."fingering_id" is not null))
);
--> statement-breakpoint
ALTER TABLE "edit" ADD CONSTRAINT "edit_fingering_id_fingering_id_fk" FOREIGN KEY ("fingering_id") REFERENCES "public"."fingering"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "edit" ADD CONSTRAINT "edit_before" FOREIGN KEY ("fingering_id","before") REFERENCES "public"."fingering_version"("fingering_id","version") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "edit" ADD CONSTRAINT "edit_after" FOREIGN KEY ("fingering_id","after") REFERENCES "public"."fingering_version"("fingering_id","version") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fingering" ADD CONSTRAINT "fingering_passage_id_passage_id_fk" FOREIGN KEY ("passage_id") REFERENCES "public"."passage"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fingering_version" ADD CONSTRAINT "fingering_version_fingering_id_fingering_id_fk" FOREIGN KEY ("fingering_id") REFERENCES "public"."fingering"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note_mark" ADD CONSTRAINT "note_mark_passage_id_passage_id_fk" FOREIGN KEY ("passage_id") REFERENCES "public"."passage"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "passage" ADD CONSTRAINT "passage_piece_id_piece_id_fk" FOREIGN KEY ("piece_id") REFERENCES "public"."piece"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD CONSTRAINT "hand_measurement_pianist_id_pianist_id_fk" FOREIGN KEY ("pianist_id") REFERENCES "public"."pianist"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "instrument" ADD CONSTRAINT "instrument_pianist_id_pianist_id_fk" FOREIGN KEY ("pianist_id") REFERENCES "public"."pianist"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recital" ADD CONSTRAINT "recital_pianist_id_pianist_id_fk" FOREIGN KEY ("pianist_id") REFERENCES "public"."pianist"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "piece" ADD CONSTRAINT "piece_pianist_id_pianist_id_fk" FOREIGN KEY ("pianist_id") REFERENCES "public"."pianist"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "piece" ADD CONSTRAINT "piece_recital_id_recital_id_fk" FOREIGN KEY ("recital_id") REFERENCES "public"."recital"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tied_figure" ADD CONSTRAINT "tied_figure_piece_id_piece_id_fk" FOREIGN KEY ("piece_id") REFERENCES "public"."piece"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tied_figure_place" ADD CONSTRAINT "tied_figure_place_figure_id_tied_figure_id_fk" FOREIGN KEY ("figure_id") REFERENCES "public"."tied_figure"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "verdict_event" ADD CONSTRAINT "verdict_event_passage_id_passage_id_fk" FOREIGN KEY ("passage_id") REFERENCES "public"."passage"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "verdict_event" ADD CONSTRAINT "verdict_event_fingering_id_fingering_id_fk" FOREIGN KEY ("fingering_id") REFERENCES "public"."fingering"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "passage_of_piece" ON "passage" USING btree ("piece_id");--> statement-breakpoint
CREATE INDEX "hand_measurement_newest" ON "hand_measurement" USING btree ("pianist_id","side","measured_on");--> statement-breakpoint
CREATE INDEX "piece_of_pianist" ON "piece" USING btree ("pianist_id");--> statement-breakpoint
CREATE INDEX "verdict_newest" ON "verdict_event" USING btree ("passage_id","at");