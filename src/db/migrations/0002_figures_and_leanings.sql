ALTER TYPE "public"."edit_kind" ADD VALUE 'rule-out';--> statement-breakpoint
ALTER TYPE "public"."edit_kind" ADD VALUE 'allow';--> statement-breakpoint
ALTER TABLE "edit" DROP CONSTRAINT "edit_finger";--> statement-breakpoint
ALTER TABLE "fingering" ADD COLUMN "leaning" text DEFAULT 'balanced' NOT NULL;--> statement-breakpoint
ALTER TABLE "fingering" ADD COLUMN "author" text;--> statement-breakpoint
ALTER TABLE "fingering_version" ADD COLUMN "ruled_out" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "passage" ADD COLUMN "wishes" jsonb DEFAULT '{"tying":"alike","noThumbOnBlack":false,"noFourthAndFifth":false,"sharing":{"allowed":"none","easier":"even","crossing":false}}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "passage" ADD COLUMN "taken" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "edit" ADD CONSTRAINT "edit_finger" CHECK (("edit"."kind" <> 'lift') = ("edit"."finger" is not null) and ("edit"."finger" is null or "edit"."finger" between 1 and 5));--> statement-breakpoint
ALTER TABLE "fingering" ADD CONSTRAINT "fingering_leaning" CHECK ("fingering"."leaning" in ('balanced', 'smallest-openings', 'fewest-moves', 'clearest-at-speed', 'strong-on-tune', 'same-figure', 'bound', 'carried'));--> statement-breakpoint
ALTER TABLE "fingering_version" ADD CONSTRAINT "fingering_version_ruled_out" CHECK (not jsonb_path_exists("fingering_version"."ruled_out", '$.*[*] ? (@ == null || @ < 1 || @ > 5)'));--> statement-breakpoint
ALTER TABLE "passage" ADD CONSTRAINT "passage_taken" CHECK (not jsonb_path_exists("passage"."taken", '$.* ? (@ != "right" && @ != "left")'));--> statement-breakpoint
ALTER TABLE "passage" ADD CONSTRAINT "passage_wishes_tying" CHECK ("passage"."wishes"->>'tying' in ('none', 'alike', 'all'));--> statement-breakpoint
ALTER TABLE "passage" ADD CONSTRAINT "passage_wishes_sharing" CHECK ("passage"."wishes"->'sharing'->>'allowed' in ('none', 'marked', 'all'));