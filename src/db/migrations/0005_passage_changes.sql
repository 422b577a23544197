CREATE TYPE "public"."passage_change_of" AS ENUM('wishes', 'taken', 'planMarks');--> statement-breakpoint
CREATE TABLE "passage_change" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"passage_id" uuid NOT NULL,
	"order" integer NOT NULL,
	"what" "passage_change_of" NOT NULL,
	"before" jsonb NOT NULL,
	"after" jsonb NOT NULL,
	"state" "edit_state" DEFAULT 'applied' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "passage_change_order" UNIQUE("passage_id","order"),
	CONSTRAINT "passage_change_states" CHECK (jsonb_typeof("passage_change"."before") = 'object' and jsonb_typeof("passage_change"."after") = 'object' and "passage_change"."before" <> "passage_change"."after")
);
--> statement-breakpoint
ALTER TABLE "passage_change" ADD CONSTRAINT "passage_change_passage_id_passage_id_fk" FOREIGN KEY ("passage_id") REFERENCES "public"."passage"("id") ON DELETE cascade ON UPDATE no action;