CREATE TYPE "public"."take_source" AS ENUM('midi piano', 'screen', 'simulated piano', 'midi file');--> statement-breakpoint
CREATE TABLE "take" (
	"id" uuid PRIMARY KEY NOT NULL,
	"passage_id" uuid NOT NULL,
	"fingering_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"source" "take_source" NOT NULL,
	"tempo" double precision NOT NULL,
	"click" boolean NOT NULL,
	"hands" "hands" NOT NULL,
	"keys" jsonb NOT NULL,
	"pedal" jsonb NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "take_tempo" CHECK ("take"."tempo" between 10 and 480),
	CONSTRAINT "take_keys" CHECK (jsonb_typeof("take"."keys") = 'array' and jsonb_typeof("take"."pedal") = 'array')
);
--> statement-breakpoint
CREATE TABLE "take_figures" (
	"take_id" uuid PRIMARY KEY NOT NULL,
	"clean" boolean NOT NULL,
	"faults" smallint NOT NULL,
	"tempo_reached" double precision,
	"first" text NOT NULL,
	"amounts" jsonb NOT NULL,
	"astray" jsonb NOT NULL,
	CONSTRAINT "take_figures_faults" CHECK ("take_figures"."faults" >= 0)
);
--> statement-breakpoint
ALTER TABLE "take" ADD CONSTRAINT "take_passage_id_passage_id_fk" FOREIGN KEY ("passage_id") REFERENCES "public"."passage"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "take" ADD CONSTRAINT "take_fingering_version" FOREIGN KEY ("fingering_id","version") REFERENCES "public"."fingering_version"("fingering_id","version") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "take_figures" ADD CONSTRAINT "take_figures_take_id_take_id_fk" FOREIGN KEY ("take_id") REFERENCES "public"."take"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "take_newest" ON "take" USING btree ("passage_id","at");