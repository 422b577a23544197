ALTER TABLE "fingering" DROP CONSTRAINT "fingering_leaning";--> statement-breakpoint
UPDATE "fingering" SET "leaning" = 'legato' WHERE "leaning" = 'bound';--> statement-breakpoint
ALTER TABLE "fingering" ADD CONSTRAINT "fingering_leaning" CHECK ("fingering"."leaning" in ('balanced', 'smallest-openings', 'fewest-moves', 'clearest-at-speed', 'strong-on-tune', 'same-figure', 'legato', 'carried'));--> statement-breakpoint
DELETE FROM "note_mark" WHERE "kind"::text NOT IN ('shared', 'remedy');--> statement-breakpoint
ALTER TABLE "note_mark" DROP CONSTRAINT "note_mark_remedy";--> statement-breakpoint
ALTER TABLE "note_mark" ALTER COLUMN "kind" SET DATA TYPE text;--> statement-breakpoint
DROP TYPE "public"."mark_kind";--> statement-breakpoint
CREATE TYPE "public"."mark_kind" AS ENUM('shared', 'remedy');--> statement-breakpoint
ALTER TABLE "note_mark" ALTER COLUMN "kind" SET DATA TYPE "public"."mark_kind" USING "kind"::"public"."mark_kind";--> statement-breakpoint
ALTER TABLE "note_mark" ADD CONSTRAINT "note_mark_remedy" CHECK (("note_mark"."kind" = 'remedy') = ("note_mark"."remedy" is not null) and ("note_mark"."remedy" is null or "note_mark"."remedy"->>'kind' in ('edges', 'flat', 'lean', 'other-hand', 'roll', 'omit', 'fold', 'shorter')));--> statement-breakpoint
ALTER TABLE "note_mark" DROP COLUMN "detail";--> statement-breakpoint
ALTER TABLE "passage" DROP COLUMN "school";
