CREATE TYPE "public"."felt_next" AS ENUM('again', 'slower', 'shorter', 'another option', 'stop');--> statement-breakpoint
CREATE TYPE "public"."halt_sign" AS ENUM('pain', 'numbness', 'tingling', 'swelling', 'loss of control', 'a finger that curls or lifts by itself');--> statement-breakpoint
CREATE TABLE "felt" (
	"take_id" uuid PRIMARY KEY NOT NULL,
	"places" jsonb NOT NULL,
	"amount" smallint NOT NULL,
	"bars" jsonb,
	"loose" boolean,
	"next" "felt_next",
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "felt_amount" CHECK ("felt"."amount" between 0 and 10),
	CONSTRAINT "felt_places" CHECK (jsonb_typeof("felt"."places") = 'array')
);
--> statement-breakpoint
CREATE TABLE "halt" (
	"id" uuid PRIMARY KEY NOT NULL,
	"pianist_id" uuid NOT NULL,
	"sign" "halt_sign" NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"lifted_at" timestamp with time zone,
	CONSTRAINT "halt_lifted_after" CHECK ("halt"."lifted_at" is null or "halt"."lifted_at" >= "halt"."at")
);
--> statement-breakpoint
ALTER TABLE "felt" ADD CONSTRAINT "felt_take_id_take_id_fk" FOREIGN KEY ("take_id") REFERENCES "public"."take"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "halt" ADD CONSTRAINT "halt_pianist_id_pianist_id_fk" FOREIGN KEY ("pianist_id") REFERENCES "public"."pianist"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "halt_of_pianist" ON "halt" USING btree ("pianist_id","at");