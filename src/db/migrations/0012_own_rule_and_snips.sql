CREATE TABLE "own_figures" (
	"id" uuid PRIMARY KEY NOT NULL,
	"pianist_id" uuid NOT NULL,
	"causes" jsonb NOT NULL,
	"movement" double precision NOT NULL,
	"takes" smallint NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"given_up_at" timestamp with time zone,
	CONSTRAINT "own_figures_movement" CHECK ("own_figures"."movement" between 0.5 and 2),
	CONSTRAINT "own_figures_causes" CHECK (jsonb_typeof("own_figures"."causes") = 'object'),
	CONSTRAINT "own_figures_given_up" CHECK ("own_figures"."given_up_at" is null or "own_figures"."given_up_at" >= "own_figures"."at")
);
--> statement-breakpoint
ALTER TABLE "passage" ALTER COLUMN "plan_marks" SET DEFAULT '{"signs":[],"hidden":[],"touches":{},"watched":[],"tune":null,"free":[],"school":"as-played"}'::jsonb;--> statement-breakpoint
ALTER TABLE "felt" ADD COLUMN "easy" boolean;--> statement-breakpoint
ALTER TABLE "pianist" ADD COLUMN "clean_rule" jsonb;--> statement-breakpoint
ALTER TABLE "take" ADD COLUMN "snip" jsonb;--> statement-breakpoint
UPDATE "passage" SET "plan_marks" = "plan_marks" || '{"free":[]}'::jsonb WHERE NOT "plan_marks" ? 'free';--> statement-breakpoint
ALTER TABLE "take_figures" ADD COLUMN "measures" jsonb;--> statement-breakpoint
UPDATE "take_figures" f SET "measures" = jsonb_build_object('reachedEnd', f."clean", 'runs', 1, 'faults', f."faults", 'meant', t."tempo", 'tempo', f."tempo_reached", 'evenness', coalesce((f."amounts"->>'evenness')::double precision, 0), 'latest', 0) FROM "take" t WHERE t."id" = f."take_id";--> statement-breakpoint
ALTER TABLE "take_figures" ALTER COLUMN "measures" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "take_figures" ADD COLUMN "late" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "own_figures" ADD CONSTRAINT "own_figures_pianist_id_pianist_id_fk" FOREIGN KEY ("pianist_id") REFERENCES "public"."pianist"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "own_figures_newest" ON "own_figures" USING btree ("pianist_id","at");--> statement-breakpoint
ALTER TABLE "take_figures" DROP COLUMN "clean";