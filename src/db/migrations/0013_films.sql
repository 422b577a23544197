CREATE TABLE "film" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"passage_id" uuid NOT NULL,
	"name" text NOT NULL,
	"type" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"marks" jsonb DEFAULT '{"keys":null,"hands":[],"seen":[]}'::jsonb NOT NULL,
	"gone_at" timestamp with time zone,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "film_type" CHECK ("film"."type" ~ '^(video|image)/[a-z0-9.+-]+$'),
	CONSTRAINT "film_name" CHECK (length(trim("film"."name")) > 0),
	CONSTRAINT "film_marks" CHECK (jsonb_typeof("film"."marks"->'hands') = 'array' and jsonb_typeof("film"."marks"->'seen') = 'array')
);
--> statement-breakpoint
ALTER TABLE "film" ADD CONSTRAINT "film_passage_id_passage_id_fk" FOREIGN KEY ("passage_id") REFERENCES "public"."passage"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "film_of_passage" ON "film" USING btree ("passage_id","at");