CREATE TABLE "heard" (
	"piece_id" uuid PRIMARY KEY NOT NULL,
	"midi" "bytea" NOT NULL,
	"choices" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"guessed" jsonb NOT NULL,
	"doubts" jsonb NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "heard_midi" CHECK (length("heard"."midi") > 0),
	CONSTRAINT "heard_choices" CHECK (jsonb_typeof("heard"."choices") = 'object'),
	CONSTRAINT "heard_doubts" CHECK (jsonb_typeof("heard"."doubts") = 'array')
);
--> statement-breakpoint
ALTER TABLE "heard" ADD CONSTRAINT "heard_piece_id_piece_id_fk" FOREIGN KEY ("piece_id") REFERENCES "public"."piece"("id") ON DELETE cascade ON UPDATE no action;