ALTER TABLE "pianist" ADD COLUMN "day_limit" smallint;--> statement-breakpoint
ALTER TABLE "pianist" ADD CONSTRAINT "pianist_day_limit" CHECK ("pianist"."day_limit" between 1 and 600);